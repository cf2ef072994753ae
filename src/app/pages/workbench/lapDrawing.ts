import { fromSi, toShown, type UnitChoice, unitOf } from '../../../model';
import { celsius } from '../../../text/en';
import { type Selection, shownRecords } from '../../state/selection';
import type { Computed } from '../../state/useSession';
import { linearScale } from '../../ui/charts/linearScale';
import { densePath } from '../../ui/charts/paths';
import { axlePower, lapSamples, topTemperature } from './lapSlice';

/** Heights of the three bands of the lap's drawing, px. */
export const SPEED = [18, 94] as const;
export const POWER = [122, 192] as const;
export const HEAT = [220, 366] as const;

/** First and last distance of a lap, m. */
export const ends = (distance: Float64Array) => [distance[0], distance[distance.length - 1]] as const;

type X = (value: number) => number;

/** Scales and lines of one lap; the saved state and the moved one share their scales through `other`. */
export function drawLap(
  computed: Computed,
  { lap: lapNumber, side }: Selection,
  x: X,
  units: UnitChoice,
  other: Computed | null,
) {
  const { result } = computed;
  const lap = result.laps[lapNumber - 1];
  const { trace } = lap;
  const speedUnit = unitOf('speed', units);
  const powerUnit = unitOf('power', units);
  const degree = unitOf('temperature', units);

  const hot = [result, other?.result];
  const topSpeed = Math.max(...hot.map((r) => (r ? r.trace.speed.reduce((a, b) => Math.max(a, b), 0) : 0)));
  const topPower = Math.max(
    ...hot.map((r) => (r ? Math.max(0, ...r.trace.zones.map((s) => s.peakPower)) : 0)),
  );
  const speed = linearScale([0, toShown(1.04 * fromSi(topSpeed, 'speed'), speedUnit)], [SPEED[1], SPEED[0]]);
  const power = linearScale(
    [0, Math.max(1, toShown(fromSi(topPower, 'power'), powerUnit))],
    [POWER[1], POWER[0]],
  );
  const heat = linearScale(
    [0, toShown(Math.ceil((topTemperature(hot) + 20) / 50) * 50, degree)],
    [HEAT[1], HEAT[0]],
  );

  const ySpeed = (v: number) => speed(toShown(fromSi(v, 'speed'), speedUnit));
  const yHeat = (kelvin: number) => heat(toShown(celsius(kelvin), degree));
  const [from, to] = lapSamples(result, lapNumber);
  const at = result.record.distance.subarray(from, to);
  const line = (values: Float64Array) => densePath(at, values.subarray(from, to), x, yHeat);
  const area = (values: Float64Array) => {
    const path = densePath(trace.distance, values, x, (v) => power(toShown(v, powerUnit)));
    const [first, last] = ends(trace.distance);
    return `${path}L${x(last)},${POWER[1]}L${x(first)},${POWER[1]}Z`;
  };
  const { front, rear } = shownRecords(result, side);
  const frontPower = axlePower(result, lapNumber, 'front');
  const bothPower = axlePower(result, lapNumber, 'rear').map((v, i) => v + frontPower[i]);

  const { margin } = result.verdict;
  const drawn = margin.part === 'padFace' || margin.part === 'rotorFace' || margin.part === 'rotorBulk';
  const limitY = yHeat(margin.limit);
  return {
    speed,
    power,
    heat,
    speedPath: densePath(trace.distance, trace.speed, x, ySpeed),
    frontPower: area(frontPower),
    bothPower: area(bothPower),
    frontFace: line(front.rotorFace),
    frontBulk: line(front.rotorBulk),
    rearFace: line(rear.rotorFace),
    rearBulk: line(rear.rotorBulk),
    limit:
      drawn && limitY > HEAT[0] - 2
        ? {
            y: limitY,
            text: `limit of the ${margin.axle} ${margin.part === 'padFace' ? 'pads' : margin.part === 'rotorFace' ? 'rotor surface' : 'rotor core (bulk)'}`,
          }
        : null,
  };
}
