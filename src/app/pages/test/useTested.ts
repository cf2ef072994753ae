import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { type Car, calibrationOf, type Setup, type StoredTest } from '../../../model';
import { useProject, useSetup } from '../../state/context';
import { type Editing, useItem } from '../../state/useItem';

/** The test that is open, with its car on the selected plan. */
export interface Tested {
  readonly test: StoredTest;
  readonly editing: Editing<'tests'>;
  readonly car: Car;
  readonly setup: Setup;
}

/** Tests of the selected plan's car, the oldest first. */
export function useOwnTests(): readonly StoredTest[] {
  const { tests } = useProject();
  const { car } = useSetup();
  return useMemo(() => tests.filter(({ carId }) => carId === car.id), [tests, car.id]);
}

/** The test that is open: the one the address names, else the car's newest; null for none. */
export function useTested(): Tested | null {
  const project = useProject();
  const setup = useSetup();
  const own = useOwnTests();
  const [search] = useSearchParams();
  const wanted = search.get('test');
  const test = project.tests.find(({ id }) => id === wanted) ?? own.at(-1) ?? null;
  const editing = useItem('tests', test?.id ?? '');
  const car = project.cars.find(({ id }) => id === test?.carId) ?? null;
  const made = useMemo(() => {
    if (!test || !car) return null;
    const same = car.id === setup.car.id;
    const of = same ? setup : { ...setup, car, begun: null, calibration: calibrationOf(project, car) };
    return { test, car, setup: of };
  }, [project, test, car, setup]);
  return made && editing && { ...made, editing };
}
