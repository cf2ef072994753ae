import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoProject } from '../../demo/project';
import { runCli } from '../../src/cli/runCli';
import { judgedDay, LogError } from '../../src/core';
import {
  guessMapping,
  openLog,
  prepareLog,
  readBackup,
  readBenchProgramme,
  readBenchResult,
  readBundle,
  readLog,
  readLogbook,
  readReadings,
  readRecord,
  readTrackFile,
  readZoneTable,
  writeBackup,
  writeBundle,
  writeLogbook,
} from '../../src/io';
import {
  blankProject,
  dayInput,
  METRIC,
  type Project,
  projectProblems,
  readDocument,
  setupOf,
  writeProject,
} from '../../src/model';
import { createApp } from '../../src/server/app';
import { circuitFrom, findLine } from '../../src/services';
import { type Chance, changedBytes, changedText, movedText } from './mutate';

/** What came of a case: taken, refused in words, or neither. */
export type Outcome = 'taken' | 'refused';

/** A way into the program. */
export interface Door {
  readonly name: string;
  /** Share of all cases, of one */
  readonly share: number;
  /** Gives it something; throws where neither taken nor refused in words. Numbers in what is taken must be finite */
  give(chance: Chance): Promise<Outcome> | Outcome;
  /** What is made to break it, by name */
  readonly made?: readonly (readonly [name: string, give: () => Promise<Outcome> | Outcome])[];
}

const utf8 = new TextEncoder();
const sample = (name: string) => readFileSync(`src/app/public/samples/${name}`, 'utf8');

interface Answer {
  readonly ok: boolean;
  readonly problems?: readonly { readonly message: string }[];
}
/** An answer that is no crash: whole, or a reason in words. */
function outcome(answer: Answer, of: unknown): Outcome {
  if (answer.ok) {
    if (of !== null) finite(of, '');
    return 'taken';
  }
  const message = answer.problems?.[0]?.message ?? '';
  if (message.length < 8) throw new Error(`refused without a reason: "${message}"`);
  return 'refused';
}

/** @throws Error naming the first number that is none; typed arrays hold NaN for what is missing */
function finite(value: unknown, path: string): void {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`${path} is ${value}`);
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return;
  for (const [key, inner] of Object.entries(value)) finite(inner, `${path}.${key}`);
}

/** Errors whose words are made to be read; anything else that is thrown is a crash. */
export const isWorded = (error: unknown): boolean =>
  error instanceof LogError ||
  (error instanceof Error && error.constructor.name === 'CliError') ||
  (error instanceof RangeError &&
    !/Invalid|Maximum call stack|allocation|precision|out of range/.test(error.message));

function worded(work: () => Outcome): Outcome {
  try {
    return work();
  } catch (error) {
    if (isWorded(error)) return 'refused';
    throw error;
  }
}

/** A project of one short plan, so that many can be read. */
const small: Project = {
  ...demoProject,
  cars: demoProject.cars.slice(0, 1),
  circuits: demoProject.circuits.slice(0, 1),
  plans: demoProject.plans.slice(0, 1).map((plan) => ({
    ...plan,
    sessions: plan.sessions.slice(0, 1).map((session) => ({
      ...session,
      legs: [
        { kind: 'hot' as const, laps: 1, pacePercent: 100 },
        { kind: 'paddock' as const, minutes: 2, fanKmh: 0 },
      ],
    })),
  })),
  states: [],
  drives: [],
  calibrations: [],
  preparations: [],
  tests: [],
  sets: [],
  seasons: [],
  entries: [],
};
const TEXT = writeProject(small);
const SETUP = setupOf(small);

/** Reads a project; one in so many of those taken is driven. */
function givenProject(text: string, drive: boolean): Outcome {
  const read = readDocument(text);
  const came = outcome(read, read.ok ? read : null);
  if (!read.ok || !('project' in read) || !drive) return came;
  const { project } = read;
  if (projectProblems(project).some(({ severity }) => severity === 'error')) return 'refused';
  return worded(() => {
    const { peaks, audit } = judgedDay(dayInput(setupOf(project)));
    finite(peaks, 'peaks');
    finite(audit, 'audit');
    return 'taken';
  });
}

/** A file of tracks, its first line found and made a circuit. */
function givenTrack(name: string, bytes: Uint8Array): Outcome {
  const file = readTrackFile(name, bytes);
  if (!file.ok) return outcome(file, null);
  return worded(() => {
    const line = findLine(file.tracks[0], null);
    if (!line.ok) return outcome(line, null);
    const circuit = circuitFrom(line, { start: 0, reverse: false, bound: null } as never, 'c', 'c');
    return outcome(circuit, circuit.ok ? circuit.circuit : null);
  });
}

const source = (bytes: Uint8Array) => ({
  name: 'log.csv',
  size: bytes.length,
  slice: (from: number, to: number) => ({
    arrayBuffer: async () => bytes.slice(from, to).buffer as ArrayBuffer,
  }),
});
/** A log, its columns guessed, mended and laid over a plan. */
async function givenLog(bytes: Uint8Array): Promise<Outcome> {
  const opened = await openLog(source(bytes));
  if (!opened.ok) return outcome(opened, null);
  const read = await readLog(source(bytes), guessMapping(opened.layout));
  if (!read.ok) return outcome(read, null);
  return worded(() => {
    const { ambient, pieces } = prepareLog(read.raw, SETUP);
    finite({ ambient, pieces: pieces.map(({ from, to }) => [from, to]) }, 'log');
    return 'taken';
  });
}

const GPX = sample('anvil-park.gpx');
// Every tenth point of the sample: as crooked, and read ten times as fast.
const THIN = GPX.split(/(?=<trkpt)/)
  .filter((_, i, all) => i === 0 || i === all.length - 1 || i % 10 === 0)
  .join('');
const LOG = sample('anvil-log.csv').split('\n').slice(0, 260).join('\n');
const PARTS = sample('parts.json');
/** A bench's programme as the command line writes it. */
const PROGRAMME = (() => {
  const folder = mkdtempSync(join(tmpdir(), 'kettle-fuzz-'));
  const [from, to] = [join(folder, 'demo.json'), join(folder, 'programme.json')];
  writeFileSync(from, TEXT);
  void runCli(['bench-programme', from, '--json', to], () => {});
  const text = readFileSync(to, 'utf8');
  rmSync(folder, { recursive: true });
  return text;
})();
const TABLE = writeLogbook(demoProject, demoProject.entries);
const BUNDLE = writeBundle(small, new Map());
const BACKUP = writeBackup({
  list: {
    made: '2026-11-28T20:15:00.000Z',
    projects: [{ slot: '', name: 'a', file: 'projects/1.json' }],
    photos: [],
    logs: [],
    mappings: [],
    aside: [],
    runs: null,
    preferences: {},
  },
  files: new Map([['projects/1.json', utf8.encode(writeProject(blankProject('a')))]]),
});
const app = createApp('dist/app');
const zeros = new Uint8Array(25_000_000);
const keys = `{${Array.from({ length: 1_000_000 }, (_, i) => `"k${i}":${i}`).join(',')}}`;
const deep = `${'['.repeat(200_000)}${']'.repeat(200_000)}`;
const polar = `<gpx version="1.1"><trk><trkseg>${Array.from({ length: 400 }, (_, i) => `<trkpt lat="89.9999" lon="${(-180 + 0.9 * i).toFixed(4)}"/>`).join('')}</trkseg></trk></gpx>`;
const logOf = (row: (i: number) => string, head = 'Time (s),Speed (km/h)') =>
  utf8.encode(`${head}\n${Array.from({ length: 400 }, (_, i) => row(i)).join('\n')}\n`);

export const DOORS: readonly Door[] = [
  {
    name: 'project',
    share: 0.2,
    give: (chance) =>
      chance.under(2) === 0
        ? givenProject(changedText(TEXT, chance), true)
        : givenProject(movedText(TEXT, chance), chance.under(20) === 0),
    made: [
      ['25 MB of zeros', () => givenProject('0'.repeat(25_000_000), false)],
      ['a million keys', () => givenProject(keys, false)],
      ['200 000 lists in each other', () => givenProject(deep, false)],
      [
        'a million cars',
        () => givenProject(TEXT.replace(/"cars": \[/, `"cars": [${'{},'.repeat(1_000_000)}`), false),
      ],
      ['air at 1e20 °C', () => givenProject(TEXT.replace(/"ambientC": [\d.]+/, '"ambientC": 1e20'), true)],
    ],
  },
  {
    name: 'parts',
    share: 0.2,
    give: (chance) => {
      const read = readDocument(changedText(PARTS, chance));
      return outcome(read, read.ok ? read : null);
    },
  },
  {
    name: 'circuit file',
    share: 0.1,
    give: (chance) => givenTrack('line.gpx', utf8.encode(changedText(THIN, chance))),
    made: [
      ['a lap round the pole', () => givenTrack('pole.gpx', utf8.encode(polar))],
      ['25 MB of zeros', () => givenTrack('zeros.gpx', zeros)],
      ['25 MB of one line', () => givenTrack('one.csv', utf8.encode('1,'.repeat(12_500_000)))],
      ['a million keys', () => givenTrack('keys.geojson', utf8.encode(keys))],
      ['points at 1e30', () => givenTrack('far.csv', utf8.encode(`x,y\n${'1e30,-1e30\n'.repeat(500)}`))],
    ],
  },
  {
    name: 'log',
    share: 0.15,
    give: (chance) => givenLog(utf8.encode(changedText(LOG, chance))),
    made: [
      ['speeds of 1e30', () => givenLog(logOf((i) => `${i / 10},1e30`))],
      ['times of 1e30', () => givenLog(logOf((i) => `${i}e30,100`))],
      [
        'discs at 1e20 °C',
        () => givenLog(logOf((i) => `${i / 10},100,1e20`, 'Time (s),Speed (km/h),Rotor FL (C)')),
      ],
      ['25 MB of zeros', () => givenLog(zeros)],
      ['25 MB of one line', () => givenLog(utf8.encode('1,'.repeat(12_500_000)))],
      ['a million columns', () => givenLog(utf8.encode(`${'a,'.repeat(1_000_000)}\n1,2\n`))],
    ],
  },
  {
    name: 'braking zones',
    share: 0.1,
    give: (chance) => {
      const read = readZoneTable(changedText(sample('braking-zones.csv'), chance), METRIC);
      return outcome(read, read.ok ? read : null);
    },
    made: [['25 MB of zeros', () => outcome(readZoneTable('0'.repeat(25_000_000), METRIC), null)]],
  },
  {
    name: 'readings',
    share: 0.08,
    give: (chance) => {
      const read = readReadings(changedText(sample('readings.csv'), chance));
      return outcome(read, read.ok ? read : null);
    },
    made: [['a million keys', () => outcome(readReadings(keys), null)]],
  },
  {
    name: 'stops of a test',
    share: 0.07,
    give: (chance) => {
      const read = readRecord(changedText(sample('stops.csv'), chance));
      return outcome(read, read.ok ? read : null);
    },
  },
  {
    name: 'bench result',
    share: 0.03,
    give: (chance) => {
      const rows = 'Stop,Disc before (°C),Disc after (°C)\n1,80,210\n2,120,260\n3,160,300\n';
      const read = readBenchResult(changedText(rows, chance));
      return outcome(read, read.ok ? read : null);
    },
  },
  {
    name: 'bench programme',
    share: 0.02,
    give: (chance) => {
      const read = readBenchProgramme(changedText(PROGRAMME, chance));
      return outcome(read, read.ok ? read : null);
    },
    made: [['a million keys', () => outcome(readBenchProgramme(keys), null)]],
  },
  {
    name: 'logbook table',
    share: 0.015,
    give: (chance) => {
      const { id: carId } = demoProject.cars[0];
      const { id: planId, circuitId } = demoProject.plans[0];
      let n = 0;
      const known = { carId, planId, circuitId, newId: () => `n${++n}` };
      const read = readLogbook(changedText(TABLE, chance), demoProject, known);
      return outcome(read, read.ok ? read : null);
    },
  },
  {
    name: 'zip with pictures',
    share: 0.015,
    give: (chance) => outcome(readBundle(changedBytes(BUNDLE, chance)), null),
    made: [['25 MB of zeros', () => outcome(readBundle(zeros), null)]],
  },
  {
    name: 'backup',
    share: 0.015,
    give: (chance) => outcome(readBackup(changedBytes(BACKUP, chance)), null),
    made: [['25 MB of zeros', () => outcome(readBackup(zeros), null)]],
  },
  {
    name: 'server',
    share: 0.004,
    give: async (chance) => {
      const asked = chance.of([
        '/stand-in/weather?date=2027-05-01&latitude=46&longitude=8&height=300',
        '/stand-in/logger.csv?laps=1&rate=1&seed=4',
        '/stand-in/phone?speed=80&seed=3',
        '/assets/index.js',
        '/stand-in/list',
      ]);
      const path = changedText(asked, chance).replaceAll(/[\s#]/g, '_');
      const answer = await app.request(
        `http://127.0.0.1/${encodeURI(path.replaceAll(/\p{Surrogate}/gu, '_')).replace(/^\/+/, '')}`,
      );
      await answer.body?.cancel();
      if (answer.status >= 500) throw new Error(`answered ${answer.status}`);
      return answer.status < 400 ? 'taken' : 'refused';
    },
    made: [
      [
        '40 MB to the bench',
        async (): Promise<Outcome> => {
          const answer = await app.request('http://127.0.0.1/stand-in/bench', {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: '0'.repeat(40_000_000),
          });
          if (answer.status >= 500) throw new Error(`answered ${answer.status}`);
          return 'refused';
        },
      ],
    ],
  },
  {
    name: 'command line',
    share: 0.001,
    give: async (chance) => {
      const words = [
        'run',
        'check',
        'network',
        'season',
        'schema',
        '--plan',
        '--json',
        '--wheel',
        '-',
        '',
        '--',
        'frontLeft',
        '\u0000',
        '💥',
      ];
      const args = Array.from({ length: 1 + chance.under(4) }, () =>
        changedText(chance.of(words), chance),
      ).filter((own) => own !== '-');
      try {
        return (await runCli(args, () => {})) === 0 ? 'taken' : 'refused';
      } catch (error) {
        if (isWorded(error)) return 'refused';
        throw error;
      }
    },
  },
];
