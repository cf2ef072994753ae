import { Plus } from 'lucide-react';
import { RadioGroup } from 'radix-ui';
import type { Compare, Setup } from '../../../model';
import { carOf } from '../../../services';
import { say } from '../../../text/en/say/decide';
import { useProject } from '../../state/context';
import type { Editing } from '../../state/useItem';
import { SetupMark } from './SetupMark';
import { ChangeList, Pin, useVariants, VariantHead } from './Variant';

/** The plan’s own setup among those that can be pinned. */
const CURRENT = 'current';

/** The setups of a comparison: named, changed, priced, pinned, copied and removed. */
export function SetupList({
  editing,
  compare,
  setup,
}: {
  editing: Editing<'plans'>;
  compare: Compare;
  setup: Setup;
}) {
  const project = useProject();
  const { problem, setProblem, save, change, full, add, fresh } = useVariants(editing, compare);
  return (
    <section className="panel px-4 py-3" aria-label="Setups">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="mr-auto text-[15px]">{say.setupsLapsPlan}</h2>
        <button
          type="button"
          className="btn"
          disabled={full}
          onClick={() => add({ name: fresh(), carId: setup.car.id, changes: [], otherCost: 0 })}
        >
          <Plus size={15} aria-hidden="true" /> Add a setup
        </button>
      </div>
      <RadioGroup.Root
        aria-label="Reference setup"
        value={compare.referenceId ?? CURRENT}
        onValueChange={(id) =>
          save({ ...compare, referenceId: id === CURRENT ? null : id }, 'Reference setup')
        }
      >
        <ul className="mt-2 grid gap-2">
          <li className="flex flex-wrap items-center gap-x-3 gap-y-1 rounded border border-rule px-2.5 py-1.5">
            <SetupMark index={0} />
            <span className="font-[600]">Current setup</span>
            <span className="text-dim">{setup.car.name}</span>
            <Pin pinned={compare.referenceId === null} name="Current setup" value={CURRENT} />
          </li>
          {compare.setups.map((variant, i) => (
            <li
              key={variant.id}
              className="rounded border border-rule px-2.5 py-1.5"
              aria-label={variant.name}
            >
              <VariantHead
                i={i}
                variant={variant}
                setProblem={setProblem}
                editing={editing}
                project={project}
                change={change}
                compare={compare}
                full={full}
                add={add}
                save={save}
              />
              <ChangeList
                setup={{ ...setup, car: carOf(project, variant) }}
                variant={variant}
                onChange={(changes) => change(variant.id, { changes }, 'Changes of a setup')}
              />
            </li>
          ))}
        </ul>
      </RadioGroup.Root>
      {full && <p className="caption mt-1.5">{say.sixSetupsMostRemove}</p>}
      {problem && (
        <p role="alert" className="mt-1 text-over">
          {problem}
        </p>
      )}
    </section>
  );
}
