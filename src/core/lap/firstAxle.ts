import { Pressures, pressuresAt, pushFor, wheelGain } from '../actuation';
import { STANDARD_GRAVITY } from '../constants';
import type { Vehicle } from './vehicle';

/**
 * Braking of a car without ABS: held by the axle that would lock first, with pads at their best. Each axle's limit is
 * `share·F ≤ µ·N(z)`, and its load moves with the braking, `z = (F + against)/(m·g)`, so that both are lines in F
 * (Limpert, Brake Design and Safety, for the form).
 */
export class FirstAxle {
  private readonly pressures = new Pressures();
  private readonly weight: number;
  /** Height of the centre of gravity over the wheelbase, 1 */
  private readonly lever: number;
  private readonly frontGain: number;
  private readonly rearGain: number;
  /** Load of the standing car's front axle, N, and the share of downforce on it */
  private readonly frontStatic: number;
  private readonly frontDownforce: number;
  private readonly valved: boolean;
  /** Whether a motor brakes on top of the friction brakes, and whether a motor is at the front, 1 */
  private readonly adds: boolean;
  private readonly onFront: number;
  /** Without a valve: clicks, and the balance they make of any force */
  private knownClicks = Number.NaN;
  private known = 0;

  constructor(private readonly vehicle: Vehicle) {
    const { brakes, wheelRadius, mass, gravityHeight, wheelbase } = vehicle;
    this.weight = mass * STANDARD_GRAVITY;
    this.lever = gravityHeight / wheelbase;
    this.frontGain = 2 * wheelGain(brakes.front, brakes.front.nominalFriction, wheelRadius);
    this.rearGain = 2 * wheelGain(brakes.rear, brakes.rear.nominalFriction, wheelRadius);
    this.frontStatic = this.weight * vehicle.frontWeight;
    this.frontDownforce = vehicle.frontDownforce;
    this.valved = brakes.valve !== null;
    this.adds = vehicle.recovery?.blending === 'added';
    this.onFront = vehicle.recovery?.axle === 'front' ? 1 : 0;
  }

  /**
   * Most braking at the road before an axle locks, N.
   * @param grip friction of the tyres that is used along the road, 1
   * @param against drag, rolling and grade, N
   * @param downforce of the whole car, N
   * @param speed m/s, for what a motor adds on top of the friction brakes
   * @param clicks on the driver's balance control
   */
  most(grip: number, against: number, downforce: number, speed: number, clicks: number): number {
    const { weight, onFront } = this;
    const front = this.frontStatic + this.frontDownforce * downforce;
    const rear = weight + downforce - front;
    const motor = this.adds ? addedMotor(this.vehicle, speed) : 0;
    const force = this.valved
      ? this.behindValve(grip, against, front, rear, motor, clicks)
      : this.held(this.balanceOf(clicks), onFront, motor, grip, against, front, rear);
    if (force >= motor) return force;
    // The motor alone locks its axle.
    return Math.min(motor, this.held(onFront, onFront, 0, grip, against, front, rear));
  }

  /** A valve makes the share follow the force; a few turns settle it. */
  private behindValve(
    grip: number,
    against: number,
    front: number,
    rear: number,
    motor: number,
    clicks: number,
  ): number {
    const { weight, lever, onFront, frontStatic } = this;
    let force = grip * (front + rear);
    for (let turn = 0; turn < 12; turn++) {
      const extra = rear - lever * (force + against) - (weight - frontStatic);
      const share = this.balanceAt(Math.max(1, force - motor), extra, clicks);
      const next = this.held(share, onFront, motor, grip, against, front, rear);
      const settled = Math.abs(next - force) < 1e-6 * next;
      force = next;
      if (settled) break;
    }
    return force;
  }

  /** The lesser of both axles' limits, N. @param share of the friction braking at the front, 0 to 1 */
  private held(
    share: number,
    onFront: number,
    motor: number,
    grip: number,
    against: number,
    front: number,
    rear: number,
  ): number {
    const moved = grip * this.lever;
    const atFront = share - moved;
    const most = grip * front + moved * against + (share - onFront) * motor;
    // A front axle that gains more load than it is asked for never locks, nor does a rear one that is asked for nothing.
    const byFront = atFront > 0 ? most / atFront : Number.POSITIVE_INFINITY;
    const atRear = 1 - share + moved;
    const left = grip * rear - moved * against + (onFront - share) * motor;
    const byRear = atRear > 0 ? left / atRear : Number.POSITIVE_INFINITY;
    return Math.max(0, Math.min(byFront, byRear));
  }

  /** Brake balance of any friction force without a valve, 0 to 1. */
  private balanceOf(clicks: number): number {
    if (clicks !== this.knownClicks) {
      this.known = this.balanceAt(1, 0, clicks);
      this.knownClicks = clicks;
    }
    return this.known;
  }

  private balanceAt(force: number, extraLoad: number, clicks: number): number {
    const { pressures, frontGain, rearGain } = this;
    const { brakes } = this.vehicle;
    const push = pushFor(brakes, frontGain, rearGain, force, extraLoad, clicks, pressures);
    pressuresAt(brakes, push, extraLoad, clicks, pressures);
    const front = frontGain * pressures.front;
    return front / (front + rearGain * pressures.rear);
  }
}

/** Braking of a motor that adds to the friction brakes, N; a blended one leaves the balance alone. */
function addedMotor({ recovery }: Vehicle, speed: number): number {
  if (!recovery) return 0;
  const fade = Math.min(1, Math.max(0, speed / recovery.lowestSpeed - 1));
  return (recovery.power * fade) / Math.max(1, speed);
}
