import { STANDARD_GRAVITY } from '../constants';
import { type BrakeChain, Pressures, pedalFor, pressuresAt, pushAt, pushFor } from './chain';
import { wheelGain } from './gains';
import { type Chassis, frontLoad } from './loads';
import { knockedVolume, PedalTravel } from './travel';

/** What the brakes are asked for at an instant; a class for the reason that `Pressures` are. */
export class Demand {
  /** Braking at the tyres by friction brakes and motor together, N */
  force = 0;
  /** Most the motor could brake at this instant, N */
  electric = 0;
  /** Deceleration over g, for the loads */
  z = 0;
  /** Of the whole car, N */
  downforce = 0;
  /** Clicks on the driver's balance control */
  clicks = 0;
  /** Sideways acceleration of the corners since the last braking, g */
  lateral = 0;
  /** Grip of the track over that of a dry one, 0 to 1 */
  trackGrip = 1;
}

/** Friction of each wheel, and vapour in each axle's fluid, m³; likewise. */
class BrakeCondition {
  frontLeft = 0;
  frontRight = 0;
  rearLeft = 0;
  rearRight = 0;
  vapourFront = 0;
  vapourRear = 0;
}

/**
 * Foot to tyre at one instant. Made once for a car and solved in place again and again: every result is a field, so that
 * a time loop allocates nothing.
 */
export class BrakingState {
  readonly demand = new Demand();
  readonly condition = new BrakeCondition();
  /** Pedal force the demand needs, N; infinite where no push makes it */
  pedal = 0;
  /** Line pressures it needs, Pa */
  readonly pressures = new Pressures();
  /** Pedal travel it needs, m */
  travel = 0;
  /** Part of it that closes what corners have knocked back, m */
  knockBack = 0;
  /** Friction braking of the front and the rear axle, N */
  frontFriction = 0;
  rearFriction = 0;
  /** The motor's braking, N */
  electric = 0;
  /** Brake balance of all braking, motor included, 0 to 1 */
  share = 0;
  /** Brake balance that would use both axles' tyres alike */
  ideal = 0;
  /** Braking over load of each axle, 1: the friction it asks of its tyres */
  frontUse = 0;
  rearUse = 0;
  /** After `limit`: most that can be braked at the driver's limit of force and travel, N; with the motor's part */
  available = 0;
  /** The same without regard to travel */
  availableByForce = 0;

  readonly travelModel: PedalTravel;
  private readonly scratch = new Pressures();
  /** Friction that the gains are of */
  private readonly gained = new BrakeCondition();
  private frontGain = 0;
  private rearGain = 0;
  private extraLoad = 0;
  private frontWeight = 0;
  private rearWeight = 0;
  private knockedFront = 0;
  private knockedRear = 0;
  private readonly staticRear: number;
  private readonly limitPush: number;
  private readonly nominal: Pressures;
  /** Gain of a disc for each of its pads' friction, in a line with it; 0 for a drum */
  private readonly frontDisc: number;
  private readonly rearDisc: number;

  constructor(
    private readonly chain: BrakeChain,
    /** Where it has ABS, no axle brakes more than its tyres hold */
    private readonly chassis: Chassis & { readonly abs?: boolean; readonly longitudinalGrip?: number },
    /** m */
    private readonly wheelRadius: number,
    private readonly recovery: { readonly axle: 'front' | 'rear'; readonly blending: string } | null,
  ) {
    this.travelModel = new PedalTravel(chain);
    this.staticRear = (1 - chassis.frontWeight) * chassis.mass * STANDARD_GRAVITY;
    this.limitPush = pushAt(chain, chain.forceLimit);
    this.frontDisc = chain.front.kind === 'disc' ? wheelGain(chain.front, 1, wheelRadius) : 0;
    this.rearDisc = chain.rear.kind === 'disc' ? wheelGain(chain.rear, 1, wheelRadius) : 0;
    this.nominal = new Pressures(
      2 * wheelGain(chain.front, chain.front.nominalFriction, wheelRadius),
      2 * wheelGain(chain.rear, chain.rear.nominalFriction, wheelRadius),
    );
  }

  /** Sets every wheel's friction to the pads' best, without vapour. */
  takeNominal(): void {
    const { condition, chain } = this;
    condition.frontLeft = chain.front.nominalFriction;
    condition.frontRight = chain.front.nominalFriction;
    condition.rearLeft = chain.rear.nominalFriction;
    condition.rearRight = chain.rear.nominalFriction;
    condition.vapourFront = 0;
    condition.vapourRear = 0;
  }

  /** Shares the demand between the axles in the condition: what pedal, pressures and travel it needs. */
  solve(): void {
    this.brake();
    const { chain, demand, condition, pressures, travelModel, frontWeight, rearWeight } = this;
    const { force, clicks } = demand;
    this.ideal = frontWeight / (this.chassis.mass * STANDARD_GRAVITY + demand.downforce);
    const rearMotor = this.recovery?.axle === 'rear';
    const frontForce = this.frontFriction + (rearMotor ? 0 : this.electric);
    const rearForce = this.rearFriction + (rearMotor ? this.electric : 0);
    this.share = force > 0 ? frontForce / (frontForce + rearForce) : 0;
    this.frontUse = frontWeight > 0 ? frontForce / frontWeight : Number.POSITIVE_INFINITY;
    this.rearUse = rearWeight > 0 ? rearForce / rearWeight : Number.POSITIVE_INFINITY;
    this.knockedFront = knockedVolume(chain.front, demand.lateral);
    this.knockedRear = knockedVolume(chain.rear, demand.lateral);
    this.knockBack = chain.pedalRatio * travelModel.travelOf(this.knockedFront, this.knockedRear, clicks);
    const openFront = condition.vapourFront + this.knockedFront;
    const openRear = condition.vapourRear + this.knockedRear;
    this.travel = travelModel.pedal(travelModel.pushTravel(pressures, openFront, openRear, clicks));
  }

  /** The part of `solve` that says what friction brakes and motor do at each axle; a lap asks for no more. */
  brake(): void {
    const { chain, demand, pressures } = this;
    const { force, z, downforce } = demand;
    this.takeGains();
    const { frontGain, rearGain } = this;
    const frontWeight = frontLoad(this.chassis, z, downforce);
    const rearWeight = this.chassis.mass * STANDARD_GRAVITY + downforce - frontWeight;
    this.extraLoad = rearWeight - this.staticRear;
    this.frontWeight = frontWeight;
    this.rearWeight = rearWeight;

    const push = this.pushForDemand(force);
    this.pedal = pedalFor(chain, push);
    const limited = Number.isFinite(push) ? push : this.limitPush;
    this.electric = this.brakeAt(limited, pressures);
    const asked = Math.max(0, force - this.electric);
    const sum = frontGain * pressures.front + rearGain * pressures.rear;
    // Brakes that no push makes strong enough still share what is asked as they share what they can.
    const onFront = sum > 0 ? (frontGain * pressures.front) / sum : 1;
    this.frontFriction = asked * onFront;
    this.rearFriction = asked - this.frontFriction;
    if (this.chassis.abs) this.hold(frontWeight, rearWeight);
  }

  /** What both axles brake for a pascal in the condition; on a lap that is planned it is the same all the way. */
  private takeGains(): void {
    const { condition, wheelRadius, gained, frontDisc, rearDisc } = this;
    const { frontLeft, frontRight, rearLeft, rearRight } = condition;
    const { front, rear } = this.chain;
    if (frontLeft !== gained.frontLeft || frontRight !== gained.frontRight)
      this.frontGain =
        frontDisc > 0
          ? frontDisc * (frontLeft + frontRight)
          : wheelGain(front, frontLeft, wheelRadius) + wheelGain(front, frontRight, wheelRadius);
    if (rearLeft !== gained.rearLeft || rearRight !== gained.rearRight)
      this.rearGain =
        rearDisc > 0
          ? rearDisc * (rearLeft + rearRight)
          : wheelGain(rear, rearLeft, wheelRadius) + wheelGain(rear, rearRight, wheelRadius);
    gained.frontLeft = frontLeft;
    gained.frontRight = frontRight;
    gained.rearLeft = rearLeft;
    gained.rearRight = rearRight;
  }

  /** After `solve`: the most that could be braked at the driver's limits. */
  limit(): void {
    const { condition, demand, limitPush } = this;
    this.availableByForce = this.forceAt(limitPush, this.frontGain, this.rearGain);
    const within = this.travelModel.pushWithin(
      limitPush,
      this.extraLoad,
      condition.vapourFront + this.knockedFront,
      condition.vapourRear + this.knockedRear,
      demand.clicks,
    );
    this.available =
      within === limitPush ? this.availableByForce : this.forceAt(within, this.frontGain, this.rearGain);
  }

  /** After `solve`: most that could be braked at the limit of force with every pad at its best and no vapour, N. */
  availableAtBest(): number {
    return this.forceAt(this.limitPush, this.nominal.front, this.nominal.rear);
  }

  /** After `solve`: pedal force that would brake with another force, N, in the same condition. */
  pedalOf(force: number): number {
    return pedalFor(this.chain, this.pushForDemand(force));
  }

  /** Available over needed, minus one: the brake reserve. Infinite where nothing is asked. */
  margin(): number {
    return this.demand.force > 0 ? this.available / this.demand.force - 1 : Number.POSITIVE_INFINITY;
  }

  /** Braking at a push with some gains, the motor's included, N. */
  private forceAt(push: number, front: number, rear: number): number {
    const { scratch } = this;
    const motor = this.brakeAt(push, scratch);
    return front * scratch.front + rear * scratch.rear + motor;
  }

  /**
   * What ABS takes off an axle, over what its tyres hold, and the foot that presses on gives to the other instead; friction
   * before the motor.
   * @param frontWeight N, likewise `rearWeight`
   */
  private hold(frontWeight: number, rearWeight: number): void {
    const { recovery, chassis, frontGain, rearGain, pressures } = this;
    const grip = (chassis.longitudinalGrip ?? 1) * this.demand.trackGrip;
    const onFront = recovery?.axle === 'front' ? this.electric : 0;
    const overFront = this.frontFriction + onFront - grip * frontWeight;
    const overRear = this.rearFriction + this.electric - onFront - grip * rearWeight;
    const atFront = overFront > 0;
    const over = Math.max(overFront, overRear);
    // Where both are over, or the other cannot brake, nothing is left to give to.
    if (over <= 0 || (overFront > 0 && overRear > 0) || (atFront ? rearGain : frontGain) <= 0) return;
    const friction = Math.min(over, atFront ? this.frontFriction : this.rearFriction);
    if (atFront === (recovery?.axle === 'front')) this.electric -= over - friction;
    this.frontFriction += atFront ? -friction : over;
    this.rearFriction += atFront ? over : -friction;
    pressures.front = frontGain > 0 ? this.frontFriction / frontGain : 0;
    pressures.rear = rearGain > 0 ? this.rearFriction / rearGain : 0;
    this.pedal = pedalFor(this.chain, this.pushForPressure(atFront ? 'rear' : 'front'));
  }

  /** Push that asks an axle's line for the pressure it has now, with what a blended motor took off it, N. */
  private pushForPressure(axle: 'front' | 'rear'): number {
    const { nominal, pressures, recovery } = this;
    const blended = recovery?.axle === axle && recovery.blending !== 'added';
    const force = nominal[axle] * pressures[axle] + (blended ? this.electric : 0);
    return axle === 'front'
      ? this.pushForFriction(nominal.front, 0, force)
      : this.pushForFriction(0, nominal.rear, force);
  }

  /** Push that makes a braking force at the tyres with the motor, N; infinite where no push does. */
  private pushForDemand(force: number): number {
    const { frontGain, rearGain, nominal, recovery, demand } = this;
    const most = demand.electric;
    if (!recovery || most <= 0) return this.pushForFriction(frontGain, rearGain, force);
    if (recovery.blending === 'added') {
      return this.pushForFriction(frontGain, rearGain, Math.max(0, force - most));
    }
    const atRear = recovery.axle === 'rear';
    const [own, asked] = atRear ? [rearGain, nominal.rear] : [frontGain, nominal.front];
    // All that its axle is asked for, as with pads at their best; else as much as it can, the friction brake the rest.
    const alone = atRear
      ? this.pushForFriction(frontGain, asked, force)
      : this.pushForFriction(asked, rearGain, force);
    pressuresAt(this.chain, alone, this.extraLoad, demand.clicks, this.scratch);
    const wants = asked * (atRear ? this.scratch.rear : this.scratch.front);
    if (wants <= most) return alone;
    return this.pushForFriction(frontGain, rearGain, force - most * (1 - own / asked));
  }

  private pushForFriction(front: number, rear: number, force: number): number {
    const { chain, extraLoad, demand, scratch } = this;
    return pushFor(chain, front, rear, force, extraLoad, demand.clicks, scratch);
  }

  /**
   * Line pressures at a push, less what the motor takes off its axle's friction brake. A blended motor takes what its axle
   * is asked for with pads at their best, as far as it can, whatever its pads do.
   * @returns the motor's braking, N
   */
  private brakeAt(push: number, out: Pressures): number {
    const { demand, recovery, nominal } = this;
    pressuresAt(this.chain, push, this.extraLoad, demand.clicks, out);
    if (!recovery || demand.electric <= 0) return 0;
    if (recovery.blending === 'added') return Math.min(demand.electric, demand.force);
    const atRear = recovery.axle === 'rear';
    const pressure = atRear ? out.rear : out.front;
    const asked = (atRear ? nominal.rear : nominal.front) * pressure;
    const motor = Math.min(demand.electric, asked);
    const left = asked > 0 ? pressure * (1 - motor / asked) : 0;
    if (atRear) out.rear = left;
    else out.front = left;
    return motor;
  }
}
