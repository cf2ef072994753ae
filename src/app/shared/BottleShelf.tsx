import { format, parseISO } from 'date-fns';
import { Plus, Trash2 } from 'lucide-react';
import { addBottle, type Bottle, choices, deleteItem, fluidOf, isUsable } from '../../model';
import { say } from '../../text/en/say/shared';
import { useProject } from '../state/context';
import { useEdit } from '../state/useEdit';
import { useItem } from '../state/useItem';
import { CaptionedDay } from '../ui/DayField';
import { IconButton } from '../ui/IconButton';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';
import { Field } from './Section';
import { StateMark } from './StateMark';

/** Bottles of fluid: what is in them, since when they are open, whether they may still be used. */
export function BottleShelf({ fluid, date }: { readonly fluid: string; readonly date: string }) {
  const { bottles } = useProject();
  const edit = useEdit();
  const add = () => {
    const name = `Bottle ${bottles.length + 1}`;
    edit('New bottle', (p) =>
      addBottle(p, { id: crypto.randomUUID(), name, fluid, leftCm3: 500, openedOn: null, keepMonths: 6 }),
    );
  };
  return (
    <section className="panel px-4 py-3" aria-label="Bottle shelf" data-testid="shelf">
      <div className="flex items-center gap-3">
        <h2 className="mr-auto text-[15px]">Fluid on the shelf</h2>
        <button type="button" className="btn" onClick={add}>
          <Plus size={15} aria-hidden="true" /> Add a bottle
        </button>
      </div>
      {bottles.length === 0 && <p className="mt-1 text-dim">{say.noBottle}</p>}
      <ul>
        {bottles.map((bottle) => (
          <BottleRow key={bottle.id} bottle={bottle} date={date} />
        ))}
      </ul>
    </section>
  );
}

function BottleRow({ bottle, date }: { readonly bottle: Bottle; readonly date: string }) {
  const { parts } = useProject();
  const editing = useItem('bottles', bottle.id);
  const edit = useEdit();
  if (!editing) return null;
  const usable = isUsable(bottle, date);
  const number = (key: 'leftCm3' | 'keepMonths') => (
    <div className="w-[170px]">
      <Field shelf="bottles" editing={editing} path={[key]} />
    </div>
  );
  return (
    <li className="flex flex-wrap items-start gap-x-4 gap-y-2 border-t border-rule/60 py-2 first:border-0">
      <div className="w-[150px]">
        <TextField
          label="Name"
          value={bottle.name}
          longest={80}
          required
          onCommit={(name) => editing.set(['name'], name, 'Name of a bottle')}
        />
      </div>
      <div className="w-[210px]">
        <SelectField
          label="Fluid"
          value={bottle.fluid}
          options={choices('fluid', parts)}
          onChange={(kind) => editing.set(['fluid'], kind, 'Fluid of a bottle')}
        />
      </div>
      {number('leftCm3')}
      <div className="w-[140px]">
        <CaptionedDay
          label="Opened on"
          value={bottle.openedOn ?? ''}
          onChange={(day) => editing.set(['openedOn'], day === '' ? null : day, 'Opened on')}
        />
      </div>
      {number('keepMonths')}
      <p className="mt-[28px] flex min-w-[180px] flex-1 items-center gap-2">
        <StateMark kind={usable ? 'within-limits' : 'over-limit'} className="h-[14px] w-[14px]" />
        {bottle.openedOn === null
          ? say.sealed(fluidOf(bottle.fluid, parts).name)
          : usable
            ? say.openSince(format(parseISO(bottle.openedOn), 'd MMM yyyy'))
            : say.openTooLong(format(parseISO(bottle.openedOn), 'd MMM yyyy'))}
      </p>
      <IconButton
        icon={Trash2}
        name={`Delete ${bottle.name}`}
        title="Delete"
        onClick={() =>
          edit('Deleted a bottle', (p) => deleteItem(p, 'bottles', bottle.id), {
            done: `Deleted “${bottle.name}”`,
          })
        }
      />
    </li>
  );
}
