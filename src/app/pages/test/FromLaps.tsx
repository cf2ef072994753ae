import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { QUESTION } from '../../../compute';
import type { ZoneTechnique } from '../../../core';
import { siText } from '../../../model';
import type { ColdBraking, LapTechnique } from '../../../services';
import { techniqueText, zoneText } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useLogs } from '../../state/useLogs';
import { SelectField } from '../../ui/SelectField';
import { ForceTable } from '../../ui/WideTable';
import { Trainer } from './Trainer';
import type { TestTabProps } from './tabProps';

/** How the laps of a log were braked: what each braking zone gives away, and where to press and release. */
export function FromLaps({ tested }: TestTabProps) {
  const units = useUnits();
  const { files } = useBackground();
  const logs = useLogs();
  const { setup } = tested;
  const [chosen, setChosen] = useState<string | null>(null);
  const [lap, setLap] = useState<number | null>(null);
  const [zone, setZone] = useState(0);
  const entry = logs.data?.find(({ id }) => id === chosen) ?? logs.data?.[0] ?? null;
  const report = useQuery({
    queryKey: QUESTION.technique(setup, entry?.id ?? ''),
    enabled: entry !== null,
    queryFn: () => files.call((remote) => remote.technique(entry?.id ?? '', setup)),
  });
  const laps = report.data?.laps ?? [];
  const best = laps.reduce<(typeof laps)[number] | null>(
    (fastest, own) => (fastest && fastest.time <= own.time ? fastest : own),
    null,
  );
  const open = laps.find((own) => own.lap === lap) ?? best;
  const metres = (value: number) => siText(value, 'distance', units);
  return (
    <section className="panel px-4 py-3" aria-label="Technique" data-testid="technique">
      <h2 className="text-[15px]">Technique</h2>
      {!entry ? (
        <p className="mt-1">
          {say.techniqueNeedsLog}{' '}
          <Link className="underline" to="/log/logs">
            Bring a log
          </Link>
        </p>
      ) : (
        <div className="mt-1 flex flex-wrap items-end gap-x-4 gap-y-2">
          <div className="w-[260px] max-w-full">
            <SelectField
              label="Log"
              value={entry.id}
              options={(logs.data ?? []).map((own) => [own.id, own.name] as const)}
              onChange={(id) => {
                setChosen(id);
                setLap(null);
                setZone(0);
              }}
            />
          </div>
          {open && (
            <div className="w-[220px] max-w-full">
              <SelectField
                label="Lap"
                value={String(open.lap)}
                options={laps.map(
                  (own) => [String(own.lap), say.lapOf(own.lap + 1, own.time.toFixed(2))] as const,
                )}
                onChange={(own) => setLap(Number(own))}
              />
            </div>
          )}
        </div>
      )}
      {report.isError && (
        <p role="alert" className="mt-1">
          {say.techniqueFailed(report.error.message)}
        </p>
      )}
      {report.isFetching && (
        <p className="mt-1 text-dim" role="status">
          Reading the laps …
        </p>
      )}
      {report.data && laps.length === 0 && <p className="mt-1">{say.noHotLaps}</p>}
      {open && report.data && (
        <>
          <p className="mt-2 text-[16px]">
            {say.lapGives(open.seconds.toFixed(2), metres(open.metres), open.zones.length)}{' '}
            <span className="text-dim">{say.pressedBy[report.data.by]}</span>
          </p>
          <LapZones lap={open} />
          <Trainer lap={open} zone={Math.min(zone, open.zones.length - 1)} onZone={setZone} />
          <ColdBrakings cold={report.data.cold} />
          {report.data.sampled > 0.11 && (
            <p className="caption mt-1">{say.coarse(report.data.sampled.toFixed(1))}</p>
          )}
        </>
      )}
      <p className="caption mt-1.5">{say.techniqueMeans}</p>
      <ul className="sr-only" aria-label="Advice by braking zone">
        {open?.zones.map((own) => (
          <li key={own.zone}>
            {zoneText(own.zone, own.name)}: {techniqueText(own, units).join(' ')}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Each braking zone of a lap. */
function LapZones({ lap }: { readonly lap: LapTechnique }) {
  const units = useUnits();
  const metres = (value: number) => siText(value, 'distance', units);
  return (
    <ForceTable<ZoneTechnique>
      caption="Braking zones of the lap"
      rows={lap.zones}
      nameOf={(own) => zoneText(own.zone, own.name)}
      columns={[
        {
          head: 'later by',
          means: say.means.howMuchLaterItCould,
          cell: (own) => <strong className="font-[620]">{own.beyond ? '—' : metres(own.metres)}</strong>,
        },
        { head: 'gives away', means: 'Time', cell: (own) => `${own.seconds.toFixed(2)} s` },
        {
          head: 'build-up',
          means: say.means.fromATenthToNine,
          cell: (own) => `${own.buildUp.toFixed(2)} s`,
        },
        {
          head: 'peak',
          means: 'Greatest deceleration',
          cell: (own) => siText(own.peak, 'deceleration', units, 1),
        },
        {
          head: 'of the grip',
          means: say.means.shareOfTheGripUsed,
          cell: (own) => `${Math.round(100 * own.use)} %`,
        },
        {
          head: 'held too long',
          means: say.means.shareOfTheTimeIn,
          cell: (own) => `${Math.round(100 * own.over)} %`,
        },
        {
          head: 'release',
          means: say.means.fromWhereThePedalIs,
          cell: (own) => `${own.letGo.toFixed(2)} s`,
        },
        {
          head: 'trail',
          means: 'Braked while cornering',
          cell: (own) => `${own.trail.toFixed(1)} s`,
        },
        { head: 'presses', means: 'Times the pedal was pressed', cell: (own) => own.stabs },
        {
          head: 'coasting',
          means: 'Between throttle and brake',
          cell: (own) => `${own.coasting.toFixed(1)} s`,
        },
      ]}
    />
  );
}

/** Brakings with pads below their working temperature. */
function ColdBrakings({ cold }: { readonly cold: readonly ColdBraking[] }) {
  const units = useUnits();
  const metres = (value: number) => siText(value, 'distance', units);
  if (cold.length === 0) return null;
  return (
    <div className="mt-2" data-testid="cold">
      <h3 className="text-[14px]">First brakings with cold pads</h3>
      <ul className="list-disc pl-5">
        {cold.map((own) => (
          <li key={`${own.lap} ${own.zone}`}>
            {say.coldBraking(
              own.lap + 1,
              zoneText(own.zone, own.name),
              Math.round(100 * own.friction),
              siText(own.pedal, 'force', units),
              siText(own.hot, 'force', units),
              metres(own.earlier),
            )}
          </li>
        ))}
      </ul>
      <p className="caption">{say.coldMeans}</p>
    </div>
  );
}
