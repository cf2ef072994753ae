import { type DayResult, WHEELS } from '../../../core';
import { toShown, type UnitChoice, unitOf } from '../../../model';
import { celsius } from '../../../text/en';
import { type ShownSide, shownRecords } from '../../state/selection';
import type { Computed } from '../../state/useSession';
import { linearScale } from '../../ui/charts/linearScale';
import { densePath } from '../../ui/charts/paths';
import { topTemperature } from './lapSlice';

/** Start and end of a session, or of the whole day, s. */
export function spanOf(result: DayResult, session: number | null): readonly [number, number] {
  const legs = result.legs.filter((leg) => session === null || leg.session === session);
  return legs.length === 0 ? [0, 0] : [legs[0].startTime, legs[legs.length - 1].endTime];
}

export function draw(
  { result }: Computed,
  other: Computed | null,
  [start, end]: readonly [number, number],
  side: ShownSide,
  x: (v: number) => number,
  units: UnitChoice,
) {
  const { time } = result.record;
  const { front, rear } = shownRecords(result, side);
  const degree = unitOf('temperature', units);
  const boil = boilingPoint(result) ?? 500;
  const wettest = (r: DayResult | undefined) =>
    r
      ? Math.max(
          ...WHEELS.map((wheel) => Math.max(r.peaks[wheel].fluid, r.peaks[wheel].caliper)),
          boilingPoint(r) ?? 0,
        )
      : 0;
  const shown = (value: number) => toShown(value, degree);
  const hot = linearScale(
    [0, shown(Math.ceil((topTemperature([result, other?.result]) + 20) / 50) * 50)],
    [HOT[1], HOT[0]],
  );
  const wet = linearScale(
    [0, shown(Math.ceil((celsius(Math.max(wettest(result), wettest(other?.result))) + 15) / 25) * 25)],
    [WET[1], WET[0]],
  );
  let from = 0;
  while (from < time.length - 1 && time[from + 1] <= start) from++;
  let to = from;
  while (to < time.length && time[to] <= end + 1e-6) to++;
  const at = time.subarray(from, to);
  const line = (values: Float64Array, scale: (v: number) => number) =>
    densePath(at, values.subarray(from, to), x, (kelvin) => scale(shown(celsius(kelvin))));
  return {
    hot,
    wet,
    boil: wet(shown(celsius(boil))),
    frontFace: line(front.rotorFace, hot),
    frontBulk: line(front.rotorBulk, hot),
    rearBulk: line(rear.rotorBulk, hot),
    frontFluid: line(front.fluid, wet),
    frontCaliper: line(front.caliper, wet),
    rearFluid: line(rear.fluid, wet),
    rearCaliper: line(rear.caliper, wet),
  };
}

export const boilingPoint = (result: DayResult) => result.margins.find((m) => m.part === 'fluid')?.limit;

export const HOT = [30, 206] as const;

export const WET = [240, 356] as const;
