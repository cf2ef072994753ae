import { Plus, Trash2 } from 'lucide-react';
import { infoAt, type Path, type Shelf } from '../../model';
import type { Editing } from '../state/useItem';
import { IconButton } from '../ui/IconButton';
import { NumberField } from './NumberField';

/**
 * A table of the user's own, point by point: two numbers a row.
 * @param columns key of each number in a point and what it is called
 * @param another the point that is added after the last one, or as the first
 * @param what names the table for undo: "Friction of a pad"
 */
export function PointRows<S extends Shelf, P extends Readonly<Record<string, number>>>({
  editing,
  shelf,
  path,
  points,
  columns,
  caption,
  what,
  least,
  most,
  another,
}: {
  readonly editing: Editing<S>;
  readonly shelf: S;
  readonly path: Path;
  readonly points: readonly P[];
  readonly columns: readonly (readonly [string & keyof P, string])[];
  readonly caption: string;
  readonly what: string;
  readonly least: number;
  readonly most: number;
  readonly another: (last: P | undefined) => P;
}) {
  return (
    <table>
      <caption className="text-left font-[540] whitespace-nowrap">{caption}</caption>
      <tbody>
        {points.map((point, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: points have no other name than their place
          <tr key={i} className="align-top">
            {columns.map(([key, name]) => (
              <td key={key} className="py-0.5 pr-1.5">
                <NumberField
                  compact
                  label={`${name} of point ${i + 1}`}
                  info={infoAt(shelf, [...path, i, key])}
                  value={point[key]}
                  onCommit={(next) => editing.set([...path, i, key], next, what)}
                />
              </td>
            ))}
            <td>
              <IconButton
                icon={Trash2}
                name={`Remove point ${i + 1}`}
                disabled={points.length <= least}
                onClick={() =>
                  editing.set(
                    path,
                    points.filter((__, k) => k !== i),
                    'A point less',
                  )
                }
                title="Remove"
              />
            </td>
          </tr>
        ))}
        <tr>
          <td colSpan={3}>
            <button
              type="button"
              className="btn"
              disabled={points.length >= most}
              onClick={() => editing.set(path, [...points, another(points.at(-1))], 'Another point')}
            >
              <Plus size={15} aria-hidden="true" /> Add a point
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  );
}
