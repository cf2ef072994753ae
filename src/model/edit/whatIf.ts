import { infoAt, type Path } from '../schema/paths';
import type { PlanLeg, PlanSession, Project } from '../schema/project';
import { frontSharePercent, withFrontShare } from '../toCore/chain';
import type { Setup } from '../toCore/toCore';
import type { Shelf } from './library';

/** What can be moved beside the workbench; stored units. */
export interface WhatIfValues {
  readonly massKg: number;
  /** Of the first session; the others move with it */
  readonly ambientC: number;
  /** Both grips of the tyres, % of the saved ones */
  readonly gripPercent: number;
  readonly brakingCommitmentPercent: number;
  /** In the day's first run of hot laps; the other sessions' runs move with it */
  readonly hotLaps: number;
  readonly frontSharePercent: number;
  readonly frontPad: string;
  readonly rearPad: string;
  readonly fluid: string;
  readonly fluidAgeMonths: number;
  readonly frontDuctCm2: number;
  readonly rearDuctCm2: number;
}
export type WhatIf = Partial<WhatIfValues>;

/** The saved values that a what-if departs from. */
export function savedValues({ car, plan, parts }: Setup): WhatIfValues {
  return {
    massKg: car.massKg,
    ambientC: plan.sessions[0].ambientC,
    gripPercent: 100,
    brakingCommitmentPercent: plan.brakingCommitmentPercent,
    hotLaps: firstHotLeg(plan.sessions.flatMap((session) => session.legs))?.laps ?? 0,
    frontSharePercent: frontSharePercent(car, parts),
    frontPad: car.front.pad,
    rearPad: car.rear.pad,
    fluid: car.fluid.kind,
    fluidAgeMonths: car.fluid.ageMonths,
    frontDuctCm2: car.front.ductAreaCm2,
    rearDuctCm2: car.rear.ductAreaCm2,
  };
}

const firstHotLeg = (legs: readonly PlanLeg[]) =>
  legs.find((leg): leg is Extract<PlanLeg, { laps: number }> => leg.kind === 'hot');

/** Sessions in warmer air by some kelvin, and with some more laps in the first hot run of each. */
function movedSessions(sessions: readonly PlanSession[], warmer: number, more: number): PlanSession[] {
  return sessions.map((session) => {
    const hot = firstHotLeg(session.legs);
    return {
      ...session,
      ambientC: session.ambientC + warmer,
      legs: session.legs.map((leg) =>
        leg === hot ? { ...hot, laps: Math.min(60, Math.max(1, hot.laps + more)) } : leg,
      ),
    };
  });
}

const scaled = (grip: number, percent: number) => Math.round(grip * percent * 10) / 1000;

/** A setup with the moved values in it; the saved one is not changed. */
export function applyWhatIf(setup: Setup, whatIf: WhatIf): Setup {
  const saved = savedValues(setup);
  const v = { ...saved, ...whatIf };
  const { car, plan, parts } = setup;
  const changed = {
    ...car,
    front: { ...car.front, pad: v.frontPad, ductAreaCm2: v.frontDuctCm2 },
    rear: { ...car.rear, pad: v.rearPad, ductAreaCm2: v.rearDuctCm2 },
  };
  // Only a moved share is set; another pad may move the one that follows from the parts.
  const balanced =
    whatIf.frontSharePercent === undefined ? changed : withFrontShare(changed, v.frontSharePercent, parts);
  return {
    ...setup,
    car: {
      ...balanced,
      massKg: v.massKg,
      tyres: {
        ...car.tyres,
        lateralGrip: scaled(car.tyres.lateralGrip, v.gripPercent),
        longitudinalGrip: scaled(car.tyres.longitudinalGrip, v.gripPercent),
      },
      fluid: { ...car.fluid, kind: v.fluid, ageMonths: v.fluidAgeMonths },
    },
    plan: {
      ...plan,
      sessions: movedSessions(plan.sessions, v.ambientC - saved.ambientC, v.hotLaps - saved.hotLaps),
      brakingCommitmentPercent: v.brakingCommitmentPercent,
    },
  };
}

/** What can be moved as a number. */
export type WhatIfNumber = {
  [K in keyof WhatIfValues]: WhatIfValues[K] extends number ? K : never;
}[keyof WhatIfValues];

/** How far each number may be moved so that the setup can still be kept: the least and the most of what it is stored in. */
export function whatIfBounds({
  car,
  plan,
}: Setup): Readonly<Record<WhatIfNumber, readonly [number, number]>> {
  const within = (shelf: Shelf, path: Path): readonly [number, number] => {
    const { min, max } = infoAt(shelf, path);
    return [min, max];
  };
  const air = within('plans', ['sessions', 0, 'ambientC']);
  const first = plan.sessions[0].ambientC;
  const ambients = plan.sessions.map(({ ambientC }) => ambientC);
  const [leastGrip, mostGrip] = within('cars', ['tyres', 'lateralGrip']);
  const grips = [car.tyres.lateralGrip, car.tyres.longitudinalGrip];
  return {
    massKg: within('cars', ['massKg']),
    // The other sessions move with the first.
    ambientC: [air[0] + first - Math.min(...ambients), air[1] + first - Math.max(...ambients)],
    gripPercent: [
      Math.ceil((100 * leastGrip) / Math.min(...grips)),
      Math.floor((100 * mostGrip) / Math.max(...grips)),
    ],
    brakingCommitmentPercent: within('plans', ['brakingCommitmentPercent']),
    hotLaps: within('plans', ['sessions', 0, 'legs', 0, 'laps']),
    frontSharePercent: within('cars', ['frontSharePercent']),
    fluidAgeMonths: within('cars', ['fluid', 'ageMonths']),
    frontDuctCm2: within('cars', ['front', 'ductAreaCm2']),
    rearDuctCm2: within('cars', ['rear', 'ductAreaCm2']),
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
