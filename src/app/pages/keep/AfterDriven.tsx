import { PEDALS, SYMPTOMS, TRACK_STATES } from '../../../model';
import { sessionsOf } from '../../../services';
import { say } from '../../../text/en/say/keep';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useLogs } from '../../state/useLogs';
import { CheckField } from '../../ui/CheckField';
import { CaptionedDay } from '../../ui/DayField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { type AfterValues, asPlanned } from './afterForm';
import { Keys } from './Keys';
import { Reading } from './Reading';
import { Stepper } from './Stepper';
import type { KeepTabProps } from './tabProps';

/** What a part of the form is given. */
export interface AfterPartProps {
  readonly values: AfterValues;
  readonly set: (change: Partial<AfterValues>) => void;
}

/** What was driven, and how the pedal was. */
export function AfterDriven({ kept, values, set }: KeepTabProps & AfterPartProps) {
  const units = useUnits();
  const logs = useLogs().data ?? [];
  return (
    <section className="panel grid gap-3 px-4 py-3">
      <p className="caption max-w-[80ch]">{say.afterMeans}</p>
      <div className="grid gap-3 sm:grid-cols-3">
        <CaptionedDay label="Day" value={values.date} onChange={(date) => date && set({ date })} />
        <TextField
          label="Session"
          value={values.name}
          longest={80}
          required
          onCommit={(name) => set({ name })}
        />
        <TextField
          label="By"
          value={values.by}
          longest={60}
          required={false}
          onCommit={(by) => set({ by })}
        />
        <Where kept={kept} values={values} set={set} />
        {logs.length > 0 && (
          <SelectField
            label="Log"
            value={values.log?.id ?? ''}
            options={[['', 'none'], ...logs.map(({ id, name }) => [id, name] as const)]}
            onChange={(id) => {
              const log = logs.find((own) => own.id === id);
              set({ log: log ? { id, name: log.name.slice(0, 80) } : null });
            }}
          />
        )}
      </div>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Stepper
          label="Hot laps"
          value={values.hotLaps}
          min={0}
          max={60}
          onChange={(hotLaps) => set({ hotLaps })}
        />
        <Stepper
          label="Out and in"
          value={values.outLaps}
          min={1}
          max={10}
          onChange={(outLaps) => set({ outLaps })}
        />
        <Reading
          label="Air"
          required
          quantity="temperature"
          value={values.airC}
          step={1}
          min={-30}
          max={55}
          units={units}
          onChange={(airC) => airC !== null && set({ airC })}
        />
      </div>
      <Keys label="Track" value={values.track} options={TRACK_STATES} onChange={(track) => set({ track })} />
      <Keys label="Pedal" value={values.pedal} options={PEDALS} onChange={(pedal) => set({ pedal })} />
      <fieldset className="flex flex-wrap gap-x-5 gap-y-2">
        <legend className="caption mb-1">Noticed</legend>
        {SYMPTOMS.map((symptom) => (
          <CheckField
            key={symptom}
            className="min-h-[40px]"
            checked={values.symptoms.includes(symptom)}
            onChange={(on) =>
              set({
                symptoms: on
                  ? [...values.symptoms, symptom]
                  : values.symptoms.filter((own) => own !== symptom),
              })
            }
          >
            {symptom}
          </CheckField>
        ))}
      </fieldset>
    </section>
  );
}

/** At which circuit and event, and which session of it was planned. */
function Where({ kept, values, set }: KeepTabProps & AfterPartProps) {
  const project = useProject();
  const events = project.seasons
    .filter(({ carId }) => carId === kept.car.id)
    .flatMap(({ events: own }) => Object.entries(own));
  const event = events.find(([id]) => id === values.eventId)?.[1];
  return (
    <>
      <SelectField
        label="Circuit"
        value={values.circuitId}
        options={project.circuits.map(({ id, name }) => [id, name] as const)}
        onChange={(circuitId) => set({ circuitId })}
      />
      <SelectField
        label="Event"
        value={values.eventId ?? ''}
        options={[['', 'none'], ...events.map(([id, { name, date }]) => [id, `${date} ${name}`] as const)]}
        onChange={(id) => set({ eventId: id || null, plannedId: null })}
      />
      {event && (
        <SelectField
          label="Planned session"
          value={values.plannedId ?? ''}
          options={[
            ['', 'none'],
            ...sessionsOf(event).map(
              ([id, { name, hotLaps }]) => [id, say.plannedSession(name, hotLaps)] as const,
            ),
          ]}
          onChange={(id) => {
            const session = event.sessions[id];
            if (session && values.eventId)
              set(asPlanned({ eventId: values.eventId, event, sessionId: id, session }));
            else set({ plannedId: null });
          }}
        />
      )}
    </>
  );
}
