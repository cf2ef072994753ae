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
  /** Material lost by the pad that lost more, m */
  readonly worn: Float64Array;
}

/** The pads of one wheel's brake through a run: what glazes, beds and wears them, and the friction that is left. */
export class PadState {
  glaze: number;
  bedded: number;
  /** Friction material each has lost, m */
  private outer = 0;
  private inner = 0;
  /** The face where it is hottest, at the sample before, K; and over the whole face there, K */
  private hottest = 0;
  private excess = 0;
  /** Both as they are carried on through steps of which the band is not known yet */
  private guessedGlaze = 0;
  private guessedHottest = 0;
  /** Mean of both as the run began, m */
  private readonly begunThickness: number;

  /** @param start the state it begins in */
  constructor(
    private readonly corner: Corner,
    private readonly start: BrakeState,
  ) {
    this.glaze = start.glaze;
    this.bedded = start.bedded;
    this.begunThickness = 0.5 * (start.padThickness.inner + start.padThickness.outer);
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

  /** Begins some steps that are noted together: until they are, the hottest band is as far over the face as before them. */
  begin(): void {
    this.guessedGlaze = this.glaze;
    this.guessedHottest = this.hottest;
  }

  /**
   * Friction after a step, the mean of both sides, and before it what its braking adds to the film of pads that are not
   * bedded yet.
   * @param faces temperature of the outer and of the inner rubbed face, K; the same where they are one
   * @param lengths of the steps that are noted together, s
   * @param k which of them it is
   * @param sample that it ends at
   */
  rub(run: PadRun, faces: Float64Array, lengths: Float64Array, k: number, sample: number): void {
    const { pad } = this.corner;
    const outer = faces[0];
    const inner = faces[1];
    const dt = lengths[k];
    const works = run.early[sample] > 0 || run.late[sample] > 0;
    if (works && this.bedded < 1) this.bedded = beddedAfter(pad, this.bedded, 0.5 * (outer + inner), dt);
    const hottest = Math.max(outer, inner) + this.excess;
    const glaze = glazeAfter(pad, this.guessedGlaze, this.guessedHottest, hottest, dt);
    this.guessedGlaze = glaze;
    this.guessedHottest = hottest;
    const own = frictionAt(pad, outer, glaze, this.bedded);
    run.friction[sample] = inner === outer ? own : 0.5 * (own + frictionAt(pad, inner, glaze, this.bedded));
    run.bedded[sample] = this.bedded;
  }

  /**
   * Wears each side's pad by its half of the work of some steps, and writes what the pad that lost more has lost.
   * @param lengths of the steps, s
   * @param faces temperatures of each rubbed face after each, K
   * @param first of the samples that they end at
   */
  wear(
    run: PadRun,
    lengths: Float64Array,
    faces: readonly Float64Array[],
    first: number,
    count: number,
  ): void {
    const { early, late, worn } = run;
    const { pad, constants } = this.corner;
    const [outerFace, innerFace] = [faces[0], faces[faces.length - 1]];
    const byWork = constants.padWear / pad.area;
    let { outer, inner } = this;
    for (let k = 0; k < count; k++) {
      const sample = first + k;
      const half = 0.5 * (lengths[k] * ((1 - GAMMA) * early[sample] + GAMMA * late[sample]));
      if (half > 0) {
        const volume = wornVolume(half, outerFace[k]);
        outer += byWork * volume;
        inner += byWork * (innerFace === outerFace ? volume : wornVolume(half, innerFace[k]));
      }
      worn[sample] = Math.max(outer, inner);
    }
    this.outer = outer;
    this.inner = inner;
  }

  /**
   * Glazes them through some steps, and writes how far after each. A pad glazes where it is hottest over the radius, which
   * is as much hotter as the rotor's band is.
   * @param lengths of the steps, s; 0 where the run begins
   * @param first of the samples that they end at
   */
  glazeTo(run: PadRun, lengths: Float64Array, first: number, count: number): void {
    const { padFace, rotorBand, rotorFace } = run;
    const { pad } = this.corner;
    let { glaze, hottest } = this;
    for (let k = 0; k < count; k++) {
      const sample = first + k;
      const now = padFace[sample] + rotorBand[sample] - rotorFace[sample];
      if (lengths[k] > 0) glaze = glazeAfter(pad, glaze, hottest, now, lengths[k]);
      hottest = now;
      run.glaze[sample] = glaze;
    }
    this.glaze = glaze;
    this.hottest = hottest;
    this.excess = hottest - padFace[first + count - 1];
  }

  /**
   * Friction after some steps in which nothing is braked.
   * @param faces temperatures of each rubbed face after each, K
   */
  cool(run: PadRun, faces: readonly Float64Array[], first: number, count: number): void {
    const { bedded } = this;
    const { pad } = this.corner;
    const [outer, inner] = [faces[0], faces[faces.length - 1]];
    for (let k = 0; k < count; k++) {
      const sample = first + k;
      const own = frictionAt(pad, outer[k], run.glaze[sample], bedded);
      run.friction[sample] =
        inner === outer ? own : 0.5 * (own + frictionAt(pad, inner[k], run.glaze[sample], bedded));
      run.bedded[sample] = bedded;
    }
  }
}
