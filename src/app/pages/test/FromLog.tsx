import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { type KeptLog, type ListedTracks, QUESTION } from '../../../compute';
import type { LogStop } from '../../../io';
import {
  fromSi,
  putStop,
  type Refused,
  type StopSource,
  siText,
  type TestStopStored,
  toSi,
} from '../../../model';
import { say } from '../../../text/en/say/test';
import { FileDoor } from '../../shared/FileDoor';
import { problemLines } from '../../shell/files';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { useLogs, useRefreshLogs } from '../../state/useLogs';
import { CheckField } from '../../ui/CheckField';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { SelectField } from '../../ui/SelectField';
import { toast } from '../../ui/toast';
import type { TestTabProps } from './tabProps';
import type { OpenRun } from './useRun';

/** Speeds a stop may be off the test's: share of the first speed, and m/s at its end. */
const NEAR = 0.75;
const END = 1.5;
const BRAKED = 1.8;

const round = (value: number, digits: number) => Number(value.toFixed(digits));
const stopOf = (found: LogStop, source: StopSource): Omit<TestStopStored, 'n'> => ({
  fromKmh: round(fromSi(found.from, 'speed'), 2),
  toKmh: round(fromSi(found.to, 'speed'), 2),
  distanceM: round(found.distance, 2),
  marksM: [],
  timeS: round(found.time, 2),
  pedalN: found.pedal === null || found.pedal < 1 ? null : round(found.pedal, 0),
  abs: null,
  meanMs2: round(Math.min(25, found.meanDeceleration), 3),
  temperatureC: found.disc === null ? null : round(fromSi(found.disc, 'temperature'), 1),
  atS: round(found.start, 1),
  errorM: round(found.error, 2),
  source,
  note: '',
});

/** Stops found in a log that is kept, or that the live logger is writing, or in a GPX file. */
export function FromLog({ tested, open }: TestTabProps & { readonly open: OpenRun }) {
  const units = useUnits();
  const edit = useEdit();
  const { files } = useBackground();
  const logs = useLogs();
  const refresh = useRefreshLogs();
  const [chosen, setChosen] = useState<string | null>(null);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const { design } = tested.test;
  const entry = logs.data?.find(({ id }) => id === chosen) ?? logs.data?.[0] ?? null;
  const wanted = {
    from: NEAR * toSi(design.fromKmh, 'speed'),
    to: toSi(design.toKmh, 'speed') + END,
    braked: BRAKED,
  };
  const found = useQuery({
    queryKey: [...QUESTION.logStops(entry?.id ?? '', wanted), entry?.samples],
    enabled: entry !== null,
    queryFn: () => files.call((remote) => remote.logStops(entry?.id ?? '', wanted)),
  });
  const takeGpx = async (file: File) => {
    try {
      const opened = await files.call((remote) => remote.openTracks(file) as Promise<ListedTracks | Refused>);
      const read = opened.ok
        ? await files.call((remote) => remote.readTimedTrack(0, file.name) as Promise<KeptLog | Refused>)
        : opened;
      if (!read.ok) {
        toast.error(say.logRefused(file.name), { description: problemLines(read.problems).join('\n') });
        return;
      }
      await refresh();
      setChosen(read.entry.id);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const stops = found.data ?? [];
  const taken = stops.filter((_, i) => !left.has(i));
  const take = () => {
    const source: StopSource = entry?.source === 'live' ? 'live' : 'log';
    edit(
      'Stops from a log',
      (p) =>
        taken.reduce(
          (now, stop) => putStop(now, tested.test.id, open.id, crypto.randomUUID(), stopOf(stop, source)),
          p,
        ),
      { done: say.stopsTaken(taken.length) },
    );
  };
  return (
    <div className="mt-2 grid gap-2">
      <div className="flex flex-wrap items-end gap-2">
        {entry ? (
          <div className="w-[280px] max-w-full">
            <SelectField
              label="Log"
              value={entry.id}
              options={(logs.data ?? []).map((own) => [own.id, own.name] as const)}
              onChange={(id) => {
                setChosen(id);
                setLeft(new Set());
              }}
            />
          </div>
        ) : (
          <p>{say.noLogs}</p>
        )}
        <FileDoor
          kind="tracks"
          label="GPX with times"
          testId="gpx-file"
          samples={[]}
          quiet
          onFile={(file) => void takeGpx(file)}
        />
        <Link className="btn" to="/log/logs">
          Bring a log
        </Link>
        <Link className="btn" to="/log/live">
          Live logger
        </Link>
      </div>
      {found.isError && <p role="alert">{say.logNoStops(found.error.message)}</p>}
      {found.isFetching && (
        <p className="text-dim" role="status">
          Looking for stops …
        </p>
      )}
      {entry && found.data && stops.length === 0 && (
        <p role="status">
          {say.noStopsIn(siText(wanted.from, 'speed', units), siText(wanted.to, 'speed', units))}
        </p>
      )}
      {stops.length > 0 && (
        <>
          <ScrollPanel label="Stops found" className="border-0! p-0!">
            <table className="w-full min-w-[560px] max-w-[820px] text-right">
              <thead>
                <tr className="caption border-b border-rule">
                  <th className="text-left">take</th>
                  <th>at</th>
                  <th>from</th>
                  <th>to</th>
                  <th>distance</th>
                  <th>time</th>
                  <th>mean fully developed</th>
                </tr>
              </thead>
              <tbody>
                {stops.map((stop, i) => (
                  <tr key={stop.start} className="border-b border-rule/60">
                    <td className="py-1 text-left">
                      <CheckField
                        name={`Take stop ${i + 1}`}
                        checked={!left.has(i)}
                        onChange={() => {
                          const next = new Set(left);
                          if (!next.delete(i)) next.add(i);
                          setLeft(next);
                        }}
                      >
                        {null}
                      </CheckField>
                    </td>
                    <td>{siText(stop.start, 'seconds', units, 0)}</td>
                    <td>{siText(stop.from, 'speed', units, 1)}</td>
                    <td>{siText(stop.to, 'speed', units, 0)}</td>
                    <td className="font-[620]">
                      {siText(stop.distance, 'distance', units, 1)}
                      <span className="caption"> ± {siText(stop.error, 'distance', units, 1)}</span>
                    </td>
                    <td>{stop.time.toFixed(2)} s</td>
                    <td>{siText(stop.meanDeceleration, 'deceleration', units, 2)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </ScrollPanel>
          <div>
            <button type="button" className="btn btn-main" disabled={taken.length === 0} onClick={take}>
              Take {taken.length} {taken.length === 1 ? 'stop' : 'stops'}
            </button>
          </div>
        </>
      )}
    </div>
  );
}
