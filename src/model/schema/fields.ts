import { infoAt, type Path, type Shelf } from './paths';

/** A number of an item, with what it is called. */
export interface FieldPlace {
  readonly path: Path;
  readonly title: string;
}

/** Every number an item has outside its lists and choices, also one that is not given. */
export function fieldsIn(shelf: Shelf, item: object): readonly FieldPlace[] {
  const found: FieldPlace[] = [];
  const walk = (value: unknown, path: Path) => {
    if (typeof value === 'number' || value === null) {
      try {
        found.push({ path, title: infoAt(shelf, path).title });
      } catch {
        // Not a number that is typed: a choice that is not made, a time that is noted.
      }
    } else if (typeof value === 'object' && value && !Array.isArray(value)) {
      for (const [key, own] of Object.entries(value)) walk(own, [...path, key]);
    }
  };
  walk(item, []);
  return found;
}
