import type { ReactNode } from 'react';
import { infoAt, type Path, type Shelf } from '../../model';
import type { Editing } from '../state/useItem';
import { HowToMeasure } from './measure/HowToMeasure';
import { NumberField, type WayOut } from './NumberField';
import { OriginMark } from './OriginMark';

/** A titled group of fields. */
export function Section({ title, children, note }: { title: string; children: ReactNode; note?: ReactNode }) {
  return (
    <section className="panel px-4 py-3">
      <h2 className="text-[15px]">{title}</h2>
      {note && <p className="caption mt-0.5 max-w-[72ch]">{note}</p>}
      <div className="mt-2.5 grid gap-x-5 gap-y-3.5 sm:grid-cols-2 lg:grid-cols-3">{children}</div>
    </section>
  );
}

/** The number at a path of an item. */
export function Field<S extends Shelf>({
  shelf,
  editing,
  path,
  wayOut,
}: {
  shelf: S;
  editing: Editing<S>;
  path: Path;
  wayOut?: (stored: number) => WayOut | null;
}) {
  const info = infoAt(shelf, path);
  return (
    <div data-path={path.join('.')}>
      <NumberField
        info={info}
        nullable={info.nullable}
        {...(wayOut && { wayOut })}
        value={editing.get(path) as number | null}
        onCommit={(value) => editing.set(path, value, info.title)}
        mark={
          <span className="flex items-center">
            <HowToMeasure place={path.join('.')} title={info.title} />
            <OriginMark shelf={shelf} editing={editing} path={path} />
          </span>
        }
      />
    </div>
  );
}
