import { type AxleForce, type BrakeChain, BrakingState } from '../actuation';
import { assertOnTheRoad, forcesOf, resistance, tyreLoad } from '../lap';
import { airAt, type HeldBy, listedSchedule, stopPiece } from '../schedule';
import type { Observer } from './observer';
import { meanOverDistance, type ProcedureCar } from './procedures';
import { run } from './run';
import { mostBraking } from './stopping';
import type { StopTold } from './zoneResult';

export type Failure = 'none' | 'booster' | 'front-circuit' | 'rear-circuit' | 'one-diagonal' | 'only-circuit';

/** What is left of the brakes with something lost, pads warm, the car straight on a level road. */
export interface FailureCase {
  readonly failure: Failure;
  /** Mean deceleration from the speed to rest, m/s²; 0 where nothing brakes */
  readonly deceleration: number;
  /** m; infinite where nothing brakes */
  readonly distance: number;
  /** Greatest pedal force used, N: up to the driver's limit */
  readonly pedal: number;
  /** Pedal force for `MODEST` deceleration from half the speed, N; infinite where it cannot be reached */
  readonly pedalForModest: number;
  /** What holds the stop back */
  readonly heldBy: HeldBy | 'nothing brakes';
}

/** Deceleration asked of what is left, m/s²: what UN R13-H wants of a secondary brake (from memory). */
export const MODEST = 2.44;

/** Failures a chain can have. A single circuit has nothing left when it is lost. */
export function failuresOf({ booster, cylinders }: BrakeChain): Failure[] {
  const circuits: Failure[] =
    cylinders.kind === 'single'
      ? ['only-circuit']
      : cylinders.kind === 'tandem' && cylinders.split === 'diagonal'
        ? ['one-diagonal']
        : ['front-circuit', 'rear-circuit'];
  return ['none', ...(booster ? (['booster'] as const) : []), ...circuits];
}

const gone = (axle: AxleForce): AxleForce => ({ ...axle, pistonArea: 0, hoseExpansion: 0, fluidGive: 0 });
/** One wheel of two: half the torque, half the fluid. */
const half = (axle: AxleForce): AxleForce => ({
  ...axle,
  correction: axle.correction / 2,
  clearance: axle.clearance / 2,
  padGive: axle.padGive / 2,
  opening: axle.opening / 2,
  hoseExpansion: axle.hoseExpansion / 2,
  fluidGive: axle.fluidGive / 2,
});

/**
 * The chain with something lost. An empty chamber of a tandem cylinder is pushed to its end before the other works, so
 * half the stroke is left; a balance bar comes to its stop and passes on only its own share.
 */
export function failed(chain: BrakeChain, failure: Failure): BrakeChain {
  const { cylinders } = chain;
  const shorter = cylinders.kind === 'tandem' ? { ...cylinders, stroke: cylinders.stroke / 2 } : cylinders;
  switch (failure) {
    case 'none':
      return chain;
    case 'booster':
      return { ...chain, booster: null };
    case 'front-circuit':
      return { ...chain, cylinders: shorter, front: gone(chain.front) };
    case 'rear-circuit':
      return { ...chain, cylinders: shorter, rear: gone(chain.rear) };
    case 'one-diagonal':
      return { ...chain, cylinders: shorter, front: half(chain.front), rear: half(chain.rear) };
    case 'only-circuit':
      return { ...chain, front: gone(chain.front), rear: gone(chain.rear) };
  }
}

/**
 * All failures of a car from a speed: how long, m, and at what deceleration, m/s², it stops with what is left; infinite
 * and 0 where nothing brakes. What fails in each is an own assumption, named at its case.
 * @param speed m/s
 * @throws RangeError for a speed at which the car would lift off
 */
export function failureCases(car: ProcedureCar, speed: number): FailureCase[] {
  return failuresOf(car.vehicle.brakes).map((failure) => failureCase(car, failure, speed));
}

function failureCase(car: ProcedureCar, failure: Failure, speed: number): FailureCase {
  const { vehicle, driver } = car;
  const { ambient } = car.sessions[0];
  const brakes = failed(vehicle.brakes, failure);
  // On one diagonal a single wheel does its axle's part, on half its axle's load.
  const tyres = failure === 'one-diagonal' ? 0.5 : 1;
  const forces = forcesOf(vehicle, { ...driver, pace: 1 }, airAt(car, ambient).density, 0);
  assertOnTheRoad(forces, speed);
  const state = new BrakingState(brakes, vehicle, vehicle.wheelRadius, null);
  state.takeNominal();
  const most = (v: number, wanted: number) =>
    mostBraking(state, forces, {
      speed: v,
      drag: resistance(forces, v, 0),
      wanted,
      pedal: brakes.forceLimit,
      tyres,
    });
  if (most(speed, 1.2 * forces.brakingGrip * tyreLoad(forces, speed, 0)).force < 1) {
    return {
      failure,
      deceleration: 0,
      distance: Number.POSITIVE_INFINITY,
      pedal: 0,
      pedalForModest: Number.POSITIVE_INFINITY,
      heldBy: 'nothing brakes',
    };
  }
  const left = { ...car, vehicle: { ...vehicle, brakes, recovery: null } };
  const ask = { atMost: brakes.forceLimit };
  const piece = stopPiece({ from: speed, to: 0, ask, ambient, gripUsed: driver.brakingGripUsed, tyres });
  const told: StopTold[] = [];
  const after: Observer['after'] = ({ stop }) => {
    if (stop) told.push(stop);
  };
  run(left, left, listedSchedule([piece]), ambient, [{ after }], { pads: 'at best' });
  const [{ distance, pedal, heldBy }] = told;
  const whole = forces.mass * forces.inertia;
  const modest = Math.max(0, whole * MODEST - resistance(forces, speed / 2, 0));
  const reached = most(speed / 2, modest).by === 'asked';
  return {
    failure,
    deceleration: meanOverDistance(speed, distance),
    distance,
    pedal,
    pedalForModest: reached ? state.pedal : Number.POSITIVE_INFINITY,
    heldBy,
  };
}
