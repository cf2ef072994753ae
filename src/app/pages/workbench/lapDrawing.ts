import { max } from 'd3-array';
import type { DayResult, LapResult } from '../../../core';
import { fromSi, toShown, type UnitChoice, unitOf } from '../../../model';
import { celsius } from '../../../text/en';
import { type ShownSide, shownRecords } from '../../state/selection';
import { type LinearScale, linearScale } from '../../ui/charts/linearScale';
import { densePath } from '../../ui/charts/paths';
import { axlePower, lapSamples, topTemperature } from './lapSlice';

/** Room beside the lap's drawing, px. */
export const LEFT = 44;
export const RIGHT = 10;
/** Heights of the three bands of the lap's drawing, px. */
export const SPEED = [18, 94] as const;
export const POWER = [122, 192] as const;
export const HEAT = [220, 366] as const;

/** First and last distance of a lap, m. */
export const ends = (distance: Float64Array) => [distance[0], distance[distance.length - 1]] as const;

type X = (value: number) => number;

/** The highest speed (m/s), power (W) and temperature (°C, a round one) that the drawing of two states' laps must hold. */
export function lapTops(result: DayResult, other: DayResult | undefined) {
  const hot = [result, other];
  const speeds = hot.map((r) => (r ? (max(r.trace.speed) ?? 0) : 0));
  const powers = hot.map((r) => (r ? Math.max(0, ...r.trace.zones.map((s) => s.peakPower)) : 0));
  return {
    speed: Math.max(...speeds),
    power: Math.max(...powers),
    heat: Math.ceil((topTemperature(hot) + 20) / 50) * 50,
  };
}

/** Scales in shown units, from nothing to a top as `lapTops` tells it. */
export const lapScales = {
  speed: (top: number, units: UnitChoice) =>
    linearScale([0, toShown(1.04 * fromSi(top, 'speed'), unitOf('speed', units))], [SPEED[1], SPEED[0]]),
  power: (top: number, units: UnitChoice) =>
    linearScale(
      [0, Math.max(1, toShown(fromSi(top, 'power'), unitOf('power', units)))],
      [POWER[1], POWER[0]],
    ),
  heat: (top: number, units: UnitChoice) =>
    linearScale([0, toShown(top, unitOf('temperature', units))], [HEAT[1], HEAT[0]]),
};

/** Speed over the distance of a lap. */
export function speedLine({ trace }: LapResult, x: X, scale: LinearScale, units: UnitChoice): string {
  const unit = unitOf('speed', units);
  return densePath(trace.distance, trace.speed, x, (v) => scale(toShown(fromSi(v, 'speed'), unit)));
}

/** Brake power of the front axle, and of both, as areas over the distance of a lap. */
export function powerAreas(
  result: DayResult,
  lapNumber: number,
  x: X,
  scale: LinearScale,
  units: UnitChoice,
) {
  const unit = unitOf('power', units);
  const { trace } = result.laps[lapNumber - 1];
  const [first, last] = ends(trace.distance);
  const area = (values: Float64Array) => {
    const path = densePath(trace.distance, values, x, (v) => scale(toShown(v, unit)));
    return `${path}L${x(last)},${POWER[1]}L${x(first)},${POWER[1]}Z`;
  };
  const front = axlePower(result, lapNumber, 'front');
  const both = axlePower(result, lapNumber, 'rear').map((v, i) => v + front[i]);
  return { front: area(front), both: area(both) };
}

/** Temperature of the front and of the rear disc that is shown, over the distance of a lap. */
export function heatLines(
  result: DayResult,
  [lapNumber, side, part]: readonly [number, ShownSide, 'rotorBulk' | 'rotorFace'],
  x: X,
  scale: LinearScale,
  units: UnitChoice,
) {
  const degree = unitOf('temperature', units);
  const [from, to] = lapSamples(result, lapNumber);
  const at = result.record.distance.subarray(from, to);
  const { front, rear } = shownRecords(result, side);
  const line = (values: Float64Array) =>
    densePath(at, values.subarray(from, to), x, (kelvin) => scale(toShown(celsius(kelvin), degree)));
  return { front: line(front[part]), rear: line(rear[part]) };
}

/** Where the limit that is nearest lies, and what it is of; null where it is no disc’s or pad’s, or above the drawing. */
export function limitLine({ verdict: { margin } }: DayResult, scale: LinearScale, units: UnitChoice) {
  const { part } = margin;
  if (part !== 'padFace' && part !== 'rotorFace' && part !== 'rotorBulk') return null;
  const y = scale(toShown(celsius(margin.limit), unitOf('temperature', units)));
  if (y <= HEAT[0] - 2) return null;
  return {
    y,
    text: `limit of the ${margin.axle} ${part === 'padFace' ? 'pads' : part === 'rotorFace' ? 'rotor surface' : 'rotor core (bulk)'}`,
  };
}
