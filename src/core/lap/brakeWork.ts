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
const ADDED = [
  'duration',
  'lateral',
  'front',
  'rear',
  'frontLeft',
  'rearLeft',
  'recovered',
  'recoverable',
  'slipped',
] as const;
type Added = Readonly<Record<(typeof ADDED)[number], Float64Array>>;

/**
 * Work of the brakes along laps of one car in one air; see `brakeWork`. An interval of the same way that is driven with the
 * same speeds as in the lap before is not worked out again.
 */
export class LapWork {
  private readonly state: BrakingState;
  private before: DrivenLap | null = null;
  private added = emptyAdded(0);
  /** What nothing is recovered of adds up to at each point */
  private none = new Float64Array(0);

  constructor(
    private readonly vehicle: Vehicle,
    private readonly forces: Forces,
  ) {
    this.state = new BrakingState(vehicle.brakes, vehicle, vehicle.wheelRadius, vehicle.recovery);
    this.state.takeNominal();
  }

  /** @throws RangeError for a speed at which the car would lift off */
  of(lap: DrivenLap): LapTrace {
    const { distance, speed } = lap;
    const n = distance.length - 1;
    assertOnTheRoad(this.forces, greatest(speed));
    const known = this.before && isSameWay(this.before, lap) ? this.before.speed : null;
    if (!known) {
      this.added = emptyAdded(n);
      this.none = new Float64Array(n + 1);
    }
    for (let i = 0; i < n; i++) {
      if (!known || speed[i] !== known[i] || speed[i + 1] !== known[i + 1]) this.interval(lap, i);
    }
    this.before = lap;
    const { added, none } = this;
    const { recovery } = this.vehicle;
    const trace = {
      distance,
      time: summed(added.duration),
      speed,
      airSpeed: lap.headwind ? airSpeeds(speed, lap.headwind) : speed,
      frontHeat: summed(added.front),
      rearHeat: summed(added.rear),
      frontLeftHeat: summed(added.frontLeft),
      rearLeftHeat: summed(added.rearLeft),
      recovered: recovery ? summed(added.recovered) : none,
      recoverable: recovery ? summed(added.recoverable) : none,
      slipped: summed(added.slipped),
    };
    return { ...trace, zones: findZones(trace, added.lateral, lap.nameAt ?? (() => '')) };
  }

  /** Works out what one interval adds. */
  private interval(lap: DrivenLap, i: number): void {
    const { vehicle, forces, state, added } = this;
    const ds = lap.distance[i + 1] - lap.distance[i];
    const v0 = lap.speed[i];
    const v1 = lap.speed[i + 1];
    const mid = Math.sqrt(0.5 * (v0 * v0 + v1 * v1));
    const dt = lap.duration ? lap.duration[i] : (2 * ds) / (v0 + v1);
    const inertial = (0.5 * forces.mass * forces.inertia * (v0 * v0 - v1 * v1)) / ds;
    const against = mid + (lap.headwind ? 0.5 * (lap.headwind[i] + lap.headwind[i + 1]) : 0);
    const slowed = inertial - resistance(forces, against, lap.grade[i]);
    // The engine only holds back: where nothing is slowed it makes no difference.
    const force = slowed > 0 ? slowed - engineBrakingAt(forces, mid) : slowed;
    let front = 0;
    let rear = 0;
    let electric = 0;
    let could = 0;
    if (force > 0 && lap.braking?.[i] !== 0) {
      const { demand } = state;
      demand.force = force;
      demand.z = (v0 - v1) / (dt * STANDARD_GRAVITY);
      demand.downforce = forces.downforce * Math.max(0, against) ** 2;
      demand.trackGrip = forces.trackGrip;
      demand.electric = motorForce(vehicle, mid, force, dt, ds);
      could = demand.electric * ds;
      state.brake();
      front = state.frontFriction * ds;
      rear = state.rearFriction * ds;
      electric = force * ds - front - rear;
    }
    const curvature = lap.curvature?.[i];
    const heatShare = 1 - vehicle.slipShare;
    const left = front + rear > 0 ? leftShare(vehicle, mid, curvature ?? 0) : 0.5;
    added.duration[i] = dt;
    added.lateral[i] =
      curvature === undefined ? forces.lateralGrip : (mid * mid * Math.abs(curvature)) / STANDARD_GRAVITY;
    added.front[i] = front * heatShare;
    added.rear[i] = rear * heatShare;
    added.frontLeft[i] = front * heatShare * left;
    added.rearLeft[i] = rear * heatShare * left;
    added.recovered[i] = electric;
    added.recoverable[i] = could;
    added.slipped[i] = (front + rear) * vehicle.slipShare;
  }
}

function greatest(values: Float64Array): number {
  let most = 0;
  for (let i = 0; i < values.length; i++) if (values[i] > most) most = values[i];
  return most;
}

const emptyAdded = (n: number): Added =>
  Object.fromEntries(ADDED.map((name) => [name, new Float64Array(n)])) as Added;

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
