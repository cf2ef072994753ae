import { starterLine } from '../catalogue/starters';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project } from '../schema/project';
import { nothingKnown } from './carAnswers';
import { carFromAnswers } from './carFromAnswers';
import { planFromSentence } from './newPlan';

const CAR = 'car-placeholder';
const CIRCUIT = 'circuit-placeholder';
const PLAN = 'plan-placeholder';

/** A project to begin in: something typical in each of its places, until the first own plan takes it all away. */
export function blankProject(name: string): Project {
  const sentence = {
    name: 'Nothing planned yet',
    carId: CAR,
    circuitId: CIRCUIT,
    sessions: 1,
    each: 20,
    by: 'minutes',
    ambientC: 20,
    date: null,
  } as const;
  return {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    name,
    cars: [carFromAnswers(nothingKnown('hot-hatch', 'A typical hot hatch'), CAR)],
    circuits: [{ ...starterLine(CIRCUIT, 'A plain oval'), source: 'made-up' }],
    plans: [planFromSentence(sentence, 5, PLAN)],
    states: [],
    drives: [],
    calibrations: [],
    preparations: [],
    bottles: [],
    tests: [],
    sets: [],
    seasons: [],
    entries: [],
    parts: [],
    currency: '€',
    prices: [],
    selectedPlanId: PLAN,
  };
}

/** Whether a project still stands where it began. */
export const isPlaceholder = (id: string): boolean => [CAR, CIRCUIT, PLAN].includes(id);

/** A project without the placeholders that nothing uses any more. */
export function withoutPlaceholders(project: Project): Project {
  const plans = project.plans.filter(({ id }) => id !== PLAN || project.plans.length === 1);
  const used = (id: string) =>
    plans.some(
      (plan) => plan.carId === id || plan.circuitId === id || plan.compare.setups.some((s) => s.carId === id),
    );
  const kept = <T extends { readonly id: string }>(list: T[]) =>
    list.filter(({ id }) => !isPlaceholder(id) || used(id));
  return { ...project, plans, cars: kept(project.cars), circuits: kept(project.circuits) };
}
