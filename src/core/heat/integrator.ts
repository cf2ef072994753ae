import {
  heldPosition,
  integralAt,
  integralInverse,
  integralTable,
  knotBefore,
  tablePosition,
} from '../numeric';
import { type Elimination, factor, solve } from './elimination';
import { GAMMA } from './gamma';
import { type HeatIntegrator, type HeldChannel, type KnownSteps, MOST_AT_ONCE } from './heatIntegrator';
import { type CompiledLinks, compileLinks } from './links';
import { type Network, type ReadOff, readOffAt } from './network';
import { ToldMean } from './told';
import { shapeOf } from './topology';

/**
 * Integrates a network in time; what the kernel is held against, and what takes over where there is none. The state is enthalpy, so heat is conserved to rounding whatever the step and however
 * the heat capacity varies; both stages of a step share one factored matrix. Nothing is allocated while stepping.
 */
export class Integrator implements HeatIntegrator {
  readonly drive: Float64Array;
  supplied = 0;
  lost = 0;

  private readonly elimination: Elimination;
  private readonly links: CompiledLinks;
  private ambient: number;
  private readonly sourceShare: number;
  /** All by place in the elimination; temperatures in K */
  private readonly now: Float64Array;
  private readonly before: Float64Array;
  private readonly start: Float64Array;
  private readonly expected: Float64Array;
  private readonly early: Float64Array;
  private readonly late: Float64Array;
  private readonly enthalpy: Float64Array;
  private readonly scale: Float64Array;
  private readonly perScale: Float64Array;
  private readonly source: Float64Array;
  /** Places that a source heats */
  private readonly heated: Int32Array;
  private readonly capacityRate: Float64Array;
  private readonly toAmbient: Float64Array;
  private readonly inverse: Float64Array;
  private readonly entries: Float64Array;
  /** Places whose heat capacity varies, and their tables */
  private readonly varying: Int32Array;
  private readonly tables: Float64Array[];
  private readonly integrals: Float64Array[];
  private previousStep = 0;
  /** Of the steps that are planned: length, s, how far the trend is carried on, and drive; how many, and which is next */
  private readonly lengths = new Float64Array(MOST_AT_ONCE);
  private readonly aheads = new Float64Array(MOST_AT_ONCE);
  private readonly drives: Float64Array;
  private planned = 0;
  private made = 0;
  /** Of the steps made last, K in the network's order, and J */
  private readonly rows: Float64Array;
  private readonly means = new Float64Array(MOST_AT_ONCE);
  private readonly readings: readonly ReadOff[];
  private readonly told: ToldMean;

  /**
   * @param network the nodes, links and sources
   * @param ambient temperature of the surroundings, K
   * @param start temperatures at the start, K: one for every node, or each node's own in the network's order
   */
  constructor(network: Network, ambient: number, start: number | ArrayLike<number>) {
    const n = network.nodes.length;
    this.ambient = ambient;
    const shaped = shapeOf(network);
    this.elimination = shaped.topology.plan;
    const { place } = this.elimination;
    this.links = compileLinks(network, shaped);
    this.drive = new Float64Array(network.channels).fill(1);
    this.rows = new Float64Array(MOST_AT_ONCE * n);
    this.drives = new Float64Array(MOST_AT_ONCE * network.channels);
    this.readings = network.readings ?? [];
    this.now = new Float64Array(n);
    for (let i = 0; i < n; i++) this.now[place[i]] = typeof start === 'number' ? start : start[i];
    this.before = Float64Array.from(this.now);
    this.start = Float64Array.from(this.now);
    this.expected = new Float64Array(n);
    this.early = new Float64Array(n);
    this.late = new Float64Array(n);
    this.enthalpy = new Float64Array(n);
    this.scale = new Float64Array(n);
    this.source = new Float64Array(n);
    this.capacityRate = new Float64Array(n);
    this.toAmbient = new Float64Array(n);
    this.inverse = new Float64Array(n);
    this.entries = new Float64Array(this.elimination.neighbour.length);
    this.tables = [];
    this.integrals = [];
    const varying: number[] = [];
    network.nodes.forEach((node, i) => {
      this.scale[place[i]] = node.scale;
      if (!node.table) return;
      varying.push(place[i]);
      this.tables.push(node.table);
      this.integrals.push(integralTable(node.table));
    });
    this.perScale = this.scale.map((scale) => 1 / scale);
    this.varying = Int32Array.from(varying);
    for (const s of network.sources) this.source[place[s.node]] += s.share;
    this.sourceShare = this.source.reduce((a, b) => a + b, 0);
    this.heated = Int32Array.from(new Set(network.sources.map((s) => place[s.node])));
    for (let i = 0; i < n; i++) this.enthalpy[i] = this.enthalpyAt(i, this.now[i]);
    this.told = new ToldMean(
      network,
      this,
      network.nodes.map((_, i) => this.temperature(i)),
    );
  }

  mean(): number {
    return this.told.now;
  }

  temperature(node: number): number {
    return this.now[this.elimination.place[node]];
  }

  heat(first: number, count: number): number {
    const { enthalpy } = this;
    const { place } = this.elimination;
    let sum = 0;
    for (let node = first; node < first + count; node++) sum += enthalpy[place[node]];
    return sum;
  }

  stored(): number {
    let sum = 0;
    for (let i = 0; i < this.now.length; i++) {
      sum += this.enthalpyAt(i, this.now[i]) - this.enthalpyAt(i, this.start[i]);
    }
    return sum;
  }

  setAmbient(ambient: number): void {
    this.ambient = ambient;
  }

  writeTemperatures(into: Float64Array, offset: number): void {
    const { place } = this.elimination;
    for (let i = 0; i < place.length; i++) into[offset + i] = this.now[place[i]];
  }

  writeSome(nodes: readonly number[], into: Float64Array): void {
    for (let k = 0; k < nodes.length; k++) into[k] = this.now[this.elimination.place[nodes[k]]];
  }

  writeRows(into: Float64Array, offset: number, count: number): void {
    into.set(this.rows.subarray(0, count * this.now.length), offset);
  }

  writeReadings(into: readonly Float64Array[], first: number, offset: number, count: number): void {
    const { rows, readings, now } = this;
    into.forEach((column, r) => {
      for (let k = 0; k < count; k++)
        column[offset + k] = readOffAt(readings[first + r], rows, k * now.length);
    });
  }

  writeTold(into: Float64Array, offset: number, count: number): void {
    for (let k = 0; k < count; k++) into[offset + k] = this.means[k];
  }

  keepRows(): void {}

  markEvent(): void {
    this.previousStep = 0;
  }

  step(dt: number, earlyPower: number, latePower: number): void {
    this.carry(dt, this.aheadOf(dt), earlyPower, latePower);
  }

  plan({ dt, event, drives }: KnownSteps, from: number, count: number, held: HeldChannel): void {
    const { length } = this.drive;
    this.drives.set(drives.subarray(from * length, (from + count) * length));
    for (let k = 0; k < count; k++) {
      if (event[from + k] === 1) this.markEvent();
      this.lengths[k] = dt[from + k];
      this.aheads[k] = this.aheadOf(dt[from + k]);
      this.drives[k * length + held.channel] = held.value;
    }
    this.planned = count;
    this.made = 0;
  }

  alter(channel: number, value: number): void {
    this.drives[this.made * this.drive.length + channel] = value;
  }

  switchNext(): void {
    this.aheads[this.made] = 0;
  }

  next(earlyPower: number, latePower: number): void {
    const { drive, made } = this;
    for (let c = 0; c < drive.length; c++) drive[c] = this.drives[made * drive.length + c];
    this.carry(this.lengths[made], this.aheads[made], earlyPower, latePower);
    this.tell(made);
    this.made += 1;
  }

  coast(): void {
    while (this.made < this.planned) this.next(0, 0);
  }

  /** How far the trend of the step before is carried on to the middle of one; which is the step before from now on. */
  private aheadOf(dt: number): number {
    const ahead = this.previousStep > 0 ? (0.5 * dt) / this.previousStep : 0;
    this.previousStep = dt;
    return ahead;
  }

  private tell(k: number): void {
    this.told.find();
    this.means[k] = this.told.now;
    this.writeTemperatures(this.rows, k * this.now.length);
  }

  /** @param ahead how far the trend of the step before is carried on, in its length */
  private carry(dt: number, ahead: number, earlyPower: number, latePower: number): void {
    const { now, before, expected, early, late, enthalpy, scale, source, capacityRate, toAmbient } = this;
    const { ambient, elimination, inverse, entries, varying, tables, integrals, heated, perScale } = this;
    const n = now.length;
    const rate = 1 / (GAMMA * dt);

    // Coefficients are taken where the middle of the step is expected, which keeps the method second order.
    for (let i = 0; i < n; i++) {
      const t = now[i];
      expected[i] = t + ahead * (t - before[i]);
      const c = scale[i] * rate;
      capacityRate[i] = c;
      inverse[i] = c;
    }
    for (let k = 0; k < varying.length; k++) {
      const i = varying[k];
      const table = tables[k];
      const position = heldPosition(tablePosition(expected[i]));
      const knot = knotBefore(position);
      const j = knot | 0;
      const c = capacityRate[i] * (table[j] + (position - knot) * (table[j + 1] - table[j]));
      capacityRate[i] = c;
      inverse[i] = c;
    }
    this.links.assemble(expected, ambient, this.drive, inverse, entries, toAmbient);
    factor(elimination, inverse, entries);

    for (let i = 0; i < n; i++) early[i] = capacityRate[i] * now[i] + toAmbient[i] * ambient;
    for (let k = 0; k < heated.length; k++) early[heated[k]] += source[heated[k]] * earlyPower;
    solve(elimination, inverse, entries, early);
    // `expected` now holds where the second stage starts from.
    const carry = (1 - GAMMA) / GAMMA;
    for (let i = 0; i < n; i++) {
      const t = now[i];
      const from = t + carry * (early[i] - t);
      expected[i] = from;
      late[i] = capacityRate[i] * from + toAmbient[i] * ambient;
    }
    for (let k = 0; k < heated.length; k++) late[heated[k]] += source[heated[k]] * latePower;
    solve(elimination, inverse, entries, late);

    let lost = 0;
    const wEarly = 1 - GAMMA;
    const wLate = GAMMA;
    for (let i = 0; i < n; i++) {
      const t = now[i];
      const a = early[i];
      const b = late[i];
      enthalpy[i] += dt * capacityRate[i] * (wEarly * (a - t) + wLate * (b - expected[i]));
      lost += toAmbient[i] * (wEarly * a + wLate * b - ambient);
      before[i] = t;
      now[i] = b;
    }
    for (let k = 0; k < varying.length; k++) {
      const i = varying[k];
      now[i] = integralInverse(tables[k], integrals[k], enthalpy[i] * perScale[i], now[i], 1);
    }
    this.lost += dt * lost;
    this.supplied += dt * this.sourceShare * ((1 - GAMMA) * earlyPower + GAMMA * latePower);
  }

  release(): void {}

  private enthalpyAt(place: number, temperature: number): number {
    const k = this.varying.indexOf(place);
    if (k < 0) return this.scale[place] * temperature;
    return this.scale[place] * integralAt(this.tables[k], this.integrals[k], temperature);
  }
}
