import { format, parseISO } from 'date-fns';
import { finishBleeding, formatQuantity } from '../../../model';
import { type BleedPlan, fromShelf } from '../../../services';
import { say } from '../../../text/en/say/prepare';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { CheckField } from '../../ui/CheckField';
import type { PrepareTabProps } from './tabProps';
import { doneBy } from './worker';

const LOOKS = ['level', 'leaks', 'firm'] as const;

/** After the last screw: level, leaks, pedal; and the record. */
export function BleedAfter({ prepared, plan }: PrepareTabProps & { readonly plan: BleedPlan }) {
  const { preparation, editing, work } = prepared;
  const { bleed } = preparation;
  const { bottles } = useProject();
  const units = useUnits();
  const edit = useEdit();
  const open = LOOKS.filter((key) => bleed[key] === null);
  const never = plan.troubles.includes('never mixes');
  const finish = () => {
    const done = doneBy();
    const used = fromShelf(plan, bottles, work.car.fluid.kind, preparation.date);
    edit('Bled and written down', (p) => finishBleeding(p, preparation.id, done, used), {
      done: say.bledNow(prepared.car.name),
    });
  };
  return (
    <section className="panel px-4 py-3" aria-label="After bleeding">
      <h2 className="text-[15px]">Afterwards</h2>
      <div className="mt-1.5 grid gap-2">
        {LOOKS.map((key) => (
          <CheckField
            key={key}
            checked={bleed[key] !== null}
            onChange={(on) => editing.set(['bleed', key], on ? doneBy() : null, 'Looked at after bleeding')}
          >
            {say.after[key]}
          </CheckField>
        ))}
      </div>
      {bleed.finished ? (
        <p className="mt-2" role="status" data-testid="bled">
          {say.bledOn(
            format(parseISO(bleed.finished.at), 'd MMM yyyy, HH:mm'),
            bleed.finished.by,
            formatQuantity(plan.dryC, 'temperature', units),
          )}
        </p>
      ) : (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <button type="button" className="btn btn-main min-h-[40px]" disabled={never} onClick={finish}>
            Write it down
          </button>
          <p className="caption max-w-[70ch]">
            {never ? say.neverMixed : open.length > 0 ? say.lookFirst(open.length) : say.writesDown}
          </p>
        </div>
      )}
    </section>
  );
}
