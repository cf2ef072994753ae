import { BrakingState, vapourVolume } from '../actuation';
import { GAMMA } from '../heat';
import type { LapTrace } from '../lap';
import type { CornerRun } from './cornerRun';
import type { DayInput, WheelName } from './input';
import { WHEELS } from './input';
import type { ForceRecord } from './record';
import type { StopForce, StopLimit } from './result';
import type { LapSchedule } from './schedule';

/** Heat of each wheel in a step, as parts of all heat made; they sum to 1. */
export type HeatShares = Record<WheelName, number>;

/** An overrun of more than this is no longer a stop, m. */
const LONGEST_OVERRUN = 1000;

/** What is kept of each step of a lap until its stops are told. */
interface LapScratch {
  available: Float64Array;
  byForce: Float64Array;
  atBest: Float64Array;
  /** Axle nearer to locking, 1 front, and how much friction it asks */
  frontFirst: Uint8Array;
  use: Float64Array;
  frontHeat: Float64Array;
  /** Pedal force of the stop's mean braking in the step's condition, N */
  pedalAtMean: Float64Array;
}

/** Foot to tyre through a day: shares each step's heat between the wheels by the friction there is. */
export class ForceRun {
  readonly shares: HeatShares = { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 };
  private readonly state: BrakingState;
  private scratch: LapScratch;
  /** Mean braking of each stop of the lap, N */
  private meanForce: readonly number[] = [];
  private readonly wheels: Readonly<Record<WheelName, CornerRun>>;

  constructor(
    private readonly input: DayInput,
    wheels: Readonly<Record<WheelName, CornerRun>>,
  ) {
    const { vehicle } = input;
    this.wheels = wheels;
    this.state = new BrakingState(vehicle.brakes, vehicle, vehicle.wheelRadius, vehicle.recovery);
    this.scratch = emptyScratch(0);
  }

  /** Begins a lap. */
  begin({ trace, schedule }: { trace: LapTrace; schedule: LapSchedule }): void {
    const steps = schedule.time.length;
    if (this.scratch.use.length < steps) this.scratch = emptyScratch(steps);
    this.meanForce = trace.stops.map((stop) => {
      const work = (i: number) =>
        trace.frontHeat[i] + trace.rearHeat[i] + trace.slipped[i] + trace.recovered[i];
      return (work(stop.endIndex) - work(stop.startIndex)) / stop.length;
    });
  }

  /**
   * Solves one braking step and writes what the driver feels; afterwards `shares` holds each wheel's part of the heat.
   * @param before sample whose temperatures the friction is taken at
   * @param airDensity kg/m³
   */
  step(
    schedule: LapSchedule,
    k: number,
    airDensity: number,
    record: ForceRecord,
    sample: number,
    before: number,
  ): void {
    const { state, input, scratch } = this;
    const { demand, condition } = state;
    const { demand: lap } = schedule;
    const speed = lap.speed[k];
    demand.force = lap.force[k];
    demand.electric = lap.electric[k];
    demand.z = lap.z[k];
    demand.downforce = 0.5 * airDensity * input.vehicle.downforceArea * speed * speed;
    demand.clicks = (schedule.stop[k] >= 0 && input.clicks[schedule.stop[k]]) || 0;
    // Within a stop friction is carried on to the middle of the step, which makes the sharing of second order.
    const ahead =
      k > 0 &&
      schedule.inStop[k] === 1 &&
      schedule.inStop[k - 1] === 1 &&
      schedule.stop[k - 1] === schedule.stop[k]
        ? (0.5 * schedule.dt[k]) / schedule.dt[k - 1]
        : 0;
    for (const wheel of WHEELS) {
      const { friction } = this.wheels[wheel].record;
      const now = friction[before];
      condition[wheel] = ahead === 0 ? now : Math.max(0.02, now + ahead * (now - friction[before - 1]));
    }
    condition.vapourFront = this.vapour('frontLeft', before) + this.vapour('frontRight', before);
    condition.vapourRear = this.vapour('rearLeft', before) + this.vapour('rearRight', before);
    state.solve();
    this.share(lap.frontLeft[k], lap.rearLeft[k]);
    scratch.frontHeat[k] = this.shares.frontLeft + this.shares.frontRight;
    if (schedule.inStop[k] === 0) return;
    state.limit();
    record.pedal[sample] = state.pedal;
    record.frontPressure[sample] = state.pressures.front;
    record.rearPressure[sample] = state.pressures.rear;
    record.travel[sample] = state.travel;
    record.share[sample] = state.share;
    record.ideal[sample] = state.ideal;
    scratch.available[k] = state.available;
    scratch.byForce[k] = state.availableByForce;
    scratch.atBest[k] = state.availableAtBest;
    scratch.frontFirst[k] = state.frontUse >= state.rearUse ? 1 : 0;
    scratch.use[k] = Math.max(state.frontUse, state.rearUse);
    scratch.pedalAtMean[k] = state.pedalOf(this.meanForce[Math.max(0, schedule.stop[k])]);
  }

  /** Part of all heat on the axle of a wheel, 0 to 1. */
  axleShare(wheel: WheelName): number {
    const { shares } = this;
    const front = shares.frontLeft + shares.frontRight;
    return wheel === 'frontLeft' || wheel === 'frontRight' ? front : 1 - front;
  }

  private frictionOf(wheel: WheelName, sample: number): number {
    return this.wheels[wheel].record.friction[sample];
  }

  private vapour(wheel: WheelName, sample: number): number {
    const { fluid, hose } = this.wheels[wheel].record;
    const axle = wheel === 'frontLeft' || wheel === 'frontRight' ? this.input.front : this.input.rear;
    return vapourVolume(Math.max(fluid[sample], hose[sample]) - axle.boilingPoint);
  }

  /** Both wheels of an axle get one pressure, so each takes heat by its friction, and by what the control leaves it. */
  private share(frontLeft: number, rearLeft: number): void {
    const { state, shares } = this;
    const { condition, frontFriction, rearFriction } = state;
    const all = frontFriction + rearFriction;
    const front = all > 0 ? frontFriction / all : 1;
    const left = (part: number, a: number, b: number) =>
      part * a + (1 - part) * b > 0 ? (part * a) / (part * a + (1 - part) * b) : part;
    const fl = left(frontLeft, condition.frontLeft, condition.frontRight);
    const rl = left(rearLeft, condition.rearLeft, condition.rearRight);
    shares.frontLeft = front * fl;
    shares.frontRight = front * (1 - fl);
    shares.rearLeft = (1 - front) * rl;
    shares.rearRight = (1 - front) * (1 - rl);
  }

  /** The stops of a lap that has been run. @param first its first sample */
  stops(schedule: LapSchedule, count: number, record: ForceRecord, first: number): StopForce[] {
    return Array.from({ length: count }, (_, stop) => {
      const from = schedule.stop.findIndex((s, k) => s === stop && schedule.inStop[k] === 1);
      let to = from;
      while (schedule.inStop[to + 1] === 1 && schedule.stop[to + 1] === stop) to++;
      return this.stop(schedule, from, to, record, first);
    });
  }

  private stop(
    schedule: LapSchedule,
    from: number,
    to: number,
    record: ForceRecord,
    first: number,
  ): StopForce {
    const { scratch } = this;
    const { demand, dt } = schedule;
    let [work, heat, frontHeat, missing] = [0, 0, 0, 0];
    let [needed, available, margin] = [0, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    let [worst, hardest, share, ideal] = [from, from, 0, 0];
    for (let k = from; k <= to; k++) {
      const force = demand.force[k];
      const done = force * demand.way[k];
      const made = dt[k] * ((1 - GAMMA) * demand.early[k] + GAMMA * demand.late[k]);
      work += done;
      heat += made;
      frontHeat += made * scratch.frontHeat[k];
      share += done * record.share[first + k];
      ideal += done * record.ideal[first + k];
      needed = Math.max(needed, force);
      available = Math.min(available, scratch.available[k]);
      missing += Math.max(0, force - scratch.available[k]) * demand.way[k];
      if (force > 0 && scratch.available[k] / force - 1 < margin) {
        margin = scratch.available[k] / force - 1;
        worst = k;
      }
      if (scratch.use[k] > scratch.use[hardest]) hardest = k;
    }
    const over = (series: Float64Array) => {
      let most = 0;
      for (let k = from; k <= to; k++) most = Math.max(most, series[first + k]);
      return most;
    };
    const ends = (series: Float64Array, sum: number) => ({
      start: series[first + from],
      mean: work > 0 ? sum / work : 0,
      end: series[first + to],
    });
    return {
      pedal: over(record.pedal),
      pedalBite: scratch.pedalAtMean[from],
      pedalStay: scratch.pedalAtMean[to],
      frontPressure: over(record.frontPressure),
      rearPressure: over(record.rearPressure),
      travel: over(record.travel),
      share: ends(record.share, share),
      ideal: ends(record.ideal, ideal),
      locksFirst: scratch.frontFirst[hardest] === 1 ? 'front' : 'rear',
      fadeMargin: margin,
      available,
      needed,
      extraDistance: overrun(missing, Math.min(scratch.available[to], needed)),
      limit: this.limitOf(margin, worst, demand.force[worst], first + worst - 1),
      frontHeat,
      rearHeat: heat - frontHeat,
    };
  }

  private limitOf(margin: number, k: number, force: number, sample: number): StopLimit {
    if (margin >= 0) return 'tyres';
    const { scratch, input } = this;
    if (scratch.byForce[k] >= force) return 'travel';
    if (scratch.atBest[k] < force) return 'pedal';
    // The axle whose pads have lost most of their best decides whether they are too hot or too cold.
    const lost = (wheel: WheelName, nominal: number) => this.frictionOf(wheel, sample) / nominal;
    const { front, rear } = input.vehicle.brakes;
    const atFront = lost('frontLeft', front.nominalFriction) <= lost('rearLeft', rear.nominalFriction);
    const wheel = atFront ? 'frontLeft' : 'rearLeft';
    const { windowLow } = (atFront ? input.front : input.rear).left.pad;
    return this.wheels[wheel].record.padFace[sample] < windowLow ? 'cold' : 'fade';
  }
}

/** The car still has what was not braked, J, and goes on at what the brakes can make at most, N; m, null without end. */
function overrun(missing: number, available: number): number | null {
  if (missing === 0) return 0;
  const extra = missing / available;
  return extra <= LONGEST_OVERRUN ? extra : null;
}

function emptyScratch(steps: number): LapScratch {
  return {
    available: new Float64Array(steps),
    byForce: new Float64Array(steps),
    atBest: new Float64Array(steps),
    frontFirst: new Uint8Array(steps),
    use: new Float64Array(steps),
    frontHeat: new Float64Array(steps),
    pedalAtMean: new Float64Array(steps),
  };
}
