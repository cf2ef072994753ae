import { Outcome, Solver } from 'odex';
import type { ExportedTable, NetworkRun } from '../../src/core';

/**
 * Integrates an exported network with npm `odex` (extrapolation of Gragg, Bulirsch and Stoer), from the export's own
 * words alone: nothing of the program's integrator, tables or network builder is used.
 * @returns temperatures at the run's times, K, and the evaluations it took
 */
export function integrateNetwork(
  run: NetworkRun,
  tolerance: number,
): { rows: number[][]; evaluations: number } {
  const n = run.nodes.length;
  const lookups = new Map<ExportedTable, (t: number) => number>();
  const at = (table: ExportedTable) => {
    const known = lookups.get(table);
    if (known) return known;
    const { kelvin, value } = table;
    const last = kelvin.length - 1;
    let i = 0;
    const lookup = (t: number): number => {
      if (t <= kelvin[0]) return value[0];
      if (t >= kelvin[last]) return value[last];
      while (t < kelvin[i]) i--;
      while (t > kelvin[i + 1]) i++;
      return value[i] + ((t - kelvin[i]) / (kelvin[i + 1] - kelvin[i])) * (value[i + 1] - value[i]);
    };
    lookups.set(table, lookup);
    return lookup;
  };
  const capacity = run.nodes.map(({ capacity: c, table }) => {
    if (!table) return () => c;
    const heat = at(table);
    return (t: number) => c * heat(t);
  });
  const factors = run.links.map((link) => (link.factor ? at(link.factor) : null));

  const count = run.links.length;
  const ends = {
    from: Int32Array.from(run.links, (link) => link.from),
    to: Int32Array.from(run.links, (link) => (link.to === 'ambient' ? -1 : link.to)),
  };
  const radiation = Float64Array.from(run.links, (link) => link.radiation ?? 0);

  let evaluations = 0;
  let y = run.nodes.map((node) => node.start);
  const rows = [y];
  for (let k = 0; k < run.times.length - 1; k++) {
    const [start, end] = [run.times[k], run.times[k + 1]];
    const air = run.ambient[k];
    const conductance = Float64Array.from(run.links, ({ conductance: g }) =>
      typeof g === 'number' ? g : g[k],
    );
    const rate = (time: number, now: number[]): number[] => {
      evaluations += 1;
      const heat = new Array<number>(n).fill(0);
      const share = (time - start) / (end - start);
      for (const { node, from, to } of run.sources) heat[node] += from[k] + share * (to[k] - from[k]);
      for (let l = 0; l < count; l++) {
        const a = now[ends.from[l]];
        const b = ends.to[l] < 0 ? air : now[ends.to[l]];
        const factor = factors[l];
        let flow = conductance[l] * (a - b);
        if (factor) flow *= factor(0.5 * (a + b));
        if (radiation[l] > 0) flow += radiation[l] * (a * a * a * a - b * b * b * b);
        heat[ends.from[l]] -= flow;
        if (ends.to[l] >= 0) heat[ends.to[l]] += flow;
      }
      for (let i = 0; i < n; i++) heat[i] /= capacity[i](now[i]);
      return heat;
    };
    const solver = new Solver(n);
    solver.absoluteTolerance = tolerance;
    solver.relativeTolerance = tolerance;
    solver.maxSteps = 100_000;
    solver.initialStepSize = Math.min(0.02, end - start);
    const { y: next, outcome } = solver.solve(rate, start, y, end);
    if (outcome !== Outcome.Converged) throw new Error(`odex ended at step ${k} with outcome ${outcome}`);
    y = next;
    rows.push(y);
  }
  return { rows, evaluations };
}
