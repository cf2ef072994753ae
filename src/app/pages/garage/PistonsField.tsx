import { Minus, Plus } from 'lucide-react';
import { type Axle, fieldInfo, formatQuantity, pistonField } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { NumberField } from '../../shared/NumberField';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { IconButton } from '../../ui/IconButton';

/** The pistons of one side of a caliper in the order the rotor passes them. */
export function PistonsField({ editing, axle }: { editing: Editing<'cars'>; axle: Axle }) {
  const units = useUnits();
  const pistons = editing.item[axle].caliper.pistonsMm;
  const path = [axle, 'caliper', 'pistonsMm'];
  const area = pistons.reduce((sum, d) => sum + (Math.PI / 4) * d * d, 0) / 100;
  return (
    <fieldset>
      <legend className="font-[540]">Pistons of one side, leading first</legend>
      <div className="mt-0.5 flex flex-wrap gap-1.5">
        {pistons.map((mm, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: pistons have no other name than their place
          <div key={i} className="w-[86px]">
            <NumberField
              compact
              label={`${axle} piston ${i + 1}`}
              info={fieldInfo(pistonField)}
              value={mm}
              onCommit={(value) => editing.set([...path, i], value, `Piston ${i + 1} (${axle})`)}
            />
          </div>
        ))}
        <button
          type="button"
          className="btn px-2"
          aria-label={`Add a ${axle} piston`}
          disabled={pistons.length >= 6}
          onClick={() =>
            editing.set(path, [...pistons, pistons[pistons.length - 1]], `Another ${axle} piston`)
          }
        >
          <Plus size={15} aria-hidden="true" />
        </button>
        <IconButton
          framed
          icon={Minus}
          name={`Remove the last ${axle} piston`}
          title={pistons.length === 1 ? 'Without a piston it cannot press' : 'Remove'}
          disabled={pistons.length === 1}
          onClick={() => editing.set(path, pistons.slice(0, -1), `One ${axle} piston less`)}
        />
      </div>
      <p className="caption mt-1">{say.cmSideAreaMakes(formatQuantity(area, 'area', units))}</p>
    </fieldset>
  );
}
