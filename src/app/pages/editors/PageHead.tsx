import { Link } from 'react-router';
import { assignToPlan, type ItemOf, setupOf } from '../../../model';
import { say } from '../../../text/en/say/editors';
import { VerdictStrip } from '../../shared/VerdictStrip';
import { useProject } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { PageTitle } from '../../ui/PageTitle';
import { Tip } from '../../ui/Tip';

type Headed = 'cars' | 'circuits' | 'plans';
const WORDS: Record<Headed, string> = { cars: 'Car', circuits: 'Circuit', plans: 'Plan' };

/** Name of what is edited, and whether the selected plan uses it. */
export function PageHead<S extends Headed>({ shelf, item }: { shelf: S; item: ItemOf<S> }) {
  const project = useProject();
  const edit = useEdit();
  const setup = setupOf(project);
  const used = [setup.car.id, setup.circuit.id, setup.plan.id].includes(item.id);
  const field = shelf === 'cars' ? 'carId' : 'circuitId';
  return (
    <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
      <PageTitle names={[item.name, WORDS[shelf]]} />
      <div className="min-w-0">
        <p className="caption">{WORDS[shelf]}</p>
        <Tip text={item.name}>
          <h1 className="truncate text-[22px] leading-tight">{item.name}</h1>
        </Tip>
      </div>
      {used ? (
        <VerdictStrip />
      ) : (
        shelf !== 'plans' && (
          <button
            type="button"
            className="btn"
            onClick={() => edit(`${WORDS[shelf]} of the plan`, (p) => assignToPlan(p, field, item.id))}
          >
            Use in “{setup.plan.name}”
          </button>
        )
      )}
    </header>
  );
}

/** An address that names nothing in this project. */
export function Missing({ what, id }: { what: string; id: string }) {
  return (
    <div className="panel px-4 py-6" role="alert">
      <PageTitle names={[`No such ${what}`]} />
      <h1 className="text-[18px]">There is no such {what}</h1>
      <p className="mt-1 text-dim">{say.projectHasNoId(what, id.slice(0, 64))}</p>
      <p className="mt-3">
        <Link className="btn" to="/library">
          Open the library
        </Link>
      </p>
    </div>
  );
}
