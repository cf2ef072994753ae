import { AMBIENT } from '../network';
import type { PlacedLink } from '../topology';
import type { StepParts } from './stepParts';
import { writePlace, writeValue } from './tableCode';

/** The matrix of both stages: heat capacities over the stage's length, and all conductances. */
export function writeMatrix(step: StepParts): void {
  writeCapacities(step);
  writeStill(step);
  writeLinks(step);
}

function writeCapacities(step: StepParts): void {
  const { w, layout, local } = step;
  for (const { place, table } of step.topology.warm) {
    w.get(local.expected[place]);
    writePlace(w, local.tables);
    w.get(local.capacityRate[place]);
    writeValue(w, local.tables, (lane) => layout.table(table, lane));
    w.op('mul');
    w.tee(local.capacityRate[place]);
    w.set(local.inverse[place]);
  }
}

function writeStill(step: StepParts): void {
  const { w, layout, local } = step;
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
function writeAdded(step: StepParts, { from, to, entry }: PlacedLink): void {
  const { w, local } = step;
  const aside = () => w.get(local.aside);
  w.change(local.inverse[from], 'add', aside);
  if (to === AMBIENT) w.change(local.toAmbient[from], 'add', aside);
  else {
    w.change(local.inverse[to], 'add', aside);
    w.change(local.entries[entry], 'sub', aside);
  }
}

function writeLinks(step: StepParts): void {
  const { w, layout, local, topology } = step;
  const drive = (channel: number) => w.load(layout.drive, channel, local.given);
  const at = (place: number) => w.get(place === AMBIENT ? local.ambient : local.expected[place]);
  topology.driven.forEach((link, l) => {
    w.load(layout.driven, l);
    drive(link.channel);
    w.op('mul');
    w.set(local.aside);
    writeAdded(step, link);
  });
  topology.varying.forEach((link, l) => {
    const before = l > 0 ? topology.varying[l - 1] : null;
    // Several links between the same ends stand beside each other: their temperature lies at one place.
    if (before?.from !== link.from || before.to !== link.to) {
      w.constant(0.5);
      at(link.from);
      at(link.to);
      w.op('add');
      w.op('mul');
      writePlace(w, local.tables);
    }
    w.load(layout.varying, l);
    drive(link.channel);
    w.op('mul');
    writeValue(w, local.tables, (lane) => layout.table(link.table, lane));
    w.op('mul');
    w.set(local.aside);
    writeAdded(step, link);
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
    writeAdded(step, link);
  });
}
