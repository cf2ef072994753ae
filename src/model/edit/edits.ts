/**
 * Every edit of a project that the interface makes, each a project from a project. None checks what comes of it:
 * `attemptEdit` does, for all of them alike.
 */
import type { Leg } from '../../core';
import { withoutPlaceholders } from '../guided/placeholders';
import type { Calibration } from '../schema/calibration';
import type { Car } from '../schema/car';
import type { Circuit } from '../schema/circuit';
import type { Change, SetupVariant } from '../schema/compare';
import type { NotedSymptom, Observation, StoredDrive } from '../schema/drive';
import type { Origins } from '../schema/origin';
import type { Part } from '../schema/part';
import type { Plan, PlanLeg } from '../schema/plan';
import type { Project } from '../schema/project';
import type { KeptState, PlanStart } from '../schema/state';
import type { Setup } from '../toCore/toCore';
import { withChanges } from './changes';
import { replaceItem } from './library';
import { withOrigin } from './origins';

export { withPrice } from '../catalogue/prices';
export { addTest, endRun, putRun, putStop, removeRun, removeStop } from './brakeTest';
export { joinWork } from './joinWork';
export {
  keepLoads,
  putEntries,
  putEntry,
  putEvent,
  putFluid,
  putSeason,
  putSet,
  removeEvent,
} from './keep';
export { addParts, copyItem, deleteItem, renameItem, replaceItem } from './library';
export {
  addBottle,
  addPreparation,
  drawAt,
  finishBleeding,
  keepBedding,
  signOff,
  tickStep,
} from './prepare';
export { keepWhatIf } from './whatIf';

/** A project with a plan changed; the same where it has none of the id. */
function changePlan(project: Project, planId: string, change: (plan: Plan) => Plan): Project {
  return { ...project, plans: project.plans.map((plan) => (plan.id === planId ? change(plan) : plan)) };
}

export const renameProject = (project: Project, name: string): Project => ({ ...project, name });

/** @param currency a sign or a few letters */
export const setCurrency = (project: Project, currency: string): Project => ({ ...project, currency });

/** Puts a plan on the workbench. */
export const selectPlan = (project: Project, planId: string): Project => ({
  ...project,
  selectedPlanId: planId,
});

/** Drives the selected plan with another car or at another circuit. */
export const assignToPlan = (project: Project, field: 'carId' | 'circuitId', id: string): Project =>
  changePlan(project, project.selectedPlanId, (plan) => ({
    ...plan,
    [field]: id,
    // What one car's brakes were like says nothing of another's.
    ...(field === 'carId' && id !== plan.carId && plan.start.kind === 'state' && { start: COLD }),
  }));

const COLD: PlanStart = { kind: 'cold' };

/** Keeps a car's brakes as they are, for plans to begin from. */
export const keepState = (project: Project, state: KeptState): Project => ({
  ...project,
  states: [...project.states, state],
});

/** Adds a session that was driven. */
export const addDrive = (project: Project, drive: StoredDrive): Project => ({
  ...project,
  drives: [...project.drives, drive],
});

/** A project with a drive changed; the same where it has none of the id. */
const changeDrive = (
  project: Project,
  driveId: string,
  change: (drive: StoredDrive) => StoredDrive,
): Project => ({
  ...project,
  drives: project.drives.map((drive) => (drive.id === driveId ? change(drive) : drive)),
});

/** What was observed of a drive. */
export const setObservations = (
  project: Project,
  driveId: string,
  observations: readonly Observation[],
): Project => changeDrive(project, driveId, (drive) => ({ ...drive, observations: [...observations] }));

/** What a driver noticed on a drive, and what of it says something of the brakes' heat. */
export const noteSymptom = (
  project: Project,
  driveId: string,
  symptom: NotedSymptom,
  observation: Observation | null,
): Project =>
  changeDrive(project, driveId, (drive) => ({
    ...drive,
    symptoms: [...drive.symptoms, symptom],
    observations: observation ? [...drive.observations, observation] : drive.observations,
  }));

/** Day of a drive, and how many laps of each leg were counted; stands stay. @param laps by session and leg */
export const countDrive = (
  project: Project,
  driveId: string,
  date: string,
  laps: readonly (readonly (number | null)[])[],
): Project =>
  changeDrive(project, driveId, (drive) => {
    const sessions = drive.plan.sessions.map((session, i) => ({
      ...session,
      legs: session.legs.map((leg, k) => ('laps' in leg ? { ...leg, laps: laps[i]?.[k] ?? leg.laps } : leg)),
    }));
    return { ...drive, date, plan: { ...drive.plan, sessions } };
  });

/** Keeps what measurements told of a car. */
export const addCalibration = (project: Project, calibration: Calibration): Project => ({
  ...project,
  calibrations: [...project.calibrations, calibration],
});

/** How the brakes begin a plan. */
export const setStart = (project: Project, planId: string, start: PlanStart): Project =>
  changePlan(project, planId, (plan) => ({ ...plan, start }));

export const addCircuit = (project: Project, circuit: Circuit): Project => ({
  ...project,
  circuits: [...project.circuits, circuit],
});

export const addCar = (project: Project, car: Car): Project => ({ ...project, cars: [...project.cars, car] });

/** Adds a plan and puts it on the workbench; what only held its place until then goes. */
export const addPlan = (project: Project, plan: Plan): Project =>
  withoutPlaceholders({ ...project, plans: [...project.plans, plan], selectedPlanId: plan.id });

export const addPart = (project: Project, part: Part): Project => ({
  ...project,
  parts: [...project.parts, part],
});

/** Lays a setup beside a plan's own. */
export const addVariant = (project: Project, planId: string, variant: SetupVariant): Project =>
  changePlan(project, planId, (plan) => ({
    ...plan,
    compare: { ...plan.compare, setups: [...plan.compare.setups, variant] },
  }));

/** Fits changes to a car for good. */
export const fitChanges = (project: Project, carId: string, changes: readonly Change[]): Project => ({
  ...project,
  cars: project.cars.map((car) =>
    car.id === carId ? withChanges({ car, parts: project.parts }, changes).car : car,
  ),
});

/** @param clicks on the balance control at each braking zone of a lap */
export const setClicks = (project: Project, planId: string, clicks: readonly number[]): Project =>
  changePlan(project, planId, (plan) => ({ ...plan, clicks: [...clicks] }));

/** The weather of one hour. */
interface Weather {
  readonly temperatureC: number;
  readonly humidityPercent: number;
  readonly pressureHpa: number;
  readonly windKmh: number;
  readonly windFromDeg: number;
}

/** Takes the weather over into a plan. @param hours one for each session */
export const setWeather = (project: Project, planId: string, hours: readonly Weather[]): Project =>
  changePlan(project, planId, (plan) => ({
    ...plan,
    humidityPercent: hours[0].humidityPercent,
    pressureHpa: hours[0].pressureHpa,
    windKmh: Math.round(hours[0].windKmh),
    windFromDeg: Math.round(hours[0].windFromDeg),
    sessions: plan.sessions.map((session, i) => ({
      ...session,
      ambientC: hours[Math.min(hours.length - 1, i)].temperatureC,
    })),
  }));

/** Replaces the legs of one session. @param session from 0 @param legs SI, as planned by the core */
export const setLegs = (project: Project, planId: string, session: number, legs: readonly Leg[]): Project =>
  changePlan(project, planId, (plan) => ({
    ...plan,
    sessions: plan.sessions.map((s, i) => (i === session ? { ...s, legs: legs.map(storedLeg) } : s)),
  }));

const storedLeg = (leg: Leg): PlanLeg =>
  'laps' in leg
    ? // In tenths of a percent, down: rounding up could cost a margin.
      { kind: leg.kind, laps: leg.laps, pacePercent: Math.floor(1000 * leg.pace + 1e-6) / 10 }
    : { kind: leg.kind, minutes: Math.round(leg.duration / 6) / 10, fanKmh: Math.round(leg.fan * 36) / 10 };

/** How much harder than planned a log was driven, each a factor on what the plan has. */
interface Fit {
  readonly cornering: { readonly factor: number };
  readonly braking: { readonly factor: number };
  readonly power: { readonly factor: number; readonly atLimit: boolean };
}

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/** Grip used into the plan, up to all there is; the rest into the tyres' grip; power into the car. */
export function takeFit(project: Project, setup: Setup, fit: Fit): Project {
  const cornering = setup.plan.corneringGripUsedPercent * fit.cornering.factor;
  const braking = setup.plan.brakingGripUsedPercent * fit.braking.factor;
  const within = (percent: number) => round(Math.min(100, Math.max(20, percent)), 1);
  const more = (percent: number) => Math.max(1, percent / 100);
  const fitted = (origins: Origins, ...paths: string[]) =>
    paths.reduce((known, path) => withOrigin(known, path, 'calibrated'), origins);
  const planned = changePlan(project, setup.plan.id, (plan) => ({
    ...plan,
    corneringGripUsedPercent: within(cornering),
    brakingGripUsedPercent: within(braking),
    origins: fitted(plan.origins, 'corneringGripUsedPercent', 'brakingGripUsedPercent'),
  }));
  const car = project.cars.find(({ id }) => id === setup.car.id);
  if (!car) return planned;
  return replaceItem(planned, 'cars', {
    ...car,
    powerKw: fit.power.atLimit ? car.powerKw : round(car.powerKw * fit.power.factor, 1),
    tyres: {
      ...car.tyres,
      lateralGrip: round(car.tyres.lateralGrip * more(cornering), 3),
      longitudinalGrip: round(car.tyres.longitudinalGrip * more(braking), 3),
    },
    origins: fitted(
      car.origins,
      ...(fit.power.atLimit ? [] : ['powerKw']),
      ...(cornering > 100 ? ['tyres.lateralGrip'] : []),
      ...(braking > 100 ? ['tyres.longitudinalGrip'] : []),
    ),
  });
}
