import { BrakingState, vapourVolume } from '../actuation';
import type { AxleName, WheelName } from '../brake';
import { pointTableAt } from '../numeric';
import type { BrakedCar } from '../schedule';
import { type CornerRun, FELT } from './cornerRun';
import type { DemandStep } from './demandStep';

/** Braking of an axle's pads under which they count as released, N. */
const LEAST_FRICTION = 1;

/** Where the friction of the pads comes from: their temperature and glaze, or every pad at its best, without vapour. */
export type PadCondition = 'as hot' | 'at best';

/** A part of each wheel; a class for the reason that `Pressures` are. */
class Shares implements Record<WheelName, number> {
  frontLeft = 0;
  frontRight = 0;
  rearLeft = 0;
  rearRight = 0;
}

/** Foot to tyre through a run: shares each step's heat between the wheels by the friction there is. */
export class Sharing {
  /** Heat of each wheel in a step, as parts of all heat made; they sum to 1 */
  readonly shares = new Shares();
  /** Friction heat of a step over its braking power, 0 to 1: the motor and the tyres' slip take the rest */
  heat = 0;
  readonly state: BrakingState;
  /** Work the motor has taken in this session, J, and the session */
  private taken = 0;
  private session = -1;

  constructor(
    private readonly car: BrakedCar,
    private readonly wheels: Readonly<Record<WheelName, CornerRun>>,
    private readonly pads: PadCondition,
  ) {
    const { vehicle } = car;
    this.state = new BrakingState(vehicle.brakes, vehicle, vehicle.wheelRadius, vehicle.recovery);
    if (pads === 'at best') this.state.takeNominal();
  }

  /**
   * Takes friction and vapour as they are after the step made last.
   * @param sample that it ended at
   * @param ahead how far friction is carried on along it, in steps
   */
  takeCondition(sample: number, ahead: number): void {
    if (this.pads === 'at best') return;
    const { condition } = this.state;
    const { frontLeft, frontRight, rearLeft, rearRight } = this.wheels;
    // Wheels that are computed once have one run.
    const [front, rear] = [frontLeft === frontRight, rearLeft === rearRight];
    condition.frontLeft = frictionThen(frontLeft, sample, ahead);
    condition.frontRight = front ? condition.frontLeft : frictionThen(frontRight, sample, ahead);
    condition.rearLeft = frictionThen(rearLeft, sample, ahead);
    condition.rearRight = rear ? condition.rearLeft : frictionThen(rearRight, sample, ahead);
    const { car } = this;
    const atFront = vapourIn(frontLeft, car.front.boilingPoint);
    const atRear = vapourIn(rearLeft, car.rear.boilingPoint);
    condition.vapourFront = atFront + (front ? atFront : vapourIn(frontRight, car.front.boilingPoint));
    condition.vapourRear = atRear + (rear ? atRear : vapourIn(rearRight, car.rear.boilingPoint));
  }

  /** Begins a lap: with a new session the motor's battery and windings are fresh again. */
  beginLap(session: number): void {
    if (session === this.session) return;
    this.session = session;
    this.taken = 0;
  }

  /**
   * Solves a step in the condition taken, with what the motor can do by now; afterwards `shares` holds each wheel's part of
   * the heat.
   */
  solve(step: DemandStep): void {
    const { state, car } = this;
    const { recovery, slipShare } = car.vehicle;
    if (recovery?.derating) state.demand.electric *= pointTableAt(recovery.derating, this.taken);
    state.solve();
    this.taken += state.electric * step.way;
    const { force } = state.demand;
    const friction = state.frontFriction + state.rearFriction;
    this.heat = force > 0 ? (friction / force) * (1 - slipShare) : 0;
    this.share(step.frontLeft, step.rearLeft);
  }

  /** Whether an axle's pads rub in the step solved; while its motor brakes alone they do not. */
  rubs(axle: AxleName): boolean {
    const { state } = this;
    const friction = axle === 'front' ? state.frontFriction : state.rearFriction;
    return state.electric === 0 || friction > LEAST_FRICTION;
  }

  /** Part of all heat on an axle, 0 to 1. */
  axleShare(axle: AxleName): number {
    const { shares } = this;
    const front = shares.frontLeft + shares.frontRight;
    return axle === 'front' ? front : 1 - front;
  }

  /** Friction coefficient of a wheel's pads at a sample. */
  frictionOf(wheel: WheelName, sample: number): number {
    return this.wheels[wheel].record.friction[sample];
  }

  /** Temperature of a wheel's pad faces at a sample, K. */
  padFaceOf(wheel: WheelName, sample: number): number {
    return this.wheels[wheel].record.padFace[sample];
  }

  /** Both wheels of an axle get one pressure, so each takes heat by its friction, and by what the control leaves it. */
  private share(frontLeft: number, rearLeft: number): void {
    const { state, shares } = this;
    const { condition, frontFriction, rearFriction } = state;
    const all = frontFriction + rearFriction;
    const front = all > 0 ? frontFriction / all : 1;
    const fl = leftPart(frontLeft, condition.frontLeft, condition.frontRight);
    const rl = leftPart(rearLeft, condition.rearLeft, condition.rearRight);
    shares.frontLeft = front * fl;
    shares.frontRight = front * (1 - fl);
    shares.rearLeft = (1 - front) * rl;
    shares.rearRight = (1 - front) * (1 - rl);
  }
}

/** Friction of a wheel's pads at a sample, carried on by so many of its last steps. */
function frictionThen({ record: { friction } }: CornerRun, sample: number, ahead: number): number {
  const now = friction[sample];
  return ahead === 0 ? now : Math.max(0.02, now + ahead * (now - friction[sample - 1]));
}

/** Vapour in a wheel's fluid, m³. @param boiling point, K */
const vapourIn = ({ felt }: CornerRun, boiling: number): number =>
  vapourVolume(Math.max(felt[FELT.fluid], felt[FELT.hose]) - boiling);

/**
 * Part of an axle’s heat on its left wheel, 0 to 1.
 * @param even the same where both pads rub alike
 * @param frictionLeft of its pads, 1
 * @param frictionRight 1
 */
function leftPart(even: number, frictionLeft: number, frictionRight: number): number {
  if (frictionLeft === frictionRight) return even;
  const left = even * frictionLeft;
  const both = left + (1 - even) * frictionRight;
  return both > 0 ? left / both : even;
}
