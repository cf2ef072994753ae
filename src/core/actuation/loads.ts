import { STANDARD_GRAVITY } from '../constants';

/** Where a car's weight and downforce lie. */
export interface Chassis {
  /** kg */
  readonly mass: number;
  /** m */
  readonly wheelbase: number;
  /** Static share of the weight on the front axle, b/L, 0 to 1 */
  readonly frontWeight: number;
  /** Height of the centre of gravity, m */
  readonly gravityHeight: number;
  /** Share of the downforce on the front axle, 0 to 1; it holds the drag's moment too */
  readonly frontDownforce: number;
}

/** A mass carried at a place. */
export interface PlacedMass {
  /** kg */
  readonly mass: number;
  /** Behind the front axle, m; negative before it */
  readonly position: number;
  /** Above the road, m */
  readonly height: number;
}

/**
 * A chassis with masses added to it, kg, each at its place along the wheelbase and its height, m; track and downforce
 * stay. Exact for rigid bodies.
 */
export function loaded(chassis: Chassis, masses: readonly PlacedMass[]): Chassis {
  const bare: PlacedMass = {
    mass: chassis.mass,
    position: (1 - chassis.frontWeight) * chassis.wheelbase,
    height: chassis.gravityHeight,
  };
  const all = [bare, ...masses];
  const mass = all.reduce((sum, m) => sum + m.mass, 0);
  const mean = (of: (m: PlacedMass) => number) => all.reduce((sum, m) => sum + m.mass * of(m), 0) / mass;
  return {
    ...chassis,
    mass,
    frontWeight: 1 - mean((m) => m.position) / chassis.wheelbase,
    gravityHeight: mean((m) => m.height),
  };
}

/**
 * Load on the front axle, N: `m·g·(b + z·h)/L` and its downforce. Never under 0 nor over the whole.
 * @param z deceleration over g
 * @param downforce of the whole car, N
 */
export function frontLoad(chassis: Chassis, z: number, downforce: number): number {
  const weight = chassis.mass * STANDARD_GRAVITY;
  const share = chassis.frontWeight + (z * chassis.gravityHeight) / chassis.wheelbase;
  const load = weight * share + chassis.frontDownforce * downforce;
  return Math.min(weight + downforce, Math.max(0, load));
}

/**
 * Load on the rear axle, N; with the front load it makes the whole. Never under 0.
 * @param z deceleration over g
 * @param downforce of the whole car, N
 */
export const rearLoad = (chassis: Chassis, z: number, downforce: number): number =>
  chassis.mass * STANDARD_GRAVITY + downforce - frontLoad(chassis, z, downforce);

/** Brake balance at which both axles use their tyres alike: `(b + z·h)/L`, with each axle's downforce. Limpert. */
export const idealFrontShare = (chassis: Chassis, z: number, downforce: number): number =>
  frontLoad(chassis, z, downforce) / (chassis.mass * STANDARD_GRAVITY + downforce);

/**
 * The four wheel loads, N: each axle's, moved sideways by its own part of the roll moment, `a·h/track` of its load, since
 * springs and bars are not known (own assumption). Never under 0 nor over the axle's.
 * @param z deceleration over g
 * @param downforce of the whole car, N
 * @param lateral sideways acceleration over g, positive to the left
 * @param trackWidth m
 */
export function wheelLoads(
  chassis: Chassis,
  z: number,
  downforce: number,
  lateral: number,
  trackWidth: number,
): { frontLeft: number; frontRight: number; rearLeft: number; rearRight: number } {
  const front = frontLoad(chassis, z, downforce);
  const rear = rearLoad(chassis, z, downforce);
  // Each axle takes its load's part of the roll moment: springs and bars are not known.
  const shift = (lateral * chassis.gravityHeight) / trackWidth;
  const left = Math.min(1, Math.max(0, 0.5 - shift));
  return {
    frontLeft: front * left,
    frontRight: front * (1 - left),
    rearLeft: rear * left,
    rearRight: rear * (1 - left),
  };
}

/**
 * Deceleration over g at which the first axle locks when the front does a fixed share of the braking, and which it is.
 * Front: `share·z·W = µ·N_f(z)`; both are lines in z.
 * @param grip of the tyres, 1
 */
export function lockingPoint(
  chassis: Chassis,
  share: number,
  grip: number,
  downforce: number,
): { z: number; axle: 'front' | 'rear' } {
  const weight = chassis.mass * STANDARD_GRAVITY;
  const lever = chassis.gravityHeight / chassis.wheelbase;
  const along = (part: number, own: number, sign: 1 | -1) => {
    const perZ = part * weight - sign * grip * weight * lever;
    return perZ > 0 ? (grip * own) / perZ : Number.POSITIVE_INFINITY;
  };
  const front = along(share, weight * chassis.frontWeight + chassis.frontDownforce * downforce, 1);
  const rear = along(
    1 - share,
    weight * (1 - chassis.frontWeight) + (1 - chassis.frontDownforce) * downforce,
    -1,
  );
  return front <= rear ? { z: front, axle: 'front' } : { z: rear, axle: 'rear' };
}
