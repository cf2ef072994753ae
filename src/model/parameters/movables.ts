import type { ParameterId } from '../../core';
import type { Quantity } from '../quantity/units';
import type { Change } from '../schema/compare';
import { infoAt, type Path, type Shelf } from '../schema/paths';
import type { PlanLeg, PlanSession } from '../schema/plan';
import { frontSharePercent, withFrontShare } from '../toCore/chain';
import type { Setup } from '../toCore/toCore';

/** A number of a setup that can be moved beside the workbench, and what of it goes into a comparison; stored units. */
interface Movable {
  readonly title: string;
  readonly quantity: Quantity;
  readonly step: number;
  readonly decimals?: number;
  /** Range of its control around the saved value */
  readonly range: (saved: number) => readonly [number, number];
  /** How far it may be moved so that the setup can still be kept: the least and the most of what it is stored in */
  readonly bounds: (setup: Setup) => readonly [number, number];
  readonly read: (setup: Setup) => number;
  /** @param saved what it was before anything was moved */
  readonly write: (setup: Setup, value: number, saved: number) => Setup;
  /** The change of a car it makes; null where it is about the day */
  readonly change: ((value: number) => Change) | null;
  /** Set, it does nothing where the circuit is a typed list of braking zones: their speeds are what they are */
  readonly needsLine?: true;
  /** Parameters of the core that it moves, where it moves some */
  readonly parameters: readonly ParameterId[];
}

const around =
  (share: number, step: number, least = 0) =>
  (saved: number) =>
    [
      Math.max(least, Math.round((saved * (1 - share)) / step) * step),
      Math.round((saved * (1 + share)) / step) * step,
    ] as const;
const fixed = (low: number, high: number) => (saved: number) =>
  [Math.min(low, saved), Math.max(high, saved)] as const;

const within =
  (shelf: Shelf, ...path: Path) =>
  (): readonly [number, number] => {
    const { min, max } = infoAt(shelf, path);
    return [min, max];
  };

const duct = (axle: 'front' | 'rear'): Movable => ({
  title: `${axle === 'front' ? 'Front' : 'Rear'} duct, a wheel`,
  quantity: 'area',
  step: 1,
  range: fixed(0, 120),
  bounds: within('cars', axle, 'ductAreaCm2'),
  read: ({ car }) => car[axle].ductAreaCm2,
  write: (setup, ductAreaCm2) => ({
    ...setup,
    car: { ...setup.car, [axle]: { ...setup.car[axle], ductAreaCm2 } },
  }),
  change: (areaCm2) => ({ kind: 'duct', axle, areaCm2 }),
  parameters: [],
});

const firstHotLeg = (legs: readonly PlanLeg[]) =>
  legs.find((leg): leg is Extract<PlanLeg, { laps: number }> => leg.kind === 'hot');

const eachSession = (setup: Setup, change: (session: PlanSession) => PlanSession): Setup => ({
  ...setup,
  plan: { ...setup.plan, sessions: setup.plan.sessions.map(change) },
});

const scaled = (grip: number, percent: number) => Math.round(grip * percent * 10) / 1000;

/** Every number that can be moved, in the order its control is listed in. */
export const MOVABLES = {
  massKg: {
    title: 'Mass',
    quantity: 'mass',
    step: 5,
    decimals: 0,
    range: around(0.3, 5, 100),
    bounds: within('cars', 'massKg'),
    read: ({ car }) => car.massKg,
    write: (setup, massKg) => ({ ...setup, car: { ...setup.car, massKg } }),
    change: (massKg) => ({ kind: 'mass', massKg }),
    parameters: ['mass'],
  },
  ambientC: {
    title: 'Air',
    quantity: 'temperature',
    step: 1,
    range: fixed(-5, 42),
    // The other sessions move with the first.
    bounds: ({ plan }) => {
      const [least, most] = within('plans', 'sessions', 0, 'ambientC')();
      const ambients = plan.sessions.map(({ ambientC }) => ambientC);
      return [least + ambients[0] - Math.min(...ambients), most + ambients[0] - Math.max(...ambients)];
    },
    read: ({ plan }) => plan.sessions[0].ambientC,
    write: (setup, value, saved) =>
      eachSession(setup, (session) => ({ ...session, ambientC: session.ambientC + (value - saved) })),
    change: null,
    parameters: ['ambient'],
  },
  gripPercent: {
    title: 'Tyre grip, of the saved',
    quantity: 'percent',
    step: 1,
    decimals: 0,
    range: fixed(60, 125),
    bounds: ({ car }) => {
      const [least, most] = within('cars', 'tyres', 'lateralGrip')();
      const grips = [car.tyres.lateralGrip, car.tyres.longitudinalGrip];
      return [Math.ceil((100 * least) / Math.min(...grips)), Math.floor((100 * most) / Math.max(...grips))];
    },
    read: () => 100,
    write: (setup, percent) => {
      const { tyres } = setup.car;
      const lateralGrip = scaled(tyres.lateralGrip, percent);
      const longitudinalGrip = scaled(tyres.longitudinalGrip, percent);
      return { ...setup, car: { ...setup.car, tyres: { ...tyres, lateralGrip, longitudinalGrip } } };
    },
    change: null,
    needsLine: true,
    parameters: ['corneringGrip', 'brakingGrip'],
  },
  brakingGripUsedPercent: {
    title: 'Share of grip used in braking',
    quantity: 'percent',
    step: 1,
    decimals: 0,
    range: fixed(50, 100),
    bounds: within('plans', 'brakingGripUsedPercent'),
    read: ({ plan }) => plan.brakingGripUsedPercent,
    write: (setup, brakingGripUsedPercent) => ({
      ...setup,
      plan: { ...setup.plan, brakingGripUsedPercent },
    }),
    change: null,
    needsLine: true,
    parameters: ['brakingGrip'],
  },
  hotLaps: {
    title: 'Hot laps',
    quantity: 'laps',
    step: 1,
    range: fixed(1, 25),
    bounds: within('plans', 'sessions', 0, 'legs', 0, 'laps'),
    // In the day's first run of hot laps; the other sessions' runs move with it.
    read: ({ plan }) => firstHotLeg(plan.sessions.flatMap((session) => session.legs))?.laps ?? 0,
    write: (setup, value, saved) =>
      eachSession(setup, (session) => {
        const hot = firstHotLeg(session.legs);
        const laps = (now: number) => Math.min(60, Math.max(1, now + value - saved));
        return {
          ...session,
          legs: session.legs.map((leg) => (leg === hot ? { ...hot, laps: laps(hot.laps) } : leg)),
        };
      }),
    change: null,
    parameters: [],
  },
  frontSharePercent: {
    title: 'Brake balance (% front)',
    quantity: 'percent',
    step: 0.5,
    range: fixed(45, 80),
    bounds: within('cars', 'frontSharePercent'),
    read: ({ car, parts }) => frontSharePercent(car, parts),
    write: (setup, percent) => ({ ...setup, car: withFrontShare(setup.car, percent, setup.parts) }),
    change: (percent) => ({ kind: 'balance', frontSharePercent: percent }),
    parameters: [],
  },
  frontDuctCm2: duct('front'),
  rearDuctCm2: duct('rear'),
  fluidAgeMonths: {
    title: 'Fluid age',
    quantity: 'months',
    step: 1,
    range: fixed(0, 60),
    bounds: within('cars', 'fluid', 'ageMonths'),
    read: ({ car }) => car.fluid.ageMonths,
    write: (setup, ageMonths) => ({
      ...setup,
      car: { ...setup.car, fluid: { ...setup.car.fluid, ageMonths } },
    }),
    change: null,
    parameters: ['fluidState'],
  },
} as const satisfies Readonly<Record<string, Movable>>;

export type MovableId = keyof typeof MOVABLES;
export const MOVABLE_IDS = Object.keys(MOVABLES) as MovableId[];
/** A movable by its id, with all that one can have. */
export const movable = (id: MovableId): Movable => MOVABLES[id];
