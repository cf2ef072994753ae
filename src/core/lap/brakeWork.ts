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
export function brakeWork(lap: DrivenLap, vehicle: Vehicle, forces: Forces): LapTrace {
  const n = lap.distance.length - 1;
  let fastest = 0;
  for (let i = 0; i <= n; i++) fastest = Math.max(fastest, lap.speed[i]);
  assertOnTheRoad(forces, fastest);
  const time = new Float64Array(n + 1);
  const frontHeat = new Float64Array(n + 1);
  const rearHeat = new Float64Array(n + 1);
  const frontLeftHeat = new Float64Array(n + 1);
  const rearLeftHeat = new Float64Array(n + 1);
  const recovered = new Float64Array(n + 1);
  const recoverable = new Float64Array(n + 1);
  const slipped = new Float64Array(n + 1);
  const lateral = new Float64Array(n);
  const heatShare = 1 - vehicle.slipShare;
  const state = new BrakingState(vehicle.brakes, vehicle, vehicle.wheelRadius, vehicle.recovery);
  state.takeNominal();
  for (let i = 0; i < n; i++) {
    const ds = lap.distance[i + 1] - lap.distance[i];
    const v0 = lap.speed[i];
    const v1 = lap.speed[i + 1];
    const mid = Math.sqrt(0.5 * (v0 * v0 + v1 * v1));
    const dt = lap.duration ? lap.duration[i] : (2 * ds) / (v0 + v1);
    const grade = lap.grade[i];
    const inertial = (0.5 * forces.mass * forces.inertia * (v0 * v0 - v1 * v1)) / ds;
    const against = mid + (lap.headwind ? 0.5 * (lap.headwind[i] + lap.headwind[i + 1]) : 0);
    const slowed = inertial - resistance(forces, against, grade);
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
    time[i + 1] = time[i] + dt;
    frontHeat[i + 1] = frontHeat[i] + front * heatShare;
    rearHeat[i + 1] = rearHeat[i] + rear * heatShare;
    const curvature = lap.curvature?.[i];
    lateral[i] =
      curvature === undefined ? forces.lateralGrip : (mid * mid * Math.abs(curvature)) / STANDARD_GRAVITY;
    const left = front + rear > 0 ? leftShare(vehicle, mid, curvature ?? 0) : 0.5;
    frontLeftHeat[i + 1] = frontLeftHeat[i] + front * heatShare * left;
    rearLeftHeat[i + 1] = rearLeftHeat[i] + rear * heatShare * left;
    recovered[i + 1] = recovered[i] + electric;
    recoverable[i + 1] = recoverable[i] + could;
    slipped[i + 1] = slipped[i] + (front + rear) * vehicle.slipShare;
  }
  const trace = {
    distance: lap.distance,
    time,
    speed: lap.speed,
    airSpeed: lap.headwind ? airSpeeds(lap.speed, lap.headwind) : lap.speed,
    frontHeat,
    rearHeat,
    frontLeftHeat,
    rearLeftHeat,
    recovered,
    recoverable,
    slipped,
  };
  return { ...trace, zones: findZones(trace, lateral, lap.nameAt ?? (() => '')) };
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
