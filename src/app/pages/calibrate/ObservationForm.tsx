import { zodResolver } from '@hookform/resolvers/zod';
import { Timer } from 'lucide-react';
import { useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { type Observation, type StoredDrive, setObservations } from '../../../model';
import { OBSERVATION_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { FormRadio } from '../../shared/form/FormChoice';
import { FormText } from '../../shared/form/FormText';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { KindFields } from './KindFields';
import {
  emptyObservation,
  isTyped,
  observationForm,
  TYPED_KINDS,
  type TypedKind,
  type TypedObservation,
  typedAgain,
} from './observationForm';
import { useStopwatch } from './useStopwatch';

/** Last typed of each drive: what is entered next is mostly like it. */
const last = new Map<string, TypedObservation>();
/** Round the car, as one walks. */
const NEXT = {
  frontLeft: 'frontRight',
  frontRight: 'rearRight',
  rearRight: 'rearLeft',
  rearLeft: 'frontLeft',
} as const;

const lapsOf = ({ plan }: StoredDrive) =>
  plan.sessions.reduce(
    (sum, { legs }) => sum + legs.reduce((all, leg) => all + ('laps' in leg ? leg.laps : 0), 0),
    0,
  );

/** Enters an observation, or changes one; made for a thumb in the pit lane. */
export function ObservationForm({
  drive,
  editing,
  onDone,
}: {
  readonly drive: StoredDrive;
  readonly editing: Observation | null;
  readonly onDone: () => void;
}) {
  const units = useUnits();
  const edit = useEdit();
  const before = last.get(drive.id) ?? emptyObservation(lapsOf(drive));
  const [kind, setKind] = useState<TypedKind>(editing && isTyped(editing.kind) ? editing.kind : before.kind);
  const form = useForm<TypedObservation, unknown, object>({
    resolver: zodResolver(observationForm(kind, units)) as never,
    defaultValues: editing ? typedAgain(editing, before, units) : before,
  });
  const chosen = useWatch({ control: form.control, name: 'kind' });
  if (chosen !== kind) setKind(chosen);
  const watch = useStopwatch(drive.id);
  const submit = form.handleSubmit((read) => {
    const typed = form.getValues();
    const observation = {
      ...read,
      id: editing?.id ?? crypto.randomUUID(),
      excluded: editing?.excluded ?? null,
    } as Observation;
    const next = editing
      ? drive.observations.map((own) => (own.id === editing.id ? observation : own))
      : [...drive.observations, observation];
    const label = editing ? 'Changed a reading' : 'New reading';
    if (!edit(label, (p) => setObservations(p, drive.id, next))) return;
    last.set(drive.id, { ...typed, wheel: NEXT[typed.wheel], valueC: '', note: '' });
    if (editing) return onDone();
    form.reset(last.get(drive.id));
    form.setFocus(kind === 'paint' ? 'thresholdC' : kind === 'spot' ? 'valueC' : 'kind');
  });
  return (
    <FormProvider {...form}>
      <form
        onSubmit={(event) => {
          // Typed by the stopwatch, so that nobody has to.
          if (watch.seconds !== null && kind === 'spot' && !editing) {
            form.setValue('afterS', String(watch.seconds));
          }
          void submit(event);
        }}
        className="panel grid gap-3 px-4 py-3"
        noValidate
        aria-label={editing ? 'Change a reading' : 'New reading'}
      >
        <h2 className="text-[16px]">{editing ? 'Change this reading' : 'What was seen'}</h2>
        <FormRadio<TypedObservation>
          keys="row"
          name="kind"
          label="Kind"
          options={TYPED_KINDS.map((own) => [own, OBSERVATION_NAMES[own]] as const)}
        />
        <KindFields kind={kind} watched={editing ? null : watch.seconds} />
        {kind === 'spot' && !editing && (
          <div className="flex flex-wrap items-center gap-2">
            {watch.seconds === null ? (
              <button type="button" className="btn min-h-[44px] px-3" onClick={watch.start}>
                <Timer size={17} aria-hidden="true" /> The car stops now
              </button>
            ) : (
              <>
                <p className="text-[18px] tabular-nums" role="timer">
                  {say.stoppedFor(watch.seconds)}
                </p>
                <button type="button" className="btn" onClick={watch.stop}>
                  Type the seconds
                </button>
              </>
            )}
          </div>
        )}
        <FormText<TypedObservation> name="note" label="Note" />
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="btn btn-main min-h-[48px] flex-1 justify-center text-[16px]">
            {editing ? 'Save' : 'Add'}
          </button>
          {editing && (
            <button type="button" className="btn min-h-[44px]" onClick={onDone}>
              Cancel
            </button>
          )}
        </div>
      </form>
    </FormProvider>
  );
}
