import { z } from 'zod';
import {
  carSchema,
  circuitSchema,
  type FieldInfo,
  type FieldLimits,
  fieldInfo,
  type ItemOf,
  issueProblem,
  pathText,
  planSchema,
  replaceItem,
  type Shelf,
} from '../../project';
import { useProject, useStore } from '../state/context';

const SCHEMAS = { cars: carSchema, circuits: circuitSchema, plans: planSchema } as const;

export type Path = readonly (string | number)[];

/** An item being edited: every change is checked as a whole, then saved, or answered with what is wrong. */
export interface Editing<S extends Shelf> {
  readonly item: ItemOf<S>;
  readonly get: (path: Path) => unknown;
  /** Sets one value; what is wrong with it, or null */
  readonly set: (path: Path, value: unknown, label: string) => string | null;
  /** Replaces the whole item; what is wrong with it, or null */
  readonly replace: (item: ItemOf<S>, label: string) => string | null;
}

export function useItem<S extends Shelf>(shelf: S, id: string): Editing<S> | null {
  const project = useProject();
  const store = useStore();
  const item = (project[shelf] as ItemOf<S>[]).find((candidate) => candidate.id === id);
  if (!item) return null;
  const save = (next: ItemOf<S>, path: Path, label: string, key: string | null): string | null => {
    const checked = SCHEMAS[shelf].safeParse(next);
    if (checked.success) {
      store.edit(label, (p) => replaceItem(p, shelf, checked.data as ItemOf<S>), key);
      return null;
    }
    const at = pathText(path);
    const problems = checked.error.issues.map(issueProblem);
    const here = problems.find((p) => p.path === at);
    if (here) return sentence(here.message);
    const other = problems[0];
    return sentence(`${titleAt(SCHEMAS[shelf], other.path) ?? other.path} ${other.message}`);
  };
  return {
    item,
    get: (path) => getAt(item, path),
    // Read again from the store: two fields may change before the next render.
    set: (path, value, label) => {
      const list = store.getState().history.value[shelf] as ItemOf<S>[];
      const now = list.find((candidate) => candidate.id === id) ?? item;
      return save(setAt(now, path, value) as ItemOf<S>, path, label, `${id}/${pathText(path)}`);
    },
    replace: (next, label) => save(next, [], label, null),
  };
}

const sentence = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

export function getAt(value: unknown, path: Path): unknown {
  return path.reduce<unknown>((at, key) => (at as Record<string | number, unknown> | null)?.[key], value);
}

/** A copy with one value replaced; what lies beside the path is shared. */
export function setAt(value: unknown, path: Path, next: unknown): unknown {
  if (path.length === 0) return next;
  const [key, ...rest] = path;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<
    string | number,
    unknown
  >;
  copy[key] = setAt(copy[key], rest, next);
  return copy;
}

/** The schema at a path of names. */
function schemaAt(schema: z.ZodType, path: readonly string[]): z.ZodType | null {
  let at: z.ZodType = schema;
  for (const key of path) {
    if (at instanceof z.ZodNullable) at = at.unwrap() as z.ZodType;
    if (!(at instanceof z.ZodObject)) return null;
    const next = at.shape[key] as z.ZodType | undefined;
    if (!next) return null;
    at = next;
  }
  return at instanceof z.ZodNullable ? (at.unwrap() as z.ZodType) : at;
}

function titleAt(schema: z.ZodType, path: string): string | null {
  const found = schemaAt(schema, path.split('.'));
  try {
    return found && fieldInfo(found).title;
  } catch {
    return null;
  }
}

/** The description of a number of a car, a circuit or a plan. */
export function infoAt(shelf: Shelf, path: readonly string[]): FieldInfo & FieldLimits {
  const found = schemaAt(SCHEMAS[shelf], path);
  if (!found) throw new RangeError(`infoAt: ${shelf} has no ${path.join('.')}`);
  return fieldInfo(found);
}
