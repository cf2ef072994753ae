import { STANDARD_GRAVITY } from '../constants';
import { type BrakeChain, type Pressures, pedalFor, pressuresAt, pushAt, pushFor } from './chain';
import { wheelGain } from './gains';
import { type Chassis, frontLoad } from './loads';
import { PedalTravel } from './travel';

/** What the brakes are asked for at an instant. */
export interface Demand {
  /** Braking at the tyres by friction brakes and motor together, N */
  force: number;
  /** Most the motor could brake of it, N */
  electric: number;
  /** Deceleration over g, for the loads */
  z: number;
  /** Of the whole car, N */
  downforce: number;
  /** Clicks on the driver's balance control */
  clicks: number;
}

/** Friction of each wheel, and vapour in each axle's fluid, m³. */
export interface BrakeCondition {
  frontLeft: number;
  frontRight: number;
  rearLeft: number;
  rearRight: number;
  vapourFront: number;
  vapourRear: number;
}

/**
 * Foot to tyre at one instant. Made once for a car and solved in place again and again: every result is a field, so that
 * a time loop allocates nothing.
 */
export class BrakingState {
  readonly demand: Demand = { force: 0, electric: 0, z: 0, downforce: 0, clicks: 0 };
  readonly condition: BrakeCondition = {
    frontLeft: 0,
    frontRight: 0,
    rearLeft: 0,
    rearRight: 0,
    vapourFront: 0,
    vapourRear: 0,
  };
  /** Pedal force the demand needs, N; infinite where no push makes it */
  pedal = 0;
  /** Line pressures it needs, Pa */
  readonly pressures: Pressures = { front: 0, rear: 0 };
  /** Pedal travel it needs, m */
  travel = 0;
  /** Friction braking of the front and the rear axle, N */
  frontFriction = 0;
  rearFriction = 0;
  /** The motor's braking, N */
  electric = 0;
  /** Front share of all braking, motor included, 0 to 1 */
  share = 0;
  /** Front share that would use both axles' tyres alike */
  ideal = 0;
  /** Braking over load of each axle, 1: the friction it asks of its tyres */
  frontUse = 0;
  rearUse = 0;
  /** After `limit`: most that can be braked at the driver's limit of force and travel, N; with the motor's part */
  available = 0;
  /** The same without regard to travel */
  availableByForce = 0;
  /** The same with every pad at its best and no vapour */
  availableAtBest = 0;

  readonly travelModel: PedalTravel;
  private readonly scratch: Pressures = { front: 0, rear: 0 };
  private frontGain = 0;
  private rearGain = 0;
  private extraLoad = 0;
  private readonly staticRear: number;
  private readonly limitPush: number;
  private readonly nominal: Pressures;

  constructor(
    private readonly chain: BrakeChain,
    private readonly chassis: Chassis,
    /** m */
    private readonly wheelRadius: number,
    private readonly recovery: { readonly axle: 'front' | 'rear'; readonly blending: string } | null,
  ) {
    this.travelModel = new PedalTravel(chain);
    this.staticRear = (1 - chassis.frontWeight) * chassis.mass * STANDARD_GRAVITY;
    this.limitPush = pushAt(chain, chain.forceLimit);
    this.nominal = {
      front: 2 * wheelGain(chain.front, chain.front.nominalFriction, wheelRadius),
      rear: 2 * wheelGain(chain.rear, chain.rear.nominalFriction, wheelRadius),
    };
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
    const { chain, demand, condition, pressures, wheelRadius } = this;
    const { force, z, downforce, clicks } = demand;
    this.frontGain =
      wheelGain(chain.front, condition.frontLeft, wheelRadius) +
      wheelGain(chain.front, condition.frontRight, wheelRadius);
    this.rearGain =
      wheelGain(chain.rear, condition.rearLeft, wheelRadius) +
      wheelGain(chain.rear, condition.rearRight, wheelRadius);
    const { frontGain, rearGain } = this;
    const weight = this.chassis.mass * STANDARD_GRAVITY + downforce;
    const frontWeight = frontLoad(this.chassis, z, downforce);
    const rearWeight = weight - frontWeight;
    this.extraLoad = rearWeight - this.staticRear;
    this.ideal = frontWeight / weight;

    const added = this.recovery?.blending === 'added';
    const asked = added ? Math.max(0, force - demand.electric) : force;
    const push = pushFor(chain, frontGain, rearGain, asked, this.extraLoad, clicks, pressures);
    this.pedal = pedalFor(chain, push);
    pressuresAt(chain, Number.isFinite(push) ? push : this.limitPush, this.extraLoad, clicks, pressures);
    const sum = frontGain * pressures.front + rearGain * pressures.rear;
    // Brakes that no push makes strong enough still share what is asked as they share what they can.
    const onFront = sum > 0 ? (frontGain * pressures.front) / sum : 1;
    this.frontFriction = asked * onFront;
    this.rearFriction = asked - this.frontFriction;
    this.electric = added ? force - asked : 0;
    if (this.recovery && !added) this.giveWay(demand.electric);
    const rearMotor = this.recovery?.axle === 'rear';
    const frontForce = this.frontFriction + (rearMotor ? 0 : this.electric);
    const rearForce = this.rearFriction + (rearMotor ? this.electric : 0);
    this.share = force > 0 ? frontForce / (frontForce + rearForce) : 0;
    this.frontUse = frontWeight > 0 ? frontForce / frontWeight : Number.POSITIVE_INFINITY;
    this.rearUse = rearWeight > 0 ? rearForce / rearWeight : Number.POSITIVE_INFINITY;
    const { vapourFront, vapourRear } = condition;
    this.travel = this.travelModel.pedal(
      this.travelModel.pushTravel(pressures, vapourFront, vapourRear, clicks),
    );
  }

  /** After `solve`: the most that could be braked at the driver's limits. */
  limit(): void {
    const { condition, demand, limitPush, electric } = this;
    this.availableByForce = this.forceAt(limitPush, this.frontGain, this.rearGain) + electric;
    const within = this.travelModel.pushWithin(
      limitPush,
      this.extraLoad,
      condition.vapourFront,
      condition.vapourRear,
      demand.clicks,
    );
    this.available =
      within === limitPush
        ? this.availableByForce
        : this.forceAt(within, this.frontGain, this.rearGain) + electric;
    this.availableAtBest = this.forceAt(limitPush, this.nominal.front, this.nominal.rear) + electric;
  }

  /** After `solve`: pedal force that would brake with another force, N, in the same condition. */
  pedalOf(force: number): number {
    const { chain, extraLoad, demand, scratch } = this;
    const asked = this.recovery?.blending === 'added' ? Math.max(0, force - this.electric) : force;
    return pedalFor(
      chain,
      pushFor(chain, this.frontGain, this.rearGain, asked, extraLoad, demand.clicks, scratch),
    );
  }

  /** Available over needed, minus one: the fade margin. Infinite where nothing is asked. */
  margin(): number {
    return this.demand.force > 0 ? this.available / this.demand.force - 1 : Number.POSITIVE_INFINITY;
  }

  private forceAt(push: number, front: number, rear: number): number {
    pressuresAt(this.chain, push, this.extraLoad, this.demand.clicks, this.scratch);
    return front * this.scratch.front + rear * this.scratch.rear;
  }

  /** Takes the motor's part off its own axle's friction and pressure, as far as that axle brakes. */
  private giveWay(motor: number): void {
    const { pressures } = this;
    if (this.recovery?.axle === 'rear') {
      this.electric = Math.min(motor, this.rearFriction);
      this.rearFriction -= this.electric;
      if (this.rearGain > 0) pressures.rear = this.rearFriction / this.rearGain;
    } else {
      this.electric = Math.min(motor, this.frontFriction);
      this.frontFriction -= this.electric;
      if (this.frontGain > 0) pressures.front = this.frontFriction / this.frontGain;
    }
  }
}
