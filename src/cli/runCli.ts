import { readFileSync, readSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { demoProject } from '../../demo/project';
import { type DayInput, type DayResult, judgedDay, networkRun, WHEELS } from '../core';
import { benchJsonSchema, readingsJsonSchema } from '../io';
import {
  dayInput,
  LARGEST_FILE,
  type Problem,
  type Project,
  partsJsonSchema,
  projectJsonSchema,
  projectProblems,
  readProject,
  setupOf,
  writeProject,
} from '../model';
import { networkDocument, resultDocument, tracesCsv, zonesCsv } from '../report';
import { say } from '../text/en/say/cli';
import { benchCommand } from './bench';
import { testCommand } from './brakeTest';
import { calibrateCommand } from './calibrate';
import { CliError } from './error';
import { prepareCommand } from './prepare';
import { reportText } from './report';
import { seasonCommand } from './season';
import { writeOut } from './writeOut';

const USAGE = say.kettleBrakeTemperaturesWithout;

/**
 * Runs one command.
 * @param args as typed after "kettle"
 * @param print takes what goes to standard output
 * @returns the exit code; of what takes longer a promise of it
 * @throws CliError for a wrong use or an unreadable file
 */
export function runCli(args: readonly string[], print: (text: string) => void): number | Promise<number> {
  const [command, ...rest] = args;
  switch (command) {
    case 'demo':
      noMore(rest, 0);
      print(writeProject(demoProject));
      return 0;
    case 'schema':
      noMore(rest, 1);
      print(`${JSON.stringify(schemaOf(rest[0]), null, 2)}\n`);
      return 0;
    case 'check':
      noMore(rest, 1);
      return check(rest, print);
    case 'run':
      return run(rest, print);
    case 'network':
      return network(rest, print);
    case 'calibrate':
      return calibrate(rest, print);
    case 'prepare':
      return prepare(rest, print);
    case 'test':
      return test(rest, print);
    case 'season': {
      const { values, project } = chosen('season', rest);
      const { season, today, json, csv, ics } = values;
      return seasonCommand(project, { season, today, json, csv, ics }, print);
    }
    case 'bench-programme': {
      const { values, setup, project } = chosen('bench-programme', rest);
      return benchCommand(project, setup, { wheel: values.wheel, csv: values.csv, json: values.json }, print);
    }
    case undefined:
    case 'help':
    case '--help':
      print(USAGE);
      return 0;
    default:
      throw new CliError(`there is no command "${command}"\n\n${USAGE}`);
  }
}

/** Standard input as text, no more of it than a project may have. */
function readStandardInput(): string {
  const pieces: Buffer[] = [];
  const piece = Buffer.alloc(1 << 16);
  for (let size = 0; ; ) {
    const read = readSync(0, piece);
    if (read === 0) return Buffer.concat(pieces).toString('utf8');
    size += read;
    if (size > LARGEST_FILE) throw new CliError(say.inputTooLarge((LARGEST_FILE / 1e6).toFixed(0)));
    pieces.push(Buffer.from(piece.subarray(0, read)));
  }
}

function readText(file: string | undefined): string {
  if (!file) throw new CliError(`a FILE is needed\n\n${USAGE}`);
  try {
    if (file === '-') return readStandardInput();
    const { size } = statSync(file);
    if (size > LARGEST_FILE) {
      throw new CliError(say.hasMbProjectHas(file, (size / 1e6).toFixed(0), (LARGEST_FILE / 1e6).toFixed(0)));
    }
    return readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof CliError) throw error;
    throw new CliError(`${file} cannot be read: ${(error as Error).message}`);
  }
}

const problemLine = (p: Problem) => `${p.severity}: ${p.path ? `${p.path}: ` : ''}${p.message}\n`;

function check(args: readonly string[], print: (text: string) => void): number {
  const read = readProject(readText(args[0]));
  const problems = read.ok ? projectProblems(read.project) : read.problems;
  for (const problem of problems) print(problemLine(problem));
  if (problems.some((p) => p.severity === 'error')) return 2;
  print(say.projectCanComputed);
  return 0;
}

function load(file: string | undefined): Project {
  const read = readProject(readText(file));
  if (read.ok) return read.project;
  throw new CliError(say.notComputable(file ?? '', read.problems.map(problemLine).join('')));
}

/** What each command takes besides its file. */
const OPTIONS = {
  run: ['json', 'csv', 'plan'],
  network: ['plan', 'wheel'],
  calibrate: ['plan', 'readings', 'out'],
  prepare: ['plan', 'setup', 'bed', 'bleed', 'json'],
  test: ['plan', 'test', 'record', 'json'],
  season: ['season', 'today', 'json', 'csv', 'ics'],
  'bench-programme': ['plan', 'wheel', 'json', 'csv'],
} as const;

/** Options and the plan they name, ready to be computed. */
function chosen(command: keyof typeof OPTIONS, args: readonly string[]) {
  let parsed: ReturnType<typeof parseRun>;
  try {
    parsed = parseRun(args);
  } catch (error) {
    throw new CliError((error as Error).message);
  }
  const { positionals, values } = parsed;
  noMore(positionals, 1);
  const own: readonly string[] = OPTIONS[command];
  const foreign = Object.keys(values).find((name) => !own.includes(name));
  if (foreign !== undefined)
    throw new CliError(say.noOption(foreign, command, own.map((name) => `--${name}`).join(', ')));
  const project = load(positionals[0]);
  let setup: ReturnType<typeof setupOf>;
  try {
    setup = setupOf(project, values.plan ?? project.selectedPlanId);
  } catch {
    const known = project.plans.map((p) => `  ${p.id}: ${p.name}`).join('\n');
    throw new CliError(say.noPlan(values.plan ?? '', known));
  }
  const circuitIndex = project.circuits.indexOf(setup.circuit);
  const grave = projectProblems(project).filter(
    (p) => p.severity === 'error' && p.path.startsWith(`circuits[${circuitIndex}].`),
  );
  if (grave.length > 0)
    throw new CliError(`the plan cannot be computed:\n${grave.map(problemLine).join('')}`);
  return { values, setup, project };
}

function network(args: readonly string[], print: (text: string) => void): number {
  const { values, setup } = chosen('network', args);
  const wheel = WHEELS.find((w) => w === (values.wheel ?? 'frontLeft'));
  if (!wheel) throw new CliError(say.noWheel(values.wheel ?? '', WHEELS.join(', ')));
  const input = dayInput(setup);
  print(`${JSON.stringify(networkDocument(setup, networkRun(input, computed(input), wheel), wheel))}\n`);
  return 0;
}

const SCHEMAS: Readonly<Record<string, () => object>> = {
  project: projectJsonSchema,
  parts: partsJsonSchema,
  readings: readingsJsonSchema,
  'bench-programme': benchJsonSchema,
};

function schemaOf(kind = 'project'): object {
  const schema = SCHEMAS[kind];
  if (!schema) throw new CliError(say.noSchema(kind, Object.keys(SCHEMAS).join(', ')));
  return schema();
}

/** What is typed beyond what a command takes is not silently left out. @throws CliError naming it */
function noMore(args: readonly string[], most: number): void {
  const [extra] = args.slice(most);
  if (extra !== undefined) throw new CliError(`${say.oneTooMany(extra)}\n\n${USAGE}`);
}

function calibrate(args: readonly string[], print: (text: string) => void): Promise<number> {
  const { values, setup, project } = chosen('calibrate', args);
  const readings = values.readings === undefined ? null : readText(values.readings);
  return calibrateCommand(project, setup, readings, values.out, print);
}

function prepare(args: readonly string[], print: (text: string) => void): number {
  const { values, setup, project } = chosen('prepare', args);
  const { bed = false, bleed = false, setup: variant, json } = values;
  return prepareCommand(project, setup, { bed, bleed, setup: variant, json }, print);
}

function test(args: readonly string[], print: (text: string) => void): number {
  const { values, setup, project } = chosen('test', args);
  const record = values.record === undefined ? null : readText(values.record);
  return testCommand(project, setup, { record, test: values.test, json: values.json }, print);
}

function run(args: readonly string[], print: (text: string) => void): number {
  const { values, setup } = chosen('run', args);
  const result = computed(dayInput(setup));
  const write = (file: string, text: string) => writeOut(file, text, print);
  const toStdout = values.json === '-' || values.csv === '-';
  if (!toStdout) print(reportText(setup, result));
  if (values.json !== undefined) write(values.json, `${JSON.stringify(resultDocument(setup, result))}\n`);
  if (values.csv !== undefined) {
    write(values.csv, `${zonesCsv(setup, result)}\n`);
    if (values.csv === '-') print(`\n${tracesCsv(setup, result)}\n`);
    else write(values.csv.replace(/(\.csv)?$/i, '-trace.csv'), `${tracesCsv(setup, result)}\n`);
  }
  return 0;
}

/** The day, or in words why it cannot be driven. */
function computed(input: DayInput): DayResult {
  try {
    return judgedDay(input);
  } catch (error) {
    if (error instanceof RangeError) throw new CliError(`the plan cannot be computed: ${error.message}`);
    throw error;
  }
}

function parseRun(args: readonly string[]) {
  return parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      json: { type: 'string' },
      csv: { type: 'string' },
      plan: { type: 'string' },
      wheel: { type: 'string' },
      readings: { type: 'string' },
      out: { type: 'string' },
      setup: { type: 'string' },
      record: { type: 'string' },
      test: { type: 'string' },
      season: { type: 'string' },
      today: { type: 'string' },
      ics: { type: 'string' },
      bed: { type: 'boolean' },
      bleed: { type: 'boolean' },
    },
  });
}
