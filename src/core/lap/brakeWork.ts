import { BrakingState } from '../actuation';
import { STANDARD_GRAVITY } from '../constants';
import { findZones } from './findZones';
import { assertOnTheRoad, engineBrakingAt, type Forces, resistance } from './forces';
import type { LapTrace } from './trace';
import type { Vehicle } from './vehicle';
import { airSpeed } from './wind';

/** A driven lap before its braking work is known; n + 1 points. */
export interface DrivenLap {
  /** m */
  readonly distance: Float64Array;
  /** m/s */
  readonly speed: Float64Array;
  /** Rise over run of each interval, 1; n */
  readonly grade: Float64Array;
  /** Curvature of each interval, 1/m, left positive; n. Left out where it is not known */
  readonly curvature?: Float64Array;
  /** Wind against the motion at each point, m/s; n + 1. Left out, calm */
  readonly headwind?: Float64Array;
  /** Time spent on each interval, s; n. Needed where the speed reaches zero; otherwise from the mean speed. */
  readonly duration?: Float64Array;
  /** 1 where the brakes are on, 0 where what slows is taken for something else; n. Left out, whatever slows brakes */
  readonly braking?: Uint8Array;
  /** Name of the place at a distance, '' where it has none; left out, no place has one */
  readonly nameAt?: (distance: number) => string;
}

/**
 * Work of the brakes along a lap: `m·δ·(−a) − drag − rolling − grade − engine − recovery`, never below zero, interval
 * by interval, so that its sum over the lap is exact for the speeds given. It is shared between the axles as the brakes
 * would with every pad at its best; a session shares it again by the friction there is.
 * @param lap n points along the way, SI
 * @returns the same n points, each sum of heat up to there in J
 * @throws RangeError for a speed at which the car would lift off
 */
export const brakeWork = (lap: DrivenLap, vehicle: Vehicle, forces: Forces): LapTrace =>
  new LapWork(vehicle, forces).of(lap);

/** What each interval of a lap adds: time, s, sideways acceleration, g, and work, J. */
const ADDED = ['duration', 'lateral', 'front', 'rear', 'slipped'] as const;
/** The same of a motor, and of the left wheels where the two of an axle brake differently */
const ADDED_ALONE = ['recovered', 'recoverable'] as const;
const ADDED_LEFT = ['frontLeft', 'rearLeft'] as const;
type Added = Readonly<
  Record<(typeof ADDED)[number] | (typeof ADDED_ALONE)[number] | (typeof ADDED_LEFT)[number], Float64Array>
>;

/**
 * Work of the brakes along laps of one car in one air; see `brakeWork`. An interval of the same way that is driven with the
 * same speeds as in the lap before is not worked out again.
 */
export class LapWork {
  private readonly state: BrakingState;
  private before: DrivenLap | null = null;
  private added: Added;
  /** Whether the two wheels of an axle may brake differently */
  private readonly sided: boolean;

  constructor(
    private readonly vehicle: Vehicle,
    private readonly forces: Forces,
  ) {
    this.state = new BrakingState(vehicle.brakes, vehicle, vehicle.wheelRadius, vehicle.recovery);
    this.state.takeNominal();
    this.sided = vehicle.loadFollowing !== 0;
    this.added = this.empty(0);
  }

  /** @throws RangeError for a speed at which the car would lift off */
  of(lap: DrivenLap): LapTrace {
    const { distance, speed } = lap;
    const n = distance.length - 1;
    assertOnTheRoad(this.forces, greatest(speed));
    const known = this.before && isSameWay(this.before, lap) ? this.before.speed : null;
    if (!known) this.added = this.empty(n);
    for (let i = 0; i < n; i++) {
      if (!known || speed[i] !== known[i] || speed[i + 1] !== known[i + 1]) this.interval(lap, i);
    }
    this.before = lap;
    const { added, sided } = this;
    const time = new Float64Array(n + 1);
    const slipped = new Float64Array(n + 1);
    const frontHeat = new Float64Array(n + 1);
    const rearHeat = new Float64Array(n + 1);
    sum(added, time, slipped, frontHeat, rearHeat);
    const trace = {
      distance,
      time,
      speed,
      airSpeed: lap.headwind ? airSpeeds(speed, lap.headwind) : speed,
      frontHeat,
      rearHeat,
      frontLeftHeat: sided ? summed(added.frontLeft) : halved(frontHeat),
      rearLeftHeat: sided ? summed(added.rearLeft) : halved(rearHeat),
      // What nothing is recovered of adds up to is nothing at each point.
      recovered: this.vehicle.recovery ? summed(added.recovered) : added.recovered,
      recoverable: this.vehicle.recovery ? summed(added.recoverable) : added.recoverable,
      slipped,
    };
    return { ...trace, zones: findZones(trace, added.lateral, lap.nameAt ?? (() => '')) };
  }

  /** Room for what n intervals add. */
  private empty(n: number): Added {
    const { recovery } = this.vehicle;
    const none = new Float64Array(n + 1);
    const rooms = (names: readonly string[], needed: boolean) =>
      names.map((name) => [name, needed ? new Float64Array(n) : none] as const);
    return Object.fromEntries([
      ...rooms(ADDED, true),
      ...rooms(ADDED_ALONE, recovery !== null),
      ...rooms(ADDED_LEFT, this.sided),
    ]) as Added;
  }

  /** Works out what one interval adds. */
  private interval(lap: DrivenLap, i: number): void {
    const { forces, added } = this;
    const ds = lap.distance[i + 1] - lap.distance[i];
    const v0 = lap.speed[i];
    const v1 = lap.speed[i + 1];
    const squares = v0 * v0 - v1 * v1;
    const mid = Math.sqrt(0.5 * (v0 * v0 + v1 * v1));
    const dt = lap.duration ? lap.duration[i] : (2 * ds) / (v0 + v1);
    const against = mid + (lap.headwind ? 0.5 * (lap.headwind[i] + lap.headwind[i + 1]) : 0);
    const inertial = (0.5 * forces.mass * forces.inertia * squares) / ds;
    const slowed = inertial - resistance(forces, against, lap.grade[i]);
    // The engine only holds back: where nothing is slowed it makes no difference.
    const force = slowed > 0 ? slowed - engineBrakingAt(forces, mid) : slowed;
    added.duration[i] = dt;
    added.lateral[i] = lap.curvature
      ? (mid * mid * Math.abs(lap.curvature[i])) / STANDARD_GRAVITY
      : forces.lateralGrip;
    if (force > 0 && lap.braking?.[i] !== 0) {
      this.braked(lap, i, force, dt, mid, against);
      return;
    }
    added.front[i] = 0;
    added.rear[i] = 0;
    added.slipped[i] = 0;
    for (let k = 0; this.sided && k < ADDED_LEFT.length; k++) added[ADDED_LEFT[k]][i] = 0;
    for (let k = 0; this.vehicle.recovery && k < ADDED_ALONE.length; k++) added[ADDED_ALONE[k]][i] = 0;
  }

  /**
   * Works out what one interval adds in which the brakes are on.
   * @param force N
   * @param dt s
   * @param mid speed, m/s
   * @param against speed of the air against the car, m/s
   */
  private braked(lap: DrivenLap, i: number, force: number, dt: number, mid: number, against: number): void {
    const { vehicle, forces, state, added } = this;
    const { demand } = state;
    const ds = lap.distance[i + 1] - lap.distance[i];
    demand.force = force;
    demand.z = (lap.speed[i] - lap.speed[i + 1]) / (dt * STANDARD_GRAVITY);
    demand.downforce = forces.downforce * Math.max(0, against) ** 2;
    demand.trackGrip = forces.trackGrip;
    demand.electric = vehicle.recovery ? motorForce(vehicle, mid, force, dt, ds) : 0;
    state.brake();
    const front = state.frontFriction * ds;
    const rear = state.rearFriction * ds;
    const heatShare = 1 - vehicle.slipShare;
    added.front[i] = front * heatShare;
    added.rear[i] = rear * heatShare;
    added.slipped[i] = (front + rear) * vehicle.slipShare;
    if (this.sided) {
      const left = front + rear > 0 ? leftShare(vehicle, mid, lap.curvature?.[i] ?? 0) : 0.5;
      added.frontLeft[i] = front * heatShare * left;
      added.rearLeft[i] = rear * heatShare * left;
    }
    if (vehicle.recovery) {
      added.recovered[i] = force * ds - front - rear;
      added.recoverable[i] = demand.electric * ds;
    }
  }
}

function greatest(values: Float64Array): number {
  let most = 0;
  for (let i = 0; i < values.length; i++) if (values[i] > most) most = values[i];
  return most;
}

/** Whether two laps go the same way: only their speeds may differ. */
const isSameWay = (a: DrivenLap, b: DrivenLap): boolean =>
  a.distance === b.distance &&
  a.grade === b.grade &&
  a.curvature === b.curvature &&
  a.headwind === b.headwind &&
  a.duration === b.duration &&
  a.braking === b.braking;

/** Sums up to each point; n + 1. @param added by each interval; n */
function summed(added: Float64Array): Float64Array {
  const sums = new Float64Array(added.length + 1);
  let sum = 0;
  for (let i = 0; i < added.length; i++) {
    sum += added[i];
    sums[i + 1] = sum;
  }
  return sums;
}

/** Sums up to each point of what every lap has, in one go: each adds to its own, so that none waits for another. */
function sum(
  { duration, slipped, front, rear }: Added,
  time: Float64Array,
  slippedWork: Float64Array,
  frontHeat: Float64Array,
  rearHeat: Float64Array,
): void {
  const n = time.length - 1;
  let t = 0;
  let slip = 0;
  let atFront = 0;
  let atRear = 0;
  for (let i = 0; i < n; i++) {
    t += duration[i];
    slip += slipped[i];
    atFront += front[i];
    atRear += rear[i];
    time[i + 1] = t;
    slippedWork[i + 1] = slip;
    frontHeat[i + 1] = atFront;
    rearHeat[i + 1] = atRear;
  }
}

function halved(values: Float64Array): Float64Array {
  const halves = new Float64Array(values.length);
  for (let i = 0; i < halves.length; i++) halves[i] = 0.5 * values[i];
  return halves;
}

function airSpeeds(speed: Float64Array, headwind: Float64Array): Float64Array {
  const past = new Float64Array(speed.length);
  for (let i = 0; i < past.length; i++) past[i] = airSpeed(speed[i], headwind[i]);
  return past;
}

/** Braking the motor could do, N: its power, faded towards its lowest speed, never more than is asked. */
function motorForce({ recovery }: Vehicle, speed: number, force: number, dt: number, ds: number): number {
  if (!recovery) return 0;
  const fade = Math.min(1, Math.max(0, speed / recovery.lowestSpeed - 1));
  return Math.min(force, (recovery.power * fade * dt) / ds);
}

/**
 * Share of an axle's braking on its left wheel: half, less (or more) what cornering takes off its load, `a_y·h/(g·t)`,
 * as far as the brakes follow the loads. Never under a tenth or over nine.
 */
function leftShare(vehicle: Vehicle, speed: number, curvature: number): number {
  const lateral = (speed * speed * curvature) / STANDARD_GRAVITY;
  const shift = (vehicle.loadFollowing * vehicle.gravityHeight * lateral) / vehicle.trackWidth;
  return 0.5 - Math.min(0.4, Math.max(-0.4, shift));
}
