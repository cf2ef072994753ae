import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { type Car, type Preparation, type Setup, tickStep } from '../../../model';
import { type JobList, jobList, type Work, workOf } from '../../../services';
import { useProject, useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { type Editing, useItem } from '../../state/useItem';
import { doneBy } from './worker';

/** The work that is open, with all that is made of it. */
export interface Prepared {
  readonly preparation: Preparation;
  readonly editing: Editing<'preparations'>;
  /** The car as it stands */
  readonly car: Car;
  /** The selected plan with it */
  readonly setup: Setup;
  readonly work: Work;
  readonly list: JobList;
}

/** Preparations of the selected plan's car, the oldest first. */
export function useOwnPreparations(): readonly Preparation[] {
  const { preparations } = useProject();
  const { car } = useSetup();
  return useMemo(() => preparations.filter(({ carId }) => carId === car.id), [preparations, car.id]);
}

/** Whether something of it is still to be done. */
const isOpen = (preparation: Preparation, cars: readonly Car[], parts: Setup['parts']): boolean => {
  const car = cars.find(({ id }) => id === preparation.carId);
  return !preparation.signed || (car !== undefined && jobList(workOf(car, preparation, parts)).open > 0);
};

/** The preparation that is open: the one the address names, else the newest with something to do; null for none. */
export function usePrepared(): Prepared | null {
  const project = useProject();
  const setup = useSetup();
  const own = useOwnPreparations();
  const [search] = useSearchParams();
  const wanted = search.get('work');
  const preparation =
    project.preparations.find(({ id }) => id === wanted) ??
    own.findLast((each) => isOpen(each, project.cars, project.parts)) ??
    own.at(-1) ??
    null;
  const editing = useItem('preparations', preparation?.id ?? '');
  const car = project.cars.find(({ id }) => id === preparation?.carId) ?? null;
  // The way to edit it is another one with every render; what is made of it stays while nothing changes.
  const made = useMemo(() => {
    if (!preparation || !car) return null;
    const work = workOf(car, preparation, project.parts);
    const same = car.id === setup.car.id;
    return {
      preparation,
      car,
      setup: same ? setup : { ...setup, car, begun: null, calibration: null },
      work,
      list: jobList(work),
    };
  }, [preparation, car, setup, project.parts]);
  return made && editing && { ...made, editing };
}

/** Ticks a step in the name of whoever works, or takes the tick away. */
export function useTick(preparationId: string): (step: string, on: boolean) => void {
  const edit = useEdit();
  return (step, on) => {
    edit(on ? 'Ticked a step' : 'Took a tick away', (p) =>
      tickStep(p, preparationId, step, on ? doneBy() : null),
    );
  };
}
