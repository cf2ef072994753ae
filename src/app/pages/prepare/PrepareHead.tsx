import { format, parseISO } from 'date-fns';
import { Plus, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { deleteItem } from '../../../model';
import { say } from '../../../text/en/say/prepare';
import { useBegin } from '../../shared/useBegin';
import { useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { CaptionedDay } from '../../ui/DayField';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { Tip } from '../../ui/Tip';
import { type Prepared, useOwnPreparations } from './usePrepared';
import { setWorker, useWorker } from './worker';

/** Which work, for which day, who does it, how far it is. */
export function PrepareHead({ prepared }: { readonly prepared: Prepared | null }) {
  const { car } = useSetup();
  const own = useOwnPreparations();
  const navigate = useNavigate();
  const edit = useEdit();
  const begin = useBegin();
  const worker = useWorker();
  const name = prepared?.car.name ?? car.name;
  return (
    <header className="grid gap-2 print:hidden">
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <p className="caption">Prepare</p>
          <Tip text={name}>
            <h1 className="truncate text-[22px] leading-tight">{name}</h1>
          </Tip>
        </div>
        {prepared && (
          <p className="text-dim" role="status" data-testid="progress">
            {prepared.preparation.signed
              ? say.signedOff(
                  prepared.preparation.signed.by,
                  format(parseISO(prepared.preparation.signed.at), 'd MMM yyyy'),
                  prepared.list.open,
                )
              : say.stepsOpen(prepared.list.open, prepared.list.steps.length)}
          </p>
        )}
      </div>
      {prepared && (
        <div className="panel flex flex-wrap items-end gap-x-4 gap-y-2 px-4 py-2.5">
          {own.length > 1 && (
            <div className="w-[260px] max-w-full">
              <SelectField
                label="Work"
                value={prepared.preparation.id}
                options={own.map((each) => [each.id, each.name] as const)}
                onChange={(id) => navigate({ search: `?work=${id}` })}
              />
            </div>
          )}
          <div className="w-[260px] max-w-full">
            <TextField
              label="Name"
              value={prepared.preparation.name}
              longest={80}
              required
              onCommit={(next) => prepared.editing.set(['name'], next, 'Name of a preparation')}
            />
          </div>
          <div className="w-[150px]">
            <CaptionedDay
              label="Day it is for"
              value={prepared.preparation.date}
              onChange={(date) => date && prepared.editing.set(['date'], date, 'Day of a preparation')}
            />
          </div>
          <div className="w-[160px]">
            <TextField label="Who works" value={worker} longest={60} required={false} onCommit={setWorker} />
          </div>
          <button type="button" className="btn" onClick={() => begin(prepared.car, 'Work on the car', [])}>
            <Plus size={15} aria-hidden="true" /> New
          </button>
          <IconButton
            icon={Trash2}
            name={`Delete ${prepared.preparation.name}`}
            title="Delete"
            onClick={() =>
              edit('Deleted a preparation', (p) => deleteItem(p, 'preparations', prepared.preparation.id), {
                done: `Deleted “${prepared.preparation.name}”`,
              })
            }
          />
        </div>
      )}
    </header>
  );
}
