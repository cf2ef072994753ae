import { GAMMA } from '../heat';
import { tableAt } from '../numeric';
import type { Corner, Rotor } from './parts';
import { rotorGeometry } from './rotorGeometry';

/** Cells over a ring's radius. */
export const RADIAL_CELLS = 12;
/** What the pad leaves free of the ring's width at its outer and its inner edge (from memory). */
const OUTER_MARGIN = 0.03;
const INNER_MARGIN = 0.06;

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
  /** Share of the ring's mass in each cell */
  private readonly share: Float64Array;
  /** Conductance to the next cell outwards over conductivity, m */
  private readonly link: Float64Array;
  private readonly mass: number;
  private readonly rotor: Rotor | null;
  private readonly upper = new Float64Array(RADIAL_CELLS);
  private readonly first = new Float64Array(RADIAL_CELLS);
  private readonly rate = new Float64Array(RADIAL_CELLS);

  /** @param start excess to begin with, K; RADIAL_CELLS */
  constructor({ rotor, drum }: Corner, start: readonly number[]) {
    this.rotor = drum ? null : rotor;
    this.excess = Float64Array.from(start);
    this.flux = new Float64Array(RADIAL_CELLS).fill(1);
    this.share = new Float64Array(RADIAL_CELLS).fill(1 / RADIAL_CELLS);
    this.link = new Float64Array(RADIAL_CELLS);
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
      this.share[i] = (b * b - a * a) / whole;
      const [low, high] = [Math.max(a, from), Math.min(b, to)];
      // ∫ r·2πr dr over the cell's rubbed part, over that of the whole band.
      const made = high > low ? (high * high * high - low * low * low) / cubes : 0;
      this.flux[i] = made / this.share[i];
      this.link[i] = i < RADIAL_CELLS - 1 ? (2 * Math.PI * b * 2 * cheek) / width : 0;
    }
  }

  /**
   * One step.
   * @param dt s
   * @param early heat into the ring at the step's first stage, W; `late` at its end
   * @param mean temperature of the ring, K
   */
  step(dt: number, early: number, late: number, mean: number): void {
    const { rotor, excess, first, rate } = this;
    if (!rotor) return;
    const capacity = this.mass * tableAt(rotor.material.specificHeat, mean);
    const diffusivity = tableAt(rotor.material.conductivity, mean) / capacity;
    this.solve(GAMMA * dt, excess, early / capacity, diffusivity, first);
    for (let i = 0; i < RADIAL_CELLS; i++) {
      rate[i] = excess[i] + ((1 - GAMMA) / GAMMA) * (first[i] - excess[i]);
    }
    this.solve(GAMMA * dt, rate, late / capacity, diffusivity, excess);
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

  /** Solves x − h·A·x = from + h·source by elimination along the radius (three diagonals). */
  private solve(h: number, from: Float64Array, heat: number, diffusivity: number, out: Float64Array): void {
    const { share, link, flux, upper } = this;
    const last = RADIAL_CELLS - 1;
    for (let i = 0; i <= last; i++) {
      const inward = i > 0 ? (h * diffusivity * link[i - 1]) / share[i] : 0;
      const outward = i < last ? (h * diffusivity * link[i]) / share[i] : 0;
      const right = from[i] + h * heat * (flux[i] - 1);
      const pivot = 1 + inward + outward - (i > 0 ? inward * upper[i - 1] : 0);
      upper[i] = outward / pivot;
      out[i] = (right + (i > 0 ? inward * out[i - 1] : 0)) / pivot;
    }
    for (let i = last - 1; i >= 0; i--) out[i] += upper[i] * out[i + 1];
  }
}
