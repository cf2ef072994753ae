import { Plus, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { deleteItem, runsOf } from '../../../model';
import { say } from '../../../text/en/say/test';
import { useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { CaptionedDay } from '../../ui/DayField';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { Tip } from '../../ui/Tip';
import { useBeginTest } from './useBeginTest';
import { type Tested, useOwnTests } from './useTested';

/** Which test, of which day. */
export function TestHead({ tested }: { readonly tested: Tested | null }) {
  const { car } = useSetup();
  const own = useOwnTests();
  const navigate = useNavigate();
  const edit = useEdit();
  const begin = useBeginTest();
  const name = tested?.car.name ?? car.name;
  const runs = tested ? runsOf(tested.test) : [];
  const stops = runs.reduce((sum, { run }) => sum + Object.keys(run.stops).length, 0);
  return (
    <header className="grid gap-2 print:hidden">
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <p className="caption">Test</p>
          <Tip text={name}>
            <h1 className="truncate text-[22px] leading-tight">{name}</h1>
          </Tip>
        </div>
        {tested && (
          <p className="text-dim" role="status" data-testid="driven">
            {say.driven(runs.length, stops)}
          </p>
        )}
      </div>
      {tested && (
        <div className="panel flex flex-wrap items-end gap-x-4 gap-y-2 px-4 py-2.5">
          {own.length > 1 && (
            <div className="w-[260px] max-w-full">
              <SelectField
                label="Test"
                value={tested.test.id}
                options={own.map((each) => [each.id, each.name] as const)}
                onChange={(id) => navigate({ search: `?test=${id}` })}
              />
            </div>
          )}
          <div className="w-[260px] max-w-full">
            <TextField
              label="Name"
              value={tested.test.name}
              longest={80}
              required
              onCommit={(next) => tested.editing.set(['name'], next, 'Name of a test')}
            />
          </div>
          <div className="w-[150px]">
            <CaptionedDay
              label="Day"
              value={tested.test.date}
              onChange={(date) => date && tested.editing.set(['date'], date, 'Day of a test')}
            />
          </div>
          <button type="button" className="btn" onClick={() => begin(tested.car)}>
            <Plus size={15} aria-hidden="true" /> New
          </button>
          <IconButton
            icon={Trash2}
            name={`Delete ${tested.test.name}`}
            title="Delete"
            onClick={() =>
              edit('Deleted a test', (p) => deleteItem(p, 'tests', tested.test.id), {
                done: `Deleted “${tested.test.name}”`,
              })
            }
          />
        </div>
      )}
    </header>
  );
}
