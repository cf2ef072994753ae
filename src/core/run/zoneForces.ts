import type { BrakingState } from '../actuation';
import { axleOf, type WheelName } from '../brake';
import { GAMMA } from '../heat';
import { OWN_ROOM, type Room } from '../numeric';
import type { BrakedCar, Steps } from '../schedule';
import type { ForceRecord } from './record';
import type { Sharing } from './sharing';
import type { ZoneForce, ZoneLimit } from './zoneResult';

/** An overrun of more than this is no longer a braking zone, m. */
const LONGEST_OVERRUN = 1000;

/** What is kept of each step of a piece until its braking zones are told. */
interface Scratch {
  available: Float64Array;
  byForce: Float64Array;
  /** Where what is available falls short of what is asked */
  atBest: Float64Array;
  /** Axle nearer to locking, 1 front, and how much friction it asks */
  frontFirst: Float64Array;
  use: Float64Array;
  /** Friction heat of all four brakes, J, and the front ones' share */
  heat: Float64Array;
  frontHeat: Float64Array;
  /** The motor's braking, N */
  motor: Float64Array;
  /** Pedal travel that closes what was knocked back, m */
  knockBack: Float64Array;
  /** Pedal force of the braking zone's mean braking in the step's condition, N; of its first and last step */
  pedalAtMean: Float64Array;
}

/** What the driver's foot feels, watched step by step through a piece, and told zone by zone. */
export class ZoneForces {
  private scratch: Scratch = emptyScratch(0, OWN_ROOM);
  private spans: readonly ZoneSpan[] = [];

  constructor(
    private readonly car: BrakedCar,
    private readonly sharing: Sharing,
    private readonly room: Room,
  ) {}

  /** Begins a piece. */
  begin(steps: Steps): void {
    this.spans = zoneSpans(steps);
    const count = steps.dt.length;
    if (this.scratch.use.length < count) this.scratch = emptyScratch(count, this.room);
  }

  /** Takes a braking step that has been solved and writes what is felt in it. @param k the step of the piece */
  step(steps: Steps, k: number, record: ForceRecord, sample: number): void {
    const { scratch } = this;
    const { state, shares } = this.sharing;
    const { early, late } = steps.demand!;
    scratch.heat[k] = steps.dt[k] * ((1 - GAMMA) * early[k] + GAMMA * late[k]) * this.sharing.heat;
    scratch.frontHeat[k] = shares.frontLeft + shares.frontRight;
    scratch.motor[k] = state.electric;
    scratch.knockBack[k] = state.knockBack;
    if (steps.inZone[k] === 0) return;
    state.limit();
    writeFelt(record, sample, state);
    scratch.available[k] = state.available;
    scratch.byForce[k] = state.availableByForce;
    if (state.available < state.demand.force) scratch.atBest[k] = state.availableAtBest();
    // Where ABS holds the rear back both ask the same, to rounding.
    scratch.frontFirst[k] = state.frontUse >= state.rearUse * (1 - 1e-9) ? 1 : 0;
    scratch.use[k] = Math.max(state.frontUse, state.rearUse);
    const zone = Math.max(0, steps.zone[k]);
    const span = this.spans[zone];
    if (k === span?.from || k === span?.to) scratch.pedalAtMean[k] = state.pedalOf(steps.meanForce[zone]);
  }

  /** The braking zones of a piece that has been run. @param first its first sample */
  zones(steps: Steps, record: ForceRecord, first: number): ZoneForce[] {
    return this.spans.map(({ from, to }) => this.zone(steps, from, to, record, first));
  }

  private zone(steps: Steps, from: number, to: number, record: ForceRecord, first: number): ZoneForce {
    const { scratch } = this;
    const demand = steps.demand!;
    let [work, heat, frontHeat, recovered, missing] = [0, 0, 0, 0, 0];
    let [needed, available, margin] = [0, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    let [worst, hardest, share, ideal] = [from, from, 0, 0];
    for (let k = from; k <= to; k++) {
      const force = demand.force[k];
      const done = force * demand.way[k];
      const made = scratch.heat[k];
      work += done;
      recovered += scratch.motor[k] * demand.way[k];
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
      knockBack: scratch.knockBack[from],
      share: ends(record.share, share),
      ideal: ends(record.ideal, ideal),
      hardest: { share: record.share[first + hardest], ideal: record.ideal[first + hardest] },
      locksFirst: scratch.frontFirst[hardest] === 1 ? 'front' : 'rear',
      fadeMargin: margin,
      available,
      needed,
      extraDistance: overrun(missing, Math.min(scratch.available[to], needed)),
      limit: this.limitOf(margin, worst, demand.force[worst], first + worst - 1),
      frontHeat,
      rearHeat: heat - frontHeat,
      recovered,
    };
  }

  private limitOf(margin: number, k: number, force: number, sample: number): ZoneLimit {
    if (margin >= 0) return 'tyres';
    const { scratch, car, sharing } = this;
    if (scratch.byForce[k] >= force) return 'travel';
    if (scratch.atBest[k] < force) return 'pedal';
    // The axle whose pads have lost most of their best decides whether they are too hot or below working temperature.
    const { front, rear } = car.vehicle.brakes;
    const left = (wheel: WheelName, nominal: number) => sharing.frictionOf(wheel, sample) / nominal;
    const atFront = left('frontLeft', front.nominalFriction) <= left('rearLeft', rear.nominalFriction);
    const wheel = atFront ? 'frontLeft' : 'rearLeft';
    const { windowLow } = car[axleOf(wheel)].left.pad;
    return sharing.padFaceOf(wheel, sample) < windowLow ? 'cold' : 'fade';
  }
}

/** Writes what the driver feels of a step that has been solved. */
export function writeFelt(record: ForceRecord, sample: number, state: BrakingState): void {
  record.pedal[sample] = state.pedal;
  record.frontPressure[sample] = state.pressures.front;
  record.rearPressure[sample] = state.pressures.rear;
  record.travel[sample] = state.travel;
  record.share[sample] = state.share;
  record.ideal[sample] = state.ideal;
}

/** First and last step of a braking zone. */
export interface ZoneSpan {
  readonly from: number;
  readonly to: number;
}
const spans = new WeakMap<Steps, readonly ZoneSpan[]>();

/** Where each braking zone of some steps lies among them; found once, since laps of one kind come again and again. */
export function zoneSpans(steps: Steps): readonly ZoneSpan[] {
  const known = spans.get(steps);
  if (known) return known;
  const { zone, inZone } = steps;
  const found = steps.meanForce.map(() => ({ from: -1, to: -1 }));
  for (let k = 0; k < zone.length; k++) {
    const span = found[zone[k]];
    if (inZone[k] === 0 || !span) continue;
    if (span.from < 0) span.from = k;
    else if (span.to < k - 1) continue;
    span.to = k;
  }
  spans.set(steps, found);
  return found;
}

/** The car still has what was not braked, J, and goes on at what the brakes can make at most, N; m, null without end. */
function overrun(missing: number, available: number): number | null {
  if (missing === 0) return 0;
  const extra = missing / available;
  return extra <= LONGEST_OVERRUN ? extra : null;
}

function emptyScratch(steps: number, { floats }: Room): Scratch {
  return {
    available: floats(steps),
    byForce: floats(steps),
    atBest: floats(steps),
    frontFirst: floats(steps),
    use: floats(steps),
    heat: floats(steps),
    frontHeat: floats(steps),
    motor: floats(steps),
    knockBack: floats(steps),
    pedalAtMean: floats(steps),
  };
}
