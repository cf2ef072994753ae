/** Largest duct to one wheel looked at, m². */
export const LARGEST_DUCT = 0.03;
/** A margin this near to the wish is found, K. */
const TOLERANCE = 0.25;
/** Ducts under this are tried without, m² */
const SMALL = 1e-4;
/** From this share of it on it is the largest or none. */
const NEARLY = 0.97;
/** Area at which the search's scale bends, m²: margins rise about evenly with A/(A + this). */
const BEND = 0.004;

/** One axle's search for the area at which its margin meets the wish. */
export class AreaSearch {
  /** Where to look next, m² */
  area: number;
  private low: { x: number; f: number };
  private high: { x: number; f: number };
  private side = 0;

  /** @param bare margin over the wish with no duct at all, full with the largest on both axles; K */
  constructor(bare: number, full: number) {
    this.low = { x: 0, f: bare };
    this.high = { x: scaled(LARGEST_DUCT), f: full };
    this.area = bare >= 0 ? 0 : full < 0 ? LARGEST_DUCT : this.between();
  }

  /** Takes what is left over the wish at `area`; true when it is close enough, or as near as it gets. */
  take(f: number): boolean {
    if (Math.abs(f) <= TOLERANCE) return true;
    const x = scaled(this.area);
    if (f > 0) {
      // With the other axle's duct in place it may need none after all.
      if (this.area === 0) return true;
      this.high = { x, f };
      if (this.side === 1) this.low = { ...this.low, f: this.low.f / 2 };
      this.side = 1;
      this.area = this.between();
      if (this.area < SMALL) this.area = 0;
      return false;
    }
    if (this.area >= LARGEST_DUCT) return true;
    this.low = { x, f };
    // With the other axle's duct in place what was enough may be no longer.
    const lost = this.high.f <= 0 || this.high.x <= x;
    if (lost) this.high = { x: scaled(LARGEST_DUCT), f: -f };
    else if (this.side === -1) this.high = { ...this.high, f: this.high.f / 2 };
    this.side = -1;
    this.area = lost && this.area > NEARLY * LARGEST_DUCT ? LARGEST_DUCT : this.between();
    return false;
  }

  private between(): number {
    const { low, high } = this;
    const x = low.x - (low.f * (high.x - low.x)) / (high.f - low.f);
    return Math.min(LARGEST_DUCT, (BEND * x) / (1 - x));
  }
}

const scaled = (area: number) => area / (area + BEND);
