import { integralAt, integralTable, type UniformTable } from '../../numeric';
import { GAMMA } from '../gamma';
import type { HeatIntegrator } from '../heatIntegrator';
import { stillPart } from '../links';
import type { Network } from '../network';
import type { Shaped } from '../topology';
import { giveSeat, type Seat } from './compile';
import type { Layout } from './layout';

/** Integrals of the tables that networks share, made once for each. */
const integrals = new WeakMap<UniformTable, Float64Array>();
function integralOf(table: UniformTable): Float64Array {
  let sums = integrals.get(table);
  if (!sums) {
    sums = integralTable(table);
    integrals.set(table, sums);
  }
  return sums;
}

/** Integrates a network by the kernel of its topology; see `Integrator` for the method. */
export class KernelIntegrator implements HeatIntegrator {
  readonly drive: Float64Array;
  supplied = 0;
  private readonly layout: Layout;
  private readonly memory: Float64Array;
  private readonly now: Float64Array;
  private readonly start: Float64Array;
  private readonly sourceShare: number;
  private previousStep = 0;
  /** Null once it is given back */
  private seat: Seat | null;

  /**
   * @param ambient temperature of the surroundings, K
   * @param start temperatures at the start, K: one for every node, or each node's own in the network's order
   */
  constructor(
    private readonly network: Network,
    private readonly shaped: Shaped,
    seat: Seat,
    ambient: number,
    start: number | ArrayLike<number>,
  ) {
    const { layout, memory } = seat;
    this.seat = seat;
    this.layout = layout;
    this.memory = memory;
    const n = network.nodes.length;
    const { topology } = shaped;
    const list = (at: number, values: ArrayLike<number>) => {
      memory.set(values, at / 8);
      return memory.subarray(at / 8, at / 8 + values.length);
    };
    this.start = Float64Array.from({ length: n }, (_, i) => (typeof start === 'number' ? start : start[i]));
    this.now = list(layout.now, this.start);
    list(layout.before, this.start);
    this.drive = list(layout.drive, new Float64Array(network.channels).fill(1));
    memory[layout.ambient / 8] = ambient;
    memory[layout.lost / 8] = 0;
    list(
      layout.scale,
      network.nodes.map(({ scale }) => scale),
    );
    const shares = new Float64Array(n);
    for (const { node, share } of network.sources) shares[topology.plan.place[node]] += share;
    this.sourceShare = shares.reduce((a, b) => a + b, 0);
    list(
      layout.source,
      topology.heated.map((place) => shares[place]),
    );
    const still = stillPart(network, topology);
    list(layout.stillDiagonal, still.diagonal);
    list(layout.stillEntries, still.entries);
    list(layout.stillAmbient, still.toAmbient);
    for (const kind of ['driven', 'varying', 'radiating'] as const) {
      list(
        layout[kind],
        topology[kind].map(({ index }) => network.links[index].coefficient),
      );
    }
    list(
      layout.radiation,
      topology.radiating.map(({ index }) => network.links[index].radiation),
    );
    shaped.tables.forEach((table, k) => {
      list(layout.table(k, 0), table);
      list(layout.table(k, 0) + 8 * table.length, integralOf(table));
    });
    list(
      layout.enthalpy,
      this.start.map((temperature, i) => this.enthalpyAt(i, temperature)),
    );
  }

  get lost(): number {
    return this.memory[this.layout.lost / 8];
  }

  temperature(node: number): number {
    return this.now[node];
  }

  heat(node: number): number {
    return this.memory[this.layout.enthalpy / 8 + node];
  }

  stored(): number {
    let sum = 0;
    // In the order of the elimination, in which the sum is the twin's to the last bit.
    for (const node of this.shaped.topology.nodeAt) {
      sum += this.enthalpyAt(node, this.now[node]) - this.enthalpyAt(node, this.start[node]);
    }
    return sum;
  }

  setAmbient(ambient: number): void {
    this.memory[this.layout.ambient / 8] = ambient;
  }

  writeTemperatures(into: Float64Array, offset: number): void {
    const { now } = this;
    for (let i = 0; i < now.length; i++) into[offset + i] = now[i];
  }

  markEvent(): void {
    this.previousStep = 0;
  }

  step(dt: number, earlyPower: number, latePower: number): void {
    const { memory, layout } = this;
    memory[layout.early / 8] = earlyPower;
    memory[layout.late / 8] = latePower;
    memory[layout.ahead / 8] = this.previousStep > 0 ? (0.5 * dt) / this.previousStep : 0;
    this.seat?.step(dt);
    this.supplied += dt * this.sourceShare * ((1 - GAMMA) * earlyPower + GAMMA * latePower);
    this.previousStep = dt;
  }

  release(): void {
    if (this.seat) giveSeat(this.shaped.topology, this.seat);
    this.seat = null;
  }

  private enthalpyAt(node: number, temperature: number): number {
    const { scale, table } = this.network.nodes[node];
    return table ? scale * integralAt(table, integralOf(table), temperature) : scale * temperature;
  }
}
