import type { ReadOff } from '../heat';
import { RECORDED_PARTS, type RecordedPart } from './groups';

/** Parts that are read off one node or halfway between two; some, where the sides are apart, off the hotter one. */
type ReadPart = Exclude<RecordedPart, 'rotorBulk' | 'rotorBand'>;
export const READ_PARTS = RECORDED_PARTS.filter(
  (part): part is ReadPart => part !== 'rotorBulk' && part !== 'rotorBand',
);
const OF_HOTTER_SIDE: ReadonlySet<string> = new Set([
  'rotorFace',
  'rotorInner',
  'padFace',
  'plate',
] satisfies ReadPart[]);

/** What a brake's network reads off after each step: the parts in their order, then the face of each pad by itself. */
export function readingsOf(
  recorded: Readonly<Record<RecordedPart, readonly number[]>>,
  padFaces: readonly number[],
): ReadOff[] {
  const apart = padFaces.length > 1;
  return [
    ...READ_PARTS.map((part) => ({
      first: recorded[part][0],
      second: recorded[part][recorded[part].length - 1],
      hotter: apart && OF_HOTTER_SIDE.has(part),
    })),
    ...padFaces.map((node) => ({ first: node, second: node, hotter: false })),
  ];
}
