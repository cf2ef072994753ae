import * as Comlink from 'comlink';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { EngineClient, FilesEngine, KeptLog, ListedTracks, OpenedTable } from '../../../compute';
import { type LogMapping, mappingSchema } from '../../../io';
import type { Problem, Refused } from '../../../model';
import { rememberedMapping, rememberMapping, sweepLogs, unlistLog } from '../../../storage';
import { say } from '../../../text/en/say/log';
import { FileDoor } from '../../shared/FileDoor';
import { Refusal } from '../../shared/Refusal';
import { useBackground } from '../../state/context';
import { logStore, useRefreshLogs } from '../../state/useLogs';
import { useStandIns } from '../../state/useStandIns';
import { ownAddress } from '../../ui/ownAddress';
import { ProgressBar } from '../../ui/ProgressBar';
import { toast } from '../../ui/toast';
import { KeptLogs } from './KeptLogs';
import { MappingStep } from './MappingStep';

type Step =
  | { readonly kind: 'none' }
  | { readonly kind: 'opening'; readonly file: File }
  | { readonly kind: 'refused'; readonly name: string; readonly problems: readonly Problem[] }
  | {
      readonly kind: 'mapping';
      readonly file: File;
      readonly table: OpenedTable;
      readonly mapping: LogMapping;
      readonly known: boolean;
    }
  | { readonly kind: 'tracks'; readonly file: File; readonly listed: ListedTracks }
  | { readonly kind: 'reading'; readonly file: File; readonly share: number };

const problem = (message: string): Problem[] => [{ path: '', message, severity: 'error' }];

let swept = false;

/** Files that were read in this visit, by the log they became: their columns can be named anew. */
const readHere = new Map<
  string,
  { readonly file: File; readonly table: OpenedTable; readonly mapping: LogMapping }
>();

/** Logs: read from files, kept in the browser. */
export function LogsTab() {
  useEffect(() => {
    // Once a visit, before anything is removed in it that might be put back.
    if (swept) return;
    swept = true;
    void sweepLogs(logStore).catch(() => {});
  }, []);
  const { step, setStep, cancel, open, read, readTrack } = useReading();

  return (
    <>
      <ChooseFile open={open} />
      {step.kind === 'opening' && (
        <p className="panel px-4 py-4 text-dim" role="status">
          Looking at {step.file.name} …
        </p>
      )}
      {step.kind === 'refused' && <Refusal name={step.name} problems={step.problems} />}
      {step.kind === 'mapping' && (
        <MappingStep
          key={`${step.file.name}${step.file.size}`}
          name={step.file.name}
          layout={step.table.layout}
          rows={step.table.rows}
          start={step.mapping}
          known={step.known}
          onCancel={() => setStep({ kind: 'none' })}
          onRead={(mapping) => void read(step.file, step.table, mapping)}
        />
      )}
      {step.kind === 'tracks' && <TrackChoice step={step} readTrack={readTrack} />}
      {step.kind === 'reading' && <Reading step={step} cancel={cancel} />}
      <KeptLogs
        again={(id) => {
          const own = readHere.get(id);
          return own ? () => setStep({ kind: 'mapping', known: true, ...own }) : null;
        }}
      />
    </>
  );
}

/** A file on its way in: looked at, its columns confirmed, read, kept. */
function useReading() {
  const { files } = useBackground();
  const navigate = useNavigate();
  const refresh = useRefreshLogs();
  const [step, setStep] = useState<Step>({ kind: 'none' });
  const cancel = useRef<AbortController | null>(null);

  const refuse = (file: File, problems: readonly Problem[]) =>
    setStep({ kind: 'refused', name: file.name, problems });
  const failed = (file: File, error: unknown) => refuse(file, problem((error as Error).message));

  const open = async (file: File) => {
    setStep({ kind: 'opening', file });
    try {
      setStep(await lookAt(file, files));
    } catch (error) {
      failed(file, error);
    }
  };

  const take = async (file: File, read: KeptLog | Refused) => {
    if (!read.ok) {
      refuse(file, read.problems);
      return;
    }
    const { entry } = read;
    await refresh();
    setStep({ kind: 'none' });
    toast.success(`“${entry.name}” is open: ${read.rows} rows`);
    navigate(`/log/laps?log=${entry.id}`);
  };

  const read = async (file: File, table: OpenedTable, mapping: LogMapping) => {
    const controller = new AbortController();
    const { signal } = controller;
    cancel.current = controller;
    setStep({ kind: 'reading', file, share: 0 });
    try {
      // What was on its way when the reading was cancelled must not bring it back.
      const progress = Comlink.proxy((share: number) => {
        if (!signal.aborted) setStep({ kind: 'reading', file, share });
      });
      const taken = await files.call(
        (remote) => remote.readTable(file, mapping, progress) as Promise<KeptLog | Refused>,
        signal,
      );
      await rememberMapping(logStore, table.key, mapping).catch(() => {});
      // Read anew with other columns, it takes the place of what was read before.
      const before = [...readHere].find(([, own]) => own.file === file)?.[0];
      if (before && taken.ok) {
        await unlistLog(logStore, before);
        readHere.delete(before);
      }
      if (taken.ok) readHere.set(taken.entry.id, { file, table, mapping });
      await take(file, taken);
    } catch (error) {
      if (signal.aborted) {
        setStep({ kind: 'none' });
        toast(say.readingWasCancelledNothing);
      } else failed(file, error);
    }
  };

  const readTrack = async (file: File, track: number) => {
    try {
      await take(
        file,
        await files.call((remote) => remote.readTimedTrack(track, file.name) as Promise<KeptLog | Refused>),
      );
    } catch (error) {
      failed(file, error);
    }
  };
  return { step, setStep, cancel, open, read, readTrack };
}

/** What a file is: tracks to choose from, or a table whose columns are confirmed first. */
async function lookAt(file: File, files: EngineClient<FilesEngine>): Promise<Step> {
  const start = await file.slice(0, 64).text();
  if (start.trimStart().startsWith('<') || /\.(gpx|kml)$/i.test(file.name)) {
    const listed = await files.call((remote) => remote.openTracks(file) as Promise<ListedTracks | Refused>);
    return listed.ok
      ? { kind: 'tracks', file, listed }
      : { kind: 'refused', name: file.name, problems: listed.problems };
  }
  const table = await files.call((remote) => remote.openTable(file) as Promise<OpenedTable | Refused>);
  if (!table.ok) return { kind: 'refused', name: file.name, problems: table.problems };
  const remembered = mappingSchema.safeParse(await rememberedMapping(logStore, table.key).catch(() => null));
  return {
    kind: 'mapping',
    file,
    table,
    mapping: remembered.success ? remembered.data : table.guess,
    known: remembered.success,
  };
}

/** A file to read. */
function ChooseFile({ open }: { open: (file: File) => Promise<void> }) {
  const served = useStandIns();
  return (
    <section className="panel px-4 py-3" aria-label="Log file">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <FileDoor
          kind="log"
          label="Open a log"
          testId="log-file"
          samples={['log']}
          onFile={(file) => void open(file)}
        />
        <p className="max-w-[80ch]">
          {say.loggerSExportCsv}
          {served ? (
            <>
              <a className="underline" href={ownAddress('stand-in/logger.csv')} download>
                Download a simulated one’s file
              </a>
              {say.or}
              <Link className="underline" to="/log/live">
                connect to it live
              </Link>
              .
            </>
          ) : (
            say.noLoggerHere
          )}
        </p>
      </div>
    </section>
  );
}

/** A file of several tracks: one is chosen. */
function TrackChoice({
  step,
  readTrack,
}: {
  step: { readonly kind: 'tracks'; readonly file: File; readonly listed: ListedTracks };
  readTrack: (file: File, track: number) => Promise<void>;
}) {
  return (
    <section className="panel px-4 py-3" aria-label="Tracks in the file">
      <h2 className="text-[15px]">{step.file.name}</h2>
      <ul className="mt-1.5 grid gap-1.5">
        {step.listed.tracks.map((track, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: tracks of a file may share a name
          <li key={i} className="flex flex-wrap items-center gap-3">
            <span>
              {track.name}: {track.points} points{track.timed ? '' : ', without times'}
            </span>
            <button
              type="button"
              className="btn px-2 py-0.5"
              disabled={!track.timed}
              onClick={() => void readTrack(step.file, i)}
            >
              Open as a log
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How far the file is read. */
function Reading({
  step,
  cancel,
}: {
  step: { readonly kind: 'reading'; readonly file: File; readonly share: number };
  cancel: RefObject<AbortController | null>;
}) {
  return (
    <section className="panel px-4 py-3" aria-label="Reading">
      <div className="flex items-center gap-3">
        <ProgressBar label="Share read" className="w-[280px]" value={step.share} max={1} />
        <span role="status">
          {step.file.name}: {Math.round(100 * step.share)} %
        </span>
        <button type="button" className="btn" onClick={() => cancel.current?.abort()}>
          Cancel
        </button>
      </div>
    </section>
  );
}
