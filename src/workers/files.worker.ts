import * as Comlink from 'comlink';
import type { LogNote, RawLog } from '../core';
import { mendLog } from '../core';
import {
  analyseLog,
  type CsvLayout,
  circuitFrom,
  type FileTrack,
  type FoundCircuit,
  type FoundLine,
  findLine,
  fitLap,
  guessMapping,
  type LapFit,
  type LapsLeft,
  type LineChoice,
  type LogAnalysis,
  type LogMapping,
  lapsLeft,
  layoutKey,
  openLog,
  prepareLog,
  readLog,
  readTrackFile,
  trackLog,
  writeLog,
} from '../files';
import type { Refused, Setup } from '../project';

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
}
/** A log that was read, to be kept. */
export interface TakenLog {
  readonly ok: true;
  readonly raw: RawLog;
  readonly rows: number;
  readonly lineOf: { readonly first: number; readonly perSample: number };
  readonly notes: readonly string[];
  readonly found: readonly LogNote[];
}
export interface Analysed {
  readonly analysis: LogAnalysis;
  readonly left: LapsLeft | null;
}

let tracks: readonly FileTrack[] = [];
let line: FoundLine | null = null;
let held: { readonly id: string; readonly raw: RawLog } | null = null;
let prepared: {
  readonly id: string;
  readonly setup: Setup;
  readonly is: ReturnType<typeof prepareLog>;
} | null = null;

function preparedFor(id: string, setup: Setup): ReturnType<typeof prepareLog> {
  if (held?.id !== id) throw new Error('The log is not open any more; open it again.');
  if (prepared?.id !== id || JSON.stringify(prepared.setup) !== JSON.stringify(setup)) {
    prepared = { id, setup, is: prepareLog(held.raw, setup) };
  }
  return prepared.is;
}

/** Files and logs, read and computed away from the page. One circuit file and one log are held at a time. */
const files = {
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
    if (!line) throw new Error('The file is not open any more; choose it again.');
    return circuitFrom(line, choice, id, name);
  },

  async openTable(file: File): Promise<OpenedTable | Refused> {
    const opened = await openLog(file);
    if (!opened.ok) return opened;
    const { layout } = opened;
    return { ok: true, layout, guess: guessMapping(layout), key: layoutKey(layout) };
  },
  async readTable(
    file: File,
    mapping: LogMapping,
    progress: (share: number) => void,
  ): Promise<TakenLog | Refused> {
    const read = await readLog(file, mapping, progress);
    return read.ok ? taken(read) : read;
  },
  /** A track with times as a log. */
  readTimedTrack(track: number): TakenLog | Refused {
    const read = trackLog(tracks[track]);
    return read.ok ? taken(read) : read;
  },

  exportLog(raw: RawLog): string {
    return writeLog(raw);
  },
  /** Holds a log for what is asked of it next. */
  hold(id: string, raw: RawLog): void {
    held = { id, raw };
    prepared = null;
  },
  analyse(id: string, setup: Setup, live: boolean): Analysed {
    const is = preparedFor(id, setup);
    // Copied, not moved: the traces are asked for again.
    return { analysis: analyseLog(is, setup), left: live ? lapsLeft(is) : null };
  },
  /** Fits driver and power to one lap of the log. @param piece index in the analysis */
  fit(id: string, setup: Setup, lap: number): LapFit {
    const is = preparedFor(id, setup);
    const { day } = analyseLog(is, setup);
    return fitLap(is.input, day.laps[lap].trace, is.density, is.duct);
  },
};
export type FilesEngine = typeof files;

function taken(read: Omit<TakenLog, 'found'>): TakenLog | Refused {
  try {
    const { notes: found } = mendLog(read.raw);
    return { ...read, found };
  } catch (error) {
    return { ok: false, problems: [{ path: '', message: (error as Error).message, severity: 'error' }] };
  }
}

Comlink.expose(files);
