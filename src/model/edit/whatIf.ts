import { afterChange } from '../calibration/applied';
import { MOVABLE_IDS, type MovableId, movable } from '../parameters/movables';
import type { Car } from '../schema/car';
import type { Change } from '../schema/compare';
import type { Project } from '../schema/project';
import type { Setup } from '../toCore/toCore';

/** Parts that can be changed beside the numbers. */
interface WhatIfParts {
  readonly frontPad: string;
  readonly rearPad: string;
  readonly fluid: string;
}
/** What can be moved beside the workbench; stored units. */
export interface WhatIfValues extends Readonly<Record<MovableId, number>>, WhatIfParts {}
export type WhatIf = Partial<WhatIfValues>;

/** The saved values that a what-if departs from. */
export function savedValues(setup: Setup): WhatIfValues {
  const { car } = setup;
  const numbers = Object.fromEntries(MOVABLE_IDS.map((id) => [id, movable(id).read(setup)]));
  return {
    ...(numbers as Record<MovableId, number>),
    frontPad: car.front.pad,
    rearPad: car.rear.pad,
    fluid: car.fluid.kind,
  };
}

/** A setup with the moved values in it; the saved one is not changed. */
export function applyWhatIf(setup: Setup, whatIf: WhatIf): Setup {
  const { car } = setup;
  const { frontPad = car.front.pad, rearPad = car.rear.pad, fluid = car.fluid.kind } = whatIf;
  const withParts: Car = {
    ...car,
    front: { ...car.front, pad: frontPad },
    rear: { ...car.rear, pad: rearPad },
    fluid: { ...car.fluid, kind: fluid },
  };
  const calibration = setup.calibration && afterChange(setup.calibration, car, withParts);
  const fitted: Setup = { ...setup, car: withParts, calibration };
  // Only a moved share is set; another pad may move the one that follows from the parts.
  return MOVABLE_IDS.reduce((now, id) => {
    const value = whatIf[id];
    return value === undefined ? now : movable(id).write(now, value, movable(id).read(setup));
  }, fitted);
}

/** How far each number may be moved so that the setup can still be kept. */
export const whatIfBounds = (setup: Setup): Readonly<Record<MovableId, readonly [number, number]>> =>
  Object.fromEntries(MOVABLE_IDS.map((id) => [id, movable(id).bounds(setup)])) as Record<
    MovableId,
    readonly [number, number]
  >;

/** How far a number's slider goes. @param saved where it departs from @param bounds of `whatIfBounds` */
export function sliderEnds(
  id: MovableId,
  saved: number,
  [least, most]: readonly [number, number],
): readonly [number, number] {
  const [low, high] = movable(id).range(saved);
  return [Math.max(least, low), Math.min(most, high)];
}

/** The notch of a number's slider that is nearest to a value. */
export function notchAt(id: MovableId, [low, high]: readonly [number, number], value: number): number {
  const { step } = movable(id);
  return Math.min(high, Math.max(low, Math.round(value / step) * step));
}

/**
 * Where a what-if goes when the number that was moved last is moved on by as much.
 * @param before it was moved
 * @returns null where no number was moved alone, or where it is at its end
 */
export function movedOn(setup: Setup, before: WhatIf, now: WhatIf): WhatIf | null {
  const saved = savedValues(setup);
  const [was, is] = [
    { ...saved, ...before },
    { ...saved, ...now },
  ];
  const changed = (Object.keys(is) as (keyof WhatIfValues)[]).filter((key) => is[key] !== was[key]);
  const id = MOVABLE_IDS.find((each) => each === changed[0]);
  if (!id || changed.length > 1) return null;
  const ends = sliderEnds(id, saved[id], movable(id).bounds(setup));
  const next = notchAt(id, ends, 2 * is[id] - was[id]);
  return next === is[id] ? null : { ...now, [id]: next };
}

/** A project with a plan's what-if written into its car and plan. */
export function keepWhatIf(project: Project, setup: Setup, whatIf: WhatIf): Project {
  const kept = applyWhatIf(setup, whatIf);
  return {
    ...project,
    cars: project.cars.map((car) => (car.id === kept.car.id ? kept.car : car)),
    plans: project.plans.map((plan) => (plan.id === kept.plan.id ? kept.plan : plan)),
  };
}

/** What is moved on the workbench, as far as it is about the car and not about the day. */
export function changesOfWhatIf(whatIf: WhatIf): Change[] {
  const parts: Change[] = [
    ...(whatIf.frontPad === undefined
      ? []
      : [{ kind: 'part', part: whatIf.frontPad, axle: 'front' } as const]),
    ...(whatIf.rearPad === undefined ? [] : [{ kind: 'part', part: whatIf.rearPad, axle: 'rear' } as const]),
    ...(whatIf.fluid === undefined ? [] : [{ kind: 'part', part: whatIf.fluid, axle: 'front' } as const]),
  ];
  const numbers = MOVABLE_IDS.flatMap((id) => {
    const value = whatIf[id];
    const { change } = movable(id);
    return value === undefined || !change ? [] : [change(value)];
  });
  return [...parts, ...numbers];
}
