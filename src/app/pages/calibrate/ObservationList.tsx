import { Pencil, Trash2 } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { formatQuantity, type Observation, type StoredDrive, setObservations } from '../../../model';
import type { ObservationProblem } from '../../../services';
import { observationText } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { isTyped } from './observationForm';
import { predictedText } from './predictedText';
import { useCase } from './useDrives';
import { inOtherUnit, type Predicted, usePredicted } from './usePredicted';

/** What was observed of a drive, each with what is wrong with it. */
export function ObservationList({
  drive,
  editing,
  onEdit,
}: {
  readonly drive: StoredDrive;
  readonly editing: Observation | null;
  readonly onEdit: (observation: Observation) => void;
}) {
  const edit = useEdit();
  const { ready, error } = useCase(drive);
  const predicted = usePredicted(ready);
  const change = (label: string, observations: readonly Observation[], done?: string) =>
    edit(label, (p) => setObservations(p, drive.id, observations), done ? { done } : {});
  const { observations } = drive;
  const used = observations.filter(({ excluded }) => excluded === null).length;
  return (
    <section className="panel px-4 py-3" aria-label="Readings">
      <h2 className="text-[16px]">
        {observations.length === 0 ? 'Nothing entered yet' : say.readingsOf(observations.length, used)}
      </h2>
      {error && <p role="alert">{say.logIsGone(error)}</p>}
      {observations.length === 0 ? (
        <p className="mt-1 max-w-[70ch] text-dim">{say.whatHelps}</p>
      ) : (
        <ul className="mt-1" data-testid="observations">
          {observations.map((own) => (
            <Row
              key={own.id}
              own={own}
              open={own.id === editing?.id}
              problem={ready?.problems.find(({ id }) => id === own.id) ?? null}
              predicted={predicted.get(own.id) ?? null}
              onEdit={isTyped(own.kind) ? () => onEdit(own) : null}
              onExclude={(reason) =>
                change(
                  reason === null ? 'Used a reading again' : 'Left a reading out',
                  observations.map((o) => (o.id === own.id ? { ...o, excluded: reason } : o)),
                )
              }
              onDelete={() =>
                change(
                  'Deleted a reading',
                  observations.filter((o) => o.id !== own.id),
                  'Deleted the reading',
                )
              }
            />
          ))}
        </ul>
      )}
    </section>
  );
}

function Row({
  own,
  open,
  problem,
  predicted,
  onEdit,
  onExclude,
  onDelete,
}: {
  readonly own: Observation;
  readonly open: boolean;
  readonly problem: ObservationProblem | null;
  readonly predicted: Predicted | null;
  readonly onEdit: (() => void) | null;
  readonly onExclude: (reason: string | null) => void;
  readonly onDelete: () => void;
}) {
  const units = useUnits();
  const text = observationText(own, units);
  const other = inOtherUnit(own, predicted);
  const [asking, setAsking] = useState(false);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const reason = String(new FormData(event.currentTarget).get('reason') ?? '').trim();
    onExclude(reason === '' ? 'not used' : reason.slice(0, 120));
    setAsking(false);
  };
  return (
    <li className={`border-t border-rule/60 py-1.5 ${open ? 'bg-rule/30' : ''}`}>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <span
          className={`min-w-0 flex-1 basis-[220px] ${own.excluded === null ? '' : 'text-dim line-through'}`}
        >
          {text}
          {predicted && own.excluded === null && own.kind !== 'sensor' && (
            <span className="caption ml-2">
              predicted {predictedText(predicted.reading, predicted.value, units)}
            </span>
          )}
        </span>
        <span className="flex items-center gap-1">
          {own.excluded === null ? (
            <button type="button" className="btn" onClick={() => setAsking(!asking)} aria-expanded={asking}>
              Leave out
            </button>
          ) : (
            <button type="button" className="btn" onClick={() => onExclude(null)}>
              Use again
            </button>
          )}
          {onEdit && <IconButton icon={Pencil} name={`Change ${text}`} title="Change" onClick={onEdit} />}
          <IconButton icon={Trash2} name={`Delete ${text}`} title="Delete" onClick={onDelete} />
        </span>
      </div>
      {other !== null && own.excluded === null && (
        <p className="text-[13px] text-close" role="alert">
          {say.wasItFahrenheit(
            `${Math.round(own.kind === 'spot' ? own.valueC : 0)} °F`,
            formatQuantity(other, 'temperature', units),
          )}
        </p>
      )}
      {own.note && <p className="caption">{own.note}</p>}
      {own.excluded !== null && <p className="caption">Left out: {own.excluded}</p>}
      {problem && own.excluded === null && (
        <p
          className={`text-[13px] ${problem.severity === 'error' ? 'text-over' : 'text-dim'}`}
          role={problem.severity === 'error' ? 'alert' : undefined}
        >
          {problem.severity === 'error' ? 'Not used: ' : ''}
          {problem.message}
        </p>
      )}
      {asking && (
        <form onSubmit={submit} className="mt-1 flex flex-wrap items-end gap-2">
          <label className="min-w-0 flex-1 basis-[200px]">
            <span className="caption">Reason</span>
            <input
              name="reason"
              className="field"
              maxLength={120}
              autoComplete="off"
              placeholder="misread, wrong wheel …"
            />
          </label>
          <button type="submit" className="btn">
            Leave it out
          </button>
        </form>
      )}
    </li>
  );
}
