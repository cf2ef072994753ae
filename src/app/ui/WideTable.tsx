import type { ReactNode } from 'react';
import { Tip } from './Tip';

/** A column of a table of braking zones: heading, what it holds, and what the heading means. */
export interface ForceColumn<T> {
  readonly head: ReactNode;
  readonly means: string;
  readonly cell: (row: T, index: number) => ReactNode;
}

/** A plain table with its meaning in the titles of its heads. */
export function ForceTable<T>({
  caption,
  rows,
  columns,
  nameOf,
  first = 'Braking zone',
}: {
  caption: string;
  rows: readonly T[];
  columns: readonly ForceColumn<T>[];
  nameOf: (row: T, index: number) => string;
  /** What a row is */
  first?: string;
}) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls must be reached by keyboard
    <section className="overflow-x-auto" tabIndex={0} aria-label={caption}>
      <table className="w-full border-collapse text-right text-[13px] narrow">
        <caption className="sr-only">{caption}</caption>
        <thead>
          <tr className="border-b border-rule align-bottom">
            <th className="px-2 py-1.5 text-left font-[600]">{first}</th>
            {columns.map((column) => (
              <Tip key={column.means} text={column.means}>
                <th className="px-1.5 py-1.5 font-[600] leading-tight">{column.head}</th>
              </Tip>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={nameOf(row, i)} className="border-b border-rule/60 last:border-0">
              <th className="max-w-[170px] truncate px-2 py-1 text-left font-[520]">{nameOf(row, i)}</th>
              {columns.map((column) => (
                <td key={column.means} className="px-1.5 py-1">
                  {column.cell(row, i)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
