import { log } from '../numeric';

/** Volume of a line or hose, m³. @param length m @param bore m */
export const lineVolume = (length: number, bore: number): number => 0.25 * Math.PI * bore * bore * length;

/** Old fluid that may stay in a caliper, share of what is in it (own choice). */
const LEFT_OLD = 0.05;

/** One bleed screw, and what lies before it. */
export interface BleedScrew {
  readonly id: string;
  /** Cylinder chamber that feeds it */
  readonly circuit: string;
  readonly wheel: string;
  /** Old fluid in the wheel's line and hose, m³ */
  readonly line: number;
  /** Fluid in that part of the caliper, m³ */
  readonly caliper: number;
}

/** What is drawn at a screw, m³. */
export interface BleedDraw {
  readonly id: string;
  /** Until the first new fluid shows */
  readonly arrives: number;
  /** Until only new fluid comes */
  readonly draw: number;
}

/**
 * What flows out of each screw until new fluid shows and until only new fluid comes, m³, in the order given. Lines are
 * plugs, passed on whole; a caliper's bores are a stirred tank, in which `e^(−n)` of the old is left after n volumes (own
 * model). What several screws share is emptied by the first of them.
 * @param shared chamber and control unit of each circuit, m³
 */
export function bleedDraws(
  screws: readonly BleedScrew[],
  shared: Readonly<Record<string, number>>,
): BleedDraw[] {
  const seen = new Set<string>();
  const once = (key: string, volume: number) => {
    if (seen.has(key)) return 0;
    seen.add(key);
    return volume;
  };
  return screws.map(({ id, circuit, wheel, line, caliper }) => {
    const plug = once(`circuit ${circuit}`, shared[circuit] ?? 0) + once(`wheel ${wheel}`, line);
    return { id, arrives: plug, draw: plug + caliper * log(1 / LEFT_OLD) };
  });
}
