import { assertState, type CornerNetwork, cornerOfWheel, freshState } from '../brake';
import { besideEachOther, createIntegrator } from '../heat';
import { type BrakedCar, pressureOf, type Site, type Start } from '../schedule';
import { CornerRun } from './cornerRun';
import type { DistinctWheel } from './distinct';
import type { Kept } from './record';

/**
 * The wheels of a run, each at its start. Both wheels of an axle that are computed apart go side by side.
 * @param start temperature of every part, K, or the state of each brake
 * @param ambient temperature of the first air, K
 * @throws StateError for a state that these brakes cannot be in
 */
export function wheelRuns(
  car: BrakedCar,
  site: Site,
  wheels: readonly DistinctWheel[],
  start: Start,
  ambient: number,
  { refinement, kept }: { readonly refinement: number; readonly kept: Kept },
): CornerRun[] {
  const apart = { front: besideEachOther(), rear: besideEachOther() };
  return wheels.map(({ wheel, axle, also }) => {
    const corner = cornerOfWheel(car, wheel);
    const begin = (layout: CornerNetwork) => {
      const { water, bedded } = car[axle];
      if (typeof start === 'number') return freshState(corner, layout, start, water, bedded);
      assertState(layout, start[wheel], wheel);
      return start[wheel];
    };
    const create = also ? createIntegrator : apart[axle];
    return new CornerRun(corner, begin, ambient, pressureOf(site), refinement, kept, create);
  });
}
