import { type CsvLayout, numberOf } from '../tables/csvLayout';
import type { LogMapping } from './logMapping';
import { LOG_UNITS, type LogColumn, unitLabelled } from './logUnits';

/** Something about a column that is unlikely as it is mapped. */
interface MappingQuestion {
  readonly column: number;
  readonly as: LogColumn;
  /** Greatest or least value that is read, with its unit */
  readonly value: string;
  readonly why: 'high' | 'low';
  /** Units in which it would be likely */
  readonly likely: readonly string[];
}

interface Range {
  /** The greatest value of a day lies between these, the least not under the last; SI */
  readonly most: readonly [number, number];
  readonly least: number;
}
const FREEZING = 243;
const hot = (most: number): Range => ({ most: [255, most], least: FREEZING });
/** What a track day's values may be, SI (own estimate). */
const RANGES: Readonly<Partial<Record<LogColumn, Range>>> = {
  speed: { most: [10, 125], least: -1 },
  frontPressure: { most: [8e5, 3e7], least: -3e5 },
  rearPressure: { most: [4e5, 3e7], least: -3e5 },
  pedalForce: { most: [30, 3000], least: -100 },
  rotorFrontLeft: hot(1500),
  rotorFrontRight: hot(1500),
  rotorRearLeft: hot(1500),
  rotorRearRight: hot(1500),
  caliperFrontLeft: hot(600),
  caliperFrontRight: hot(600),
  caliperRearLeft: hot(600),
  caliperRearRight: hot(600),
  fluidFront: hot(600),
  fluidRear: hot(600),
  ambient: { most: [243, 330], least: FREEZING },
};

/**
 * What is unlikely about a mapping, to be asked before a log is read.
 * @param rows of values from all over the file, cells as written
 */
export function mappingQuestions(
  { uses, decimal }: LogMapping,
  rows: readonly (readonly string[])[],
): MappingQuestion[] {
  return uses.flatMap(({ column, as, unit: label }): MappingQuestion[] => {
    const range = RANGES[as];
    if (!range) return [];
    const values = rows.flatMap((row) => numberOf(row[column] ?? '', decimal) ?? []);
    if (values.length < FEWEST) return [];
    const [least, most] = [Math.min(...values), Math.max(...values)];
    const fits = (name: string) => {
      const { scale, offset } = unitLabelled(as, name);
      const [low, high] = [least * scale + offset, most * scale + offset];
      if (high > range.most[1]) return 'high';
      return high < range.most[0] || low < range.least ? 'low' : null;
    };
    const why = fits(label);
    if (why === null) return [];
    const likely = LOG_UNITS[as].flatMap((own) =>
      own.label !== label && fits(own.label) === null ? [own.label] : [],
    );
    return [
      { column, as, value: `${why === 'high' ? most : least < 0 ? least : most} ${label}`, why, likely },
    ];
  });
}

/** Fewer values say nothing of a day. */
const FEWEST = 10;

/** Rows of values from a text cut anywhere out of a file: its first and last line may be parts of lines. */
export const rowsWithin = (text: string, { delimiter, columns }: CsvLayout): string[][] =>
  text
    .split(/\r\n|\n|\r/)
    .slice(1, -1)
    .map((line) => line.split(delimiter).map((cell) => cell.replace(/^"|"$/g, '')))
    .filter((cells) => cells.length === columns.length);
