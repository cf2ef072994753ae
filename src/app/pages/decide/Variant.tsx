import { Copy, Trash2, Wrench } from 'lucide-react';
import { RadioGroup } from 'radix-ui';
import { useId, useMemo, useState } from 'react';
import {
  type Change,
  type Compare,
  changePrice,
  changesProblem,
  changeWords,
  fieldInfo,
  MOST_SETUPS,
  type Project,
  type Setup,
  type SetupVariant,
  setupSchema,
  withOneMore,
} from '../../../model';
import { carOf } from '../../../services';
import { moneyText } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AddChange } from '../../shared/AddChange';
import { NumberField } from '../../shared/NumberField';
import { useBegin } from '../../shared/useBegin';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { SetupMark } from './SetupMark';

/** A setup’s name, car, price, and what can be done with it. */
export function VariantHead({
  i,
  variant,
  setProblem,
  editing,
  project,
  change,
  compare,
  full,
  add,
  save,
}: {
  i: number;
  variant: SetupVariant;
  setProblem: (value: string | null) => void;
  editing: Editing<'plans'>;
  project: Project;
  change: (id: string, with_: Partial<SetupVariant>, label: string) => void;
  compare: Compare;
  full: boolean;
  add: (from: Omit<SetupVariant, 'id'>) => void;
  save: (next: Compare, label: string) => void;
}) {
  const begin = useBegin();
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
      <SetupMark index={i + 1} />
      <div className="w-[min(260px,100%)]">
        <TextField
          compact
          required
          longest={80}
          label={`Name of setup ${i + 1}`}
          value={variant.name}
          onCommit={(name) =>
            setProblem(editing.set(['compare', 'setups', i, 'name'], name, 'Name of a setup'))
          }
        />
      </div>
      {project.cars.length > 1 && (
        <div className="w-[min(230px,100%)] [&_label]:sr-only">
          <SelectField
            label={`Car of setup ${i + 1}`}
            value={variant.carId}
            options={project.cars.map((car) => [car.id, car.name] as const)}
            onChange={(carId) => change(variant.id, { carId }, 'Car of a setup')}
          />
        </div>
      )}
      <Pin pinned={compare.referenceId === variant.id} name={variant.name} value={variant.id} />
      <OtherCost project={project} variant={variant} editing={editing} i={i} />
      <button
        type="button"
        className="btn"
        aria-label={`Prepare ${variant.name}`}
        onClick={() => begin(carOf(project, variant), variant.name, variant.changes)}
      >
        <Wrench size={15} aria-hidden="true" /> Prepare
      </button>
      <IconButton
        icon={Copy}
        disabled={full}
        name={`Copy ${variant.name}`}
        title="Copy"
        onClick={() => add({ ...variant, name: `${variant.name.slice(0, 72)} (copy)` })}
      />
      <IconButton
        icon={Trash2}
        name={`Remove ${variant.name}`}
        title="Remove"
        onClick={() =>
          save(
            {
              setups: compare.setups.filter((s) => s.id !== variant.id),
              referenceId: compare.referenceId === variant.id ? null : compare.referenceId,
            },
            'Setup removed',
          )
        }
      />
    </div>
  );
}

/** What the setup costs beside its parts. */
export function OtherCost({
  project,
  variant,
  editing,
  i,
}: {
  project: Project;
  variant: SetupVariant;
  editing: Editing<'plans'>;
  i: number;
}) {
  return (
    <span className="flex items-center gap-1.5">
      <span className="caption" aria-hidden="true">
        other cost, {project.currency}
      </span>
      <span className="w-[92px]">
        <NumberField
          compact
          label={`Other cost of ${variant.name}`}
          info={otherCostInfo}
          value={variant.otherCost}
          onCommit={(cost) =>
            cost === null
              ? null
              : editing.set(['compare', 'setups', i, 'otherCost'], cost, 'Other cost of a setup')
          }
        />
      </span>
    </span>
  );
}

/** The edits of the setups of a comparison. */
export function useVariants(editing: Editing<'plans'>, compare: Compare) {
  const [problem, setProblem] = useState<string | null>(null);
  // Each an edit of its own, to be undone by itself; a name is typed in one go.
  const save = (next: Compare, label: string) =>
    setProblem(editing.replace({ ...editing.item, compare: next }, label));
  const change = (id: string, with_: Partial<SetupVariant>, label: string) =>
    save({ ...compare, setups: compare.setups.map((s) => (s.id === id ? { ...s, ...with_ } : s)) }, label);
  const full = compare.setups.length >= MOST_SETUPS;
  const add = (from: Omit<SetupVariant, 'id'>) =>
    save(
      { ...compare, setups: [...compare.setups, { ...from, id: crypto.randomUUID() }] },
      'Setup to compare',
    );
  const taken = compare.setups.map((s) => s.name);
  const fresh = () => {
    for (let n = compare.setups.length + 1; ; n++) if (!taken.includes(`Setup ${n}`)) return `Setup ${n}`;
  };
  return { problem, setProblem, save, change, full, add, fresh };
}

export function ChangeList({
  setup,
  variant,
  onChange,
}: {
  setup: Setup;
  variant: SetupVariant;
  onChange: (changes: SetupVariant['changes']) => void;
}) {
  const units = useUnits();
  const project = useProject();
  const { changes } = variant;
  const [problem, setProblem] = useState<string | null>(null);
  // What came to be impossible since it was added is told as well.
  const { car, parts } = setup;
  // biome-ignore lint/correctness/useExhaustiveDependencies: of the setup only these two count
  const standing = useMemo(() => changesProblem(setup, changes), [car, parts, changes]);
  const add = (change: Change) => {
    const next = withOneMore(changes, change, setup.parts);
    const found = standing ? null : changesProblem(setup, next);
    setProblem(found && `Not added: ${found}.`);
    if (!found) onChange(next);
  };
  return (
    <div className="mt-1.5 flex flex-wrap items-center gap-1.5">
      {changes.length === 0 && <span className="caption">{say.noChangeYet}</span>}
      {changes.map((change, i) => {
        const words = changeWords(change, project.parts, units);
        const price = changePrice(project, change, carOf(project, variant));
        return (
          <span key={words} className="inline-flex items-center gap-1 rounded bg-sunk py-0.5 pl-2 pr-0.5">
            {words}
            {price > 0 && <span className="caption">{moneyText(price, project.currency)}</span>}
            <button
              type="button"
              className="btn btn-bare min-h-[24px] px-1.5"
              aria-label={`Take out ${words}`}
              onClick={() => onChange(changes.filter((_, k) => k !== i))}
            >
              ×
            </button>
          </span>
        );
      })}
      <AddChange carId={variant.carId} onAdd={add} />
      {(problem || standing) && (
        <p role="alert" className="w-full text-over">
          {standing ? say.theseChangesDoNot(standing) : problem}
        </p>
      )}
    </div>
  );
}

export function Pin({ pinned, name, value }: { pinned: boolean; name: string; value: string }) {
  const id = useId();
  return (
    <span className="ml-auto flex items-center gap-1.5">
      <RadioGroup.Item id={id} value={value} aria-label={`Differences against ${name}`} className="radio">
        <RadioGroup.Indicator className="radio-dot" />
      </RadioGroup.Item>
      <label htmlFor={id} aria-hidden="true">
        {pinned ? 'pinned: differences are against it' : 'pin'}
      </label>
    </span>
  );
}

export const otherCostInfo = fieldInfo(setupSchema.shape.otherCost);
