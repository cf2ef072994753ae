import { GAMMA } from '../gamma';
import { AMBIENT } from '../network';
import type { PlacedLink, Topology } from '../topology';
import { encodeModule } from './encode';
import type { Layout } from './layout';
import {
  TABLE_SINGLES,
  TABLE_WHOLES,
  type TableLocals,
  tableLocals,
  writeInverse,
  writeTableValue,
} from './tableCode';
import { Writer } from './writer';

/** The step's only parameter: its length, s. */
const DT = 0;

/** Locals of a step; lists by place, or by entry. */
interface StepLocals {
  readonly now: readonly number[];
  readonly expected: readonly number[];
  readonly capacityRate: readonly number[];
  /** The diagonal, then its inverse */
  readonly inverse: readonly number[];
  readonly entries: readonly number[];
  /** −1 where a place has no way to the surroundings */
  readonly toAmbient: readonly number[];
  readonly early: readonly number[];
  readonly late: readonly number[];
  readonly dt: number;
  readonly rate: number;
  readonly ahead: number;
  readonly ambient: number;
  readonly lost: number;
  readonly aside: number;
  readonly tables: TableLocals;
}

/**
 * A module that steps networks of a topology: the method of `Integrator.step`, operation for operation in the same order,
 * written straight through, so that it gives the same bits.
 */
export function stepModule(topology: Topology, layout: Layout): Uint8Array {
  const { size, neighbour } = topology.plan;
  const writer = new Writer(layout.lanes, 1, {
    values: 8 * size + neighbour.length + 6,
    singles: TABLE_SINGLES,
    wholes: TABLE_WHOLES,
  });
  const step = new StepCode(writer, topology, layout);
  step.write();
  return encodeModule(layout.pages, 1, writer.locals, writer.code.take());
}

class StepCode {
  private readonly local: StepLocals;

  constructor(
    private readonly w: Writer,
    private readonly topology: Topology,
    private readonly layout: Layout,
  ) {
    const { size, neighbour } = topology.plan;
    const each = (count: number) => Array.from({ length: count }, () => w.value());
    const open = new Set(
      [...topology.fixed, ...topology.driven, ...topology.varying, ...topology.radiating]
        .filter(({ to }) => to === AMBIENT)
        .map(({ from }) => from),
    );
    this.local = {
      now: each(size),
      expected: each(size),
      capacityRate: each(size),
      inverse: each(size),
      entries: each(neighbour.length),
      toAmbient: Array.from({ length: size }, (_, p) => (open.has(p) ? w.value() : -1)),
      early: each(size),
      late: each(size),
      dt: w.value(),
      rate: w.value(),
      ahead: w.value(),
      ambient: w.value(),
      lost: w.value(),
      aside: w.value(),
      tables: tableLocals(w),
    };
  }

  write(): void {
    const { early, late } = this.layout;
    const { local } = this;
    this.begin();
    this.capacities();
    this.still();
    this.links();
    this.factor();
    this.stage(local.early, early, (p) => this.w.get(local.now[p]));
    this.solve(local.early);
    this.stage(local.late, late, (p) => this.from(p));
    this.solve(local.late);
    this.end();
  }

  private begin(): void {
    const { w, layout, local, topology } = this;
    const { code } = w;
    code.get(DT);
    w.spread();
    w.set(local.dt);
    // 1 / (GAMMA·dt)
    code.f64(1);
    code.f64(GAMMA);
    code.get(DT);
    code.op('f64.mul');
    code.op('f64.div');
    w.spread();
    w.set(local.rate);
    w.load(layout.ahead);
    w.set(local.ahead);
    w.load(layout.ambient);
    w.set(local.ambient);
    topology.nodeAt.forEach((node, p) => {
      w.load(layout.now, node);
      w.tee(local.now[p]);
      w.get(local.ahead);
      w.get(local.now[p]);
      w.load(layout.before, node);
      w.op('sub');
      w.op('mul');
      w.op('add');
      w.set(local.expected[p]);
      w.load(layout.scale, node);
      w.get(local.rate);
      w.op('mul');
      w.tee(local.capacityRate[p]);
      w.set(local.inverse[p]);
    });
  }

  private capacities(): void {
    const { w, layout, local } = this;
    for (const { place, table } of this.topology.warm) {
      w.get(local.capacityRate[place]);
      w.each((lane) => {
        w.lane(local.expected[place], lane);
        writeTableValue(w, local.tables, layout.table(table, lane));
      });
      w.op('mul');
      w.tee(local.capacityRate[place]);
      w.set(local.inverse[place]);
    }
  }

  private still(): void {
    const { w, layout, local } = this;
    local.entries.forEach((entry, e) => {
      w.load(layout.stillEntries, e);
      w.set(entry);
    });
    local.toAmbient.forEach((to, p) => {
      if (to < 0) return;
      w.load(layout.stillAmbient, p);
      w.set(to);
    });
    local.inverse.forEach((diagonal, p) => {
      w.change(diagonal, 'add', () => w.load(layout.stillDiagonal, p));
    });
  }

  /** Conductance in `aside`, added to the matrix. */
  private add({ from, to, entry }: PlacedLink): void {
    const { w, local } = this;
    const aside = () => w.get(local.aside);
    w.change(local.inverse[from], 'add', aside);
    if (to === AMBIENT) w.change(local.toAmbient[from], 'add', aside);
    else {
      w.change(local.inverse[to], 'add', aside);
      w.change(local.entries[entry], 'sub', aside);
    }
  }

  private links(): void {
    const { w, layout, local, topology } = this;
    const drive = (channel: number) => w.load(layout.drive, channel);
    const at = (place: number) => w.get(place === AMBIENT ? local.ambient : local.expected[place]);
    topology.driven.forEach((link, l) => {
      w.load(layout.driven, l);
      drive(link.channel);
      w.op('mul');
      w.set(local.aside);
      this.add(link);
    });
    topology.varying.forEach((link, l) => {
      w.constant(0.5);
      at(link.from);
      at(link.to);
      w.op('add');
      w.op('mul');
      w.set(local.aside);
      w.load(layout.varying, l);
      drive(link.channel);
      w.op('mul');
      w.each((lane) => {
        w.lane(local.aside, lane);
        writeTableValue(w, local.tables, layout.table(link.table, lane));
      });
      w.op('mul');
      w.set(local.aside);
      this.add(link);
    });
    topology.radiating.forEach((link, l) => {
      w.load(layout.radiating, l);
      drive(link.channel);
      w.op('mul');
      w.load(layout.radiation, l);
      for (const place of [link.from, link.to]) {
        at(place);
        at(place);
        w.op('mul');
      }
      w.op('add');
      w.op('mul');
      at(link.from);
      at(link.to);
      w.op('add');
      w.op('mul');
      w.op('add');
      w.set(local.aside);
      this.add(link);
    });
  }

  /** L·D·Lᵀ, as `factor` does it. */
  private factor(): void {
    const { w, local } = this;
    const { size, start, neighbour, updates } = this.topology.plan;
    let u = 0;
    for (let k = 0; k < size; k++) {
      w.constant(1);
      w.get(local.inverse[k]);
      w.op('div');
      w.set(local.inverse[k]);
      for (let a = start[k]; a < start[k + 1]; a++) {
        w.get(local.entries[a]);
        w.get(local.inverse[k]);
        w.op('mul');
        w.set(local.aside);
        w.change(local.inverse[neighbour[a]], 'sub', () => {
          w.get(local.aside);
          w.get(local.entries[a]);
          w.op('mul');
        });
        for (let b = a + 1; b < start[k + 1]; b++) {
          w.change(local.entries[updates[u++]], 'sub', () => {
            w.get(local.aside);
            w.get(local.entries[b]);
            w.op('mul');
          });
        }
        w.get(local.aside);
        w.set(local.entries[a]);
      }
    }
  }

  /** The right-hand side of a stage. @param power where its source power lies @param from temperature it starts from */
  private stage(into: readonly number[], power: number, from: (place: number) => void): void {
    const { w, layout, local, topology } = this;
    into.forEach((vector, p) => {
      w.get(local.capacityRate[p]);
      from(p);
      w.op('mul');
      if (local.toAmbient[p] >= 0) {
        w.get(local.toAmbient[p]);
        w.get(local.ambient);
        w.op('mul');
        w.op('add');
      }
      w.set(vector);
    });
    topology.heated.forEach((place, k) => {
      w.change(into[place], 'add', () => {
        w.load(layout.source, k);
        w.load(power);
        w.op('mul');
      });
    });
  }

  /** expected ← where the second stage starts from, left on the stack. */
  private from(p: number): void {
    const { w, local } = this;
    w.get(local.now[p]);
    w.constant((1 - GAMMA) / GAMMA);
    w.get(local.early[p]);
    w.get(local.now[p]);
    w.op('sub');
    w.op('mul');
    w.op('add');
    w.tee(local.expected[p]);
  }

  /** As `solve` does it. */
  private solve(vector: readonly number[]): void {
    const { w, local } = this;
    const { size, start, neighbour } = this.topology.plan;
    const product = (a: number, place: number) => {
      w.get(local.entries[a]);
      w.get(vector[place]);
      w.op('mul');
    };
    for (let k = 0; k < size; k++) {
      for (let a = start[k]; a < start[k + 1]; a++)
        w.change(vector[neighbour[a]], 'sub', () => product(a, k));
    }
    for (let k = size - 1; k >= 0; k--) {
      w.get(vector[k]);
      w.get(local.inverse[k]);
      w.op('mul');
      for (let a = start[k + 1] - 1; a >= start[k]; a--) {
        product(a, neighbour[a]);
        w.op('sub');
      }
      w.set(vector[k]);
    }
  }

  /** Heat from both stages, what went to the surroundings, and the temperatures that go with the heat. */
  private end(): void {
    const { w, layout, local, topology } = this;
    const { nodeAt } = topology;
    const weighed = (early: () => void, late: () => void) => {
      w.constant(1 - GAMMA);
      early();
      w.op('mul');
      w.constant(GAMMA);
      late();
      w.op('mul');
      w.op('add');
    };
    const change = (to: number, from: number) => () => {
      w.get(to);
      w.get(from);
      w.op('sub');
    };
    w.constant(0);
    w.set(local.lost);
    const warm = new Map(topology.warm.map((each) => [each.place, each]));
    nodeAt.forEach((node, p) => {
      w.load(layout.enthalpy, node);
      w.get(local.dt);
      w.get(local.capacityRate[p]);
      w.op('mul');
      weighed(change(local.early[p], local.now[p]), change(local.late[p], local.expected[p]));
      w.op('mul');
      w.op('add');
      w.set(local.aside);
      w.store(layout.enthalpy, node, () => w.get(local.aside));
      if (local.toAmbient[p] >= 0) {
        w.change(local.lost, 'add', () => {
          w.get(local.toAmbient[p]);
          weighed(
            () => w.get(local.early[p]),
            () => w.get(local.late[p]),
          );
          w.get(local.ambient);
          w.op('sub');
          w.op('mul');
        });
      }
      w.store(layout.before, node, () => w.get(local.now[p]));
      const own = warm.get(p);
      w.store(layout.now, node, () => {
        if (own) this.temperature(own.table, node, p);
        else w.get(local.late[p]);
      });
    });
    w.store(layout.lost, 0, () => {
      w.load(layout.lost);
      w.get(local.dt);
      w.get(local.lost);
      w.op('mul');
      w.op('add');
    });
  }

  /** The temperature of the heat in `aside`, begun from the stage's. */
  private temperature(table: number, node: number, p: number): void {
    const { w, layout, local } = this;
    w.get(local.aside);
    w.load(layout.scale, node);
    w.op('div');
    w.set(local.aside);
    w.each((lane) =>
      writeInverse(
        w,
        local.tables,
        layout.table(table, lane),
        () => w.lane(local.late[p], lane),
        () => w.lane(local.aside, lane),
      ),
    );
  }
}
