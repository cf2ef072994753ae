import { GAMMA } from '../heat';
import { Recent, symmetricEigen, tableAt } from '../numeric';
import { type BandSeat, CARRIED, giveBandSeat, takeBandSeat } from './bandKernel';
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
  /** null for a drum */
  private readonly modes: Modes | null = null;
  private seat: BandSeat | null = null;
  private readonly mass: number = 0;
  private readonly cheek: number = 0;
  private readonly rotor: Rotor;

  /** @param start excess to begin with, K; RADIAL_CELLS */
  constructor({ rotor, drum }: Corner, start: readonly number[]) {
    this.rotor = rotor;
    this.amounts = new Float64Array(RADIAL_CELLS);
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
   * One step, and the temperature of the face in the hottest band after it, K: what the mean has over the ring in proportion
   * to the local heat, on the ring's local temperature.
   * @param dt s
   * @param early heat into the ring at the step's first stage, W; `late` at its end
   * @param before mean temperature of the ring at its start, K; `after` at its end
   * @param face mean of the face at its end, K
   */
  step(dt: number, early: number, late: number, before: number, after: number, face: number): number {
    const { rotor, modes, seat } = this;
    if (!modes) return face;
    const stage = (GAMMA * dt) / (this.mass * tableAt(rotor.material.specificHeat, before));
    const spread = stage * this.cheek * tableAt(rotor.material.conductivity, before);
    const flash = face - after;
    const byFlux = Math.max(0, flash);
    let most: number;
    if (seat) {
      seat.step(spread, stage * early, stage * late, byFlux);
      most = seat.memory[seat.layout.hottest];
    } else most = this.read(modes, spread, stage * early, stage * late, byFlux);
    return after + Math.min(0, flash) + most;
  }

  /** Gives back what it computes with; nothing may be asked of it afterwards. */
  release(): void {
    if (this.seat) giveBandSeat(this.seat);
    this.seat = null;
  }

  /** What the kernel is held against, and what takes over where there is none. */
  private read(modes: Modes, spread: number, byEarly: number, byLate: number, byFlux: number): number {
    const { amounts } = this;
    const { rates, raised, flux } = modes;
    for (let m = 0; m < RADIAL_CELLS; m++) {
      const left = 1 / (1 + spread * rates[m]);
      const before = amounts[m];
      const first = (before + byEarly * raised[m]) * left;
      amounts[m] = (before + CARRIED * (first - before) + byLate * raised[m]) * left;
    }
    for (let i = 0; i < RADIAL_CELLS; i++) cells[i] = byFlux * flux[i];
    addShapes(modes, amounts, cells);
    return cells.reduce((most, own) => Math.max(most, own));
  }
}

const cells = new Float64Array(RADIAL_CELLS);

/** Adds what so much of each mode has in each cell. */
function addShapes({ inCells }: Modes, amounts: Float64Array, into: Float64Array): void {
  for (let m = 0, at = 0; m < RADIAL_CELLS; m++) {
    for (let i = 0; i < RADIAL_CELLS; i++, at++) into[i] += inCells[at] * amounts[m];
  }
}
