import type { FluidId, PadId } from './catalogue';
import type { Project } from './projectSchema';
import type { Setup } from './toCore';

/** What can be moved beside the workbench; stored units. */
export interface WhatIfValues {
  readonly massKg: number;
  readonly ambientC: number;
  /** Both grips of the tyres, % of the saved ones */
  readonly gripPercent: number;
  readonly brakingCommitmentPercent: number;
  readonly hotLaps: number;
  readonly frontSharePercent: number;
  readonly frontPad: PadId;
  readonly rearPad: PadId;
  readonly fluid: FluidId;
  readonly fluidAgeMonths: number;
  readonly frontDuctCm2: number;
  readonly rearDuctCm2: number;
}
export type WhatIf = Partial<WhatIfValues>;

/** The saved values that a what-if departs from. */
export function savedValues({ car, plan }: Setup): WhatIfValues {
  return {
    massKg: car.massKg,
    ambientC: plan.ambientC,
    gripPercent: 100,
    brakingCommitmentPercent: plan.brakingCommitmentPercent,
    hotLaps: plan.hotLaps,
    frontSharePercent: car.frontSharePercent,
    frontPad: car.front.pad,
    rearPad: car.rear.pad,
    fluid: car.fluid.kind,
    fluidAgeMonths: car.fluid.ageMonths,
    frontDuctCm2: car.front.ductAreaCm2,
    rearDuctCm2: car.rear.ductAreaCm2,
  };
}

const scaled = (grip: number, percent: number) => Math.round(grip * percent * 10) / 1000;

/** A setup with the moved values in it; the saved one is not changed. */
export function applyWhatIf(setup: Setup, whatIf: WhatIf): Setup {
  const v = { ...savedValues(setup), ...whatIf };
  const { car, plan } = setup;
  return {
    ...setup,
    car: {
      ...car,
      massKg: v.massKg,
      frontSharePercent: v.frontSharePercent,
      tyres: {
        ...car.tyres,
        lateralGrip: scaled(car.tyres.lateralGrip, v.gripPercent),
        longitudinalGrip: scaled(car.tyres.longitudinalGrip, v.gripPercent),
      },
      fluid: { ...car.fluid, kind: v.fluid, ageMonths: v.fluidAgeMonths },
      front: { ...car.front, pad: v.frontPad, ductAreaCm2: v.frontDuctCm2 },
      rear: { ...car.rear, pad: v.rearPad, ductAreaCm2: v.rearDuctCm2 },
    },
    plan: {
      ...plan,
      ambientC: v.ambientC,
      hotLaps: v.hotLaps,
      brakingCommitmentPercent: v.brakingCommitmentPercent,
    },
  };
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
