import { type AxleForce, type BrakeChain, frontPush, Pressures, pressuresAt } from './chain';

/** Vapour behind one wheel's pistons for each kelvin of fluid over its boiling point, m³/K (own estimate). */
const VAPOUR_PER_KELVIN = 0.4e-6;
/** Most vapour that stays in one wheel's brake; more goes up the line, m³ (own estimate). */
const MOST_VAPOUR = 12e-6;

/** Vapour that the next push must first press together, m³ in one wheel. @param over fluid over its boiling point, K */
export const vapourVolume = (over: number): number =>
  over <= 0 ? 0 : Math.min(MOST_VAPOUR, VAPOUR_PER_KELVIN * over);

/** Fluid two wheels of an axle take to close their gaps, m³. Fixed caliper or sliding: both move 2·A·gap. */
export const closingVolume = (axle: AxleForce): number => 2 * 2 * axle.pistonArea * axle.clearance;

/** The same for what a corner has knocked back. @param lateral acceleration in it, g */
export const knockedVolume = (axle: AxleForce, lateral: number): number =>
  2 * 2 * axle.pistonArea * axle.knockBack * lateral;

/** Fluid two wheels of an axle take for each pascal: pads, caliper, hoses and the fluid itself, m³/Pa. */
export function volumePerPressure(axle: AxleForce): number {
  const { pistonArea, padArea, padGive, opening, hoseExpansion, fluidGive } = axle;
  const pads = 2 * pistonArea * (pistonArea / padArea) * padGive;
  const caliper = pistonArea * pistonArea * opening;
  return 2 * (pads + caliper + hoseExpansion + fluidGive);
}

/** Travel of a chain of brakes: what it takes to make pressure, and what there is. Reused through a run. */
export class PedalTravel {
  private readonly closing: Pressures;
  private readonly give: Pressures;
  private readonly scratch = new Pressures();
  /** Longest movement of the push rod, m */
  readonly longestPush: number;

  constructor(private readonly chain: BrakeChain) {
    this.closing = new Pressures(closingVolume(chain.front), closingVolume(chain.rear));
    this.give = new Pressures(volumePerPressure(chain.front), volumePerPressure(chain.rear));
    this.longestPush = Math.min(
      chain.cylinders.stroke,
      Math.max(0, chain.travelLimit - chain.freeTravel) / chain.pedalRatio,
    );
  }

  /**
   * Movement of the push rod at line pressures, m. Chambers of a tandem cylinder stand in a row, so their strokes add
   * up; a balance bar moves by the mean of its cylinders, weighted by their shares of the push.
   * @param openFront what the two front brakes must close before, together, beside the pads' own gaps: vapour and what
   *   was knocked back, m³; likewise `openRear`
   */
  pushTravel(pressures: Pressures, openFront: number, openRear: number, clicks: number): number {
    return this.travelOf(
      this.closing.front + openFront + this.give.front * pressures.front,
      this.closing.rear + openRear + this.give.rear * pressures.rear,
      clicks,
    );
  }

  /** Movement of the push rod that displaces so much fluid in front and at the rear, m³; m. */
  travelOf(front: number, rear: number, clicks: number): number {
    const { cylinders } = this.chain;
    if (cylinders.kind !== 'pair') return (front + rear) / cylinders.area;
    const share = frontPush(cylinders, clicks);
    return (share * front) / cylinders.frontArea + ((1 - share) * rear) / cylinders.rearArea;
  }

  /** Pedal travel of a push-rod movement, m. */
  pedal(pushTravel: number): number {
    return this.chain.freeTravel + pushTravel * this.chain.pedalRatio;
  }

  /**
   * Greatest push, N, up to `push`, that the stroke allows; 0 where the pedal is on the floor before there is pressure.
   */
  pushWithin(push: number, extraLoad: number, openFront: number, openRear: number, clicks: number): number {
    if (this.reaches(push, extraLoad, openFront, openRear, clicks)) return push;
    let [low, high] = [0, push];
    if (!this.reaches(0, extraLoad, openFront, openRear, clicks)) return 0;
    for (let i = 0; i < 50; i++) {
      const middle = 0.5 * (low + high);
      if (this.reaches(middle, extraLoad, openFront, openRear, clicks)) low = middle;
      else high = middle;
    }
    return low;
  }

  /** Whether the stroke allows a push, N. */
  private reaches(
    push: number,
    extraLoad: number,
    openFront: number,
    openRear: number,
    clicks: number,
  ): boolean {
    pressuresAt(this.chain, push, extraLoad, clicks, this.scratch);
    return this.pushTravel(this.scratch, openFront, openRear, clicks) <= this.longestPush;
  }
}
