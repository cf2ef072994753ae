import { readRecord } from '../io';
import {
  KIND_DESIGNS,
  METRIC,
  newRun,
  newTest,
  type Project,
  runsOf,
  type Setup,
  type StoredTest,
  siText,
  TEST_KINDS,
  USUAL_CONDITIONS,
} from '../model';
import { testDocument } from '../report';
import {
  compareRuns,
  doubtsOfRun,
  predictTest,
  type RunReport,
  reportsOf,
  setupsOf,
  TEST_VALUES,
  type TestAnswer,
} from '../services';
import {
  comparisonText,
  HELD_BY_TEXT,
  requirementText,
  runSummary,
  STOP_LIMIT_TEXT,
  stopDoubtText,
  TEST_KIND_TEXT,
  testSummary,
} from '../text/en';
import { say } from '../text/en/say/cli';
import { CliError } from './error';
import { writeOut } from './writeOut';

export interface TestOptions {
  /** Text of a record of stops; null where none is read */
  readonly record: string | null;
  /** Id of a test of the project, or a kind of test */
  readonly test: string | undefined;
  readonly json: string | undefined;
}

/** Which test is meant: one of the project's, one of a kind, or the car's newest. @throws CliError for one that is not there */
function testOf(project: Project, { car, plan }: Setup, wanted: string | undefined): StoredTest {
  const fresh = newTest(car, { id: 'test', name: plan.name.slice(0, 80), date: plan.date ?? '2000-01-01' });
  const kind = TEST_KINDS.find((own) => own === wanted);
  if (kind) return { ...fresh, design: { ...fresh.design, ...KIND_DESIGNS[kind], kind } };
  const own = project.tests.filter(({ carId }) => carId === car.id);
  if (wanted === undefined) return own.at(-1) ?? fresh;
  const found = own.find(({ id }) => id === wanted);
  if (found) return found;
  const known = own.map(({ id, name }) => `  ${id}: ${name}\n`).join('');
  throw new CliError(say.noTest(wanted, TEST_KINDS.join(', '), known));
}

/** The test with a record's runs in place of its own. @throws CliError for a record that cannot be read */
function recorded(test: StoredTest, { car, parts }: Setup, text: string): StoredTest {
  const read = readRecord(text);
  if (!read.ok) {
    throw new CliError(
      say.recordNot(read.problems.map(({ path, message }) => `  ${path}: ${message}\n`).join('')),
    );
  }
  let next: StoredTest = { ...test, runs: {} };
  read.runs.forEach(({ name, setup, stops, slopePercent }, i) => {
    const run = newRun(next, car, parts, { setup, date: test.date });
    const conditions = { ...USUAL_CONDITIONS, slopePercent: slopePercent ?? 0 };
    const kept = Object.fromEntries(stops.map((stop, k) => [`stop-${k + 1}`, stop]));
    next = {
      ...next,
      runs: { ...next.runs, [`run-${i + 1}`]: { ...run, name: name.slice(0, 80), conditions, stops: kept } },
    };
  });
  return next;
}

const column = (text: string, width: number) => text.padStart(width);

function predictedText(answer: TestAnswer): string {
  const rows = answer.stops.map(
    (stop, i) =>
      `  ${column(String(i + 1), 3)} ${stop.phase.padEnd(8)}${column(siText(stop.distance, 'distance', METRIC, 1), 9)}${column(siText(stop.meanDeceleration, 'deceleration', METRIC, 2), 12)}${column(siText(stop.pedal, 'force', METRIC), 8)}${column(siText(stop.padPeak.front, 'temperature', METRIC), 9)}  ${HELD_BY_TEXT[stop.heldBy]}\n`,
  );
  return [
    ...answer.requirements.map(
      (own) => `  ${own.met ? 'met    ' : 'not met'} ${requirementText(own, METRIC)}\n`,
    ),
    say.testHead,
    ...rows,
  ].join('');
}

const runText = (report: RunReport, test: StoredTest): string =>
  [
    `\n${report.run.name} (${report.run.setup}): ${runSummary(report, METRIC)}\n`,
    ...report.rows.map(({ stop, corrected, limit, odd }) => {
      const metres = (value: number | undefined) =>
        column(value === undefined ? '' : siText(value, 'distance', METRIC, 1), 9);
      return `  ${column(String(stop.n), 3)}${metres(corrected?.measured)}${metres(corrected?.distance)}  ${STOP_LIMIT_TEXT[limit]}${odd ? say.markedStop : ''}\n`;
    }),
    ...doubtsOfRun(report.run, test.design).map(
      (doubt) => `  ? ${stopDoubtText(doubt, report.run.stops[doubt.id], METRIC)}\n`,
    ),
  ].join('');

/** Setups against the first one, by every value that both have. */
function comparisonsText(test: StoredTest, reports: readonly RunReport[]): string {
  const [first, ...others] = setupsOf(test);
  return others
    .flatMap((other) =>
      TEST_VALUES.flatMap((value) => {
        const compared = compareRuns(reports, first, other, value);
        return compared ? [`\n${comparisonText(compared, first, other, METRIC).join('\n')}\n`] : [];
      }),
    )
    .join('');
}

/**
 * Prints what a test of a plan's car should come to, and, with a record, what it came to.
 * @returns 2 where a stop of the record must be looked at before it is believed
 * @throws CliError for a test that is not there, a record that cannot be read, a test that cannot be driven
 */
export function testCommand(
  project: Project,
  setup: Setup,
  options: TestOptions,
  print: (text: string) => void,
): number {
  const asked = testOf(project, setup, options.test);
  const test = options.record === null ? asked : recorded(asked, setup, options.record);
  const conditions = runsOf(test)[0]?.run.conditions ?? USUAL_CONDITIONS;
  let answer: TestAnswer;
  try {
    answer = predictTest({ setup, design: test.design, conditions });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new CliError(say.testNot(error.message));
  }
  const reports = reportsOf(test);
  const doubts = reports.flatMap(({ run }) => doubtsOfRun(run, test.design));
  if (options.json !== '-') {
    print(`${TEST_KIND_TEXT[test.design.kind].name}, ${setup.car.name}\n`);
    print(`${testSummary(answer, test.design, METRIC)}\n`);
    print(predictedText(answer));
    for (const report of reports) print(runText(report, test));
    print(comparisonsText(test, reports));
    print(say.testSafety);
  }
  if (options.json !== undefined) {
    writeOut(options.json, `${JSON.stringify(testDocument(test, answer, reports))}\n`, print);
  }
  return doubts.length > 0 ? 2 : 0;
}
