import { SEA_LEVEL_DENSITY } from '../air';
import { STANDARD_GRAVITY } from '../constants';
import { type PointTable, pointTableAt } from '../numeric';
import { FirstAxle } from './firstAxle';
import type { Driver, Vehicle } from './vehicle';

/** The longitudinal and lateral limits of one car in one air at one pace, as plain numbers for the lap's loops. */
export interface Forces {
  readonly mass: number;
  readonly inertia: number;
  /** ½·ρ·Cd·A, N/(m/s)² */
  readonly drag: number;
  /** ½·ρ·downforce area, N/(m/s)² */
  readonly downforce: number;
  readonly rolling: number;
  /** Greatest power at the wheels, W, and its share over speed */
  readonly power: number;
  readonly powerOverSpeed: PointTable | null;
  readonly drivenShare: number;
  readonly lateralGrip: number;
  readonly brakingGrip: number;
  readonly tractionGrip: number;
  /** Share of friction lost when the load doubles, 1 */
  readonly loadLoss: number;
  /** Retarding force of the closed throttle, N, and its share over speed */
  readonly engine: number;
  readonly engineOverSpeed: PointTable | null;
  /** Grip of the track over that of a dry one, 0 to 1 */
  readonly trackGrip: number;
  /** What holds the braking of a car without ABS; null where ABS uses up both axles' tyres */
  readonly firstAxle: FirstAxle | null;
}

/**
 * What pushes and holds a car, made once for a lap, SI.
 * @param airDensity kg/m³
 * @param ductDragArea of the brake ducts, Cd·A, m²
 */
export function forcesOf(vehicle: Vehicle, driver: Driver, airDensity: number, ductDragArea: number): Forces {
  const trackGrip = driver.trackGrip ?? 1;
  const used = trackGrip * driver.pace;
  return {
    mass: vehicle.mass,
    inertia: vehicle.rotatingInertia,
    drag: 0.5 * airDensity * (vehicle.dragArea + ductDragArea),
    downforce: 0.5 * airDensity * vehicle.downforceArea,
    rolling: vehicle.rollingResistance,
    power: powerIn(vehicle, airDensity) * driver.pace * Math.sqrt(driver.pace),
    powerOverSpeed: vehicle.powerOverSpeed,
    drivenShare: vehicle.drivenShare,
    lateralGrip: vehicle.lateralGrip * driver.corneringGripUsed * used,
    brakingGrip: vehicle.longitudinalGrip * driver.brakingGripUsed * used,
    tractionGrip: vehicle.longitudinalGrip * driver.corneringGripUsed * used,
    loadLoss: vehicle.loadSensitivity,
    engine: vehicle.engineBraking,
    engineOverSpeed: vehicle.engineBrakingOverSpeed,
    trackGrip,
    firstAxle: vehicle.abs ? null : new FirstAxle(vehicle),
  };
}

/**
 * Power at the wheels in some air, W: a naturally aspirated engine has `P₀·(1.132·ρ/ρ₀ − 0.132)`.
 * @param airDensity kg/m³
 * Source: Gagg and Farrar, Altitude performance of aircraft engines, 1934.
 */
export function powerIn({ power, intake }: Pick<Vehicle, 'power' | 'intake'>, airDensity: number): number {
  if (intake !== 'natural') return power;
  return power * Math.max(0.05, (1.132 * airDensity) / SEA_LEVEL_DENSITY - 0.132);
}

/** Power at the wheels at a speed, W. @param speed m/s */
export function powerAt(f: Pick<Forces, 'power' | 'powerOverSpeed'>, speed: number): number {
  return f.powerOverSpeed ? f.power * pointTableAt(f.powerOverSpeed, speed) : f.power;
}

/** What the closed throttle holds back at a speed, N. @param speed m/s */
export function engineBrakingAt(f: Pick<Forces, 'engine' | 'engineOverSpeed'>, speed: number): number {
  return f.engineOverSpeed ? f.engine * pointTableAt(f.engineOverSpeed, speed) : f.engine;
}

/** Share of the weight under which no driver lets lift take the load on the tyres (own assumption), 1. */
const LEAST_LOAD_SHARE = 0.25;

/** Speed at which lift leaves the tyres only a quarter of the weight, m/s; infinite for a body without lift. */
export function liftSpeed(f: Forces): number {
  if (f.downforce >= 0) return Number.POSITIVE_INFINITY;
  return Math.sqrt(((1 - LEAST_LOAD_SHARE) * f.mass * STANDARD_GRAVITY) / -f.downforce);
}

/**
 * Refuses a given speed, m/s, at which the car would leave the road.
 * @throws RangeError naming the speed and the lift
 */
export function assertOnTheRoad(f: Forces, speed: number): void {
  if (!(speed > liftSpeed(f) * (1 + 1e-9))) return;
  const left = 1 + (f.downforce * speed * speed) / (f.mass * STANDARD_GRAVITY);
  throw new RangeError(
    `At ${speed.toFixed(1)} m/s the body’s lift leaves ${Math.max(0, 100 * left).toFixed(0)} % of the car’s weight on its tyres; at least ${100 * LEAST_LOAD_SHARE} % was expected. Check ClA, the mass and the speed.`,
  );
}

/**
 * Load on all tyres, N.
 * @param speed of the air against the car, m/s
 * @param grade of the road, rise over way
 */
export const tyreLoad = (f: Forces, speed: number, grade: number): number =>
  weightOn(f, grade) + pressedOn(f, speed);

/** Weight on a road, N. @param grade of it, rise over way */
const weightOn = (f: Forces, grade: number): number =>
  (f.mass * STANDARD_GRAVITY) / Math.sqrt(1 + grade * grade);

/** Downforce, N. @param speed of the air against the car, m/s */
function pressedOn(f: Forces, speed: number): number {
  const against = Math.max(0, speed);
  return f.downforce * against * against;
}

/** Share of the tyres' friction that is left at any load (common practice), 1. */
export const LEAST_GRIP = 0.4;

/**
 * Share of the tyres' friction that is left at a load, 1 at the static one; falls in a line.
 * @param load on all tyres, N
 */
export function loadFactor(f: Forces, load: number): number {
  return Math.max(LEAST_GRIP, 1 - f.loadLoss * (load / (f.mass * STANDARD_GRAVITY) - 1));
}

/**
 * Drag, rolling resistance and grade together, N, positive against the motion.
 * @param speed of the air against the car, m/s; a wind from behind that is faster than the car pushes it
 * @param grade of the road, rise over way
 */
export const resistance = (f: Forces, speed: number, grade: number): number =>
  resistanceOf(f, speed, grade, weightOn(f, grade));

const resistanceOf = (f: Forces, speed: number, grade: number, weight: number): number =>
  f.drag * speed * Math.abs(speed) + (f.rolling + grade) * weight;

/**
 * Highest speed a curvature allows, m/s; never above `cap`. Fixed point over downforce and load sensitivity.
 * @param headwind m/s
 * @param from a speed that is not far from it, such as the point before allows, m/s; 0 where none is known
 */
export function cornerSpeed(
  f: Forces,
  curvature: number,
  grade: number,
  cap: number,
  headwind = 0,
  from = 0,
): number {
  const k = Math.abs(curvature);
  if (k < 1e-6) return cap;
  let v = from > 0 ? from : Math.min(cap, Math.sqrt((f.lateralGrip * STANDARD_GRAVITY) / k));
  for (let i = 0; i < 60; i++) {
    const load = tyreLoad(f, v + headwind, grade);
    const next = Math.min(cap, Math.sqrt((f.lateralGrip * loadFactor(f, load) * load) / (f.mass * k)));
    if (Math.abs(next - v) < 1e-9 * next) return next;
    v = next;
  }
  return v;
}

/** Share of the friction ellipse that cornering leaves for braking or driving, 0 to 1. */
function ellipseShare(f: Forces, speed: number, curvature: number, limit: number): number {
  const used = (f.mass * speed * speed * Math.abs(curvature)) / limit;
  return used >= 1 ? 0 : Math.sqrt(1 - used * used);
}

/**
 * Deceleration with all the braking the driver uses, m/s², positive: what the tyres hold, `(F_tyres + R)/m`, or what the
 * brakes make of the whole mass with its wheels and driveline, `(F_brakes + R + F_engine)/(m·δ)`, whichever is less. With
 * ABS the tyres of both axles are used up, without it those of the axle that would lock first.
 * @param most braking force the brakes can make, N; infinite where the tyres are the limit
 * @param clicks on the driver's balance control
 * @param headwind m/s
 */
export function brakingDeceleration(
  f: Forces,
  speed: number,
  curvature: number,
  grade: number,
  most = Number.POSITIVE_INFINITY,
  clicks = 0,
  headwind = 0,
): number {
  const weight = weightOn(f, grade);
  const load = weight + pressedOn(f, speed + headwind);
  const factor = loadFactor(f, load);
  const along = f.brakingGrip * factor * ellipseShare(f, speed, curvature, f.lateralGrip * factor * load);
  const against = resistanceOf(f, speed + headwind, grade, weight);
  const pressed = load - weight;
  const tyres = f.firstAxle ? f.firstAxle.most(along, against, pressed, speed, clicks) : along * load;
  // The road's force acts on the car's mass alone; wheels and driveline are slowed by brake and engine.
  const held = (tyres + against) / f.mass;
  const made = (most + against + engineBrakingAt(f, speed)) / (f.mass * f.inertia);
  return Math.max(0.05, Math.min(held, made));
}

/** Speed at which the power just holds the drag on level road, or at which lift takes the load off the tyres, m/s. */
export function topSpeed(f: Forces): number {
  let low = 1;
  let high = 200;
  for (let i = 0; i < 60; i++) {
    const mid = 0.5 * (low + high);
    if (powerAt(f, mid) / mid > resistance(f, mid, 0)) low = mid;
    else high = mid;
  }
  return Math.min(low, liftSpeed(f));
}
