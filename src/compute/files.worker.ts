import * as Comlink from 'comlink';
import type { DayInput, RawLog, StopWanted } from '../core';
import { LogError, loggedDay, mendLog } from '../core';
import {
  type CsvLayout,
  type FileTrack,
  guessMapping,
  type LogMapping,
  type LogStop,
  layoutKey,
  logStops,
  openLog,
  prepareLog,
  type ReadLog,
  readLog,
  readTrackFile,
  readZoneTable,
  rowsAllOver,
  trackLog,
  writeLog,
  type ZoneTable,
} from '../io';
import type { Refused, Setup, UnitChoice } from '../model';
import {
  analyseLog,
  circuitFrom,
  type FoundCircuit,
  type FoundLine,
  findLine,
  fitLap,
  type LapFit,
  type LapsLeft,
  type LineChoice,
  type LogAnalysis,
  lapsLeft,
  type RecordedLap,
  recordedLap,
  type SensorReading,
  sensorReadings,
  type TechniqueReport,
  techniqueReport,
} from '../services';
import { browserLogStore, keepLog, type LogEntry, openKeptLog } from '../storage';
import { say } from '../text/en/say/compute';
import { backups } from './backups';

/** A file of tracks as the page lists it. */
export interface ListedTracks {
  readonly ok: true;
  readonly kind: string;
  readonly tracks: readonly { readonly name: string; readonly points: number; readonly timed: boolean }[];
  readonly notes: readonly string[];
}
/** A table as the page shows it for its columns to be named. */
export interface OpenedTable {
  readonly ok: true;
  readonly layout: CsvLayout;
  readonly guess: LogMapping;
  readonly key: string;
  /** From all over the file, cells as written */
  readonly rows: readonly (readonly string[])[];
}
/** A log that was read and kept. */
export interface KeptLog {
  readonly ok: true;
  readonly entry: LogEntry;
  readonly rows: number;
}
export interface Analysed {
  readonly analysis: LogAnalysis;
  readonly left: LapsLeft | null;
}

/** A logged day as it goes between workers: a function that names places cannot, and no temperature asks for it. */
const withoutNames = (day: DayInput): DayInput => ({
  ...day,
  sessions: day.sessions.map((session) => ({
    ...session,
    legs: session.legs.map((leg) =>
      'driven' in leg && leg.driven
        ? { ...leg, driven: leg.driven.map(({ nameAt: _names, ...lap }) => lap) }
        : leg,
    ),
  })),
});

const store = browserLogStore();
let tracks: readonly FileTrack[] = [];
let line: FoundLine | null = null;
let held: { readonly id: string; readonly raw: RawLog } | null = null;
let prepared: {
  readonly id: string;
  readonly setup: Setup;
  readonly is: ReturnType<typeof prepareLog>;
} | null = null;

async function preparedFor(id: string, setup: Setup): Promise<ReturnType<typeof prepareLog>> {
  if (held?.id !== id) {
    const raw = await openKeptLog(store, id);
    if (!raw) throw new Error(say.valuesLogNotBrowser);
    held = { id, raw };
    prepared = null;
  }
  if (prepared?.id !== id || JSON.stringify(prepared.setup) !== JSON.stringify(setup)) {
    prepared = { id, setup, is: prepareLog(held.raw, setup) };
  }
  return prepared.is;
}

/** Puts a log into the browser's storage; large ones never pass through the page. */
async function keep(id: string, name: string, source: string, read: Omit<ReadLog, 'ok'>): Promise<KeptLog> {
  const { raw, lineOf, notes, rows } = read;
  const { time, channels } = raw;
  const entry: LogEntry = {
    id,
    name: name.slice(0, 80),
    source,
    added: new Date().toISOString(),
    samples: time.length,
    duration: time[time.length - 1] - time[0],
    channels: Object.keys(channels),
    notes,
    found: mendLog(raw).notes,
    lineOf,
  };
  await keepLog(store, entry, raw);
  held = { id, raw };
  prepared = null;
  return { ok: true, entry, rows };
}

/** Keeps what was read from a file under a new id, or hands on why it was not. */
async function keepRead(read: ReadLog | Refused, source: string): Promise<KeptLog | Refused> {
  if (!read.ok) return read;
  try {
    return await keep(crypto.randomUUID(), source.replace(/\.\w+$/, ''), source, read);
  } catch (error) {
    const { message } = error as Error;
    const { first, perSample } = read.lineOf;
    const line = error instanceof LogError && error.sample >= 0 ? first + error.sample * perSample : null;
    return { ok: false, problems: [{ path: line ? `line ${line}` : '', message, severity: 'error' }] };
  }
}

/** Files and logs, read and computed away from the page. One circuit file and one log are held at a time. */
const files = {
  ...backups,
  async openTracks(file: File): Promise<ListedTracks | Refused> {
    const read = readTrackFile(file.name, new Uint8Array(await file.arrayBuffer()));
    if (!read.ok) return read;
    tracks = read.tracks;
    const list = read.tracks.map((t) => ({
      name: t.name,
      points: t.a.length,
      timed: t.time.some((v) => Number.isFinite(v)),
    }));
    return { ok: true, kind: read.kind, tracks: list, notes: read.notes };
  },
  findLine(track: number, bound: number | null): FoundLine | Refused {
    const found = findLine(tracks[track], bound);
    line = found.ok ? found : null;
    return found;
  },
  circuit(choice: LineChoice, id: string, name: string): FoundCircuit | Refused {
    if (!line) throw new Error(say.fileNotOpenAny);
    return circuitFrom(line, choice, id, name);
  },

  /** Braking zones from a pasted table. @param shown units where it does not say */
  zoneTable(text: string, shown: UnitChoice): ZoneTable | Refused {
    return readZoneTable(text, shown);
  },
  /** The fastest lap of a file with times, as it was recorded; null where it has none. */
  recorded(track: number, choice: LineChoice, setup: Setup): RecordedLap | null {
    if (!line) return null;
    const made = circuitFrom(line, choice, 'circuit', 'circuit');
    return made.ok ? recordedLap(tracks[track], made.circuit, setup) : null;
  },

  async openTable(file: File): Promise<OpenedTable | Refused> {
    const opened = await openLog(file);
    if (!opened.ok) return opened;
    const { layout, encoding } = opened;
    const rows = await rowsAllOver(file, layout, encoding);
    return { ok: true, layout, guess: guessMapping(layout), key: layoutKey(layout), rows };
  },
  async readTable(
    file: File,
    mapping: LogMapping,
    progress: (share: number) => void,
  ): Promise<KeptLog | Refused> {
    return keepRead(await readLog(file, mapping, progress), file.name);
  },
  /** A track with times as a log. */
  readTimedTrack(track: number, source: string): Promise<KeptLog | Refused> {
    return keepRead(trackLog(tracks[track]), source);
  },
  /** Keeps a live recording, again and again while it grows. */
  async keepRecording(id: string, name: string, raw: RawLog): Promise<void> {
    const rows = raw.time.length;
    await keep(id, name, 'live', { raw, rows, lineOf: { first: 1, perSample: 1 }, notes: [] });
  },
  async exportLog(id: string): Promise<string> {
    const raw = held?.id === id ? held.raw : await openKeptLog(store, id);
    if (!raw) throw new Error(say.valuesLogNotBrowser);
    return writeLog(raw);
  },

  async analyse(id: string, setup: Setup): Promise<LogAnalysis> {
    // Copied, not moved: the traces are asked for again.
    return analyseLog(await preparedFor(id, setup), setup);
  },
  /** A log as a day to be driven. */
  async loggedDay(id: string, setup: Setup): Promise<DayInput> {
    const { input, pieces, ambient } = await preparedFor(id, setup);
    return withoutNames(loggedDay(input, 'Log', pieces, ambient));
  },
  /** What the sensors of a log read, thinned to what carries information. */
  async sensorReadings(id: string, setup: Setup): Promise<SensorReading[]> {
    return sensorReadings((await preparedFor(id, setup)).log);
  },
  /** Stops of a kept log. */
  async logStops(id: string, wanted: StopWanted): Promise<LogStop[]> {
    const raw = held?.id === id ? held.raw : await openKeptLog(store, id);
    if (!raw) throw new Error(say.valuesLogNotBrowser);
    return logStops(raw, wanted);
  },
  /** Stops of a recording that is still growing. */
  liveStops(raw: RawLog, wanted: StopWanted): LogStop[] {
    return logStops(raw, wanted);
  },
  /** How the laps of a kept log were braked. */
  async technique(id: string, setup: Setup): Promise<TechniqueReport> {
    const is = await preparedFor(id, setup);
    return techniqueReport(is, analyseLog(is, setup));
  },
  /** A recording that is still growing. */
  analyseLive(raw: RawLog, setup: Setup): Analysed {
    const is = prepareLog(raw, setup);
    return { analysis: analyseLog(is, setup), left: lapsLeft(is) };
  },
  /** Fits driver and power to one lap of the log. @param lap index in the analysed day */
  async fit(id: string, setup: Setup, lap: number): Promise<LapFit> {
    const is = await preparedFor(id, setup);
    const { day } = analyseLog(is, setup);
    return fitLap(is.input, day.laps[lap].trace, is.density, is.duct);
  },
};
export type FilesEngine = typeof files;

Comlink.expose(files);
