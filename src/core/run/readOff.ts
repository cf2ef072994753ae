import { type CornerNetwork, RECORDED_PARTS, type RecordedPart } from '../brake';
import type { WheelRecord } from './record';

/** Parts that are read off one node or halfway between two; some, where the sides are apart, off the hotter one. */
export type ReadOff = Exclude<RecordedPart, 'rotorBulk' | 'rotorBand'>;
const READ_OFF = RECORDED_PARTS.filter(
  (part): part is ReadOff => part !== 'rotorBulk' && part !== 'rotorBand',
);
const OF_HOTTER_SIDE: ReadonlySet<string> = new Set(['rotorFace', 'rotorInner', 'padFace', 'plate']);
/** Those that the next step asks for; the others are read off once a piece has been run. */
const AT_ONCE: ReadonlySet<string> = new Set(['rotorFace', 'padFace', 'fluid', 'hose'] satisfies ReadOff[]);
const LATER = READ_OFF.filter((part) => !AT_ONCE.has(part));

/** Where a part is read off a row of node temperatures. */
export interface Place {
  readonly first: number;
  readonly second: number;
  /** Whether the hotter of both counts, else their mean */
  readonly hotter: boolean;
}

/** @param at where the row begins */
export const readOff = (rows: Float64Array, at: number, { first, second, hotter }: Place): number => {
  const [a, b] = [rows[at + first], rows[at + second]];
  return hotter ? Math.max(a, b) : 0.5 * (a + b);
};

export function placesOf({ recorded, padFaces }: CornerNetwork): Record<ReadOff, Place> {
  const apart = padFaces.length > 1;
  const placeOf = (part: ReadOff): Place => ({
    first: recorded[part][0],
    second: recorded[part][recorded[part].length - 1],
    hotter: apart && OF_HOTTER_SIDE.has(part),
  });
  return Object.fromEntries(READ_OFF.map((part) => [part, placeOf(part)])) as Record<ReadOff, Place>;
}

/**
 * Writes the parts that no step asked for.
 * @param rows temperature of every node, K; rows of record.nodeCount
 * @param row of the first sample
 */
export function readLater(
  rows: Float64Array,
  row: number,
  places: Readonly<Record<ReadOff, Place>>,
  record: WheelRecord,
  sample: number,
  count: number,
): void {
  const width = record.nodeCount;
  for (const part of LATER) {
    const out = record[part];
    const place = places[part];
    for (let k = sample, at = row * width; k < sample + count; k++, at += width) {
      out[k] = readOff(rows, at, place);
    }
  }
}
