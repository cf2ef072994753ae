import {
  AXLES,
  type AxleName,
  type BeddingPlan,
  type BeddingRecipe,
  beddingPlan,
  type Snub,
  ZERO_CELSIUS,
} from '../../core';
import {
  type BeddingData,
  type Car,
  dayInput,
  fromSi,
  type Part,
  type Preparation,
  padOf,
  type Setup,
  type StoredBedding,
  toSi,
  usualBedding,
} from '../../model';
import { wantedCar } from './work';

/** Bedded share that a run is driven to, and from which on an axle counts as bedded. */
export const BEDDED = 0.95;
/** Medium applications, m/s² (common practice); of what is braked harder than that later, half. */
const WARM_DECELERATION = 3.5;
/** On a road nobody brakes harder than this, m/s², and follows others at a distance of so many seconds. */
const ROAD_DECELERATION = 4;
const ROAD_PAUSE = 12;
const TRACK_PAUSE = 3;
/** Rolling out: km/h, until °C, for at most s. */
const ROLL_FROM = 80;
const COOL = 150;
const LONGEST_ROLL = 1200;

const kelvin = (celsius: number) => celsius + ZERO_CELSIUS;
const band = ([low, high]: readonly [number, number]) => [kelvin(low), kelvin(high)] as const;
const kmh = (speed: number) => toSi(speed, 'speed');

/** How an axle's pads are bedded: as typed from their maker's data, else as is usual of their family. */
export function beddingOf(car: Car, axle: AxleName, parts: readonly Part[], bed: StoredBedding): BeddingData {
  const usual = usualBedding(padOf(car[axle].pad, parts));
  const { bedLowC, bedHighC } = bed;
  if (bedLowC === null && bedHighC === null) return usual;
  const low = bedLowC ?? Math.min(usual.bed[0], (bedHighC ?? 0) - 20);
  const high = bedHighC ?? Math.max(usual.bed[1], low + 20);
  const warm = [Math.min(usual.warm[0], low - 10), Math.min(usual.warm[1], high)] as const;
  return { ...usual, warm, bed: [low, high], source: 'typed' };
}

/** Axles whose pads or rotors are to be bedded. */
export function axlesToBed(preparation: Preparation, car: Car): readonly AxleName[] {
  const { version } = preparation.bed;
  const open = AXLES.filter((axle) => car[axle].beddedPercent < 100 * BEDDED);
  // What is glazed, or came bedded, is what somebody says it is.
  return open.length > 0 || (version !== 'glazed' && version !== 'pre-bedded') ? open : AXLES;
}

/** A car as it stands when it is bedded: its pads as the version has them. @param fitted with what is to be fitted */
function carToBed(fitted: Car, axles: readonly AxleName[], preparation: Preparation): Car {
  const { version } = preparation.bed;
  const percent = version === 'pre-bedded' ? 100 : version === 'glazed' ? 0 : null;
  if (percent === null) return fitted;
  const of = (axle: AxleName) => ({
    ...fitted[axle],
    beddedPercent: axles.includes(axle) ? percent : fitted[axle].beddedPercent,
  });
  return { ...fitted, front: of('front'), rear: of('rear') };
}

/** A car's bedding, ready to be driven; null where nothing is to be bedded. */
export interface BeddingQuestion {
  readonly setup: Setup;
  readonly axles: readonly AxleName[];
  readonly recipe: BeddingRecipe;
}

/** Share of the power that brings the car back to speed, on a road and on a track (own choice). */
const POWER_USED = { road: 0.35, track: 0.65 } as const;
/** Back to speed, m/s². */
const accelerationOf = (car: Car, speed: number, place: keyof typeof POWER_USED) =>
  Math.min(3, Math.max(0.3, (POWER_USED[place] * toSi(car.powerKw, 'power')) / (car.massKg * speed)));

/** Speed at which half of the power is drag: what can be reached again and again, km/h. */
const reachable = (car: Car) =>
  fromSi(Math.cbrt(toSi(car.powerKw, 'power') / Math.max(0.2, 0.6 * car.dragAreaM2) / 2), 'speed');

/** What is to be driven with a preparation's car, in the air of a plan. */
export function beddingQuestion(setup: Setup, preparation: Preparation): BeddingQuestion | null {
  const fitted = wantedCar(setup.car, preparation, setup.parts);
  const axles = axlesToBed(preparation, fitted);
  if (axles.length === 0) return null;
  const car = carToBed(fitted, axles, preparation);
  const { bed } = preparation;
  const data = axles.map((axle) => ({ axle, ...beddingOf(car, axle, setup.parts, bed) }));
  const road = bed.version === 'road';
  const most = Math.min(road ? bed.limitKmh : 300, reachable(car));
  // The first axle leads: the front, where both are bedded.
  const [{ speeds, deceleration: asked }] = data;
  const hardFrom = Math.min(bed.fromKmh ?? speeds[1], most);
  // Nobody warms up from a higher speed than the snubs are to have.
  const warmFrom = Math.min(speeds[0], hardFrom);
  const warmUp: Snub = {
    from: kmh(warmFrom),
    to: kmh(warmFrom / 2),
    deceleration: road ? ROAD_DECELERATION - 1 : Math.max(WARM_DECELERATION, asked / 2),
  };
  const hard: Snub = {
    from: kmh(hardFrom),
    to: kmh(Math.min(bed.toKmh ?? hardFrom / 3, hardFrom - 5)),
    deceleration: road ? Math.min(asked, ROAD_DECELERATION) : asked,
  };
  const [{ ambientC }] = setup.plan.sessions;
  return {
    setup: { ...setup, car },
    axles,
    recipe: {
      ambient: kelvin(ambientC),
      axles: data.map((own) => ({ axle: own.axle, warm: band(own.warm), bed: band(own.bed) })),
      warmUp,
      hard: bed.version === 'pre-bedded' ? null : hard,
      acceleration: accelerationOf(car, hard.from, road ? 'road' : 'track'),
      pause: road ? ROAD_PAUSE : TRACK_PAUSE,
      counts: { warmUps: bed.warmUps, snubs: bed.snubs },
      bedded: BEDDED,
      rollOut: { speed: kmh(Math.min(ROLL_FROM, most)), until: kelvin(COOL), longest: LONGEST_ROLL },
    },
  };
}

/** The same driven: what to do, and what comes of it. @throws ScheduleError, NeverStops */
export function bedding({ setup, recipe }: BeddingQuestion): BeddingPlan {
  const input = dayInput({ ...setup, begun: null });
  // Of another pad's data the core knows the band through its own.
  const own = (axle: AxleName) => {
    const found = recipe.axles.find((each) => each.axle === axle);
    if (!found) return input[axle];
    const side = (corner: typeof input.front.left) => ({
      ...corner,
      pad: { ...corner.pad, bedding: { ...corner.pad.bedding, low: found.bed[0], high: found.bed[1] } },
    });
    return { ...input[axle], left: side(input[axle].left), right: side(input[axle].right) };
  };
  return beddingPlan({ ...input, front: own('front'), rear: own('rear') }, recipe, recipe.ambient);
}
