import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { deleteItem, formatQuantity, placeOf, ROTOR_BUILDS, shelfOf } from '../../../model';
import type { SetWear } from '../../../services';
import { say } from '../../../text/en/say/keep';
import { Field } from '../../shared/Section';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { type Editing, useItem } from '../../state/useItem';
import { CaptionedDay } from '../../ui/DayField';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { today } from './tabProps';

const NUMBERS = [
  'newMm',
  'minimumMm',
  'leftKg',
  'rightKg',
  'price',
  'sessionsBefore',
  'usedPercent',
] as const;

/** One set: what it is, and its own values when it is opened. */
export function SetCard({
  wear,
  onCar,
  open,
  onOpen,
  children,
}: {
  readonly wear: SetWear;
  readonly onCar: boolean;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly children: ReactNode;
}) {
  const edit = useEdit();
  const units = useUnits();
  const editing = useItem('sets', wear.set.id);
  if (!editing) return null;
  const { set } = wear;
  const cracks = Object.values(wear.cracks);
  return (
    <article
      aria-label={set.name}
      className={`rounded-[6px] border border-rule px-3 py-2 ${open ? 'lg:col-span-2' : ''} ${set.retiredOn ? 'opacity-70' : ''}`}
    >
      <div className="flex flex-wrap items-center gap-2">
        <h3 className="text-[15px]">{set.name}</h3>
        <span className="caption">
          {set.retiredOn ? say.retired(set.retiredOn) : onCar ? 'on the car' : 'on the shelf'}
        </span>
        <span className="ml-auto flex gap-1">
          <button type="button" className="btn" aria-expanded={open} onClick={onOpen}>
            Values
          </button>
          <IconButton
            icon={Trash2}
            name={`Delete ${set.name}`}
            title="Delete"
            onClick={() =>
              edit('Deleted a set', (p) => deleteItem(p, 'sets', set.id), { done: say.deletedLine(set.name) })
            }
          />
        </span>
      </div>
      <p className="caption">
        {say.setDriven(wear.sessions, formatQuantity(wear.energyMj, 'largeEnergy', units), wear.rate.losses)}
      </p>
      {cracks.map((crack, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a wheel's worst crack has no name
        <p key={i} className={crack.stop ? 'text-over' : 'text-close'}>
          {say.cracked(formatQuantity(crack.lengthMm, 'smallLength', units), crack.stop)}
        </p>
      ))}
      {open && <Values editing={editing} />}
      <div className="mt-2">{children}</div>
    </article>
  );
}

function Values({ editing }: { readonly editing: Editing<'sets'> }) {
  const project = useProject();
  const set = editing.item;
  const parts = shelfOf<'pad' | 'rotor'>(set.kind === 'pads' ? 'pad' : 'rotor', project.parts);
  return (
    <div className="mt-2 grid gap-x-4 gap-y-3 border-y border-rule/60 py-3 sm:grid-cols-3">
      <TextField
        label="Number"
        value={set.name}
        longest={80}
        required
        onCommit={(name) => editing.set(['name'], name, 'Number')}
      />
      <SelectField
        label="Part"
        value={set.part ?? ''}
        options={[['', say.asOnTheCar(placeOf(set))], ...parts.map(({ id, name }) => [id, name] as const)]}
        onChange={(part) => editing.set(['part'], part === '' ? null : part, 'Part')}
      />
      {set.kind === 'rotors' && (
        <SelectField
          label="Build"
          value={set.build}
          options={ROTOR_BUILDS.map((build) => [build, build] as const)}
          onChange={(build) => editing.set(['build'], build, 'Build')}
        />
      )}
      {NUMBERS.map((key) => (
        <Field key={key} shelf="sets" editing={editing} path={[key]} />
      ))}
      <CaptionedDay
        label="Bought on"
        value={set.boughtOn ?? ''}
        onChange={(day) => editing.set(['boughtOn'], day || null, 'Bought on')}
      />
      <button
        type="button"
        className="btn self-end justify-self-start"
        onClick={() => editing.set(['retiredOn'], set.retiredOn ? null : today(), 'Retired')}
      >
        {set.retiredOn ? 'Use it again' : 'Retire it'}
      </button>
    </div>
  );
}
