import { AXLES, type AxleName } from '../brake';
import { CURVE_PARTS, type CurvePart, type RunLayout, WATCHED_LIMITS, type WatchedLimit } from './runRecord';
import { firstOrderShares, quantile, sorted } from './spread';

/** Shares of the runs that lie under each line of a band. */
export const BAND_SHARES = [0.05, 0.25, 0.5, 0.75, 0.95] as const;

/** One curve with its spread; by point of the layout, K. */
export interface CurveBand {
  readonly axle: AxleName;
  readonly part: CurvePart;
  /** One list a share of BAND_SHARES */
  readonly lines: readonly Float32Array[];
}

/** What the runs say of one limit. */
export interface LimitRisk extends WatchedLimit {
  /** Share of the runs in which it is passed by the end of each lap, and, last, by the end of the day */
  readonly passedBy: readonly number[];
  /** Margin over the whole day by BAND_SHARES: K, N for the pedal, mm for its travel */
  readonly margin: readonly number[];
  /** Part of the margin's variance each input explains by itself, in the order of the ranges */
  readonly matters: readonly number[];
}

export interface RunStatistics {
  readonly runs: number;
  readonly bands: readonly CurveBand[];
  readonly risks: readonly LimitRisk[];
  /** Share of the runs in which anything is passed by the end of each lap, and, last, of the day */
  readonly anyBy: readonly number[];
}

/**
 * Bands (quantiles of the runs), chances (shares of them), and what matters (the part of the variance each input explains
 * by itself), from runs written by `writeRun`.
 * @param values runs × layout.width
 * @param design runs × inputs, 0 to 1
 */
export function runStatistics(
  values: Float32Array,
  layout: RunLayout,
  design: Float64Array,
  inputs: number,
): RunStatistics {
  const { width, laps, points } = layout;
  const runs = values.length / width;
  const columns = laps + 1;
  const column = new Float64Array(runs);
  const take = (at: number) => {
    for (let run = 0; run < runs; run++) column[run] = values[run * width + at];
    return column;
  };
  const any = Array.from({ length: columns }, () => new Uint8Array(runs));
  const risks = WATCHED_LIMITS.map((limit, k): LimitRisk => {
    const passedBy = Array.from({ length: columns }, (_, lap) => {
      let passed = 0;
      take(k * columns + lap).forEach((margin, run) => {
        if (margin >= 0) return;
        passed += 1;
        any[lap][run] = 1;
      });
      return passed / runs;
    });
    const last = take(k * columns + laps);
    const rising = sorted(last);
    return {
      ...limit,
      passedBy,
      margin: BAND_SHARES.map((share) => quantile(rising, share)),
      matters: firstOrderShares(design, inputs, last),
    };
  });
  let at = WATCHED_LIMITS.length * columns;
  const bands = AXLES.flatMap((axle) =>
    CURVE_PARTS.map((part): CurveBand => {
      const lines = BAND_SHARES.map(() => new Float32Array(points.length));
      for (let p = 0; p < points.length; p++) {
        const rising = sorted(take(at + p));
        BAND_SHARES.forEach((share, line) => {
          lines[line][p] = quantile(rising, share);
        });
      }
      at += points.length;
      return { axle, part, lines };
    }),
  );
  return {
    runs,
    bands,
    risks,
    anyBy: any.map((passed) => passed.reduce((sum, p) => sum + p, 0) / runs),
  };
}
