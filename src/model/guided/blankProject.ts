import { starterLine } from '../catalogue/starters';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project } from '../schema/project';
import { nothingKnown } from './carAnswers';
import { carFromAnswers } from './carFromAnswers';
import { planFromSentence } from './newPlan';
import { CAR, CIRCUIT, PLAN } from './placeholders';

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
