import type { AxleName, Channel, DayResult, Log, RecordedPart, WheelName } from '../../core';
import { MEASURED } from './measured';

/** What a sensor read through a braking zone, beside what was predicted for it; K. */
export interface ZoneSensor {
  readonly channel: Channel;
  readonly wheel: WheelName;
  readonly part: RecordedPart;
  /** At the zone's begin and the highest within it and shortly after */
  readonly before: number;
  readonly peak: number;
  readonly predictedBefore: number;
  readonly predictedPeak: number;
}
/** The highest line pressure of an axle within a braking zone, Pa. */
export interface ZonePressure {
  readonly axle: AxleName;
  readonly logged: number;
  readonly predicted: number;
}
/** A braking zone of a logged lap with what was measured in it. */
export interface MeasuredZone {
  /** Lap of the day, from 0, and zone of it, from 0 */
  readonly lap: number;
  readonly zone: number;
  readonly name: string;
  readonly sensors: readonly ZoneSensor[];
  readonly pressures: readonly ZonePressure[];
}

/** A rubbing sensor reads its highest a little after the brakes are released, s. */
const AFTER = 3;

const PRESSURES = [
  ['front', 'frontPressure'],
  ['rear', 'rearPressure'],
] as const;

/** What a log measured in each braking zone of its laps. */
export function measuredZones(log: Log, { laps, record }: DayResult): MeasuredZone[] {
  const { time, channels } = log;
  return laps.flatMap(({ trace, startTime }, lap) =>
    trace.zones.map((zone, k): MeasuredZone => {
      const begin = startTime + trace.time[zone.startIndex] - trace.time[0];
      const end = startTime + trace.time[zone.endIndex] - trace.time[0];
      const most = (at: ArrayLike<number>, values: ArrayLike<number>, to: number) => {
        let high = Number.NaN;
        for (let i = firstFrom(at, begin); i < at.length && at[i] <= to; i++) {
          if (Number.isFinite(values[i]) && !(values[i] <= high)) high = values[i];
        }
        return high;
      };
      const first = (at: ArrayLike<number>, values: ArrayLike<number>) => {
        for (let i = firstFrom(at, begin); i < at.length && at[i] <= end; i++) {
          if (Number.isFinite(values[i])) return values[i];
        }
        return Number.NaN;
      };
      return {
        lap,
        zone: k,
        name: zone.name,
        sensors: MEASURED.flatMap(([channel, wheel, part]): ZoneSensor[] => {
          const values = channels[channel];
          if (!values) return [];
          const series = record.wheels[wheel][part];
          const own = {
            channel,
            wheel,
            part,
            before: first(time, values),
            peak: most(time, values, end + AFTER),
            predictedBefore: first(record.time, series),
            predictedPeak: most(record.time, series, end + AFTER),
          };
          return Number.isFinite(own.peak) ? [own] : [];
        }),
        pressures: PRESSURES.flatMap(([axle, channel]): ZonePressure[] => {
          const values = channels[channel];
          if (!values) return [];
          const logged = most(time, values, end);
          return Number.isFinite(logged)
            ? [{ axle, logged, predicted: most(record.time, record.force[channel], end) }]
            : [];
        }),
      };
    }),
  );
}

/** Index of the first time that is not before. */
function firstFrom(time: ArrayLike<number>, at: number): number {
  let [low, high] = [0, time.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (time[middle] < at) low = middle + 1;
    else high = middle;
  }
  return low;
}
