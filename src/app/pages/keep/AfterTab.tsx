import { useState } from 'react';
import { useNavigate } from 'react-router';
import { FLUID_LEVELS, PEDALS, SYMPTOMS, TRACK_STATES } from '../../../model';
import { setupOfSession } from '../../../services';
import { WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { useBackground, useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { CheckField } from '../../ui/CheckField';
import { DayField } from '../../ui/DayField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { type AfterValues, begunWith, sessionOf, WHEEL_IDS, written } from './afterForm';
import { Keys } from './Keys';
import { Reading } from './Reading';
import { Stepper } from './Stepper';
import { type KeepTabProps, today } from './tabProps';

const clock = () => new Date().toTimeString().slice(0, 5);

/** The lower half of the run sheet: what a session came to, put down in a minute with gloves on. */
export function AfterTab({ kept }: KeepTabProps) {
  const project = useProject();
  const { plan } = useSetup();
  const { decide } = useBackground();
  const units = useUnits();
  const edit = useEdit();
  const navigate = useNavigate();
  const [values, setValues] = useState<AfterValues>(() =>
    begunWith(kept.entries, plan, { date: today(), time: clock() }),
  );
  const [writing, setWriting] = useState(false);
  const set = (change: Partial<AfterValues>) => setValues((now) => ({ ...now, ...change }));
  const events = project.seasons
    .filter(({ carId }) => carId === kept.car.id)
    .flatMap(({ events: own }) => Object.entries(own));
  const keep = async () => {
    setWriting(true);
    const session = sessionOf(values, { id: 'asked', carId: kept.car.id, entries: kept.entries });
    const setup = setupOfSession(project, session);
    // What it took is computed with the car of today; if that fails, it is computed later.
    const load = setup ? await decide.call((engine) => engine.load(setup)).catch(() => null) : null;
    setWriting(false);
    const newId = () => crypto.randomUUID();
    const made = edit(
      'Wrote a session down',
      (p) => written(p, values, { carId: kept.car.id, entries: kept.entries, load, newId }),
      { done: say.writtenDown(values.name) },
    );
    if (made) void navigate('/logbook/entries');
  };
  return (
    <form
      noValidate
      aria-label="After a session"
      className="grid max-w-[900px] grid-cols-[minmax(0,1fr)] gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <section className="panel grid gap-3 px-4 py-3">
        <p className="caption max-w-[80ch]">{say.afterMeans}</p>
        <div className="grid gap-3 sm:grid-cols-3">
          <div>
            <span className="flex min-h-[24px] items-center font-[540]" aria-hidden="true">
              Day
            </span>
            <DayField label="Day" value={values.date} onChange={(date) => date && set({ date })} />
          </div>
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
          <SelectField
            label="Circuit"
            value={values.circuitId}
            options={project.circuits.map(({ id, name }) => [id, name] as const)}
            onChange={(circuitId) => set({ circuitId })}
          />
          <SelectField
            label="Event"
            value={values.eventId ?? ''}
            options={[
              ['', 'none'],
              ...events.map(([id, { name, date }]) => [id, `${date} ${name}`] as const),
            ]}
            onChange={(id) => set({ eventId: id || null })}
          />
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
            quantity="temperature"
            value={values.airC}
            step={1}
            min={-30}
            max={55}
            units={units}
            onChange={(airC) => airC !== null && set({ airC })}
          />
        </div>
        <Keys
          label="Track"
          value={values.track}
          options={TRACK_STATES}
          onChange={(track) => set({ track })}
        />
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
      <section className="panel px-4 py-3" aria-label="Readings after parking">
        <h2 className="text-[15px]">Readings after parking</h2>
        <p className="caption mt-0.5 max-w-[80ch]">{say.readingsMean}</p>
        <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3">
          <Stepper
            label="Seconds after stopping"
            value={values.secondsAfter}
            min={0}
            max={3600}
            step={15}
            onChange={(secondsAfter) => set({ secondsAfter })}
          />
          {WHEEL_IDS.map((wheel) => (
            <Reading
              key={wheel}
              label={`${WHEEL_NAMES[wheel]} disc`}
              quantity="temperature"
              value={values.discC[wheel]}
              from={150}
              step={10}
              min={0}
              max={900}
              units={units}
              onChange={(value) => set({ discC: { ...values.discC, [wheel]: value } })}
            />
          ))}
        </div>
        <h3 className="mt-3 text-[14px]">Thinnest pad</h3>
        <div className="mt-1 flex flex-wrap gap-x-6 gap-y-3">
          {WHEEL_IDS.map((wheel) => (
            <Reading
              key={wheel}
              label={`${WHEEL_NAMES[wheel]} pad`}
              quantity="smallLength"
              value={values.padMm[wheel]}
              from={8}
              step={0.5}
              min={0}
              max={30}
              units={units}
              onChange={(value) => set({ padMm: { ...values.padMm, [wheel]: value } })}
            />
          ))}
        </div>
        <div className="mt-3 grid gap-3">
          <Keys
            label="Fluid level"
            value={values.level}
            options={FLUID_LEVELS}
            onChange={(level) => set({ level })}
          />
          <CheckField checked={values.boiled} onChange={(boiled) => set({ boiled })}>
            {say.boiled}
          </CheckField>
          <CheckField checked={values.incident} onChange={(incident) => set({ incident })}>
            Incident
          </CheckField>
          <TextField
            label="Note"
            value={values.note}
            longest={600}
            required={false}
            onCommit={(note) => set({ note })}
          />
        </div>
      </section>
      <div className="flex items-center gap-3">
        <button type="submit" className="btn btn-main min-h-[48px] px-6" disabled={writing}>
          {writing ? 'Computing' : 'Write it down'}
        </button>
        <p className="caption">{say.oneUndo}</p>
      </div>
    </form>
  );
}
