import { integralAt, integralTable, type UniformTable } from '../../numeric';
import { GAMMA } from '../gamma';
import { type HeatIntegrator, type HeldChannel, type KnownSteps, MOST_AT_ONCE } from '../heatIntegrator';
import { stillPart } from '../links';
import type { Network } from '../network';
import { ToldMean } from '../told';
import type { Shaped } from '../topology';
import { giveLane, type Seat } from './compile';
import { KNOT, type Layout } from './layout';

/** Tables as a kernel reads them, made once for each. */
const knots = new WeakMap<UniformTable, Float64Array>();
function knotsOf(table: UniformTable): Float64Array {
  const known = knots.get(table);
  if (known) return known;
  const sums = integralTable(table);
  const width = (1 << KNOT.bits) / 8;
  const made = new Float64Array(width * table.length);
  for (let i = 0; i < table.length; i++) {
    made[width * i] = table[i];
    made[width * i + KNOT.more / 8] = i + 1 < table.length ? table[i + 1] - table[i] : 0;
    made[width * i + KNOT.integral / 8] = sums[i];
  }
  knots.set(table, made);
  return made;
}

/**
 * Integrates a network by the kernel of its topology, in one lane of a seat; see `Integrator` for the method. Where the
 * seat has two lanes in use, the step of both is made when the second asks for its own, which must be as long.
 */
export class KernelIntegrator implements HeatIntegrator {
  readonly drive: Float64Array;
  supplied = 0;
  private readonly layout: Layout;
  private readonly memory: Float64Array;
  private readonly lane: number;
  private readonly start: Float64Array;
  private readonly sourceShare: number;
  private previousStep = 0;
  /** Length of each step that is planned, s; how many there are, and which is next */
  private readonly lengths = new Float64Array(MOST_AT_ONCE);
  private planned = 0;
  private made = 0;
  /** Null once it is given back */
  private seat: Seat | null;

  /**
   * Takes the next lane of the seat.
   * @param ambient temperature of the surroundings, K
   * @param start temperatures at the start, K: one for every node, or each node's own in the network's order
   */
  constructor(
    private readonly network: Network,
    { topology, tables }: Shaped,
    seat: Seat,
    ambient: number,
    start: number | ArrayLike<number>,
  ) {
    const { layout, memory } = seat;
    this.seat = seat;
    this.layout = layout;
    this.memory = memory;
    this.lane = seat.taken++;
    const n = network.nodes.length;
    this.start = Float64Array.from({ length: n }, (_, i) => (typeof start === 'number' ? start : start[i]));
    this.put(layout.now, this.start);
    this.put(layout.before, this.start);
    this.put(layout.ambient, [ambient]);
    this.put(layout.lost, [0]);
    this.put(
      layout.scale,
      network.nodes.map(({ scale }) => scale),
    );
    const shares = new Float64Array(n);
    for (const { node, share } of network.sources) shares[topology.plan.place[node]] += share;
    this.sourceShare = shares.reduce((a, b) => a + b, 0);
    this.put(
      layout.source,
      topology.heated.map((place) => shares[place]),
    );
    const still = stillPart(network, topology);
    this.put(layout.stillDiagonal, still.diagonal);
    this.put(layout.stillEntries, still.entries);
    this.put(layout.stillAmbient, still.toAmbient);
    for (const kind of ['driven', 'varying', 'radiating'] as const) {
      this.put(
        layout[kind],
        topology[kind].map(({ index }) => network.links[index].coefficient),
      );
    }
    this.put(
      layout.radiation,
      topology.radiating.map(({ index }) => network.links[index].radiation),
    );
    this.put(
      layout.perScale,
      network.nodes.map(({ scale }) => 1 / scale),
    );
    tables.forEach((table, k) => {
      memory.set(knotsOf(table), layout.table(k, this.lane) / 8);
    });
    this.put(
      layout.enthalpy,
      this.start.map((temperature, i) => this.enthalpyAt(i, temperature)),
    );
    const told = new ToldMean(network, this, this.start);
    this.put(layout.toldScale, [told.scale]);
    this.put(layout.meanNow, [told.now]);
    const channels = layout.drive / 8;
    this.drive =
      layout.lanes === 1
        ? memory.subarray(channels, channels + network.channels)
        : new Float64Array(network.channels);
    this.drive.fill(1);
  }

  get lost(): number {
    return this.at(this.layout.lost, 0);
  }

  temperature(node: number): number {
    return this.at(this.layout.now, node);
  }

  mean(): number {
    return this.at(this.layout.meanNow, 0);
  }

  heat(first: number, count: number): number {
    const { memory } = this;
    const { enthalpy, lanes } = this.layout;
    let at = enthalpy / 8 + first * lanes + this.lane;
    let sum = 0;
    for (let k = 0; k < count; k++, at += lanes) sum += memory[at];
    return sum;
  }

  stored(): number {
    let sum = 0;
    // In the order of the elimination, in which the sum is the twin's to the last bit.
    for (const node of this.seat?.topology.nodeAt ?? []) {
      sum += this.enthalpyAt(node, this.temperature(node)) - this.enthalpyAt(node, this.start[node]);
    }
    return sum;
  }

  setAmbient(ambient: number): void {
    this.put(this.layout.ambient, [ambient]);
  }

  writeTemperatures(into: Float64Array, offset: number): void {
    const { memory } = this;
    const { now, lanes } = this.layout;
    const n = this.start.length;
    for (let i = 0, at = now / 8 + this.lane; i < n; i++, at += lanes) into[offset + i] = memory[at];
  }

  writeSome(nodes: readonly number[], into: Float64Array): void {
    const { memory, lane } = this;
    const { now, lanes } = this.layout;
    const first = now / 8 + lane;
    for (let k = 0; k < nodes.length; k++) into[k] = memory[first + nodes[k] * lanes];
  }

  writeRows(into: Float64Array, offset: number, count: number): void {
    const from = this.layout.row(this.lane) / 8;
    into.set(this.memory.subarray(from, from + count * this.start.length), offset);
  }

  writeReadings(into: readonly Float64Array[], first: number, offset: number, count: number): void {
    const { memory, lane, layout } = this;
    const { lanes } = layout;
    const end = offset + count;
    for (let r = 0; r < into.length; r++) {
      const column = into[r];
      for (let k = offset, at = layout.reading(first + r) / 8 + lane; k < end; k++, at += lanes)
        column[k] = memory[at];
    }
  }

  writeTold(into: Float64Array, offset: number, count: number): void {
    const { memory, lane } = this;
    const { mean, lanes } = this.layout;
    for (let k = 0, at = mean / 8 + lane; k < count; k++, at += lanes) into[offset + k] = memory[at];
  }

  keepRows(): void {
    if (this.seat) this.seat.rows = 1;
  }

  markEvent(): void {
    this.previousStep = 0;
  }

  step(dt: number, earlyPower: number, latePower: number): void {
    const { layout } = this;
    if (layout.lanes > 1) this.put(layout.drive, this.drive);
    this.give(0, dt);
    this.power(0, dt, earlyPower, latePower);
    const { seat } = this;
    if (seat && this.allReady(seat)) seat.step(0, 1, 0, 0);
  }

  plan({ dt, event, drives }: KnownSteps, from: number, count: number, held: HeldChannel): void {
    const { layout, memory, lane } = this;
    const { channels } = this.network;
    const { lanes, given } = layout;
    for (let k = 0; k < count; k++) {
      if (event[from + k] === 1) this.markEvent();
      this.give(k, dt[from + k]);
      this.lengths[k] = dt[from + k];
      const to = (layout.drive + k * given) / 8 + lane;
      for (let c = 0, at = (from + k) * channels; c < channels; c++, at++)
        memory[to + c * lanes] = drives[at];
      memory[to + held.channel * lanes] = held.value;
    }
    this.planned = count;
    this.made = 0;
  }

  alter(channel: number, value: number): void {
    const { drive, given, lanes } = this.layout;
    this.memory[(drive + this.made * given) / 8 + channel * lanes + this.lane] = value;
  }

  switchNext(): void {
    const { ahead, given } = this.layout;
    this.memory[(ahead + this.made * given) / 8 + this.lane] = 0;
  }

  next(earlyPower: number, latePower: number): void {
    const { made } = this;
    this.made = made + 1;
    this.power(made, this.lengths[made], earlyPower, latePower);
    this.make(made, 1);
  }

  coast(): void {
    const { made, planned } = this;
    for (let k = made; k < planned; k++) this.power(k, 0, 0, 0);
    this.made = planned;
    this.make(made, planned - made);
  }

  /** Gives one of the steps that are planned its length, s. */
  private give(k: number, dt: number): void {
    const { memory, layout, lane } = this;
    const at = (k * layout.given) / 8 + lane;
    memory[layout.dt / 8 + at] = dt;
    memory[layout.ahead / 8 + at] = this.previousStep > 0 ? (0.5 * dt) / this.previousStep : 0;
    this.previousStep = dt;
  }

  /** Gives it its powers, W. @param dt its length, s */
  private power(k: number, dt: number, early: number, late: number): void {
    const { memory, layout, lane } = this;
    const at = (k * layout.given) / 8 + lane;
    memory[layout.early / 8 + at] = early;
    memory[layout.late / 8 + at] = late;
    this.supplied += dt * this.sourceShare * ((1 - GAMMA) * early + GAMMA * late);
  }

  /** Makes planned steps as soon as every lane in use is as far. @param from the first of them */
  private make(from: number, count: number): void {
    const { seat } = this;
    if (seat && this.allReady(seat)) seat.step(from, count, 1, seat.rows);
  }

  /** Whether every lane in use is as far as this one is now. */
  private allReady(seat: Seat): boolean {
    seat.ready += 1;
    if (seat.ready < seat.taken) return false;
    seat.ready = 0;
    return true;
  }

  release(): void {
    if (this.seat) giveLane(this.seat);
    this.seat = null;
  }

  /** Number `index` of a list. @param list where it begins, bytes */
  private at(list: number, index: number): number {
    return this.memory[list / 8 + index * this.layout.lanes + this.lane];
  }

  private put(list: number, values: ArrayLike<number>): void {
    const { lanes } = this.layout;
    for (let i = 0, at = list / 8 + this.lane; i < values.length; i++, at += lanes)
      this.memory[at] = values[i];
  }

  private enthalpyAt(node: number, temperature: number): number {
    const { scale, table } = this.network.nodes[node];
    return table ? scale * integralAt(table, integralTable(table), temperature) : scale * temperature;
  }
}
