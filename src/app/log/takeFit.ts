import type { LapFit } from '../../files';
import type { Project, Setup } from '../../project';

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/** Commitments into the plan, up to all there is; the rest into the tyres' grip; power into the car. */
export function takeFit(project: Project, setup: Setup, fit: LapFit): Project {
  const cornering = setup.plan.corneringCommitmentPercent * fit.cornering.factor;
  const braking = setup.plan.brakingCommitmentPercent * fit.braking.factor;
  const within = (percent: number) => round(Math.min(100, Math.max(20, percent)), 1);
  const more = (percent: number) => Math.max(1, percent / 100);
  return {
    ...project,
    plans: project.plans.map((plan) =>
      plan.id === setup.plan.id
        ? {
            ...plan,
            corneringCommitmentPercent: within(cornering),
            brakingCommitmentPercent: within(braking),
          }
        : plan,
    ),
    cars: project.cars.map((car) =>
      car.id === setup.car.id
        ? {
            ...car,
            powerKw: fit.power.atLimit ? car.powerKw : round(car.powerKw * fit.power.factor, 1),
            tyres: {
              ...car.tyres,
              lateralGrip: round(car.tyres.lateralGrip * more(cornering), 3),
              longitudinalGrip: round(car.tyres.longitudinalGrip * more(braking), 3),
            },
          }
        : car,
    ),
  };
}
