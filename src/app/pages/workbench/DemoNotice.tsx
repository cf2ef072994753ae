import { memo } from 'react';
import { Link } from 'react-router';
import { demoProject } from '../../../../demo/project';
import { isPlaceholder } from '../../../model';
import { say } from '../../../text/en/say/workbench';
import { useSetup } from '../../state/context';
import { goToStop } from '../../state/tour';

/** Says whose car this is while it is nobody's, and what to do next. */
export const DemoNotice = memo(function DemoNotice() {
  const { car, circuit } = useSetup();
  const demo = demoProject.cars.some(({ id }) => id === car.id);
  if (!demo && !isPlaceholder(car.id)) return null;
  return (
    <section
      className="panel flex flex-wrap items-center justify-between gap-x-4 gap-y-2 border-act! px-4 py-2"
      aria-label="Demo"
    >
      <p className="min-w-0">{demo ? say.demoShown(car.name, circuit.name) : say.placeholderShown}</p>
      <div className="flex gap-2">
        <button type="button" className="btn" onClick={() => goToStop(0)}>
          Take the tour
        </button>
        <Link className="btn btn-main" to="/new/car">
          Enter my car
        </Link>
      </div>
    </section>
  );
});
