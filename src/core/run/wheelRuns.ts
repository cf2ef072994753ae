import {
  assertState,
  type Corner,
  type CornerNetwork,
  cornerNetwork,
  cornerOfWheel,
  freshState,
} from '../brake';
import { besideEachOther, type CreateIntegrator, createIntegrator } from '../heat';
import type { Room } from '../numeric';
import { type BrakedCar, pressureOf, type Site, type Start } from '../schedule';
import { CornerRun } from './cornerRun';
import type { DistinctWheel } from './distinct';
import type { Kept } from './record';

/**
 * The wheels of a run, each at its start.
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
  { refinement, kept, room }: { readonly refinement: number; readonly kept: Kept; readonly room: Room },
): CornerRun[] {
  const begin = ({ wheel, axle }: DistinctWheel, corner: Corner, layout: CornerNetwork) => {
    const { water, bedded } = car[axle];
    if (typeof start === 'number') return freshState(corner, layout, start, water, bedded);
    assertState(layout, start[wheel], wheel);
    return start[wheel];
  };
  const brakes = wheels.map((own) => {
    const corner = cornerOfWheel(car, own.wheel);
    const layout = cornerNetwork(corner, ambient, pressureOf(site), refinement);
    return { corner, layout, begun: begin(own, corner, layout) };
  });
  const creators = creatorsOf(
    wheels,
    brakes.map(({ layout }) => layout),
  );
  return brakes.map(
    ({ corner, layout, begun }, i) => new CornerRun(corner, layout, begun, ambient, kept, creators[i], room),
  );
}

/** What hands out each wheel's integrator: both of an axle go side by side, or, where each axle has but one, those two. */
function creatorsOf(wheels: readonly DistinctWheel[], layouts: readonly CornerNetwork[]): CreateIntegrator[] {
  const creators = wheels.map((): CreateIntegrator => createIntegrator);
  wheels.forEach(({ axle }, i) => {
    const beside = wheels.findIndex((other, k) => k > i && (wheels.length === 2 || other.axle === axle));
    if (beside < 0) return;
    creators[i] = besideEachOther(layouts[i].network, layouts[beside].network);
    creators[beside] = creators[i];
  });
  return creators;
}
