import type { AxleBrakes } from '../../src/model';

/** A plain wheel end: both sides alike, no tape, no shield. */
export const plainAir = {
  rightDuctAreaCm2: null,
  blankedOffPercent: 0,
  toCaliperPercent: 0,
  shieldPercent: 0,
  beddedPercent: 100,
  wheelOpenAreaPercent: 50,
  leftFactor: 1,
  rightFactor: 1,
} satisfies Partial<AxleBrakes>;
/** A plain face; the measures of slots and holes wait until they are wanted. */
export const plainFace = {
  surface: 'plain',
  holeCount: 60,
  holeDiameterMm: 6,
  slotCount: 8,
  slotWidthMm: 1.5,
  slotDepthMm: 1,
  weighedKg: null,
  neckLengthMm: 12,
  neckThicknessMm: 6.5,
} satisfies Partial<AxleBrakes['rotor']>;
