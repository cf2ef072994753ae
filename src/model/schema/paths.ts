import * as z from 'zod/mini';
import { brakeTestSchema } from './brakeTest';
import { calibrationSchema } from './calibration';
import { carSchema } from './car';
import { circuitSchema } from './circuit';
import { driveSchema } from './drive';
import { type FieldInfo, type FieldLimits, fieldInfo } from './field';
import { logEntrySchema } from './logEntry';
import { partSchema } from './part';
import { partSetSchema } from './partSet';
import { planSchema } from './plan';
import { bottleSchema, preparationSchema } from './preparation';
import { seasonSchema } from './season';
import { stateSchema } from './state';

export const SCHEMAS = {
  cars: carSchema,
  circuits: circuitSchema,
  plans: planSchema,
  parts: partSchema,
  states: stateSchema,
  drives: driveSchema,
  calibrations: calibrationSchema,
  preparations: preparationSchema,
  bottles: bottleSchema,
  tests: brakeTestSchema,
  sets: partSetSchema,
  seasons: seasonSchema,
  entries: logEntrySchema,
} as const;

/** The lists of a project whose items have ids of their own; a new one is an entry above and in the project's schema. */
export type Shelf = keyof typeof SCHEMAS;
export const SHELVES = Object.keys(SCHEMAS) as Shelf[];

export type Path = readonly (string | number)[];

/** The value at a path; undefined where the path ends early. */
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

/** The schema at a path of names and indices; of a choice, the first option that has the whole path. */
function schemaAt(
  schema: z.ZodMiniType,
  path: readonly string[],
): { schema: z.ZodMiniType; nullable: boolean } | null {
  const nullable = schema instanceof z.ZodMiniNullable;
  const at = nullable ? (schema.def.innerType as z.ZodMiniType) : schema;
  if (path.length === 0) return { schema: at, nullable };
  const [key, ...rest] = path;
  if (at instanceof z.ZodMiniArray) return schemaAt(at.def.element as z.ZodMiniType, rest);
  if (at instanceof z.ZodMiniRecord) return schemaAt(at.def.valueType as z.ZodMiniType, rest);
  if (at instanceof z.ZodMiniObject)
    return at.shape[key] ? schemaAt(at.shape[key] as z.ZodMiniType, rest) : null;
  if (!(at instanceof z.ZodMiniDiscriminatedUnion)) return null;
  for (const option of at.def.options as z.ZodMiniType[]) {
    const found = schemaAt(option, path);
    if (found) return found;
  }
  return null;
}

/** Title of the number at a dotted path, or null. */
export function titleAt(schema: z.ZodMiniType, path: string): string | null {
  const found = schemaAt(schema, path.replace(/\[(\d+)\]/g, '.$1').split('.'));
  try {
    return found && fieldInfo(found.schema).title;
  } catch {
    return null;
  }
}

/** The description of a number of a car, a circuit or a plan. */
export function infoAt(shelf: Shelf, path: Path): FieldInfo & FieldLimits & { readonly nullable: boolean } {
  const found = schemaAt(SCHEMAS[shelf], path.map(String));
  if (!found) throw new RangeError(`infoAt: ${shelf} has no ${path.join('.')}`);
  return { ...fieldInfo(found.schema), nullable: found.nullable };
}

/** What the value at a path is called: of a number or a choice; its own name where it has no title. */
export function labelAt(shelf: Shelf, path: Path): string {
  const found = schemaAt(SCHEMAS[shelf], path.map(String));
  return (found && z.globalRegistry.get(found.schema)?.title) ?? String(path.at(-1));
}
