import { encodeModule } from '../../numeric';
import { GAMMA } from '../gamma';
import { MEAN_TURNS } from '../heatIntegrator';
import type { Topology } from '../topology';
import type { Layout } from './layout';
import { writeMatrix } from './matrixCode';
import { writeFactor, writeSolve, writeStage } from './solveCode';
import { type StepParts, stepParts } from './stepParts';
import { writeInverse } from './tableCode';
import type { Writer } from './writer';

/**
 * The parameters: which of the steps that were given is made first, how many are made, whether what the network has told and
 * read off is noted of them, and whether rows are kept.
 */
const FROM = 0;
const COUNT = 1;
const TOLD = 2;
const ROWS = 3;
const PARAMETERS = 4;

/**
 * A module that steps networks of a topology: the method of `Integrator.step`, operation for operation in the same order,
 * written straight through, so that it gives the same bits. It makes as many steps as it is told, each with what is given
 * for it, and leaves a row of temperatures of each.
 */
export function stepModule(topology: Topology, layout: Layout): Uint8Array {
  const step = stepParts(topology, layout, PARAMETERS);
  const { w, local } = step;
  begin(w, local.given, layout.given);
  begin(w, local.row, layout.rowBytes);
  begin(w, local.column, layout.column);
  w.get(COUNT);
  w.code.truncate();
  w.set(local.left);
  w.code.repeat(() => {
    writeBegin(step);
    writeMatrix(step);
    writeFactor(step);
    writeStage(step, local.early, layout.early, (p) => w.get(local.now[p]));
    writeSolve(step, local.early);
    writeStage(step, local.late, layout.late, (p) => writeFrom(step, p));
    writeSolve(step, local.late);
    writeEnd(step);
    onlyIf(w, ROWS, () => writeRow(step));
    onlyIf(w, TOLD, () => writeTold(step));
    moveOn(w, local.given, layout.given);
    moveOn(w, local.row, layout.rowBytes);
    moveOn(w, local.column, layout.column);
    moveOn(w, local.left, -1);
    w.get(local.left);
  });
  return encodeModule(layout.pages, PARAMETERS, w.locals, w.code.take());
}

function writeBegin(step: StepParts): void {
  const { w, layout, local, topology } = step;
  // 1 / (GAMMA·dt)
  w.constant(1);
  w.constant(GAMMA);
  w.load(layout.dt, 0, local.given);
  w.tee(local.dt);
  w.op('mul');
  w.op('div');
  w.set(local.rate);
  w.load(layout.ahead, 0, local.given);
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
    if (own) writeTemperature(step, own.table, node, p);
    w.store(layout.now, node, () => w.get(local.late[p]));
  });
  w.store(layout.lost, 0, () => {
    w.load(layout.lost);
    w.get(local.dt);
    w.get(local.lost);
    w.op('mul');
    w.op('add');
  });
}

/** A row of temperatures for each lane, in the network's order. */
function writeRow({ w, layout, local, topology }: StepParts): void {
  const { code } = w;
  const temperature = (node: number) => local.late[topology.plan.place[node]];
  const { size } = topology.plan;
  for (let lane = 0; lane < layout.lanes; lane++) {
    let node = 0;
    // Two nodes of a lane are stored at once.
    for (; layout.lanes === 2 && node + 1 < size; node += 2) {
      w.get(local.row);
      w.get(temperature(node));
      w.get(temperature(node + 1));
      code.gather(lane === 1);
      code.store('v128', layout.row(lane) + 8 * node);
    }
    for (; node < size; node++) {
      w.get(local.row);
      w.lane(temperature(node), lane);
      code.store('f64', layout.row(lane) + 8 * node);
    }
  }
}

/** What is done where a parameter is not 0. */
function onlyIf({ code }: Writer, parameter: number, write: () => void): void {
  code.get(parameter);
  code.truncate();
  code.branch(write, () => {});
}

/** Mean temperature of the nodes that are told, by their heat, and what is read off. */
function writeTold({ w, layout, local, topology }: StepParts): void {
  const { told } = topology;
  if (told) {
    w.constant(0);
    w.set(local.aside);
    for (const node of told.nodes) w.change(local.aside, 'add', () => w.load(layout.enthalpy, node));
    w.get(local.aside);
    w.load(layout.toldScale);
    w.op('div');
    w.set(local.aside);
    // The step is over: what it was made with is free.
    const mean = local.rate;
    w.load(layout.meanNow);
    w.set(mean);
    const table = (lane: number) => layout.table(told.table, lane);
    for (let turn = 0; turn < MEAN_TURNS; turn++)
      writeInverse(w, local.tables, table, mean, local.aside, mean);
    w.store(layout.meanNow, 0, () => w.get(mean));
    w.store(layout.mean, 0, () => w.get(mean), local.column);
  }
  topology.readings.forEach(({ first, second, hotter }, r) => {
    const read = () => {
      w.get(local.late[first]);
      if (first === second) return;
      w.get(local.late[second]);
      if (hotter) return w.op('max');
      w.op('add');
      w.set(local.aside);
      w.constant(0.5);
      w.get(local.aside);
      w.op('mul');
    };
    w.store(layout.reading(r), 0, read, local.column);
  });
}

/** Bytes before what belongs to the first step that is made. @param by of each step before it */
function begin(w: Writer, whole: number, by: number): void {
  w.get(FROM);
  w.code.truncate();
  w.code.i32(by);
  w.code.op('i32.mul');
  w.set(whole);
}

function moveOn(w: Writer, whole: number, by: number): void {
  w.get(whole);
  w.code.i32(by);
  w.code.op('i32.add');
  w.set(whole);
}

/** late ← the temperature of the heat in `aside`, begun from the stage's. */
function writeTemperature(step: StepParts, table: number, node: number, p: number): void {
  const { w, layout, local } = step;
  w.get(local.aside);
  w.load(layout.perScale, node);
  w.op('mul');
  w.set(local.aside);
  const late = local.late[p];
  writeInverse(w, local.tables, (lane) => layout.table(table, lane), late, local.aside, late);
}
