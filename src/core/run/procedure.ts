import { BrakingState, vapourVolume } from '../actuation';
import { type AirProperties, airProperties, moistAirDensity } from '../air';
import { fillDrive } from '../brake';
import { STANDARD_GRAVITY } from '../constants';
import { assertOnTheRoad, type Forces, forcesOf, loadFactor, resistance, tyreLoad } from '../lap';
import { CornerRun } from './cornerRun';
import { AXLES, type AxleName, type DayInput } from './input';
import { pressureOf } from './pressure';

/** Steps in a stop and on the way to the next, s. */
const BRAKING_STEP = 0.02;
const ROLLING_STEP = 1;

/** Share of a step's way at which a speed between its ends is passed, v² being a line over the way. */
const passing = (before: number, after: number, speed: number) =>
  (before * before - speed * speed) / (before * before - after * after);

/** How a stop is asked for: a deceleration to hold, m/s², or all that the tyres and a pedal force, N, allow. */
export type Ask = { readonly deceleration: number } | { readonly atMost: number };

/** What held a stop back at its hardest. */
export type HeldBy = 'asked' | 'tyres' | 'pedal';

/** One stop of a procedure. */
export interface ProcedureStop {
  /** m/s */
  readonly from: number;
  readonly to: number;
  /** From first touch of the pedal, m and s */
  readonly distance: number;
  readonly time: number;
  /** Mean fully developed deceleration between 80 and 10 % of the speed, m/s²; over the whole stop where it ends above */
  readonly meanDeceleration: number;
  /** Greatest pedal force, and those at the start and the end of full braking, N */
  readonly pedal: number;
  readonly pedalStart: number;
  readonly pedalEnd: number;
  /** m */
  readonly travel: number;
  readonly heldBy: HeldBy;
  /** Rotor faces and fluid at its end, K */
  readonly face: Readonly<Record<AxleName, number>>;
  readonly fluid: Readonly<Record<AxleName, number>>;
  /** Rotors before it, mean over the ring, K */
  readonly before: Readonly<Record<AxleName, number>>;
}

export interface ProcedureStart {
  /** Of all brake parts, K */
  readonly temperature: number;
  /** Of the air, K */
  readonly ambient: number;
  /** Whether the engine brakes along */
  readonly engineEngaged: boolean;
}

/**
 * A car on a straight level road, stop after stop: unlike a lap, its speed follows from what the brakes can do. Left and
 * right are alike; the tyres are braked up to where the first axle would lock.
 */
export class ProcedureRun {
  private readonly forces: Forces;
  private readonly air: AirProperties;
  private readonly state: BrakingState;
  private readonly runs: Readonly<Record<AxleName, CornerRun>>;
  private readonly engine: number;
  /** Pedal travel to the floor or to the end of the cylinder, m */
  private readonly longestTravel: number;
  private sample = 0;
  private room = 0;

  constructor(
    private readonly input: DayInput,
    start: ProcedureStart,
  ) {
    const { vehicle } = input;
    const pressure = pressureOf(input);
    const density = moistAirDensity(pressure, start.ambient, input.humidity);
    this.air = airProperties(density, start.ambient);
    this.forces = forcesOf(vehicle, { ...input.driver, brakingCommitment: 1, pace: 1 }, density, 0);
    this.state = new BrakingState(vehicle.brakes, vehicle, vehicle.wheelRadius, null);
    this.longestTravel = this.state.travelModel.pedal(this.state.travelModel.longestPush);
    this.engine = start.engineEngaged ? vehicle.engineBraking : 0;
    const run = (axle: AxleName) => {
      const corner = new CornerRun(input[axle].left, start.temperature, pressure, 1, 1);
      corner.integrator.setAmbient(start.ambient);
      return corner;
    };
    this.runs = { front: run('front'), rear: run('rear') };
  }

  /** Brakes from one speed to another. @throws RangeError where the car would never get there, or lift off */
  stop(from: number, to: number, ask: Ask): ProcedureStop {
    const { state, forces } = this;
    assertOnTheRoad(forces, from);
    const { vehicle, driver } = this.input;
    const before = this.each((run) => run.bulk());
    let [v, distance, time, pedal, travel, pedalStart, pedalEnd] = [from, 0, 0, 0, 0, 0, 0];
    let heldBy: HeldBy = 'asked';
    const [high, low] = [0.8 * from, 0.1 * from];
    let [sHigh, sLow] = [0, 0];
    let event = true;
    while (v > to + 1e-6) {
      this.takeCondition();
      const dt = BRAKING_STEP;
      const share = driver.brakeBuildUp > 0 ? Math.min(1, (time + dt / 2) / driver.brakeBuildUp) : 1;
      const drag = resistance(forces, v, 0) + this.engine;
      const held = this.forceAsked(ask, v, drag, share);
      const force = held.force;
      const deceleration = (force + drag) / (forces.mass * forces.inertia);
      let next = v - deceleration * dt;
      let step = dt;
      if (next < to) {
        step = (v - to) / deceleration;
        next = to;
      }
      const way = 0.5 * (v + next) * step;
      if (v > high && next <= high) sHigh = distance + passing(v, next, high) * way;
      if (v > low && next <= low) sLow = distance + passing(v, next, low) * way;
      this.solveAt(force, v, deceleration);
      if (share >= 1 && pedalStart === 0) pedalStart = state.pedal;
      pedalEnd = state.pedal;
      pedal = Math.max(pedal, state.pedal);
      travel = Math.max(travel, state.travel);
      if (held.by !== 'asked' && share >= 1 && heldBy !== 'pedal') heldBy = held.by;
      const power = (force * way * (1 - vehicle.slipShare)) / step;
      const front = state.frontFriction / (state.frontFriction + state.rearFriction || 1);
      this.advance(step, 0.5 * (v + next), true, event, {
        front: 0.5 * front * power,
        rear: 0.5 * (1 - front) * power,
      });
      event = false;
      distance += way;
      time += step;
      v = next;
      if (time > 300) {
        throw new RangeError(
          `The car does not come from ${(from * 3.6).toFixed(0)} to ${(to * 3.6).toFixed(0)} km/h: after five minutes it still goes ${(v * 3.6).toFixed(0)} km/h.`,
        );
      }
    }
    const fully = to < low ? (high * high - low * low) / (2 * (sLow - sHigh)) : 0;
    return {
      from,
      to,
      distance,
      time,
      meanDeceleration: fully || (from * from - to * to) / (2 * distance),
      pedal,
      pedalStart,
      pedalEnd,
      travel,
      heldBy,
      face: this.each((run) => run.record.rotorFace[this.sample]),
      fluid: this.each((run) => run.record.fluid[this.sample]),
      before,
    };
  }

  /** Rolls for a while, the speed changing evenly. */
  roll(from: number, to: number, duration: number): void {
    let at = 0;
    let event = true;
    while (at < duration - 1e-9) {
      const step = Math.min(ROLLING_STEP, duration - at);
      const speed = from + ((to - from) * (at + step / 2)) / duration;
      this.advance(step, speed, false, event, { front: 0, rear: 0 });
      event = false;
      at += step;
    }
  }

  private each<T>(of: (run: CornerRun) => T): Record<AxleName, T> {
    return { front: of(this.runs.front), rear: of(this.runs.rear) };
  }

  private takeCondition(): void {
    const { condition } = this.state;
    const friction = this.each((run) => run.record.friction[this.sample]);
    condition.frontLeft = friction.front;
    condition.frontRight = friction.front;
    condition.rearLeft = friction.rear;
    condition.rearRight = friction.rear;
    const vapour = (axle: AxleName) => {
      const { fluid, hose } = this.runs[axle].record;
      const hottest = Math.max(fluid[this.sample], hose[this.sample]);
      return 2 * vapourVolume(hottest - this.input[axle].boilingPoint);
    };
    condition.vapourFront = vapour('front');
    condition.vapourRear = vapour('rear');
  }

  private solveAt(force: number, speed: number, deceleration: number): void {
    const { demand } = this.state;
    demand.force = force;
    demand.electric = 0;
    demand.z = deceleration / STANDARD_GRAVITY;
    demand.downforce = this.forces.downforce * speed * speed;
    demand.clicks = 0;
    this.state.solve();
  }

  /** Braking at a speed, N, and what holds it there. @param share of full braking during the build-up */
  private forceAsked(ask: Ask, speed: number, drag: number, share: number): { force: number; by: HeldBy } {
    const { state, forces } = this;
    const whole = forces.mass * forces.inertia;
    const load = tyreLoad(forces, speed, 0);
    const grip = forces.brakingGrip * loadFactor(forces, load);
    /** Whether both axles keep their grip and the foot its limit. */
    const limit = 'atMost' in ask ? ask.atMost : this.input.vehicle.brakes.forceLimit;
    let by: HeldBy = 'asked';
    const can = (force: number): boolean => {
      this.solveAt(force, speed, (force + drag) / whole);
      if (Math.max(state.frontUse, state.rearUse) > grip) {
        by = 'tyres';
        return false;
      }
      if (state.pedal > limit || state.travel > this.longestTravel) {
        by = 'pedal';
        return false;
      }
      return true;
    };
    const wanted = 'atMost' in ask ? 1.2 * grip * load : Math.max(0, whole * ask.deceleration - drag);
    if (can(wanted)) return { force: share * wanted, by: 'asked' };
    let [low, high] = [0, wanted];
    for (let i = 0; i < 26; i++) {
      const middle = 0.5 * (low + high);
      if (can(middle)) low = middle;
      else high = middle;
    }
    return { force: share * low, by };
  }

  private advance(
    dt: number,
    speed: number,
    applied: boolean,
    event: boolean,
    power: Readonly<Record<AxleName, number>>,
  ): void {
    if (this.sample + 2 > this.room) {
      this.room = Math.max(2000, 2 * this.room);
      for (const axle of AXLES) this.runs[axle].reserve(this.room);
    }
    this.sample += 1;
    for (const axle of AXLES) {
      const run = this.runs[axle];
      const { wheelRadius } = this.input.vehicle;
      fillDrive(run.integrator.drive, this.input[axle].left, this.air, speed, wheelRadius, applied);
      run.free(dt, event, power[axle], this.sample);
    }
  }
}
