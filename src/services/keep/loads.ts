import { type DayInput, type DayResult, lookAtDay, sessionLoad, WHEELS, type WheelName } from '../../core';
import {
  type Car,
  COOL_PACE,
  dayInput,
  type EntryOf,
  type EventSession,
  type FittedSets,
  fitPart,
  fromSi,
  isBuiltIn,
  OUT_PACE,
  type Plan,
  type Project,
  partOf,
  SET_PLACES,
  type Season,
  type SeasonEvent,
  type Setup,
  type StoredLoad,
  setupOf,
} from '../../model';
import { standingLonger } from '../calibrate/driveLegs';

/** Grip over that of a dry track, %, as plans usually take it. */
const GRIP = { dry: 100, damp: 75, wet: 55 } as const;
/** Standing after a session, as long as fluid takes to be hottest and more, min. */
const PADDOCK_MINUTES = 20;

/** What is driven, as a logbook or a season says it. */
interface Driven {
  readonly carId: string;
  readonly planId: string;
  readonly circuitId: string;
  readonly name: string;
  /** Out and in, 1 or more */
  readonly outLaps: number;
  readonly hotLaps: number;
  readonly airC: number;
  readonly track: keyof typeof GRIP;
  readonly sets: FittedSets;
}

/** The car with the parts that its sets are; a set of the car's own part changes nothing. */
function withSets(project: Project, car: Car, sets: FittedSets): Car {
  return SET_PLACES.reduce((fitted, place) => {
    const set = project.sets.find(({ id }) => id === sets[place]);
    const known = set?.part && (isBuiltIn(set.part) || project.parts.some(({ id }) => id === set.part));
    const part = set?.part && known ? partOf(set.part, project.parts) : null;
    return set && part ? fitPart(fitted, part, set.axle) : fitted;
  }, car);
}

/** The setup that a session was, or is to be, driven with; null where car, circuit or plan are gone. */
export function drivenSetup(project: Project, driven: Driven): Setup | null {
  const car = project.cars.find(({ id }) => id === driven.carId);
  const circuit = project.circuits.find(({ id }) => id === driven.circuitId);
  const template = project.plans.find(({ id }) => id === driven.planId);
  if (!car || !circuit || !template) return null;
  const laps = [
    { kind: 'out' as const, laps: 1, pacePercent: OUT_PACE },
    ...(driven.hotLaps > 0 ? [{ kind: 'hot' as const, laps: driven.hotLaps, pacePercent: 100 }] : []),
    { kind: 'cool' as const, laps: Math.max(1, driven.outLaps - 1), pacePercent: COOL_PACE },
  ];
  const plan: Plan = {
    ...template,
    carId: car.id,
    circuitId: circuit.id,
    start: { kind: 'cold' },
    // Clicks are of the braking zones of one circuit.
    clicks: template.circuitId === circuit.id ? template.clicks : [],
    sessions: [
      {
        name: driven.name,
        ambientC: driven.airC,
        gripPercent: GRIP[driven.track],
        legs: [...laps, { kind: 'paddock', minutes: PADDOCK_MINUTES, fanKmh: 0 }],
      },
    ],
  };
  const fitted = withSets(project, car, driven.sets);
  const shown = {
    ...project,
    cars: project.cars.map((own) => (own.id === car.id ? fitted : own)),
    plans: [plan],
  };
  return setupOf(shown, plan.id);
}

/** The setup of a session that was driven. */
export const setupOfSession = (project: Project, entry: EntryOf<'session'>): Setup | null =>
  drivenSetup(project, entry);

/** The setup of a session that is planned, with these sets on the car. */
export const setupOfPlanned = (
  project: Project,
  season: Season,
  event: SeasonEvent,
  session: EventSession,
  sets: FittedSets,
): Setup | null =>
  drivenSetup(project, {
    carId: season.carId,
    planId: season.planId,
    circuitId: event.circuitId,
    name: session.name,
    outLaps: 2,
    hotLaps: session.hotLaps,
    airC: session.airC,
    track: 'dry',
    sets,
  });

const nine = (value: number) => Number(value.toPrecision(9));

/** What a driven day takes of its brakes; as stored. */
export function storedLoad(input: DayInput, result: DayResult): StoredLoad {
  const load = sessionLoad(input, result);
  const stored = (wheel: WheelName) => {
    const own = load[wheel];
    return {
      energyMj: nine(fromSi(own.energy, 'energy') / 1000),
      innerPadMm: nine(fromSi(own.innerPad, 'smallLength')),
      outerPadMm: nine(fromSi(own.outerPad, 'smallLength')),
      rotorMm: nine(fromSi(own.rotor, 'smallLength')),
      fatigue: nine(own.fatigue),
      rotorC: nine(fromSi(own.rotorPeak, 'temperature')),
      padC: nine(fromSi(own.padPeak, 'temperature')),
      fluidC: nine(fromSi(own.fluidPeak, 'temperature')),
    };
  };
  return Object.fromEntries(WHEELS.map((wheel) => [wheel, stored(wheel)])) as StoredLoad;
}

/** Drives a day as a log has it, and stands for as long as fluid takes to be hottest and more. */
export function loadOfDay(day: DayInput): StoredLoad {
  const input = standingLonger(day, 60 * PADDOCK_MINUTES);
  return lookAtDay(input, (day) => storedLoad(input, day));
}

/** Drives a setup’s day and says what it takes of its brakes. */
export function loadOf(setup: Setup): StoredLoad {
  const input = dayInput(setup);
  return lookAtDay(input, (day) => storedLoad(input, day));
}
