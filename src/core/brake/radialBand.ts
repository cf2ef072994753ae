import { GAMMA, MOST_AT_ONCE } from '../heat';
import { Recent, symmetricEigen, tableAt } from '../numeric';
import { type BandSeat, CARRIED, GIVEN, giveBandSeat, takeBandSeat } from './bandKernel';
import type { Corner, Rotor } from './parts';
import { rotorGeometry } from './rotorGeometry';

/** Cells over a ring's radius. */
export const RADIAL_CELLS = 12;
/** What the pad leaves free of the ring's width at its outer and its inner edge (from memory). */
const OUTER_MARGIN = 0.03;
const INNER_MARGIN = 0.06;

/** What evens out by itself over a ring's radius: shapes that each fall at a rate of their own. All by mode or cell. */
interface Modes {
  /** Rate of each over diffusivity and cheek thickness, 1 */
  readonly rates: Float64Array;
  /** How much of each the heat of the pads raises, over the ring's mean, 1 */
  readonly raised: Float64Array;
  /** What each has in each cell, mode by mode; RADIAL_CELLS² */
  readonly inCells: Float64Array;
  /** What each cell has in each, mode by mode; RADIAL_CELLS² */
  readonly inModes: Float64Array;
  /** Local flux over the ring's mean, 1 */
  readonly flux: Float64Array;
}

/** By inner over outer radius, on which alone they depend. */
const known = new Recent<Modes>(32);
function modesOf(ratio: number): Modes {
  const key = String(ratio);
  const modes = known.get(key) ?? findModes(ratio);
  known.set(key, modes);
  return modes;
}

/** @param inner radius over the outer one */
function findModes(inner: number): Modes {
  const n = RADIAL_CELLS;
  const width = (1 - inner) / n;
  const [from, to] = [inner + INNER_MARGIN * (1 - inner), 1 - OUTER_MARGIN * (1 - inner)];
  const cubes = to * to * to - from * from * from;
  const edge = (i: number) => inner + i * width;
  const share = Array.from({ length: n }, (_, i) => (edge(i + 1) ** 2 - edge(i) ** 2) / (1 - inner * inner));
  const flux = Float64Array.from(share, (own, i) => {
    const [low, high] = [Math.max(edge(i), from), Math.min(edge(i + 1), to)];
    // ∫ r·2πr dr over the cell's rubbed part, over that of the whole band.
    return (high > low ? (high * high * high - low * low * low) / cubes : 0) / own;
  });
  /** To the cell before, over conductivity and cheek thickness; both cheeks conduct. */
  const inward = (i: number) => (i > 0 && i < n ? (2 * Math.PI * edge(i) * 2) / width : 0);
  const matrix = share.map((own, i) =>
    share.map((other, k) => {
      if (k === i) return (inward(i) + inward(i + 1)) / own;
      return Math.abs(i - k) === 1 ? -inward(Math.max(i, k)) / Math.sqrt(own * other) : 0;
    }),
  );
  const { values, vectors } = symmetricEigen(matrix);
  const inCells = new Float64Array(n * n);
  const inModes = new Float64Array(n * n);
  const raised = new Float64Array(n);
  for (let m = 0; m < n; m++) {
    for (let i = 0; i < n; i++) {
      const root = Math.sqrt(share[i]);
      inCells[m * n + i] = vectors[m][i] / root;
      inModes[m * n + i] = vectors[m][i] * root;
      raised[m] += inModes[m * n + i] * (flux[i] - 1);
    }
  }
  return { rates: Float64Array.from(values), raised, inCells, inModes, flux };
}

/** Samples of a wheel: friction power at the two stages of the step that ends there, W, and the ring after it, K. */
export interface BandRun {
  readonly early: Float64Array;
  readonly late: Float64Array;
  /** Mean of the ring, and of its face */
  readonly rotorBulk: Float64Array;
  readonly rotorFace: Float64Array;
  /** The hottest band of the face */
  readonly rotorBand: Float64Array;
}

/**
 * How uneven a disc is over its radius. Heat is made in proportion to radius (even pressure, sliding speed) where the pad
 * rubs, none at the edges; conduction evens it out:
 * `m·c·θ̇ = ∇·(k·t·∇θ) + (q − q̄)`, θ over the ring's mean, both edges insulated. Integrated like the network, by SDIRK with
 * γ = 1 − 1/√2, each of its modes by itself. What edges and bell draw off unevenly is left out, so that the hottest band
 * comes out a little high. Of a drum nothing is uneven.
 */
export class RadialBand {
  /** How much there is of each mode, K; in the seat's memory where there is one */
  private readonly amounts: Float64Array;
  /** What is given for the steps that are made at once; likewise */
  private readonly given: Float64Array;
  /** null for a drum */
  private readonly modes: Modes | null = null;
  private seat: BandSeat | null = null;
  private readonly mass: number = 0;
  private readonly cheek: number = 0;
  private readonly rotor: Rotor;

  /**
   * @param start excess to begin with, K; RADIAL_CELLS
   * @param heatShare part of the friction heat that begins in the ring, 0 to 1
   */
  constructor(
    { rotor, drum }: Corner,
    start: readonly number[],
    private readonly heatShare: number,
  ) {
    this.rotor = rotor;
    this.amounts = new Float64Array(RADIAL_CELLS);
    this.given = new Float64Array(GIVEN.count * MOST_AT_ONCE);
    if (drum) return;
    const { cheekMass, vaneMass, cheek } = rotorGeometry(rotor);
    this.mass = cheekMass + vaneMass;
    this.cheek = cheek;
    this.modes = modesOf(rotor.innerDiameter / rotor.outerDiameter);
    this.seat = takeBandSeat(RADIAL_CELLS);
    if (this.seat) {
      const { memory, layout } = this.seat;
      for (const list of ['rates', 'raised', 'flux', 'inCells'] as const) {
        memory.set(this.modes[list], layout[list]);
      }
      this.amounts = memory.subarray(layout.amounts, layout.amounts + RADIAL_CELLS);
      this.given = memory.subarray(layout.given, layout.given + this.given.length);
    }
    for (let m = 0; m < RADIAL_CELLS; m++) {
      this.amounts[m] = start.reduce(
        (sum, own, i) => sum + this.modes!.inModes[m * RADIAL_CELLS + i] * own,
        0,
      );
    }
  }

  /** Over the ring's mean, K; RADIAL_CELLS from the inside outwards */
  get excess(): Float64Array {
    const cells = new Float64Array(RADIAL_CELLS);
    if (this.modes) addShapes(this.modes, this.amounts, cells);
    return cells;
  }

  /** Local flux over the ring's mean, 1; the same cells */
  get flux(): Float64Array {
    return this.modes?.flux ?? new Float64Array(RADIAL_CELLS).fill(1);
  }

  /**
   * Some steps, and the temperature of the face in the hottest band after each: what the mean has over the ring in
   * proportion to the local heat, on the ring's local temperature.
   * @param run what is known of them; its `rotorBand` is written
   * @param lengths of the steps, s; from the first
   * @param first of the samples that the steps end at
   * @param count MOST_AT_ONCE at most
   */
  steps(run: BandRun, lengths: Float64Array, first: number, count: number): void {
    const { rotorBulk, rotorFace, rotorBand } = run;
    if (!this.modes) {
      for (let k = first; k < first + count; k++) rotorBand[k] = rotorFace[k];
      return;
    }
    this.give(run, lengths, first, count);
    if (this.seat) this.seat.step(count);
    else this.read(this.modes, count);
    const { given } = this;
    for (let k = 0, at: number = GIVEN.hottest; k < count; k++, at += GIVEN.count) {
      const after = rotorBulk[first + k];
      rotorBand[first + k] = after + Math.min(0, rotorFace[first + k] - after) + given[at];
    }
  }

  /** Writes what is given for each step. */
  private give(run: BandRun, lengths: Float64Array, first: number, count: number): void {
    const { given, mass, cheek, heatShare } = this;
    const { early, late, rotorBulk, rotorFace } = run;
    const { specificHeat, conductivity } = this.rotor.material;
    for (let k = 0, at = 0; k < count; k++, at += GIVEN.count) {
      const sample = first + k;
      const before = rotorBulk[sample > 0 ? sample - 1 : 0];
      const stage = (GAMMA * lengths[k]) / (mass * tableAt(specificHeat, before));
      given[at + GIVEN.spread] = stage * cheek * tableAt(conductivity, before);
      given[at + GIVEN.byEarly] = stage * (heatShare * early[sample]);
      given[at + GIVEN.byLate] = stage * (heatShare * late[sample]);
      given[at + GIVEN.byFlux] = Math.max(0, rotorFace[sample] - rotorBulk[sample]);
    }
  }

  /** Gives back what it computes with; nothing may be asked of it afterwards. */
  release(): void {
    if (this.seat) giveBandSeat(this.seat);
    this.seat = null;
  }

  /** What the kernel is held against, and what takes over where there is none. */
  private read(modes: Modes, count: number): void {
    const { amounts, given } = this;
    const { rates, raised, flux } = modes;
    for (let k = 0, at = 0; k < count; k++, at += GIVEN.count) {
      for (let m = 0; m < RADIAL_CELLS; m++) {
        const left = 1 / (1 + given[at + GIVEN.spread] * rates[m]);
        const before = amounts[m];
        const first = (before + given[at + GIVEN.byEarly] * raised[m]) * left;
        amounts[m] = (before + CARRIED * (first - before) + given[at + GIVEN.byLate] * raised[m]) * left;
      }
      for (let i = 0; i < RADIAL_CELLS; i++) cells[i] = given[at + GIVEN.byFlux] * flux[i];
      addShapes(modes, amounts, cells);
      given[at + GIVEN.hottest] = cells.reduce((most, own) => Math.max(most, own));
    }
  }
}

const cells = new Float64Array(RADIAL_CELLS);

/** Adds what so much of each mode has in each cell. */
function addShapes({ inCells }: Modes, amounts: Float64Array, into: Float64Array): void {
  for (let m = 0, at = 0; m < RADIAL_CELLS; m++) {
    for (let i = 0; i < RADIAL_CELLS; i++, at++) into[i] += inCells[at] * amounts[m];
  }
}
