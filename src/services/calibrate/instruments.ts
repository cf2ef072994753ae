import type { Corner } from '../../core';
import type { Instrument, ObservationOf } from '../../model';

/** What the usual error of a hand-held reading is, one standard deviation, K (from memory). */
export const INSTRUMENT_ERROR: Readonly<Record<Instrument, number>> = {
  contact: 8,
  infrared: 20,
  thermocouple: 5,
};

/** Paint on a ring turns by time as well as by temperature; a strip is sharper. K (from memory). */
export const MARK_ERROR: Readonly<Record<ObservationOf<'paint'>['place'], number>> = {
  ringEdge: 12,
  caliper: 3,
  padPlate: 5,
};

/** From which temperature on a disc is seen to glow, and how surely, °C and K (from memory: 525 °C for an eye used to the dark). */
export const GLOW: Readonly<
  Record<ObservationOf<'glow'>['light'], { readonly fromC: number; readonly error: number }>
> = {
  dark: { fromC: 520, error: 30 },
  dusk: { fromC: 600, error: 40 },
  day: { fromC: 700, error: 50 },
};

/** How surely a boiling point or a pad's limit was passed when the driver felt it, K (own estimate). */
export const FELT_ERROR = { boiled: 8, 'long pedal': 18, faded: 40 } as const;

/** Emissivity of what is not the rubbed face: a painted or anodised caliper, a steel backing plate, a hub (from memory). */
const OTHER_EMISSIVITY = { caliper: 0.9, padPlate: 0.85, hub: 0.8 } as const;

/** Emissivity that infrared instruments are usually set to. */
const USUAL_SETTING = 0.95;

/**
 * What a surface's temperature was when an infrared instrument set to another emissivity showed it: both signals are the same,
 * `ε_s·T_r⁴ + (1 − ε_s)·T_a⁴ = ε·T⁴ + (1 − ε)·T_a⁴` (grey surface, all wavelengths). An instrument that sees long waves
 * alone is a little less wrong than that.
 * @param shown and ambient, K
 */
export function behindEmissivity(shown: number, setting: number, surface: number, ambient: number): number {
  const fourth = (kelvin: number) => kelvin ** 4;
  const signal = setting * fourth(shown) + (surface - setting) * fourth(ambient);
  return (Math.max(0, signal) / surface) ** 0.25;
}

/** What a hand-held reading says of the surface, K, and its error, K. @param shown and ambient in K */
export function spotValue(
  { place, instrument, emissivity, errorK }: ObservationOf<'spot'>,
  shown: number,
  corner: Corner,
  ambient: number,
): { readonly value: number; readonly error: number } {
  const error = errorK ?? INSTRUMENT_ERROR[instrument];
  if (instrument !== 'infrared') return { value: shown, error };
  const surface =
    place === 'disc' ? (corner.drum ?? corner.rotor).material.emissivity : OTHER_EMISSIVITY[place];
  return { value: behindEmissivity(shown, emissivity ?? USUAL_SETTING, surface, ambient), error };
}
