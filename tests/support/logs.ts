import { demoProject } from '../../demo/project';
import { sampleLine } from '../../src/core';
import { circuitGpx } from '../../src/io';
import { circuitInput } from '../../src/model';
import { loggerCsv, simulatedLog } from '../../src/server/standIns/logger';

/** A file as the simulated logger writes it. */
export const loggedCsv = (laps: number, rate: number): string =>
  [...loggerCsv(simulatedLog({ planId: 'plan-tarn-anvil', laps, rate, noise: 1, seed: 1 }))].join('');

/** A demo circuit as the GPX file it exports. */
export function exportedGpx(index: number): string {
  const circuit = demoProject.circuits[index];
  const input = circuitInput(circuit);
  if (input.kind !== 'line' || !circuit.place) throw new Error('a placed line was expected');
  return circuitGpx(circuit.name, sampleLine(input.segments, 3), circuit.place, []);
}
