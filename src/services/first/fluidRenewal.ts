import { boilingThereC, fluidBoilingPointC, fluidOf, type Setup } from '../../model';
import type { Assessed } from '../compare/assess';

/** When the fluid of a setup is to be renewed. */
export type Renewal =
  /** It boils, or comes nearer to it than the margin to keep, on this very plan */
  | { readonly kind: 'now' }
  /** Months from now until age takes away the margin to keep */
  | { readonly kind: 'in'; readonly months: number }
  /** Not by its boiling point within the years that are looked at; the calendar decides */
  | { readonly kind: 'later'; readonly months: number };

/** As far as is looked ahead, months: longer than any school of practice leaves fluid in. */
const LOOKED_AHEAD = 48;

const aged = (setup: Setup, months: number): Setup => ({
  ...setup,
  car: { ...setup.car, fluid: { ...setup.car.fluid, ageMonths: months, measuredBoilingC: null } },
});

/** Age that the water model gives a fluid of today's boiling point, months: a measured one counts more than the calendar. */
function ageNow(setup: Setup): number {
  const { fluid } = setup.car;
  if (fluid.measuredBoilingC === null) return fluid.ageMonths;
  let months = 0;
  while (months < 240 && fluidBoilingPointC(aged(setup, months).car, setup.parts) > fluid.measuredBoilingC)
    months += 1;
  return months;
}

/** When a plan like this one would come nearer to boiling than its margin to keep, by age and climate of the fluid. */
export function fluidRenewal(setup: Setup, { summary }: Assessed): Renewal {
  const margins = summary.margins.filter(({ part }) => part === 'fluid' || part === 'fluidWall');
  const least = Math.min(...margins.map(({ margin }) => margin));
  const spare = least - setup.plan.targetMarginK;
  if (spare < 0) return { kind: 'now' };
  if (fluidOf(setup.car.fluid.kind, setup.parts).silicone) return { kind: 'later', months: LOOKED_AHEAD };
  const age = ageNow(setup);
  const now = boilingThereC(aged(setup, age));
  for (let months = 1; months <= LOOKED_AHEAD; months++) {
    if (now - boilingThereC(aged(setup, age + months)) > spare) return { kind: 'in', months: months - 1 };
  }
  return { kind: 'later', months: LOOKED_AHEAD };
}
