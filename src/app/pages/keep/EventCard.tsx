import { ChevronDown, Plus, Trash2, X } from 'lucide-react';
import {
  type EventSession,
  formatQuantity,
  removeEvent,
  SESSION_KINDS,
  SET_PLACES,
  type Season,
  type SeasonEvent,
} from '../../../model';
import { type EventPlan, sessionsOf } from '../../../services';
import { fluidReasonText, PLACE_TEXT, SESSION_KIND_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { Field } from '../../shared/Section';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { useItem } from '../../state/useItem';
import { CheckField } from '../../ui/CheckField';
import { CaptionedDay } from '../../ui/DayField';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

/** An event: what it will be like, and its own values when it is opened. */
export function EventCard({
  season,
  id,
  event,
  planned,
  open,
  onOpen,
}: {
  readonly season: Season;
  readonly id: string;
  readonly event: SeasonEvent;
  readonly planned: EventPlan | null;
  readonly open: boolean;
  readonly onOpen: () => void;
}) {
  const project = useProject();
  const units = useUnits();
  const edit = useEdit();
  const circuit = project.circuits.find((own) => own.id === event.circuitId)?.name ?? event.circuitId;
  const degrees = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  return (
    <article
      id={`event-${id}`}
      aria-label={event.name}
      className="scroll-mt-[100px] rounded-[6px] border border-rule px-3 py-2"
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h3 className="text-[15px]">
          {event.date} {event.name}
        </h3>
        <span>{circuit}</span>
        <span className="caption">{say.sessionCount(Object.keys(event.sessions).length)}</span>
        {planned && planned.rotorC !== null && planned.fluidC !== null && (
          <span className="caption">{say.hottest(degrees(planned.rotorC), degrees(planned.fluidC))}</span>
        )}
        {planned && (
          <span className="caption">
            {SET_PLACES.flatMap((place) => {
              const share = planned.shares[place];
              return share === undefined ? [] : [`${PLACE_TEXT[place]} ${(100 * share).toFixed(0)} %`];
            }).join(', ')}
          </span>
        )}
        <span className="ml-auto flex gap-1">
          <button type="button" className="btn" aria-expanded={open} onClick={onOpen}>
            <ChevronDown size={14} aria-hidden="true" /> Change
          </button>
          <IconButton
            icon={Trash2}
            name={`Delete ${event.name}`}
            title="Delete"
            onClick={() =>
              edit('Deleted an event', (p) => removeEvent(p, season.id, id), {
                done: say.deletedLine(event.name),
              })
            }
          />
        </span>
      </div>
      {planned?.fluid.map((reason) => (
        <p key={reason.kind} className="text-close">
          {say.renewBefore(fluidReasonText(reason, units))}
        </p>
      ))}
      {open && <EventForm season={season} id={id} event={event} />}
    </article>
  );
}

function EventForm({
  season,
  id,
  event,
}: {
  readonly season: Season;
  readonly id: string;
  readonly event: SeasonEvent;
}) {
  const { circuits } = useProject();
  const editing = useItem('seasons', season.id);
  if (!editing) return null;
  const at = (...path: (string | number)[]) => ['events', id, ...path];
  const sessions = sessionsOf(event);
  const setSessions = (next: Record<string, EventSession>) => editing.set(at('sessions'), next, 'Sessions');
  const addSession = () => {
    const last = sessions.at(-1)?.[1];
    const n = (last?.n ?? 0) + 1;
    void setSessions({
      ...event.sessions,
      [crypto.randomUUID()]: {
        name: `Session ${n}`,
        n,
        kind: last?.kind ?? 'track day',
        hotLaps: last?.hotLaps ?? 8,
        airC: last?.airC ?? 20,
      },
    });
  };
  return (
    <div className="mt-2 border-t border-rule/60 pt-3">
      <div className="grid gap-x-4 gap-y-3 sm:grid-cols-3 lg:grid-cols-4">
        <TextField
          label="Name"
          value={event.name}
          longest={80}
          required
          onCommit={(name) => editing.set(at('name'), name, 'Name')}
        />
        <CaptionedDay
          label="First day"
          value={event.date}
          onChange={(date) => date && editing.set(at('date'), date, 'Day')}
        />
        <SelectField
          label="Circuit"
          value={event.circuitId}
          options={circuits.map((circuit) => [circuit.id, circuit.name] as const)}
          onChange={(circuitId) => editing.set(at('circuitId'), circuitId, 'Circuit')}
        />
        {(['days', 'mostSets', 'entry', 'travel'] as const).map((key) => (
          <Field key={key} shelf="seasons" editing={editing} path={at(key)} />
        ))}
      </div>
      <fieldset className="mt-3 flex flex-wrap gap-x-5 gap-y-1.5">
        <legend className="font-[540]">New for the last session</legend>
        {SET_PLACES.map((place) => (
          <CheckField
            key={place}
            checked={event.fresh.includes(place)}
            onChange={(on) =>
              editing.set(
                at('fresh'),
                on ? [...event.fresh, place] : event.fresh.filter((own) => own !== place),
                'New for the last session',
              )
            }
          >
            {PLACE_TEXT[place]}
          </CheckField>
        ))}
      </fieldset>
      <div className="mt-3 grid gap-2">
        {sessions.map(([key, session]) => (
          <div key={key} className="flex flex-wrap items-start gap-x-3 gap-y-1 border-t border-rule/60 pt-2">
            <div className="w-[160px]">
              <TextField
                label="Session"
                value={session.name}
                longest={80}
                required
                onCommit={(name) => editing.set(at('sessions', key, 'name'), name, 'Session')}
              />
            </div>
            <div className="w-[130px]">
              <SelectField
                label="Kind"
                value={session.kind}
                options={SESSION_KINDS.map((kind) => [kind, SESSION_KIND_TEXT[kind]] as const)}
                onChange={(kind) => editing.set(at('sessions', key, 'kind'), kind, 'Kind')}
              />
            </div>
            <div className="w-[180px]">
              <Field shelf="seasons" editing={editing} path={at('sessions', key, 'hotLaps')} />
            </div>
            <div className="w-[180px]">
              <Field shelf="seasons" editing={editing} path={at('sessions', key, 'airC')} />
            </div>
            <IconButton
              icon={X}
              name={`Remove ${session.name}`}
              title="Remove"
              onClick={() => {
                const { [key]: _gone, ...others } = event.sessions;
                void setSessions(others);
              }}
            />
          </div>
        ))}
        <button type="button" className="btn justify-self-start" onClick={addSession}>
          <Plus size={14} aria-hidden="true" /> Session
        </button>
      </div>
    </div>
  );
}
