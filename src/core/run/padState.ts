import {
  type BrakeState,
  beddedAfter,
  type Corner,
  frictionAt,
  glazeAfter,
  thinning,
  wornVolume,
} from '../brake';
import { GAMMA } from '../heat';

/** What a state says is left of a pad that is worn through, m. */
const LEAST_LEFT = 1e-5;

/** Samples of a wheel: what its pads are asked, and what they are told. */
export interface PadRun {
  /** Friction power at the two stages of the step that ends there, W */
  readonly early: Float64Array;
  readonly late: Float64Array;
  /** K */
  readonly padFace: Float64Array;
  readonly rotorFace: Float64Array;
  readonly rotorBand: Float64Array;
  /** Written */
  readonly glaze: Float64Array;
  readonly bedded: Float64Array;
  readonly friction: Float64Array;
}

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

  /** What the braking of a step adds to the film of pads that are not bedded yet. @param face mean of both, K @param dt s */
  bed(face: number, dt: number): void {
    if (this.bedded < 1) this.bedded = beddedAfter(this.corner.pad, this.bedded, face, dt);
  }

  /** Wears each side's pad by its half of a step's work. @param at where the row of temperatures after it begins */
  wear({ early, late }: PadRun, dt: number, rows: Float64Array, at: number, sample: number): void {
    const { faces } = this;
    const { pad, constants } = this.corner;
    const half = 0.5 * (dt * ((1 - GAMMA) * early[sample] + GAMMA * late[sample]));
    const outer = wornVolume(half, rows[at + faces[0]]);
    const inner = faces.length === 1 ? outer : wornVolume(half, rows[at + faces[1]]);
    this.outer += (constants.padWear * outer) / pad.area;
    this.inner += (constants.padWear * inner) / pad.area;
  }

  /**
   * Glazes them through some steps, and writes glaze and bedded share after each. A pad glazes where it is hottest over the radius, which is as much hotter as the rotor's
   * band is.
   * @param lengths of the steps, s; 0 where the run begins
   * @param first of the samples that they end at
   */
  glazeTo(run: PadRun, lengths: Float64Array, first: number, count: number): void {
    const { padFace, rotorBand, rotorFace } = run;
    const { pad } = this.corner;
    const { bedded } = this;
    let { glaze, hottest } = this;
    for (let k = 0; k < count; k++) {
      const sample = first + k;
      const now = padFace[sample] + rotorBand[sample] - rotorFace[sample];
      if (lengths[k] > 0) glaze = glazeAfter(pad, glaze, hottest, now, lengths[k]);
      hottest = now;
      run.glaze[sample] = glaze;
      run.bedded[sample] = bedded;
    }
    this.glaze = glaze;
    this.hottest = hottest;
  }

  /**
   * Friction after some steps: the mean of both sides.
   * @param rows of temperatures after each, the first at `at`, the next `width` behind it
   */
  friction(run: PadRun, rows: Float64Array, at: number, width: number, first: number, count: number): void {
    const { bedded } = this;
    const { pad } = this.corner;
    const [outer, inner] = [this.faces[0], this.faces[this.faces.length - 1]];
    for (let k = first, row = at; k < first + count; k++, row += width) {
      const own = frictionAt(pad, rows[row + outer], run.glaze[k], bedded);
      run.friction[k] =
        inner === outer ? own : 0.5 * (own + frictionAt(pad, rows[row + inner], run.glaze[k], bedded));
    }
  }
}
