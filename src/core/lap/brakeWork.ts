import { BrakingState } from '../actuation';
import { STANDARD_GRAVITY } from '../constants';
import { OWN_ROOM, type Room } from '../numeric';
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

/** What each interval of a lap adds; n. */
interface Added {
  /** s */
  readonly duration: Float64Array;
  /** Sideways acceleration, g */
  readonly lateral: Float64Array;
  /** Work, J */
  readonly front: Float64Array;
  readonly rear: Float64Array;
  readonly slipped: Float64Array;
  /** Of a motor; empty without one */
  readonly recovered: Float64Array;
  readonly recoverable: Float64Array;
  /** Of the left wheels; empty where the two of an axle brake alike */
  readonly frontLeft: Float64Array;
  readonly rearLeft: Float64Array;
}

/** Work of the brakes along laps of one car in one air; see `brakeWork`. */
export class LapWork {
  private readonly state: BrakingState;
  /** What the intervals of the lap add */
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
    this.added = this.empty(0, OWN_ROOM);
  }

  /**
   * @param room for what is needed only meanwhile
   * @throws RangeError for a speed at which the car would lift off
   */
  of(lap: DrivenLap, room: Room = OWN_ROOM): LapTrace {
    const { distance, speed } = lap;
    const n = distance.length - 1;
    assertOnTheRoad(this.forces, greatest(speed));
    this.added = this.empty(n, room);
    for (let i = 0; i < n; i++) this.interval(lap, i);
    const { added, sided } = this;
    // What nothing is recovered of adds up to is nothing at each point.
    const none = this.vehicle.recovery ? null : new Float64Array(n + 1);
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
      recovered: none ?? summed(added.recovered),
      recoverable: none ?? summed(added.recoverable),
      slipped,
    };
    return { ...trace, zones: findZones(trace, added.lateral, lap.nameAt ?? (() => '')) };
  }

  /** Room for what n intervals add. */
  private empty(n: number, { floats }: Room): Added {
    const alone = this.vehicle.recovery ? n : 0;
    const left = this.sided ? n : 0;
    return {
      duration: floats(n),
      lateral: floats(n),
      front: floats(n),
      rear: floats(n),
      slipped: floats(n),
      recovered: floats(alone),
      recoverable: floats(alone),
      frontLeft: floats(left),
      rearLeft: floats(left),
    };
  }

  /** Works out what one interval adds. */
  private interval(lap: DrivenLap, i: number): void {
    const { forces, added } = this;
    const { speed, headwind, curvature } = lap;
    const v0 = speed[i];
    const v1 = speed[i + 1];
    const squares = v0 * v0 - v1 * v1;
    const square = 0.5 * (v0 * v0 + v1 * v1);
    const wind = headwind ? 0.5 * (headwind[i] + headwind[i + 1]) : 0;
    added.duration[i] = lap.duration
      ? lap.duration[i]
      : (2 * (lap.distance[i + 1] - lap.distance[i])) / (v0 + v1);
    added.lateral[i] = curvature ? (square * Math.abs(curvature[i])) / STANDARD_GRAVITY : forces.lateralGrip;
    if (lap.braking?.[i] === 0) return;
    // A car that nothing pushes and that gets no slower is not braked: most of a lap, known without a root.
    const pushed = lap.grade[i] + forces.rolling < 0 || (wind < 0 && wind * wind > square);
    if (squares <= 0 && !pushed) return;
    const force = this.wanted(lap, i);
    if (force > 0) this.braked(lap, i, force);
  }

  /** Braking that an interval wants, N; below zero where nothing, or the engine, is enough. */
  private wanted({ distance, speed, headwind, grade }: DrivenLap, i: number): number {
    const { forces } = this;
    const [v0, v1] = [speed[i], speed[i + 1]];
    const mid = Math.sqrt(0.5 * (v0 * v0 + v1 * v1));
    const against = mid + (headwind ? 0.5 * (headwind[i] + headwind[i + 1]) : 0);
    const inertial =
      (0.5 * forces.mass * forces.inertia * (v0 * v0 - v1 * v1)) / (distance[i + 1] - distance[i]);
    return inertial - resistance(forces, against, grade[i]) - engineBrakingAt(forces, mid);
  }

  /**
   * Works out what one interval adds in which the brakes are on.
   * @param force of brakes and motor, N
   */
  private braked(lap: DrivenLap, i: number, force: number): void {
    const { vehicle, forces, state, added } = this;
    const { demand } = state;
    const { distance, speed, headwind } = lap;
    const ds = distance[i + 1] - distance[i];
    const dt = added.duration[i];
    const mid = Math.sqrt(0.5 * (speed[i] ** 2 + speed[i + 1] ** 2));
    const against = mid + (headwind ? 0.5 * (headwind[i] + headwind[i + 1]) : 0);
    demand.force = force;
    demand.z = (speed[i] - speed[i + 1]) / (dt * STANDARD_GRAVITY);
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

/** Sums up to each point; n + 1. @param added by each of the n intervals */
function summed(added: Float64Array): Float64Array {
  const n = added.length;
  const sums = new Float64Array(n + 1);
  let sum = 0;
  for (let i = 0; i < n; i++) {
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
