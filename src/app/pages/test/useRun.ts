import { format } from 'date-fns';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { newRun, putRun, runsOf, type TestRun, variantSetup } from '../../../model';
import { say } from '../../../text/en/say/test';
import { useProject } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import type { Tested } from './useTested';

/** A run with its id. */
export interface OpenRun {
  readonly id: string;
  readonly run: TestRun;
}

/** The run that is written into: the one the address names, else the last; null where there is none. */
export function useRun({ test }: Tested): OpenRun | null {
  const [search] = useSearchParams();
  const wanted = search.get('run');
  return useMemo(() => {
    const runs = runsOf(test);
    return runs.find(({ id }) => id === wanted) ?? runs.at(-1) ?? null;
  }, [test, wanted]);
}

/** Setups that a run can be driven with: the car as it is, and the plan's other setups. */
export function useSetups({ setup }: Tested): readonly (readonly [id: string, name: string])[] {
  return [
    ['', say.currentSetup],
    ...setup.plan.compare.setups.map((variant) => [variant.id, variant.name] as const),
  ];
}

/** Begins a run with a setup, and opens it. */
export function useBeginRun(tested: Tested): (variantId: string) => void {
  const project = useProject();
  const edit = useEdit();
  const [search, setSearch] = useSearchParams();
  return (variantId) => {
    const { test, setup } = tested;
    const variant = setup.plan.compare.setups.find(({ id }) => id === variantId);
    const driven = variant ? variantSetup(project, setup.plan.id, variant) : setup;
    const run = newRun(test, driven.car, project.parts, {
      setup: variant?.name ?? say.currentSetup,
      date: format(new Date(), 'yyyy-MM-dd'),
    });
    const id = crypto.randomUUID();
    if (!edit('New run', (p) => putRun(p, test.id, id, run))) return;
    const next = new URLSearchParams(search);
    next.set('run', id);
    setSearch(next);
  };
}
