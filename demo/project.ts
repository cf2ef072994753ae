import type { Plan, Project } from '../src/model';
import { DEFAULT_UNCERTAIN, PROJECT_FORMAT, PROJECT_VERSION } from '../src/model';
import { ovel } from './cars/ovel';
import { skarn } from './cars/skarn';
import { tarn } from './cars/tarn';
import { anvilPark, longFen, nettleGlen } from './circuits';
import { demoDrives } from './drives';
import { demoEntries, demoSeasons, demoSets } from './keep';
import { demoBottles, demoPreparations } from './preparations';
import { session } from './session';
import { demoTests } from './tests';

const club: Pick<
  Plan,
  | 'start'
  | 'humidityPercent'
  | 'pressureHpa'
  | 'windKmh'
  | 'windFromDeg'
  | 'brakingGripUsedPercent'
  | 'corneringGripUsedPercent'
  | 'brakeBuildUpS'
  | 'brakesEarlier'
  | 'clicks'
  | 'targetMarginK'
  | 'minutes'
  | 'compare'
  | 'uncertain'
  | 'date'
  | 'origins'
> = {
  start: { kind: 'cold' },
  humidityPercent: 55,
  pressureHpa: null,
  windKmh: 14,
  windFromDeg: 240,
  brakingGripUsedPercent: 86,
  corneringGripUsedPercent: 92,
  brakeBuildUpS: 0.25,
  brakesEarlier: true,
  clicks: [],
  targetMarginK: 30,
  minutes: 20,
  compare: { setups: [], referenceId: null },
  uncertain: DEFAULT_UNCERTAIN,
  date: null,
  origins: {
    rest: 'assumed',
    known: { brakingGripUsedPercent: 'typed', corneringGripUsedPercent: 'typed', sessions: 'typed' },
  },
};

const atAnvil: Plan = {
  id: 'plan-tarn-anvil',
  name: 'Twenty minutes at Anvil Park',
  carId: tarn.id,
  circuitId: anvilPark.id,
  ...club,
  sessions: [session('Twenty minutes', 24, 11)],
};

/** The invented scenario: three cars, three circuits, and the plans of a two-person team. */
export const demoProject: Project = {
  format: PROJECT_FORMAT,
  version: PROJECT_VERSION,
  name: 'Imke and Tomas, this season',
  cars: [tarn, ovel, skarn],
  circuits: [anvilPark, nettleGlen, longFen],
  plans: [
    atAnvil,
    {
      id: 'plan-ovel-nettle',
      name: 'First track day, Nettle Glen',
      carId: ovel.id,
      circuitId: nettleGlen.id,
      ...club,
      sessions: [session('First run', 24, 7)],
      brakingGripUsedPercent: 66,
      corneringGripUsedPercent: 78,
    },
    {
      id: 'plan-skarn-fen',
      name: 'Prototype stint, Long Fen',
      carId: skarn.id,
      circuitId: longFen.id,
      ...club,
      sessions: [session('Stint', 18, 12)],
      brakingGripUsedPercent: 90,
    },
    {
      id: 'plan-tarn-fen',
      name: 'Tarn at Long Fen',
      carId: tarn.id,
      circuitId: longFen.id,
      ...club,
      sessions: [session('Afternoon', 19, 8)],
    },
    {
      id: 'plan-tarn-day',
      name: 'A club day at Anvil Park',
      carId: tarn.id,
      circuitId: anvilPark.id,
      ...club,
      brakingGripUsedPercent: 80,
      sessions: [
        session('Morning', 15, 6, 55),
        {
          name: 'Noon, with a pit stop',
          ambientC: 23,
          gripPercent: 100,
          legs: [
            { kind: 'out', laps: 1, pacePercent: 65 },
            { kind: 'hot', laps: 4, pacePercent: 100 },
            { kind: 'pit', minutes: 3, fanKmh: 15 },
            { kind: 'out', laps: 1, pacePercent: 65 },
            { kind: 'hot', laps: 4, pacePercent: 100 },
            { kind: 'cool', laps: 2, pacePercent: 40 },
            { kind: 'paddock', minutes: 25, fanKmh: 15 },
          ],
        },
        session('Afternoon', 27, 7, 20),
        session('Last of the day', 22, 8, 40),
      ],
    },
  ],
  states: [],
  drives: demoDrives(atAnvil),
  calibrations: [],
  preparations: demoPreparations,
  bottles: demoBottles,
  tests: demoTests,
  sets: demoSets,
  seasons: demoSeasons,
  entries: demoEntries,
  parts: [],
  currency: '€',
  prices: [],
  selectedPlanId: 'plan-tarn-anvil',
};
