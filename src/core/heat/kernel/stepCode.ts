import { encodeModule } from '../../numeric';
import { GAMMA } from '../gamma';
import type { Topology } from '../topology';

import type { Layout } from './layout';
import { writeMatrix } from './matrixCode';
import { writeFactor, writeSolve, writeStage } from './solveCode';
import { type StepParts, stepParts } from './stepParts';
import { writeInverse } from './tableCode';

/** The step's only parameter: its length, s. */
const DT = 0;

/**
 * A module that steps networks of a topology: the method of `Integrator.step`, operation for operation in the same order,
 * written straight through, so that it gives the same bits.
 */
export function stepModule(topology: Topology, layout: Layout): Uint8Array {
  const step = stepParts(topology, layout, 1);
  const { w, local } = step;
  writeBegin(step);
  writeMatrix(step);
  writeFactor(step);
  writeStage(step, local.early, layout.early, (p) => w.get(local.now[p]));
  writeSolve(step, local.early);
  writeStage(step, local.late, layout.late, (p) => writeFrom(step, p));
  writeSolve(step, local.late);
  writeEnd(step);
  return encodeModule(layout.pages, 1, w.locals, w.code.take());
}

function writeBegin(step: StepParts): void {
  const { w, layout, local, topology } = step;
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

/** expected ← where the second stage starts from, left on the stack. */
function writeFrom(step: StepParts, p: number): void {
  const { w, local } = step;
  w.get(local.now[p]);
  w.constant((1 - GAMMA) / GAMMA);
  w.get(local.early[p]);
  w.get(local.now[p]);
  w.op('sub');
  w.op('mul');
  w.op('add');
  w.tee(local.expected[p]);
}

/** Heat from both stages, what went to the surroundings, and the temperatures that go with the heat. */
function writeEnd(step: StepParts): void {
  const { w, layout, local, topology } = step;
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
      if (own) writeTemperature(step, own.table, node, p);
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
function writeTemperature(step: StepParts, table: number, node: number, p: number): void {
  const { w, layout, local } = step;
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
