import { BrakingState, vapourVolume } from '../actuation';
import { axleOf, WHEELS, type WheelName } from '../brake';
import type { BrakedCar } from '../schedule';
import type { CornerRun } from './cornerRun';
import type { DemandStep } from './demandStep';

/** Where the friction of the pads comes from: their temperature and glaze, or every pad at its best, without vapour. */
export type PadCondition = 'as hot' | 'at best';

/** Foot to tyre through a run: shares each step's heat between the wheels by the friction there is. */
export class Sharing {
  /** Heat of each wheel in a step, as parts of all heat made; they sum to 1 */
  readonly shares: Record<WheelName, number> = { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 };
  readonly state: BrakingState;

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
   * Takes friction and vapour as they are at a sample.
   * @param ahead how far friction is carried on along its last step, in steps
   */
  takeCondition(sample: number, ahead: number): void {
    if (this.pads === 'at best') return;
    const { condition } = this.state;
    for (const wheel of WHEELS) {
      const { friction } = this.wheels[wheel].record;
      const now = friction[sample];
      condition[wheel] = ahead === 0 ? now : Math.max(0.02, now + ahead * (now - friction[sample - 1]));
    }
    condition.vapourFront = this.vapour('frontLeft', sample) + this.vapour('frontRight', sample);
    condition.vapourRear = this.vapour('rearLeft', sample) + this.vapour('rearRight', sample);
  }

  /** Solves a step in the condition taken; afterwards `shares` holds each wheel's part of the heat. */
  solve(step: DemandStep): void {
    this.state.solve();
    this.share(step.frontLeft, step.rearLeft);
  }

  /** Part of all heat on the axle of a wheel, 0 to 1. */
  axleShare(wheel: WheelName): number {
    const { shares } = this;
    const front = shares.frontLeft + shares.frontRight;
    return wheel === 'frontLeft' || wheel === 'frontRight' ? front : 1 - front;
  }

  /** Friction coefficient of a wheel's pads at a sample. */
  frictionOf(wheel: WheelName, sample: number): number {
    return this.wheels[wheel].record.friction[sample];
  }

  /** Temperature of a wheel's pad faces at a sample, K. */
  padFaceOf(wheel: WheelName, sample: number): number {
    return this.wheels[wheel].record.padFace[sample];
  }

  private vapour(wheel: WheelName, sample: number): number {
    const { fluid, hose } = this.wheels[wheel].record;
    return vapourVolume(Math.max(fluid[sample], hose[sample]) - this.car[axleOf(wheel)].boilingPoint);
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

/**
 * Part of an axle’s heat on its left wheel, 0 to 1.
 * @param even the same where both pads rub alike
 * @param frictionLeft of its pads, 1
 * @param frictionRight 1
 */
function leftPart(even: number, frictionLeft: number, frictionRight: number): number {
  const left = even * frictionLeft;
  const both = left + (1 - even) * frictionRight;
  return both > 0 ? left / both : even;
}
