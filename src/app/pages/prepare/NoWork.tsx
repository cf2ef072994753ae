import { Wrench } from 'lucide-react';
import { Link } from 'react-router';
import { say } from '../../../text/en/say/prepare';
import { useBegin } from '../../shared/useBegin';
import { useSetup } from '../../state/context';

/** Nothing is being prepared yet. */
export function NoWork() {
  const { car } = useSetup();
  const begin = useBegin();
  return (
    <section className="panel max-w-[86ch] px-4 py-5">
      <p>{say.nothingPrepared(car.name)}</p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" onClick={() => begin(car, 'Bleed and look over', [])}>
          <Wrench size={15} aria-hidden="true" /> Begin
        </button>
        <Link className="btn" to="/decide/compare">
          Compare setups
        </Link>
      </div>
    </section>
  );
}
