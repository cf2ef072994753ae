import { useQuery } from '@tanstack/react-query';
import { QUESTION } from '../../compute';
import type { TwoSides } from '../../core';
import { dayInput, type Setup } from '../../model';
import { useBackground } from './context';
import { useSettled } from './useSettled';

/** Time without a change until the sides are driven, ms. */
const QUIET = 1500;

/** A setup's day with inner and outer side of its discs on their own, computed aside. */
export function useSides(setup: Setup) {
  const { tries } = useBackground();
  const settled = useSettled(setup, QUIET);
  return useQuery({
    queryKey: settled ? QUESTION.sides(settled) : ['waiting'],
    enabled: settled !== null,
    queryFn: ({ signal }) =>
      tries.ask((remote) => remote.twoSides(dayInput(settled as Setup)) as Promise<TwoSides>, signal),
  });
}
