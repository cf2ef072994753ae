import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { type Computed, isSamePlan, type RunState } from '../../compute';
import { applyWhatIf, circuitProblems, type Problem, type Setup, type WhatIf } from '../../model';
import { useDays } from './context';
import type { Selection } from './selection';

export type { Computed } from '../../compute';

/** What every drawing of the workbench is given. */
export interface ChartProps {
  readonly computed: Computed;
  /** The saved state while a what-if is on */
  readonly ghost: Computed | null;
  readonly selection: Selection;
  readonly onSelect: (selection: Selection) => void;
}

export interface SessionView {
  /** What is shown: the what-if's newest result, or the saved state's */
  readonly shown: Computed | null;
  /** The saved state's result while a what-if is on */
  readonly ghost: Computed | null;
  /** True until what is shown belongs to the newest input */
  readonly behind: boolean;
  readonly error: Error | null;
  /** Why the circuit cannot be driven; the last good result stays */
  readonly obstacles: readonly Problem[];
  readonly retry: () => void;
}

/** Computes the saved setup and the what-if in the worker and keeps the newest results. */
export function useSession(setup: Setup, whatIf: WhatIf): SessionView {
  const runners = useDays();
  const saved = useNewest(runners.saved);
  const moved = useNewest(runners.moved);

  const active = Object.keys(whatIf).length > 0;
  const wanted = useMemo(() => (active ? applyWhatIf(setup, whatIf) : setup), [active, setup, whatIf]);
  const problems = useMemo(() => circuitProblems(setup.circuit), [setup.circuit]);
  const blocked = problems.some((p) => p.severity === 'error');

  useEffect(() => {
    if (!blocked) runners.saved.request(setup);
  }, [runners, setup, blocked]);
  useEffect(() => {
    if (active && !blocked) runners.moved.request(wanted);
  }, [runners, active, wanted, blocked]);

  // A result of another plan must not be shown as this one's: what is set from it would be set in this one.
  const here = (value: Computed | undefined) => (value && isSamePlan(value.setup, setup) ? value : null);
  const savedHere = here(saved.done);
  const movedHere = active ? here(moved.done) : null;
  const shown = movedHere ?? savedHere;
  const error = (active ? moved.error : null) ?? saved.error;
  return {
    shown,
    ghost: movedHere ? savedHere : null,
    behind: shown?.setup !== wanted && !blocked,
    error,
    obstacles: problems,
    retry: () => {
      runners.saved.request(setup);
      if (active) runners.moved.request(wanted);
    },
  };
}

/** What a runner has to show, and why there is nothing newer; whether it runs is nothing to be drawn. */
function useNewest({
  subscribe,
  getState,
}: {
  readonly subscribe: (listener: () => void) => () => void;
  readonly getState: () => RunState<Setup, Computed>;
}) {
  const done = useSyncExternalStore(subscribe, () => getState().done?.value);
  const error = useSyncExternalStore(subscribe, () => getState().error);
  return { done, error };
}
