import { AMBIENT } from '../network';
import type { Topology } from '../topology';
import type { Layout } from './layout';
import { TABLE_LOCALS, type TableLocals, tableLocals } from './tableCode';
import { Writer } from './writer';

/** Locals of a step; lists by place, or by entry. */
export interface StepLocals {
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
  /** Bytes by which what is given for the step under way, its row, and what is told of it, lie behind the first one's */
  readonly given: number;
  readonly row: number;
  readonly column: number;
  /** Steps that are still to be made */
  readonly left: number;
  readonly tables: TableLocals;
}

/** What the parts of a step are written with. */
export interface StepParts {
  readonly w: Writer;
  readonly topology: Topology;
  readonly layout: Layout;
  readonly local: StepLocals;
}

/** @param parameters numbers of the function, before its locals */
export function stepParts(topology: Topology, layout: Layout, parameters: number): StepParts {
  const { size, neighbour } = topology.plan;
  const w = new Writer(layout.lanes, parameters, {
    values: 8 * size + neighbour.length + 6 + TABLE_LOCALS.values,
    singles: TABLE_LOCALS.singles,
    wholes: 4 + TABLE_LOCALS.wholes,
  });
  const each = (count: number) => Array.from({ length: count }, () => w.value());
  const open = new Set(
    [...topology.fixed, ...topology.driven, ...topology.varying, ...topology.radiating]
      .filter(({ to }) => to === AMBIENT)
      .map(({ from }) => from),
  );
  const local: StepLocals = {
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
    given: w.whole(),
    row: w.whole(),
    column: w.whole(),
    left: w.whole(),
    tables: tableLocals(w),
  };
  return { w, topology, layout, local };
}
