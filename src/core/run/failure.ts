import { type AxleForce, type BrakeChain, BrakingState } from '../actuation';
import { moistAirDensity } from '../air';
import { STANDARD_GRAVITY } from '../constants';
import { assertOnTheRoad, forcesOf, loadFactor, resistance, tyreLoad } from '../lap';
import type { DayInput } from './input';
import { pressureOf } from './pressure';
import { meanOverDistance } from './procedures';

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
  readonly heldBy: 'tyres' | 'pedal' | 'travel' | 'nothing brakes';
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

const gone = (axle: AxleForce): AxleForce => ({ ...axle, pistonArea: 0, hoseGrowth: 0, fluidGive: 0 });
/** One wheel of two: half the torque, half the fluid. */
const half = (axle: AxleForce): AxleForce => ({
  ...axle,
  correction: axle.correction / 2,
  clearance: axle.clearance / 2,
  padGive: axle.padGive / 2,
  opening: axle.opening / 2,
  hoseGrowth: axle.hoseGrowth / 2,
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

/** All failures of a car from a speed, m/s. @throws RangeError for a speed at which the car would lift off */
export function failureCases(input: DayInput, speed: number): FailureCase[] {
  return failuresOf(input.vehicle.brakes).map((failure) => failureCase(input, failure, speed));
}

const STEP = 0.02;

function failureCase(input: DayInput, failure: Failure, speed: number): FailureCase {
  const { vehicle, driver } = input;
  const chain = failed(vehicle.brakes, failure);
  const density = moistAirDensity(pressureOf(input), input.sessions[0].ambient, input.humidity);
  const forces = forcesOf(vehicle, { ...driver, pace: 1 }, density, 0);
  assertOnTheRoad(forces, speed);
  const whole = forces.mass * forces.inertia;
  const state = new BrakingState(chain, vehicle, vehicle.wheelRadius, null);
  state.takeNominal();
  // On one diagonal a single wheel does its axle's part, on half its axle's load.
  const wheels = failure === 'one-diagonal' ? 0.5 : 1;
  let heldBy: FailureCase['heldBy'] = 'tyres';
  const solve = (force: number, v: number) => {
    state.demand.force = force;
    state.demand.z = (force + resistance(forces, v, 0)) / (whole * STANDARD_GRAVITY);
    state.demand.downforce = forces.downforce * v * v;
    state.solve();
  };
  const can = (force: number, v: number): boolean => {
    solve(force, v);
    const load = tyreLoad(forces, v, 0);
    const grip = wheels * forces.brakingGrip * loadFactor(forces, load);
    if (Math.max(state.frontUse, state.rearUse) > grip) heldBy = 'tyres';
    else if (!(state.pedal <= chain.forceLimit)) heldBy = 'pedal';
    else if ((state.travel - chain.freeTravel) / chain.pedalRatio > state.travelModel.longestPush) {
      heldBy = 'travel';
    } else return true;
    return false;
  };
  const most = (v: number): number => {
    let [low, high] = [0, 1.5 * forces.brakingGrip * tyreLoad(forces, v, 0)];
    for (let i = 0; i < 40; i++) {
      const middle = 0.5 * (low + high);
      if (can(middle, v)) low = middle;
      else high = middle;
    }
    return low;
  };
  if (most(speed) < 1) {
    return {
      failure,
      deceleration: 0,
      distance: Number.POSITIVE_INFINITY,
      pedal: 0,
      pedalForModest: Number.POSITIVE_INFINITY,
      heldBy: 'nothing brakes',
    };
  }
  let [v, distance, pedal, time] = [speed, 0, 0, 0];
  let hardest: FailureCase['heldBy'] = heldBy;
  while (v > 1e-6) {
    const share = driver.brakeBuildUp > 0 ? Math.min(1, (time + STEP / 2) / driver.brakeBuildUp) : 1;
    const force = share * most(v);
    if (time === 0) hardest = heldBy;
    solve(force, v);
    pedal = Math.max(pedal, state.pedal);
    const deceleration = (force + resistance(forces, v, 0)) / whole;
    const dt = Math.min(STEP, v / deceleration);
    distance += v * dt - 0.5 * deceleration * dt * dt;
    v -= deceleration * dt;
    time += dt;
  }
  const modest = Math.max(0, whole * MODEST - resistance(forces, speed / 2, 0));
  const reached = can(modest, speed / 2);
  return {
    failure,
    deceleration: meanOverDistance(speed, distance),
    distance,
    pedal,
    pedalForModest: reached ? state.pedal : Number.POSITIVE_INFINITY,
    heldBy: hardest,
  };
}
