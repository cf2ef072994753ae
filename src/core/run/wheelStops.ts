import type { WheelName } from '../brake';
import { GAMMA } from '../heat';
import type { BrakingZone, LapTrace } from '../lap';
import { power } from '../numeric';
import type { BenchStop, DayInput } from '../schedule';
import type { DayRecord } from './record';
import type { DayResult, LapResult } from './result';

/** Least pause, s. */
export const LEAST_PAUSE = 1;

/** A braking of the wheel in the car. */
export interface WheelStop {
  readonly phase: BenchStop['phase'];
  readonly lap: number;
  readonly zone: number;
  readonly name: string;
  /** rad/s */
  readonly from: number;
  readonly to: number;
  /** s, J, K */
  readonly duration: number;
  readonly energy: number;
  readonly startsAt: number | null;
  /** Friction over its heat; null where it is not known */
  readonly friction: number | null;
  /** What follows: s, m/s of the car */
  readonly pause: number;
  readonly rolling: number;
}

/** What a wheel's brake does up to the first time the car stands. */
export function wheelStops(
  day: DayInput,
  { laps, record, legs }: Pick<DayResult, 'laps' | 'record' | 'legs'>,
  wheel: WheelName,
): { readonly stops: readonly WheelStop[]; readonly leftOut: number } {
  const stands = legs.filter(({ kind }) => kind === 'pit' || kind === 'paddock');
  const end =
    stands.length > 0 ? Math.min(...stands.map(({ startTime }) => startTime)) : Number.POSITIVE_INFINITY;
  const driven = laps.filter(({ startTime }) => startTime < end - 1e-6);
  const { wheelRadius, slipShare } = day.vehicle;
  const turns = (speed: number) => (speed * (1 - slipShare)) / wheelRadius;
  const zones = driven.flatMap((lap) =>
    lap.trace.zones.map((zone, i) => ({ lap, zone, i, ...timesOf(lap, zone) })),
  );
  const finish = driven.reduce((last, lap) => Math.max(last, lap.startTime + lap.lapTime), 0);
  const work = worker(record, wheel);
  let inZones = 0;
  const stops = zones.flatMap(({ lap, zone, i, start, stop }, k): WheelStop[] => {
    const energy = work(start, stop);
    inZones += energy;
    if (!(energy > 0)) return [];
    const next = zones[k + 1]?.start ?? finish;
    const heat = lap.wheels[wheel][i];
    return [
      {
        phase: lap.kind === 'out' ? 'warm-up' : 'programme',
        lap: lap.number,
        zone: i,
        name: zone.name,
        from: turns(zone.entrySpeed),
        to: turns(zone.exitSpeed),
        duration: zone.duration,
        energy,
        startsAt: heat.bulkBefore,
        friction: heat.frictionMean,
        pause: Math.max(LEAST_PAUSE, next - stop),
        rolling: rollingSpeed(driven, stop, next),
      },
    ];
  });
  const all = work(0, finish);
  return { stops, leftOut: all > 0 ? Math.max(0, 1 - inZones / all) : 0 };
}

const timesOf = ({ startTime, trace }: LapResult, zone: BrakingZone) => ({
  start: startTime + trace.time[zone.startIndex],
  stop: startTime + trace.time[zone.endIndex],
});

/** Work of a wheel's brake between two times of a record, J: the steps end at both. */
function worker({ time, wheels }: DayRecord, wheel: WheelName): (from: number, to: number) => number {
  const { early, late } = wheels[wheel];
  const sums = new Float64Array(time.length);
  for (let k = 1; k < time.length; k++) {
    sums[k] = sums[k - 1] + (time[k] - time[k - 1]) * ((1 - GAMMA) * early[k] + GAMMA * late[k]);
  }
  const at = (t: number) => {
    let [low, high] = [0, time.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (time[middle] <= t + 1e-6) low = middle;
      else high = middle - 1;
    }
    return sums[low];
  };
  return (from, to) => at(to) - at(from);
}

/** Exponent of speed that faces and vanes are cooled by: `Nu ~ Re^0.8`. */
const COOLS = 0.8;

/** The even speed that cools as much as the car's own between two times, m/s. */
function rollingSpeed(laps: readonly LapResult[], from: number, to: number): number {
  let [sum, time] = [0, 0];
  for (const { startTime, lapTime, trace } of laps) {
    if (startTime > to || startTime + lapTime < from) continue;
    for (let i = 0; i < trace.time.length - 1; i++) {
      const [a, b] = [Math.max(from, startTime + trace.time[i]), Math.min(to, startTime + trace.time[i + 1])];
      if (b <= a) continue;
      sum += (b - a) * power(meanSpeed(trace, i), COOLS);
      time += b - a;
    }
  }
  return time > 0 ? power(sum / time, 1 / COOLS) : 0;
}
const meanSpeed = ({ speed }: LapTrace, i: number) => 0.5 * (speed[i] + speed[i + 1]);
