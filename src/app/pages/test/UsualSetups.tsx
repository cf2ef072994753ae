import { Plus } from 'lucide-react';
import { addVariant, MOST_SETUPS } from '../../../model';
import { usualSetups } from '../../../services';
import { USUAL_SETUP_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { useEdit } from '../../state/useEdit';
import type { TestTabProps } from './tabProps';

/** Setups that are usually weighed, laid beside the plan’s own. */
export function UsualSetups({ tested }: TestTabProps) {
  const edit = useEdit();
  const { setup } = tested;
  const usual = usualSetups(setup).slice(0, MOST_SETUPS);
  const add = () =>
    edit(
      'Usual setups to compare',
      (p) =>
        usual.reduce(
          (now, { name, changes }) =>
            addVariant(now, setup.plan.id, {
              id: crypto.randomUUID(),
              name: USUAL_SETUP_TEXT[name],
              carId: setup.car.id,
              changes: [...changes],
              otherCost: 0,
            }),
          p,
        ),
      { done: say.usualAdded(usual.length) },
    );
  return (
    <div className="mt-1 flex flex-wrap items-center gap-3">
      <p className="max-w-[92ch]">
        {say.oneSetupOnly(usual.map(({ name }) => USUAL_SETUP_TEXT[name].toLowerCase()).join(', '))}
      </p>
      {usual.length > 0 && (
        <button type="button" className="btn" onClick={add}>
          <Plus size={15} aria-hidden="true" /> Add the usual ones
        </button>
      )}
    </div>
  );
}
