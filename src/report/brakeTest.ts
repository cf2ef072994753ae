import { fromSi, METRIC, type StoredTest } from '../model';
import {
  compareRuns,
  doubtsOfRun,
  type RunReport,
  setupsOf,
  TEST_VALUES,
  type TestAnswer,
} from '../services';
import { comparisonText, requirementText, runSummary, stopDoubtText, testSummary } from '../text/en';
import { nine } from './results';

export const TEST_FORMAT = 'fervent-kettle-test-report';
const celsius = (kelvin: number) => nine(fromSi(kelvin, 'temperature'));
const orNull = (value: number | null | undefined) =>
  value === null || value === undefined ? null : nine(value);

/** A test as data: what was predicted, what came out, and what setups say against each other. */
export function testDocument(test: StoredTest, answer: TestAnswer, reports: readonly RunReport[]): object {
  const [first, ...others] = setupsOf(test);
  return {
    format: TEST_FORMAT,
    version: 1,
    name: test.name,
    design: test.design,
    predicted: {
      summary: testSummary(answer, test.design, METRIC),
      requirements: answer.requirements.map((own) => ({ met: own.met, says: requirementText(own, METRIC) })),
      failure: answer.failure && { ...answer.failure, time: nine(answer.failure.time) },
      passed: answer.passed.map((own) => ({ ...own, time: nine(own.time) })),
      energyBalanceError: answer.audit?.residual ?? null,
      stops: answer.stops.map((stop) => ({
        phase: stop.phase,
        fromKmh: nine(fromSi(stop.from, 'speed')),
        toKmh: nine(fromSi(stop.to, 'speed')),
        distanceM: nine(stop.distance),
        timeS: nine(stop.time),
        meanDecelerationMs2: nine(stop.meanDeceleration),
        pedalN: nine(stop.pedal),
        heldBy: stop.heldBy,
        frontPadHighestC: celsius(stop.padPeak.front),
        rearPadHighestC: celsius(stop.padPeak.rear),
        frontFluidC: celsius(stop.fluid.front),
      })),
    },
    runs: reports.map((report) => ({
      name: report.run.name,
      setup: report.run.setup,
      summary: runSummary(report, METRIC),
      stops: report.rows.map(({ stop, corrected, deceleration, limit, odd }) => ({
        stop: stop.n,
        measuredM: orNull(corrected?.measured),
        correctedM: orNull(corrected?.distance),
        bySlopeM: orNull(corrected?.bySlope),
        bySpeedM: orNull(corrected?.bySpeed),
        meanDecelerationMs2: orNull(deceleration),
        pedalN: stop.pedalN,
        limit,
        marked: odd,
      })),
      doubts: doubtsOfRun(report.run, test.design).map((doubt) =>
        stopDoubtText(doubt, report.run.stops[doubt.id], METRIC),
      ),
    })),
    comparisons: others.flatMap((other) =>
      TEST_VALUES.flatMap((value) => {
        const own = compareRuns(reports, first, other, value);
        if (!own) return [];
        return [
          {
            before: first,
            after: other,
            value,
            by: own.by,
            ofBeforePercent: nine(100 * own.ofBefore),
            ofAfterPercent: nine(100 * own.ofAfter),
            interval: own.welch?.interval.map(nine),
            welchP: orNull(own.welch?.p),
            permutationP: orNull(own.permuted),
            shows: orNull(own.shows),
            needs: own.needs,
            says: comparisonText(own, first, other, METRIC),
          },
        ];
      }),
    ),
  };
}
