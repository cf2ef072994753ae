import { fieldInfo, lapLegSchema, type PlanLeg, type PlanSession, standLegSchema } from '../../../model';
import { say } from '../../../text/en/say/editors';
import { FieldNotes } from '../../shared/FieldNotes';
import { NumberField } from '../../shared/NumberField';
import { Field } from '../../shared/Section';
import type { Editing } from '../../state/useItem';
import { Sortable, SortableRow } from '../../ui/Sortable';
import { TextField } from '../../ui/TextField';
import { moved } from './listEdits';
import { RowTools } from './RowTools';
import { SessionMinutes } from './SessionMinutes';

const INFO = {
  laps: fieldInfo(lapLegSchema.shape.laps),
  pacePercent: fieldInfo(lapLegSchema.shape.pacePercent),
  minutes: fieldInfo(standLegSchema.shape.minutes),
  fanKmh: fieldInfo(standLegSchema.shape.fanKmh),
};
const KINDS: Readonly<Record<PlanLeg['kind'], string>> = {
  out: 'Out laps',
  hot: 'Hot laps',
  cool: 'Cool-down laps',
  pit: 'Pit stop',
  paddock: 'Paddock',
};
const STARTERS: readonly PlanLeg[] = [
  { kind: 'out', laps: 1, pacePercent: 65 },
  { kind: 'hot', laps: 5, pacePercent: 100 },
  { kind: 'cool', laps: 1, pacePercent: 40 },
  { kind: 'pit', minutes: 3, fanKmh: 0 },
  { kind: 'paddock', minutes: 30, fanKmh: 0 },
];
const ANOTHER: PlanSession = {
  name: 'Another session',
  ambientC: 20,
  gripPercent: 100,
  legs: STARTERS.filter((leg) => leg.kind !== 'pit'),
};

/** The sessions of a day, each begun as warm as the one before left the brakes. */
export function DayEditor({ editing }: { editing: Editing<'plans'> }) {
  const { sessions } = editing.item;
  const put = (next: readonly PlanSession[], label: string) => editing.set(['sessions'], next, label);
  return (
    <>
      <Sortable
        count={sessions.length}
        onMove={(from, to) => put(moved(sessions, from, to), `Moved session ${from + 1}`)}
      >
        {sessions.map((session, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: sessions have no id, and their place is what they are
          <SessionEditor key={i} editing={editing} index={i} session={session} onPut={put} />
        ))}
      </Sortable>
      <div>
        <button
          type="button"
          className="btn"
          disabled={sessions.length >= 12}
          onClick={() => {
            const last = sessions[sessions.length - 1];
            put(
              [...sessions, { ...ANOTHER, ambientC: last.ambientC, gripPercent: last.gripPercent }],
              'Added a session',
            );
          }}
        >
          Add a session
        </button>
        <span className="caption ml-3">{say.sessionBeginsWarmOne}</span>
      </div>
    </>
  );
}

function SessionEditor({
  editing,
  index,
  session,
  onPut,
}: {
  editing: Editing<'plans'>;
  index: number;
  session: PlanSession;
  onPut: (sessions: readonly PlanSession[], label: string) => void;
}) {
  const path = ['sessions', index] as const;
  const { legs } = session;
  const put = (next: readonly PlanLeg[], label: string) => editing.set([...path, 'legs'], next, label);
  return (
    <SortableRow as="section" index={index} className="panel px-4 py-3" aria-label={`Session ${index + 1}`}>
      <div className="flex items-center justify-between gap-2">
        <h2 className="truncate text-[15px]">
          Session {index + 1}: {session.name}
        </h2>
        <RowTools
          name={`session ${index + 1}`}
          rows={editing.item.sessions}
          index={index}
          least={1}
          onPut={onPut}
        />
      </div>
      <div className="mt-2 grid gap-x-5 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
        <TextField
          label="Name of the session"
          value={session.name}
          longest={80}
          required
          onCommit={(name) => editing.set([...path, 'name'], name, 'Name of a session')}
        />
        <Field shelf="plans" editing={editing} path={[...path, 'ambientC']} />
        <Field shelf="plans" editing={editing} path={[...path, 'gripPercent']} />
        <SessionMinutes editing={editing} index={index} session={session} />
      </div>
      <div className="relative mt-3 overflow-x-auto">
        <Legs legs={legs} index={index} editing={editing} path={path} put={put} />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        {STARTERS.map((leg) => (
          <button
            key={leg.kind}
            type="button"
            className="btn"
            disabled={legs.length >= 40}
            onClick={() => put([...legs, leg], `Added: ${KINDS[leg.kind].toLowerCase()}`)}
          >
            + {KINDS[leg.kind]}
          </button>
        ))}
      </div>
      {index === 0 && <FieldNotes fields={Object.values(INFO)} />}
    </SortableRow>
  );
}

/** The legs of a session, one a row. */
function Legs({
  legs,
  index,
  editing,
  path,
  put,
}: {
  legs: readonly PlanLeg[];
  index: number;
  editing: Editing<'plans'>;
  path: readonly ['sessions', number];
  put: (next: readonly PlanLeg[], label: string) => string | null;
}) {
  return (
    <Sortable count={legs.length} onMove={(from, to) => put(moved(legs, from, to), `Moved leg ${from + 1}`)}>
      <table className="w-full min-w-[620px] text-left">
        <thead>
          <tr className="caption">
            <th className="w-7 py-1 font-normal">No.</th>
            <th className="w-[150px] font-normal">What</th>
            <th className="w-[150px] font-normal">How much</th>
            <th className="w-[150px] font-normal">Pace, or fan</th>
            <th className="font-normal">
              <span className="sr-only">Tools</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {legs.map((leg, i) => {
            const name = `${KINDS[leg.kind].toLowerCase()}, leg ${i + 1} of session ${index + 1}`;
            const number = (key: keyof typeof INFO) => (
              <NumberField
                compact
                label={`${INFO[key].title}: ${name}`}
                info={INFO[key]}
                value={(leg as Record<string, unknown>)[key] as number}
                onCommit={(value) => editing.set([...path, 'legs', i, key], value, INFO[key].title)}
              />
            );
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: legs have no id, and their place is what they are
              <SortableRow as="tr" key={i} index={i} className="border-t border-rule/60 align-top">
                <td className="py-1.5">{i + 1}</td>
                <td className="py-1.5">{KINDS[leg.kind]}</td>
                <td className="py-1 pr-3">{number('laps' in leg ? 'laps' : 'minutes')}</td>
                <td className="py-1 pr-3">{number('laps' in leg ? 'pacePercent' : 'fanKmh')}</td>
                <td className="py-1">
                  <RowTools name={name} rows={legs} index={i} least={1} onPut={put} />
                </td>
              </SortableRow>
            );
          })}
        </tbody>
      </table>
    </Sortable>
  );
}
