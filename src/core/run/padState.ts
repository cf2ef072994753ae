import {
  type BrakeState,
  beddedAfter,
  type Corner,
  frictionAt,
  glazeAfter,
  thinning,
  wornVolume,
} from '../brake';

/** What a state says is left of a pad that is worn through, m. */
const LEAST_LEFT = 1e-5;

/** The pads of one wheel's brake through a run: what glazes, beds and wears them, and the friction that is left. */
export class PadState {
  glaze: number;
  bedded: number;
  /** Friction material each has lost, m */
  private outer = 0;
  private inner = 0;
  /** The face where it is hottest, at the sample before, K */
  private hottest = 0;
  /** Mean of both as the run began, m */
  private readonly begunThickness: number;

  /** @param start the state it begins in @param faces nodes of the rubbed faces, outer first, or the one both share */
  constructor(
    private readonly corner: Corner,
    private readonly start: BrakeState,
    private readonly faces: readonly number[],
  ) {
    this.glaze = start.glaze;
    this.bedded = start.bedded;
    this.begunThickness = 0.5 * (start.padThickness.inner + start.padThickness.outer);
  }

  /** Friction material lost by the pad that lost more, m. */
  get worn(): number {
    return Math.max(this.outer, this.inner);
  }

  /** How much better they conduct than when the network was built, 1. */
  get thinning(): number {
    return thinning(this.corner.pad.thickness, this.begunThickness - 0.5 * (this.outer + this.inner));
  }

  /** What is left of each, m; one that is worn through is worn through. */
  thickness(): BrakeState['padThickness'] {
    const { inner, outer } = this.start.padThickness;
    return {
      inner: Math.max(LEAST_LEFT, inner - this.inner),
      outer: Math.max(LEAST_LEFT, outer - this.outer),
    };
  }

  /** What some braking adds to the film of pads that are not bedded yet. @param face mean of both, K @param dt s */
  bed(face: number, dt: number): void {
    if (this.bedded < 1) this.bedded = beddedAfter(this.corner.pad, this.bedded, face, dt);
  }

  /** Wears each side's pad by its half of the work. @param work J @param at where the row of temperatures begins, K */
  wear(work: number, rows: Float64Array, at: number): void {
    const { faces } = this;
    const { pad, constants } = this.corner;
    const outer = wornVolume(0.5 * work, rows[at + faces[0]]);
    const inner = faces.length === 1 ? outer : wornVolume(0.5 * work, rows[at + faces[1]]);
    this.outer += (constants.padWear * outer) / pad.area;
    this.inner += (constants.padWear * inner) / pad.area;
  }

  /** Glazes them on the way to a temperature of the face where it is hottest, K. @param dt s; 0 where the run begins */
  glazeTo(hottest: number, dt: number): void {
    if (dt > 0) this.glaze = glazeAfter(this.corner.pad, this.glaze, this.hottest, hottest, dt);
    this.hottest = hottest;
  }

  /** Friction at a row of node temperatures: the mean of both sides. */
  friction(rows: Float64Array, at: number): number {
    const { faces, glaze, bedded } = this;
    const { pad } = this.corner;
    const first = frictionAt(pad, rows[at + faces[0]], glaze, bedded);
    return faces.length === 1 ? first : 0.5 * (first + frictionAt(pad, rows[at + faces[1]], glaze, bedded));
  }
}
