import type { WheelFound } from '../../model';

const MM_IN_INCH = 25.4;
/** Under this share of what was expected, a thickness is none of a part that is still on a car. */
const FAR_UNDER = 0.1;
/** Of what was expected, read as inches: what is worn may have lost most of it, and none grows. */
const LIKELY: readonly [number, number] = [0.25, 1.05];
/** Fluid boils no higher than new and dry by more than a boil test's own error, °C. */
const TEST_ERROR = 8;

/** What a thickness would be if it was read in inches, mm; null where that is no more likely than what was written. */
export function asInches(mm: number, expectedMm: number): number | null {
  const read = mm * MM_IN_INCH;
  const likely = read >= LIKELY[0] * expectedMm && read <= LIKELY[1] * expectedMm;
  return mm < FAR_UNDER * expectedMm && likely ? read : null;
}

/** What a boiling point would be if it was read in °F, °C; null where it can be what was written. */
export function asFahrenheit(boilingC: number, dryC: number): number | null {
  return boilingC > dryC + TEST_ERROR ? (boilingC - 32) / 1.8 : null;
}

const inches = (mm: number | null) => (mm === null ? null : Number((mm * MM_IN_INCH).toFixed(3)));

/** A wheel's readings of a part taken as inches. */
export function takenAsInches(found: WheelFound, part: 'inner' | 'outer' | 'rotor'): WheelFound {
  switch (part) {
    case 'rotor':
      return { ...found, rotorMm: found.rotorMm.map((mm) => inches(mm) as number) };
    case 'inner':
      return {
        ...found,
        innerLeadingMm: inches(found.innerLeadingMm),
        innerTrailingMm: inches(found.innerTrailingMm),
      };
    case 'outer':
      return {
        ...found,
        outerLeadingMm: inches(found.outerLeadingMm),
        outerTrailingMm: inches(found.outerTrailingMm),
      };
  }
}
