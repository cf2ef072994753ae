import {
  correlated,
  type DayInput,
  drawn,
  latinHypercube,
  lookAtDay,
  type RunStatistics,
  runLayout,
  runStatistics,
  type UncertainRange,
  writeRun,
} from '../../core';
import { dayInput, type Setup, uncertainRanges } from '../../model';
import { say } from '../../text/en/say/services';

/** Runs of one piece of work; small enough that little is lost with a worker, and progress is seen. */
export const RUNS_A_PIECE = 10;

/** How many pieces the runs of a setup come in. */
export const pieceCount = ({ plan }: Setup): number => Math.ceil(plan.uncertain.runs / RUNS_A_PIECE);

/**
 * One piece of a setup's uncertain runs, from the seed alone, whoever computes it.
 * @param piece from 0
 * @returns runs of the piece × layout.width, as `writeRun` writes them
 * @throws RangeError when no input is uncertain
 */
export function uncertainPiece(setup: Setup, piece: number): Float32Array {
  const { ranges, design, day, layout } = prepared(setup);
  const { width } = layout;
  const { runs } = setup.plan.uncertain;
  const from = piece * RUNS_A_PIECE;
  const to = Math.min(runs, from + RUNS_A_PIECE);
  const values = new Float32Array((to - from) * width);
  for (let run = from; run < to; run++) {
    const moved = drawn(day, ranges, design.subarray(run * ranges.length, (run + 1) * ranges.length));
    lookAtDay(moved, (seen) => writeRun(moved, seen, layout, values, (run - from) * width));
  }
  return values;
}

/**
 * Bands, chances and what matters, from all pieces in order.
 * @param pieces each as `uncertainPiece` gives it
 * @throws RangeError when no input is uncertain
 */
export function uncertainStatistics(setup: Setup, pieces: readonly Float32Array[]): RunStatistics {
  const { ranges, design, layout } = prepared(setup);
  const { width } = layout;
  const values = new Float32Array(setup.plan.uncertain.runs * width);
  let at = 0;
  for (const piece of pieces) {
    values.set(piece, at);
    at += piece.length;
  }
  if (at !== values.length) {
    throw new RangeError(`uncertainStatistics: ${at / width} of ${values.length / width} runs are there`);
  }
  return runStatistics(values, layout, design, ranges.length);
}

/** What all runs of a setup have in common. */
interface Prepared {
  readonly day: DayInput;
  readonly ranges: readonly UncertainRange[];
  /** runs × ranges, 0 to 1 */
  readonly design: Float64Array;
  readonly layout: ReturnType<typeof runLayout>;
}

/** Of the setup asked for last: a worker is given each piece with a copy of its own. */
let latest: { readonly asked: string; readonly prepared: Prepared } | null = null;

function prepared(setup: Setup): Prepared {
  const asked = JSON.stringify(setup);
  if (latest?.asked !== asked) latest = { asked, prepared: prepare(setup) };
  return latest.prepared;
}

function prepare(setup: Setup): Prepared {
  const day = dayInput(setup);
  const { calibration } = setup;
  const ranges = uncertainRanges(setup.plan.uncertain, calibration);
  if (ranges.length === 0) throw new RangeError(say.nothingUncertainChooseLeast);
  const { runs, seed } = setup.plan.uncertain;
  const even = latinHypercube(runs, ranges.length, seed);
  // What was measured together is uncertain together.
  const measured = (calibration?.values ?? []).flatMap(({ parameter }, i) => {
    const column = ranges.findIndex(({ input }) => input === parameter);
    return column < 0 ? [] : [{ column, i }];
  });
  const design = correlated(
    even,
    ranges.length,
    measured.map(({ column }) => column),
    measured.map(({ i }) => measured.map(({ i: k }) => calibration?.correlations[i][k] ?? 0)),
  );
  return { day, ranges, design, layout: runLayout(day) };
}
