import type { StepParts } from './stepParts';

/** L·D·Lᵀ, as `factor` does it. */
export function writeFactor(step: StepParts): void {
  const { w, local } = step;
  const { size, start, neighbour, updates } = step.topology.plan;
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
export function writeStage(
  step: StepParts,
  into: readonly number[],
  power: number,
  from: (place: number) => void,
): void {
  const { w, layout, local, topology } = step;
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
      w.load(power, 0, local.given);
      w.op('mul');
    });
  });
}

/** As `solve` does it. */
export function writeSolve(step: StepParts, vector: readonly number[]): void {
  const { w, local } = step;
  const { size, start, neighbour } = step.topology.plan;
  const product = (a: number, place: number) => {
    w.get(local.entries[a]);
    w.get(vector[place]);
    w.op('mul');
  };
  for (let k = 0; k < size; k++) {
    for (let a = start[k]; a < start[k + 1]; a++) w.change(vector[neighbour[a]], 'sub', () => product(a, k));
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
