import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { demoProject } from '../../../../demo/project';
import type { Analysed, EngineClient, FilesEngine } from '../../../compute';
import type { RecordedPart, WheelName } from '../../../core';
import { LOG_COLUMN_NAMES, type LogColumn } from '../../../io';
import { siText, type UnitChoice } from '../../../model';
import { openKeptLog } from '../../../storage';
import { clockText, leftText } from '../../../text/en';
import { say } from '../../../text/en/say/log';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { logStore, useRefreshLogs } from '../../state/useLogs';
import { ownAddress } from '../../ui/ownAddress';
import { toast } from '../../ui/toast';
import { Connection, isRunning } from './LiveConnection';
import { LiveZones } from './LiveZones';
import { LiveRecorder, type LiveState, type LiveView } from './liveRecorder';

/** One recorder for the page's life: another page may be looked at while it records. */
const recorder = new LiveRecorder();
let liveId = '';
let liveName = '';

/** Between two computations, ms, and between two savings of what was recorded, ms. */
const COMPUTE = 1200;
const SAVE = 4000;

const SHOWN: readonly (readonly [LogColumn, WheelName, RecordedPart])[] = [
  ['rotorFrontLeft', 'frontLeft', 'rotorBulk'],
  ['rotorFrontRight', 'frontRight', 'rotorBulk'],
  ['rotorRearLeft', 'rearLeft', 'rotorBulk'],
  ['rotorRearRight', 'rearRight', 'rotorBulk'],
  ['caliperFrontLeft', 'frontLeft', 'caliper'],
  ['fluidFront', 'frontLeft', 'fluid'],
];

/** A logger in the car, live: braking zones, temperatures and laps left as they come. */
export function LiveTab() {
  const view = useSyncExternalStore(recorder.subscribe, recorder.getView);
  const units = useUnits();
  const connection = useConnection();
  const { from, known, plan } = connection;
  const running = isRunning(view.state);
  const result = useLiveAnalysis(view.state, view.samples);
  return (
    <>
      <Connection view={view} connection={connection} />
      {view.error && (
        <p className="panel px-4 py-2.5 text-close" role="alert">
          {view.error}
        </p>
      )}
      {from === 'simulated' && !known && view.state === 'idle' && (
        <p className="caption">{say.simulatedLoggerDrivesDemo}</p>
      )}
      {view.samples === 0 ? (
        <p className="panel px-4 py-6 text-dim">
          {say.nothingHasComeYet}
          {demoProject.plans.find((p) => p.id === plan)?.name}
          {say.scatterDropoutsDriftingSensors}
        </p>
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
          <Now view={view} units={units} result={result} />
          <Temperatures result={result} view={view} units={units} />
          <LiveZones result={result} />
          {!running && liveId && view.samples > 40 && (
            <p className="panel px-4 py-4" role="status">
              {view.kept < view.samples ? (
                'Keeping the recording …'
              ) : (
                <>
                  {say.recordingKeptAs(liveName)}{' '}
                  <Link className="underline" to={`/log/laps?log=${liveId}`}>
                    Its laps and braking zones
                  </Link>
                </>
              )}
            </p>
          )}
        </div>
      )}
    </>
  );
}

/** Where the data come from: the simulated logger, or a log that is played again. */
function useConnection() {
  const setup = useSetup();
  const refresh = useRefreshLogs();
  const [from, setFrom] = useState('simulated');
  const [speed, setSpeed] = useState('10');
  const known = demoProject.plans.some((p) => p.id === setup.plan.id);
  const plan = known ? setup.plan.id : demoProject.plans[0].id;
  const { files } = useBackground();

  const start = async () => {
    liveId = crypto.randomUUID();
    liveName = `Live ${new Date().toISOString().slice(0, 16).replace('T', ' ')}`;
    try {
      if (from === 'simulated')
        recorder.connect(ownAddress(`stand-in/logger/stream?plan=${plan}&speed=${speed}&laps=8`));
      else {
        const raw = await openKeptLog(logStore, from);
        if (!raw) throw new Error(say.valuesLogNotBrowser);
        recorder.replay(raw, Number(speed));
      }
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const stop = async () => {
    recorder.stop();
    if (await saveRecording(files)) await refresh();
  };
  return { from, setFrom, speed, setSpeed, known, plan, start, stop };
}

/** The last figures. */
function Now({ view, units, result }: { view: LiveView; units: UnitChoice; result: Analysed | null }) {
  return (
    <section className="panel px-4 py-3" aria-label="Now">
      <dl className="flex flex-wrap gap-x-8 gap-y-2">
        <Figure name="Speed" value={siText(view.now.speed ?? 0, 'speed', units)} />
        <Figure name="Time" value={clockText(view.now.time ?? 0)} />
        {view.now.lap !== undefined && <Figure name="Lap" value={String(Math.round(view.now.lap) + 1)} />}
        {view.now.frontPressure !== undefined && (
          <Figure name="Line pressure, front" value={siText(view.now.frontPressure, 'pressure', units, 0)} />
        )}
      </dl>
      <p className="mt-3 text-[17px] leading-snug" data-testid="laps-left" aria-live="polite">
        {leftText(result?.left)}
      </p>
      <p className="caption mt-1">{say.goingLapsLikeLast}</p>
    </section>
  );
}

/** Measured beside predicted. */
function Temperatures({
  result,
  view,
  units,
}: {
  result: Analysed | null;
  view: LiveView;
  units: UnitChoice;
}) {
  return (
    <section className="panel overflow-x-auto px-4 py-3" aria-label="Temperatures now">
      <table className="w-full text-left">
        <thead>
          <tr className="caption">
            <th className="py-1 font-normal">Sensor</th>
            <th className="px-2 text-right font-normal">Measured</th>
            <th className="px-2 text-right font-normal">
              Predicted{result && `, at ${clockText(lastTime(result))}`}
            </th>
          </tr>
        </thead>
        <tbody>
          {SHOWN.filter(([column]) => view.now[column] !== undefined).map(([column, wheel, part]) => {
            const values = result?.analysis.day.record.wheels[wheel][part];
            return (
              <tr key={column} className="border-t border-rule/60 tabular-nums">
                <td className="py-0.5">{LOG_COLUMN_NAMES[column]}</td>
                <td className="px-2 text-right font-[600]">
                  {siText(view.now[column] ?? 0, 'temperature', units)}
                </td>
                <td className="px-2 text-right">
                  {values ? siText(values[values.length - 1], 'temperature', units) : '…'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** The instant a computation has come to, s of the recording; it follows a fast replay at some distance. */
function lastTime({ analysis }: Analysed): number {
  const { time } = analysis.day.record;
  return time[time.length - 1];
}

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="caption">{name}</dt>
      <dd className="text-[24px] leading-tight font-[640] tabular-nums">{value}</dd>
    </div>
  );
}

/** Lays what was recorded over the plan again and again, and saves it now and then. */
function useLiveAnalysis(state: LiveState, samples: number): Analysed | null {
  const { files } = useBackground();
  const setup = useSetup();
  const refresh = useRefreshLogs();
  const [result, setResult] = useState<Analysed | null>(null);
  const busy = useRef(false);
  const computed = useRef({ at: 0, samples: -1, setup });
  const saved = useRef(0);
  useEffect(() => {
    const due = performance.now() - computed.current.at > COMPUTE || state === 'ended';
    const news = samples !== computed.current.samples || setup !== computed.current.setup;
    const raw = due && news && !busy.current ? recorder.raw() : null;
    if (!raw) return;
    busy.current = true;
    computed.current = { at: performance.now(), samples, setup };
    files
      .call((remote) => remote.analyseLive(raw, setup) as Promise<Analysed>)
      // Before the first lap is whole there may be nothing to compute; the next samples are tried again.
      .then(setResult, () => {})
      .finally(() => {
        busy.current = false;
      });
    if (performance.now() - saved.current > SAVE || state === 'ended') {
      saved.current = performance.now();
      void saveRecording(files).then(async (kept) => {
        if (kept) await refresh();
      });
    }
  }, [state, samples, setup, files, refresh]);
  // A recording begun anew has nothing computed yet.
  return samples === 0 ? null : result;
}

async function saveRecording(files: EngineClient<FilesEngine>): Promise<boolean> {
  const raw = recorder.raw();
  if (!raw || !liveId) return false;
  const [id, name] = [liveId, liveName];
  try {
    await files.call((remote) => remote.keepRecording(id, name, raw));
    if (id === liveId) recorder.noteKept(raw.time.length);
    return true;
  } catch (error) {
    toast.error((error as Error).message);
    return false;
  }
}
