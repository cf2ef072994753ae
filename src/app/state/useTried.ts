import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { type CrewProgress, QUESTION } from '../../compute';
import type { Setup } from '../../model';
import type { Assessed } from '../../services';
import { useBackground } from './context';

/** Drives setups by all cores and sums each up, without what is left of it with less cooling. */
export type TryOut = (
  setups: readonly Setup[],
  options: {
    readonly signal: AbortSignal;
    /** Told of each as it comes, in whatever order */
    readonly onDone?: (assessed: Assessed, index: number, progress: CrewProgress) => void;
  },
) => Promise<Assessed[]>;

/**
 * What tries setups out. One that was tried out a little while ago, on whatever page, is not driven again: the order of
 * steps, the ladder and what is worth finding out ask for many of the same.
 */
export function useTried(): TryOut {
  const client = useQueryClient();
  const { tries } = useBackground();
  return useCallback<TryOut>(
    async (setups, { signal, onDone }) => {
      const tried = setups.map((setup) => client.getQueryData<Assessed>(QUESTION.tried(setup)));
      const left = setups.flatMap((_, index) => (tried[index] ? [] : [index]));
      let done = 0;
      const tell = (assessed: Assessed, index: number) => {
        tried[index] = assessed;
        done += 1;
        onDone?.(assessed, index, { done, all: setups.length });
      };
      tried.forEach((known, index) => {
        if (known) tell(known, index);
      });
      await tries.run(left, (remote, index) => remote.tryOut(setups[index]) as Promise<Assessed>, {
        signal,
        onDone: (assessed, k) => {
          client.setQueryData(QUESTION.tried(setups[left[k]]), assessed);
          tell(assessed, left[k]);
        },
      });
      return tried as Assessed[];
    },
    [client, tries],
  );
}
