import { type ExposedPart, exposedTemperature, type Protection, simulateDay } from '../../core';
import { dayInput, type Exposed, exposedPart, type Setup } from '../../model';

export type ProtectionKind = Protection['kind'];
/** As it is, and with each that could be done; a wrap only round an exhaust. */
const kindsOf = ({ source }: ExposedPart): readonly ProtectionKind[] =>
  source === 'exhaust'
    ? ['none', 'shield', 'sleeve', 'wrap', 'moved']
    : ['none', 'shield', 'sleeve', 'moved'];

/** What is done about a part: as it stands where nothing is. */
function protectionOf(kind: ProtectionKind, stored: Exposed): Protection {
  if (kind === 'moved') return { kind, distance: stored.movedMm / 1000 };
  return { kind: kind === 'none' ? stored.protection : kind };
}

/** A part near something hot over a day, as it is and with each protection. */
export interface ExposedReport {
  readonly id: string;
  /** K */
  readonly rating: number;
  readonly ways: readonly {
    readonly kind: ProtectionKind;
    /** Highest, K; when, minutes since the day's start; whether the car stood then */
    readonly peak: number;
    readonly minutes: number;
    readonly standing: boolean;
    /** Share of the day over the rating */
    readonly over: number;
    /** K, at the report's minutes */
    readonly curve: Float32Array;
  }[];
  /** Highest on the other side of the car, as it is, K */
  readonly otherSide: number;
}

export interface ExposedReports {
  /** Minutes since the day's start of the curves' points */
  readonly minutes: Float32Array;
  readonly parts: readonly ExposedReport[];
}

const POINTS = 600;

/** All heat-exposed parts of a setup's car over its day. Curves show the hottest within each piece of the day. */
export function exposedReports(setup: Setup): ExposedReports {
  const input = dayInput(setup);
  const result = simulateDay(input);
  const { time, lap } = result.record;
  const n = time.length;
  const end = time[n - 1];
  const thinned = (values: Float64Array) => {
    const curve = new Float32Array(POINTS);
    for (let i = 0; i < n; i++) {
      const piece = Math.min(POINTS - 1, Math.floor((time[i] / end) * POINTS));
      curve[piece] = Math.max(curve[piece], values[i]);
    }
    for (let p = 1; p < POINTS; p++) if (curve[p] === 0) curve[p] = curve[p - 1];
    return curve;
  };
  const report = (stored: Exposed): ExposedReport => {
    const part = exposedPart(setup.car, stored);
    const ways = kindsOf(part).map((kind) => {
      const { temperature, peak, at } = exposedTemperature(input, result, part, protectionOf(kind, stored));
      let over = 0;
      for (let i = 1; i < n; i++) if (temperature[i] > part.rating) over += time[i] - time[i - 1];
      return {
        kind,
        peak,
        minutes: time[at] / 60,
        standing: lap[at] < 0 && at > 0,
        over: over / end,
        curve: thinned(temperature),
      };
    });
    const other = exposedPart(setup.car, stored, stored.side === 'driver' ? 'passenger' : 'driver');
    return {
      id: stored.id,
      rating: part.rating,
      ways,
      otherSide: exposedTemperature(input, result, other, protectionOf('none', stored)).peak,
    };
  };
  return {
    minutes: Float32Array.from({ length: POINTS }, (_, p) => ((p + 0.5) * end) / POINTS / 60),
    parts: setup.car.exposed.map(report),
  };
}
