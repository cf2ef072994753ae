import type { BrakingState } from '../actuation';
import { STANDARD_GRAVITY } from '../constants';
import {
  assertOnTheRoad,
  engineBrakingAt,
  type Forces,
  forcesOf,
  loadFactor,
  resistance,
  tyreLoad,
} from '../lap';
import { largestThat } from '../numeric';
import type { Ask, BrakedCar, HeldBy, StopPiece } from '../schedule';
import type { DemandStep } from './demandStep';
import type { Sharing } from './sharing';
import type { StopTold } from './zoneResult';

/** Steps in a stop, s. */
const STEP = 0.02;
/** A stop that takes longer is none, s. */
const LONGEST = 300;

/** Share of a step's way at which a speed between its ends is passed, v² being a line over the way. */
const passing = (before: number, after: number, speed: number) =>
  (before * before - speed * speed) / (before * before - after * after);

/** Braking force, N, and what holds it there. */
interface Held {
  readonly force: number;
  readonly by: HeldBy;
}

/**
 * The most braking that the tyres, a pedal force and the pedal's travel allow at a speed, in the condition taken.
 * @param speed m/s
 * @param drag what else slows the car, N
 * @param wanted N; what is asked for where it can be had
 * @param pedal most pedal force, N
 * @param tyres share of the braked tyres that are there, 0 to 1
 */
export function mostBraking(
  state: BrakingState,
  forces: Forces,
  {
    speed,
    drag,
    wanted,
    pedal,
    tyres,
  }: Readonly<Record<'speed' | 'drag' | 'wanted' | 'pedal' | 'tyres', number>>,
): Held {
  const whole = forces.mass * forces.inertia;
  const grip = tyres * forces.brakingGrip * loadFactor(forces, tyreLoad(forces, speed, 0));
  const longest = state.travelModel.longestPush;
  const longestTravel = state.travelModel.pedal(longest);
  let by: HeldBy = 'asked';
  const can = (force: number): boolean => {
    const { demand } = state;
    demand.force = force;
    demand.electric = 0;
    demand.z = (force + drag) / whole / STANDARD_GRAVITY;
    demand.downforce = forces.downforce * speed * speed;
    demand.clicks = 0;
    state.solve();
    if (Math.max(state.frontUse, state.rearUse) > grip) by = 'tyres';
    else if (!(state.pedal <= pedal)) by = 'pedal';
    else if (state.travel > longestTravel) by = 'travel';
    else return true;
    return false;
  };
  if (can(wanted)) return { force: wanted, by: 'asked' };
  return { force: largestThat(can, 0, wanted, 26), by };
}

/** A stop being made: its speed follows from what brakes, tyres and foot can do. */
export class Stopping {
  readonly forces: Forces;
  private speed: number;
  private distance = 0;
  private time = 0;
  private pedal = 0;
  private pedalStart = 0;
  private pedalEnd = 0;
  private travel = 0;
  private heldBy: HeldBy = 'asked';
  /** Where 80 and 10 % of the speed are passed, m */
  private sHigh = 0;
  private sLow = 0;
  /** Speed after the step that is being made, m/s, and its way, m */
  private after = 0;
  private way = 0;

  /**
   * @param airDensity kg/m³
   * @throws RangeError for a speed at which the car would lift off
   */
  constructor(
    private readonly piece: StopPiece,
    private readonly car: BrakedCar,
    private readonly sharing: Sharing,
    airDensity: number,
  ) {
    const { vehicle, driver } = car;
    this.forces = forcesOf(vehicle, { ...driver, brakingGripUsed: piece.gripUsed, pace: 1 }, airDensity, 0);
    assertOnTheRoad(this.forces, piece.from);
    this.speed = piece.from;
  }

  /**
   * Makes the next step; the condition has been taken.
   * @returns false when the speed is reached
   * @throws RangeError where the car would never get there
   */
  next(step: DemandStep): boolean {
    const { piece, forces, speed: v } = this;
    const { driver } = this.car;
    if (!(v > piece.to + 1e-6)) return false;
    if (this.time > LONGEST) throw new NeverStops(piece.from, piece.to, v);
    const share = driver.brakeBuildUp > 0 ? Math.min(1, (this.time + STEP / 2) / driver.brakeBuildUp) : 1;
    const drag = resistance(forces, v, 0) + (piece.engineEngaged ? engineBrakingAt(forces, v) : 0);
    const held = mostBraking(this.sharing.state, forces, {
      speed: v,
      drag,
      tyres: piece.tyres,
      ...this.wantedOf(piece.ask, v, drag),
    });
    const force = share * held.force;
    if (held.by !== 'asked' && share >= 1 && this.heldBy !== 'pedal') this.heldBy = held.by;
    const deceleration = (force + drag) / (forces.mass * forces.inertia);
    const reached = v - deceleration * STEP < piece.to;
    this.after = reached ? piece.to : v - deceleration * STEP;
    step.dt = reached ? (v - piece.to) / deceleration : STEP;
    this.way = 0.5 * (v + this.after) * step.dt;
    step.event = this.time === 0;
    step.speed = 0.5 * (v + this.after);
    step.braking = true;
    step.early = (force * this.way) / step.dt;
    step.late = step.early;
    step.frontLeft = 0.5;
    step.rearLeft = 0.5;
    step.ahead = 0;
    step.way = this.way;
    const { demand } = step;
    demand.force = force;
    demand.electric = 0;
    demand.z = deceleration / STANDARD_GRAVITY;
    demand.downforce = forces.downforce * v * v;
    demand.clicks = 0;
    return true;
  }

  /** Takes the step that has been solved. */
  take({ dt }: DemandStep): void {
    const { state } = this.sharing;
    const { from } = this.piece;
    const { speed: v, after: next, way } = this;
    const [high, low] = [0.8 * from, 0.1 * from];
    if (v > high && next <= high) this.sHigh = this.distance + passing(v, next, high) * way;
    if (v > low && next <= low) this.sLow = this.distance + passing(v, next, low) * way;
    const { brakeBuildUp } = this.car.driver;
    const full = brakeBuildUp === 0 || this.time + STEP / 2 >= brakeBuildUp;
    if (full && this.pedalStart === 0) this.pedalStart = state.pedal;
    this.pedalEnd = state.pedal;
    this.pedal = Math.max(this.pedal, state.pedal);
    this.travel = Math.max(this.travel, state.travel);
    this.distance += way;
    this.time += dt;
    this.speed = next;
  }

  /** What came of it. */
  told(): StopTold {
    const { from, to } = this.piece;
    const { distance, time, pedal, pedalStart, pedalEnd, travel, heldBy } = this;
    const [high, low] = [0.8 * from, 0.1 * from];
    const fully = to < low ? (high * high - low * low) / (2 * (this.sLow - this.sHigh)) : 0;
    const meanDeceleration = fully || (from * from - to * to) / (2 * distance);
    return { from, to, distance, time, meanDeceleration, pedal, pedalStart, pedalEnd, travel, heldBy };
  }

  /** @returns wanted braking, N, and the most the foot presses for it, N */
  private wantedOf(ask: Ask, speed: number, drag: number): { wanted: number; pedal: number } {
    const { forces } = this;
    if ('atMost' in ask) {
      const load = tyreLoad(forces, speed, 0);
      // More than the tyres hold, so that they or the foot are the limit.
      return {
        wanted: 1.2 * forces.brakingGrip * loadFactor(forces, load) * load,
        pedal: ask.atMost,
      };
    }
    const whole = forces.mass * forces.inertia;
    return {
      wanted: Math.max(0, whole * ask.deceleration - drag),
      pedal: this.car.vehicle.brakes.forceLimit,
    };
  }
}

/** A braking that never comes to its speed. All m/s. */
export class NeverStops extends RangeError {
  constructor(
    readonly from: number,
    readonly to: number,
    readonly still: number,
  ) {
    super(
      `The car does not come from ${from.toFixed(1)} to ${to.toFixed(1)} m/s: after five minutes it still goes ${still.toFixed(1)} m/s.`,
    );
  }
}
