import { bothBases } from './correct';
import { type RunReport, type TestValue, valuesOf } from './evaluate';
import {
  leastPermutation,
  neededFor,
  permutation,
  type Sample,
  sampleOf,
  shownBy,
  type Welch,
  welch,
} from './statistics';

/** Two setups of a test against each other, by one value; SI. */
export interface SetupComparison {
  readonly value: TestValue;
  readonly first: Sample;
  readonly second: Sample;
  /** What a value is: the mean of a run, or one stop, where there are too few runs */
  readonly by: 'runs' | 'stops';
  /** Runs of each */
  readonly runs: readonly [number, number];
  readonly ofBefore: number;
  readonly ofAfter: number;
  /** null of fewer than two values each, or of none that scatter */
  readonly welch: Welch | null;
  /** Permutation test, where values are few; null where they are not, or there are none to deal out */
  readonly permuted: number | null;
  /** Least p that a permutation of so few values can have; null where it is not asked */
  readonly least: number | null;
  /** What is believed: the permutation's p where values are few, else Welch's; null where neither can be told */
  readonly p: number | null;
  /** Least difference that so many values show with 80 %; null of fewer than two */
  readonly shows: number | null;
  /** Values of each that would show the difference that was found; null for more than 500 */
  readonly needs: number | null;
  /** Surface, tyres or air differ between the groups, or the slope is not known to be alike */
  readonly unlike: readonly ('surface' | 'tyres' | 'slope' | 'wind' | 'air' | 'mass')[];
}

/** Values in each group up to which the permutation test is believed (own choice). */
const FEW = 6;
/** Runs of each from which on runs are compared, not their stops. */
const ENOUGH_RUNS = 2;

/**
 * Compares the runs of two setups by a value.
 * @returns null where one of them has none
 */
export function compareRuns(
  reports: readonly RunReport[],
  before: string,
  after: string,
  value: TestValue,
): SetupComparison | null {
  const groups = [before, after].map((setup) =>
    reports.filter(({ run }) => run.setup === setup).map((report) => valuesOf(report, value)),
  );
  const runs = groups.map((group) => group.filter((values) => values.length > 0));
  const by = runs.every((group) => group.length >= ENOUGH_RUNS) || value === 'lasted' ? 'runs' : 'stops';
  const [first, second] = runs.map((group) =>
    by === 'runs' ? group.map((values) => sampleOf(values).mean) : group.flat(),
  );
  if (first.length === 0 || second.length === 0) return null;
  const [a, b] = [sampleOf(first), sampleOf(second)];
  const test = welch(first, second);
  const few = Math.min(first.length, second.length) <= FEW;
  const permuted = few && first.length > 1 && second.length > 1 ? permutation(first, second) : null;
  const deviation = pooled(a, b);
  const fewest = Math.min(a.count, b.count);
  return {
    value,
    first: a,
    second: b,
    by,
    runs: [runs[0].length, runs[1].length],
    ...bothBases(a.mean, b.mean),
    welch: test,
    permuted,
    least: permuted === null ? null : leastPermutation(first.length, second.length),
    p: permuted ?? test?.p ?? null,
    shows: deviation === null ? null : shownBy(fewest, deviation),
    needs: deviation === null ? null : neededFor(b.mean - a.mean, deviation),
    unlike: unlike(reports, before, after),
  };
}

/** Scatter of a value in both groups together; null where neither has any. */
function pooled(a: Sample, b: Sample): number | null {
  const known = [a, b].flatMap(({ deviation, count }) => (deviation === null ? [] : [{ deviation, count }]));
  if (known.length === 0) return null;
  const freedom = known.reduce((sum, { count }) => sum + count - 1, 0);
  const squares = known.reduce((sum, { deviation, count }) => sum + (count - 1) * deviation ** 2, 0);
  const all = Math.sqrt(squares / freedom);
  return all > 0 ? all : null;
}

/** Differences of air, K, of wind, km/h, of slope, %, and of mass, kg, that are told. */
const TOLD = { air: 5, wind: 10, slope: 0.5, mass: 20 } as const;

function unlike(reports: readonly RunReport[], before: string, after: string): SetupComparison['unlike'] {
  const of = (setup: string) =>
    reports.filter(({ run }) => run.setup === setup).map(({ run }) => run.conditions);
  const [a, b] = [of(before), of(after)];
  const apart = <T>(pick: (own: (typeof a)[number]) => T, differs: (x: T, y: T) => boolean) =>
    a.some((x) => b.some((y) => differs(pick(x), pick(y))));
  const other = (x: string, y: string) => x !== y;
  const far = (limit: number) => (x: number | null, y: number | null) =>
    x !== null && y !== null && Math.abs(x - y) > limit;
  const found: SetupComparison['unlike'][number][] = [];
  if (apart((own) => own.surface, other)) found.push('surface');
  if (apart((own) => own.tyres, other)) found.push('tyres');
  if (apart((own) => own.slopePercent, far(TOLD.slope))) found.push('slope');
  if (apart((own) => own.windKmh, far(TOLD.wind))) found.push('wind');
  if (apart((own) => own.airC, far(TOLD.air))) found.push('air');
  if (apart((own) => own.massKg, far(TOLD.mass))) found.push('mass');
  return found;
}
