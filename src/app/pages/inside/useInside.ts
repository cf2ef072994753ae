import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { isSamePlan, QUESTION } from '../../../compute';
import type { DayResult } from '../../../core';
import { dayInput, type Setup } from '../../../model';
import { useEngine } from '../../state/context';
import type { Computed } from '../../state/useSession';

/**
 * A setup's day with the temperature of every node and the drive of every step, which no other page looks at.
 * @param setup null where it cannot be driven
 */
export function useInside(setup: Setup | null) {
  const engine = useEngine();
  const { data, error, isPlaceholderData, refetch } = useQuery({
    queryKey: setup ? QUESTION.inside(setup) : ['waiting'],
    enabled: setup !== null,
    queryFn: async (): Promise<Computed> => {
      const asked = setup as Setup;
      const result = await engine.call((remote) => remote.driveWhole(dayInput(asked)) as Promise<DayResult>);
      return { setup: asked, result };
    },
    placeholderData: (last: Computed | undefined) =>
      last && setup && isSamePlan(last.setup, setup) ? last : undefined,
  });
  const inside = useMemo(
    // What is renamed is the same day.
    () => (data && setup ? { ...data, setup: isPlaceholderData ? data.setup : setup } : null),
    [data, setup, isPlaceholderData],
  );
  return { inside, error, retry: () => void refetch() };
}
