import * as z from 'zod/mini';
import { say } from '../../text/en/say/io';
import { type CsvLayout, numberOf } from '../tables/csvLayout';
import { LOG_COLUMNS, LOG_UNITS, type LogColumn, unitNamed } from './logUnits';

/** Which column of a file is what. */
export const mappingSchema = z.object({
  uses: z
    .array(
      z.object({
        /** From 0 */
        column: z.number().check(z.int(), z.gte(0), z.lte(2000)),
        as: z.enum(LOG_COLUMNS as [LogColumn, ...LogColumn[]]),
        /** Label of one of the column's units */
        unit: z.string().check(z.maxLength(20)),
      }),
    )
    .check(z.maxLength(60)),
  decimal: z.enum(['.', ',']),
  /** Samples a second, for a file without a column of time */
  rate: z.nullable(z.number().check(z.gte(0.1), z.lte(2000))),
});
export type LogMapping = z.infer<typeof mappingSchema>;

/** Words that tell what a column is; the first that fits wins, so the more particular come first. */
const SIDE = {
  front: String.raw`(front|\bf[lr]?\b|vorne)`,
  left: String.raw`(left|\b[fr]?l\b|\blh\b|\blf\b|\blr\b)`,
};
const WORDS: readonly (readonly [LogColumn, RegExp])[] = [
  ...(['rotor', 'caliper'] as const).flatMap((part) => {
    const name = part === 'rotor' ? '(rotor|dis[ck])' : '(caliper|calliper)';
    return (['front', 'rear'] as const).flatMap((axle) =>
      (['left', 'right'] as const).map((side): readonly [LogColumn, RegExp] => {
        const [a, s] = [axle[0], side[0]];
        const both = String.raw`\b(${a}${s}|${s}${a})\b`;
        const apart = String.raw`(?=.*\b(${axle}|${a})\b)(?=.*\b(${side}|${s}h?)\b)`;
        const column = `${part}${axle === 'front' ? 'Front' : 'Rear'}${side === 'left' ? 'Left' : 'Right'}`;
        return [column as LogColumn, new RegExp(`(?=.*${name})(?:.*${both}|${apart})`, 'i')];
      }),
    );
  }),
  ['fluidFront', new RegExp(`(?=.*fluid)(?=.*${SIDE.front})`, 'i')],
  ['fluidRear', /(?=.*fluid)(?=.*(rear|\br\b))/i],
  ['ambient', /ambient|outside|air\s*temp|\boat\b/i],
  ['frontPressure', new RegExp(`(?=.*(press|\\bbp\\b))(?=.*${SIDE.front})`, 'i')],
  ['rearPressure', /(?=.*(press|\bbp\b))(?=.*(rear|\br\b))/i],
  ['pedalForce', /(?=.*pedal)(?=.*force)/i],
  ['pedalPosition', /(?=.*(pedal|brake))(?=.*(pos|travel|%))/i],
  ['frontPressure', /brake.*press|press.*brake|line.*press/i],
  ['latitude', /\blat(itude)?\b/i],
  ['longitude', /\blon(g|gitude)?\b/i],
  ['height', /\b(height|altitude|alt|elev(ation)?)\b/i],
  ['distance', /\b(dist(ance)?|odometer)\b/i],
  ['speed', /\b(speed|velocity|geschwindigkeit|vitesse|vel|v)\b/i],
  ['lap', /\blap\b(?!.*(time|dist))/i],
  ['time', /\b(time|t|zeit|temps|timestamp|utc)\b/i],
  ['east', /^(x|east|easting)$/i],
  ['north', /^(y|north|northing)$/i],
];

/** Camel case, underscores and digits as words. */
const words = (name: string) =>
  name
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[_\-./:]+/g, ' ')
    .trim();

/** What a column's name says it is, or null. */
export function columnNamed(name: string): LogColumn | null {
  return WORDS.find(([, pattern]) => pattern.test(words(name)))?.[0] ?? null;
}

/** A first idea of what the columns of a table are, for the user to confirm. Each kind is used once. */
export function guessMapping(layout: CsvLayout): LogMapping {
  const taken = new Set<LogColumn>();
  const uses: LogMapping['uses'] = [];
  layout.columns.forEach((column, i) => {
    const as = columnNamed(column.name);
    if (!as || taken.has(as)) return;
    const unit = unitNamed(as, column.unit) ?? unitInName(as, column.name) ?? likelyUnit(as, layout, i);
    if (!unit) return;
    taken.add(as);
    uses.push({ column: i, as, unit: unit.label });
  });
  return { uses, decimal: layout.decimal, rate: taken.has('time') ? null : 10 };
}

/** A unit that stands behind a name without brackets, "Speed mph"; a single letter may be a place, and is one but for temperatures. */
function unitInName(as: LogColumn, name: string) {
  const all = words(name).split(/\s+/);
  const last = all[all.length - 1] ?? '';
  // "degF" was cut in two as two words are.
  const joined = all.length > 2 ? unitNamed(as, all.slice(-2).join('')) : null;
  if (joined) return joined;
  if (all.length < 2 || (last.length === 1 && !/temp/i.test(name))) return null;
  return unitNamed(as, last);
}

/** Without a written unit: the usual one, unless the values say otherwise. */
function likelyUnit(as: LogColumn, layout: CsvLayout, column: number) {
  const units = LOG_UNITS[as];
  const cells = layout.preview.map((row) => (row[column] ?? '').trim());
  if (as === 'time') {
    if (cells.some((cell) => cell.includes(':'))) return units[3];
    const values = cells.map((cell) => numberOf(cell, layout.decimal)).filter((v) => v !== null);
    const steps = values.slice(1).map((v, i) => v - values[i]);
    // Whole steps of at least five are thousandths: nobody logs a track day every five seconds.
    if (steps.length > 0 && steps.every((d) => d >= 5 && Number.isInteger(d)) && values[0] < 1e9)
      return units[1];
  }
  return units[0];
}

/** A name for a table's layout: files of one logger have the same. */
export const layoutKey = (layout: CsvLayout): string =>
  layout.columns.map((c) => `${c.name}|${c.unit}`).join('\u001f');

/** What keeps a mapping from being used, in words; empty where nothing does. */
export function mappingProblems(mapping: LogMapping, layout: CsvLayout): string[] {
  const problems: string[] = [];
  const has = (as: LogColumn) => mapping.uses.some((use) => use.as === as);
  const seen = new Set<LogColumn>();
  for (const { as, column } of mapping.uses) {
    if (seen.has(as)) problems.push(say.twoColumnsTakenSame);
    seen.add(as);
    if (column >= layout.columns.length) problems.push(say.fileHasNoColumn(column + 1));
  }
  if (!has('time') && mapping.rate === null) problems.push(say.sayWhichColumnTime);
  if (!has('speed') && !has('distance') && !(has('latitude') && has('longitude'))) {
    problems.push(say.speedDistanceLatitudeLongitude);
  }
  if (has('latitude') !== has('longitude')) problems.push(say.latitudeLongitudeOnlyUse);
  return [...new Set(problems)];
}
