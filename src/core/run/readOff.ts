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
 * Writes the parts that the next step asks for.
 * @param rows temperature of every node, K; rows of record.nodeCount
 * @param at where the first sample's begins
 */
export function readAtOnce(
  rows: Float64Array,
  at: number,
  { rotorFace: ring, padFace: pad, fluid, hose }: Readonly<Record<ReadOff, Place>>,
  record: WheelRecord,
  sample: number,
  count: number,
): void {
  const hotter = ring.hotter;
  for (let k = sample, row = at; k < sample + count; k++, row += record.nodeCount) {
    const outer = rows[row + ring.first];
    const inner = rows[row + ring.second];
    record.rotorFace[k] = hotter ? Math.max(outer, inner) : 0.5 * (outer + inner);
    const outerPad = rows[row + pad.first];
    const innerPad = rows[row + pad.second];
    record.padFace[k] = hotter ? Math.max(outerPad, innerPad) : 0.5 * (outerPad + innerPad);
    record.fluid[k] = 0.5 * (rows[row + fluid.first] + rows[row + fluid.second]);
    record.hose[k] = 0.5 * (rows[row + hose.first] + rows[row + hose.second]);
  }
}

/** Rows that stay in the processor's nearest cache while one part after another is read off them. */
const CLOSE_BY = 32;

/** Writes the other parts, once a piece has been run; as `readAtOnce`. */
export function readLater(
  rows: Float64Array,
  at: number,
  places: Readonly<Record<ReadOff, Place>>,
  record: WheelRecord,
  sample: number,
  count: number,
): void {
  for (let k = 0; k < count; k += CLOSE_BY) {
    const to = sample + Math.min(count, k + CLOSE_BY);
    for (let i = 0; i < LATER.length; i++) {
      const part = LATER[i];
      read(record[part], rows, at + k * record.nodeCount, record.nodeCount, places[part], sample + k, to);
    }
  }
}

function read(
  out: Float64Array,
  rows: Float64Array,
  at: number,
  width: number,
  { first, second, hotter }: Place,
  from: number,
  to: number,
): void {
  if (hotter) {
    for (let k = from, row = at; k < to; k++, row += width) {
      out[k] = Math.max(rows[row + first], rows[row + second]);
    }
  } else {
    for (let k = from, row = at; k < to; k++, row += width) {
      out[k] = 0.5 * (rows[row + first] + rows[row + second]);
    }
  }
}
