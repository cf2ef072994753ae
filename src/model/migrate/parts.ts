import { USUAL_TRADES } from '../catalogue/pads';
import { PISTONS } from '../catalogue/parts';
import { PARTS_VERSION } from '../schema/part';
import { type Loose, list, record } from './loose';

/** Neck of a one-piece rotor, of which older versions knew one conductance for all. */
export const NECK_7 = { neckLengthMm: 12, neckThicknessMm: 6.5 };

/** A caliper with the wall of its pistons, of which older versions knew the material alone. */
export function walled(value: unknown): Loose {
  const own = record(value);
  const made = PISTONS[own.pistons as keyof typeof PISTONS];
  return { pistonWallMm: made?.wallMm ?? PISTONS.steel.wallMm, ...own };
}

/** A part as project version 7 has it. */
export function partTo7(part: Loose): Loose {
  if (part.kind === 'rotor') return { ...part, values: { ...NECK_7, ...record(part.values) } };
  return part.kind === 'caliper' ? { ...part, values: walled(part.values) } : part;
}

/** A part as project version 8 has it: pads that nothing knocked back, and what a pad's family costs beside money. */
export function partTo8(part: Loose): Loose {
  const values = record(part.values);
  if (part.kind === 'caliper') return { ...part, values: { knockBackMm: 0, ...values } };
  if (part.kind !== 'pad') return part;
  const usual = USUAL_TRADES[values.family as keyof typeof USUAL_TRADES] ?? USUAL_TRADES.track;
  return { ...part, values: { ...usual, ...values } };
}

/** A file of parts of an older version brought up to the present one. */
export function migrateParts(file: Loose): Loose {
  if (file.version !== 1) return file;
  return { ...file, version: PARTS_VERSION, parts: list(file.parts, (part) => partTo8(partTo7(part))) };
}
