import * as z from 'zod/mini';
import type { TableZone } from '../../../io';
import { toShown, typedZoneSchema, type UnitChoice, unitOf } from '../../../model';
import { say } from '../../../text/en/say/start';
import { typedName, typedNumber, typedOrUnknown } from '../../shared/form/typed';

const { shape } = typedZoneSchema;

/** A row as it is typed. */
export interface TypedRow {
  readonly name: string;
  readonly entry: string;
  readonly exit: string;
  readonly over: string;
  readonly next: string;
}
export const EMPTY_ROW: TypedRow = { name: '', entry: '', exit: '', over: '', next: '' };
export const isBlank = (row: TypedRow) => Object.values(row).every((cell) => cell.trim() === '');

const rowSchema = (units: UnitChoice) =>
  z.pipe(
    z.object({
      name: z.string().check(z.trim(), z.maxLength(60)),
      entry: typedNumber(shape.entryKmh, units),
      exit: typedNumber(shape.exitKmh, units),
      over: typedOrUnknown(shape.distanceM, units),
      next: typedNumber(shape.toNextM, units),
    }),
    z.transform(({ name, entry, exit, over, next }, ctx) => {
      if (exit >= entry)
        ctx.issues.push({ code: 'custom', input: exit, path: ['exit'], message: say.mustSlow });
      return { name, entryKmh: entry, exitKmh: exit, overM: over, nextM: next };
    }),
  );

/** The form of a circuit as a list of braking zones; rows that are empty are none. */
export const zonesFormSchema = (units: UnitChoice) => {
  const row = rowSchema(units);
  return z.object({
    name: typedName,
    rows: z.pipe(
      z.array(z.custom<TypedRow>()),
      z.transform((rows, ctx) => {
        const read = rows.flatMap((typed, i) => {
          if (isBlank(typed)) return [];
          const parsed = row.safeParse(typed);
          if (parsed.success) return [parsed.data];
          for (const issue of parsed.error.issues)
            ctx.issues.push({
              code: 'custom',
              input: typed,
              path: [i, ...issue.path],
              message: issue.message,
            });
          return [];
        });
        if (rows.every(isBlank))
          ctx.issues.push({ code: 'custom', input: rows, path: [0, 'entry'], message: say.tableTooFew });
        return read;
      }),
    ),
  });
};

/** A pasted braking zone as its row would be typed. */
export function rowOf(zone: TableZone, units: UnitChoice): TypedRow {
  const text = (value: number, of: 'speed' | 'distance') =>
    String(Number(toShown(value, unitOf(of, units)).toFixed(2)));
  return {
    name: zone.name,
    entry: text(zone.entryKmh, 'speed'),
    exit: text(zone.exitKmh, 'speed'),
    over: zone.distanceM === null ? '' : text(zone.distanceM, 'distance'),
    next: text(zone.toNextM, 'distance'),
  };
}
