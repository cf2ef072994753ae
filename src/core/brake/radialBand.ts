import { GAMMA } from '../heat';
import { tableAt } from '../numeric';
import type { Corner, Rotor } from './parts';
import { rotorGeometry } from './rotorGeometry';

/** Cells over a ring's radius. */
export const RADIAL_CELLS = 12;
/** What the pad leaves free of the ring's width at its outer and its inner edge (from memory). */
const OUTER_MARGIN = 0.03;
const INNER_MARGIN = 0.06;

/** How far the second stage carries the first one's change on. */
const CARRIED = (1 - GAMMA) / GAMMA;

/**
 * How uneven a disc is over its radius. Heat is made in proportion to radius (even pressure, sliding speed) where the pad
 * rubs, none at the edges; conduction evens it out:
 * `m·c·θ̇ = ∇·(k·t·∇θ) + (q − q̄)`, θ over the ring's mean, both edges insulated. Integrated like the network, by SDIRK with
 * γ = 1 − 1/√2. What edges and bell draw off unevenly is left out, so that the hottest band comes out a little high.
 * Of a drum nothing is uneven.
 */
export class RadialBand {
  /** Over the ring's mean, K; RADIAL_CELLS from the inside outwards */
  readonly excess: Float64Array;
  /** Local flux over the ring's mean, 1; the same cells */
  readonly flux: Float64Array;
  /** Conductance to the next cell inwards over conductivity and share of mass, m; and outwards */
  private readonly inward = new Float64Array(RADIAL_CELLS);
  private readonly outward = new Float64Array(RADIAL_CELLS);
  private readonly mass: number;
  private readonly rotor: Rotor | null;
  /** The step's matrix, eliminated once for both stages: what comes back from outwards and from inwards, and 1/pivot */
  private readonly upper = new Float64Array(RADIAL_CELLS);
  private readonly lower = new Float64Array(RADIAL_CELLS);
  private readonly inverse = new Float64Array(RADIAL_CELLS);
  private readonly first = new Float64Array(RADIAL_CELLS);

  /** @param start excess to begin with, K; RADIAL_CELLS */
  constructor({ rotor, drum }: Corner, start: readonly number[]) {
    this.rotor = drum ? null : rotor;
    this.excess = Float64Array.from(start);
    this.flux = new Float64Array(RADIAL_CELLS).fill(1);
    this.mass = 0;
    if (drum) return;
    const { cheekMass, vaneMass, cheek } = rotorGeometry(rotor);
    this.mass = cheekMass + vaneMass;
    const [inner, outer] = [rotor.innerDiameter / 2, rotor.outerDiameter / 2];
    const width = (outer - inner) / RADIAL_CELLS;
    const [from, to] = [inner + INNER_MARGIN * (outer - inner), outer - OUTER_MARGIN * (outer - inner)];
    const whole = outer * outer - inner * inner;
    const cubes = to * to * to - from * from * from;
    for (let i = 0; i < RADIAL_CELLS; i++) {
      const [a, b] = [inner + i * width, inner + (i + 1) * width];
      const share = (b * b - a * a) / whole;
      const [low, high] = [Math.max(a, from), Math.min(b, to)];
      // ∫ r·2πr dr over the cell's rubbed part, over that of the whole band.
      const made = high > low ? (high * high * high - low * low * low) / cubes : 0;
      this.flux[i] = made / share;
      const conductance = (radius: number) => (2 * Math.PI * radius * 2 * cheek) / width;
      this.inward[i] = i > 0 ? conductance(a) / share : 0;
      this.outward[i] = i < RADIAL_CELLS - 1 ? conductance(b) / share : 0;
    }
  }

  /**
   * One step.
   * @param dt s
   * @param early heat into the ring at the step's first stage, W; `late` at its end
   * @param mean temperature of the ring, K
   */
  step(dt: number, early: number, late: number, mean: number): void {
    const { rotor, excess, first } = this;
    if (!rotor) return;
    const capacity = this.mass * tableAt(rotor.material.specificHeat, mean);
    const diffusivity = tableAt(rotor.material.conductivity, mean) / capacity;
    this.eliminate(GAMMA * dt * diffusivity);
    this.solve((GAMMA * dt * early) / capacity, first);
    for (let i = 0; i < RADIAL_CELLS; i++) excess[i] += CARRIED * (first[i] - excess[i]);
    this.solve((GAMMA * dt * late) / capacity, excess);
  }

  /**
   * Temperature of the face in the hottest band, K: what the mean has over the ring in proportion to the local heat, on the
   * ring's local temperature.
   * @param face mean of the face, K
   * @param mean of the ring, K
   */
  hottest(face: number, mean: number): number {
    const { excess, flux } = this;
    const flash = face - mean;
    let most = Number.NEGATIVE_INFINITY;
    for (let i = 0; i < RADIAL_CELLS; i++) {
      const local = mean + excess[i] + (flash > 0 ? flash * flux[i] : flash);
      if (local > most) most = local;
    }
    return most;
  }

  /** Eliminates 1 − h·A along the radius (three diagonals). @param spread h over the ring's heat capacity times conductivity, 1/m */
  private eliminate(spread: number): void {
    const { inward, outward, upper, lower, inverse } = this;
    let before = 0;
    for (let i = 0; i < RADIAL_CELLS; i++) {
      const [within, out] = [spread * inward[i], spread * outward[i]];
      const pivot = 1 / (1 + within + out - within * before);
      inverse[i] = pivot;
      lower[i] = within * pivot;
      before = out * pivot;
      upper[i] = before;
    }
  }

  /** Solves x − h·A·x = excess + rise·(flux − 1). @param rise of the ring's mean by the stage's heat, K */
  private solve(rise: number, out: Float64Array): void {
    const { excess, flux, upper, lower, inverse } = this;
    let before = 0;
    for (let i = 0; i < RADIAL_CELLS; i++) {
      before = (excess[i] + rise * (flux[i] - 1)) * inverse[i] + lower[i] * before;
      out[i] = before;
    }
    for (let i = RADIAL_CELLS - 2; i >= 0; i--) out[i] += upper[i] * out[i + 1];
  }
}
