import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { simulateDay } from '../../src/core';
import { dayInput, type Project, projectProblems, setupOf } from '../../src/model';
import { anyProject } from './anyProject';
import { integrateNetwork } from './integrateNetwork';
import {
  networksOf,
  type Peaks,
  peaksOf,
  RANDOM_PROJECTS,
  REFERENCE,
  referenceCases,
} from './referenceCases';

const DRAWN = 10;
const SEED = 20261128;

/** Whether a drawn project can be driven, and its brakes get warm and not past sense. */
function isDriven(project: Project): boolean {
  if (projectProblems(project).some(({ severity }) => severity === 'error')) return false;
  try {
    const { peaks } = simulateDay(dayInput(setupOf(project)));
    const faces = Object.values(peaks).map(({ rotorFace }) => rotorFace);
    return Math.min(...faces) > 330 && Math.max(...faces) < 1600;
  } catch {
    return false;
  }
}

/** Draws the ten projects that are kept as a file. */
export function drawProjects(): void {
  const drawn = fc.sample(anyProject(), { seed: SEED, numRuns: 100 }).filter(isDriven).slice(0, DRAWN);
  if (drawn.length < DRAWN) throw new Error(`Only ${drawn.length} of the drawn projects can be driven.`);
  writeFileSync(RANDOM_PROJECTS, `[\n${drawn.map((project) => JSON.stringify(project)).join(',\n')}\n]\n`);
}

/** Integrates the cases by npm odex at 1e-8 and keeps the peaks as a file. @param wanted names, or all */
export function makeReference(wanted: string): void {
  const kept: Record<string, Record<string, Peaks>> = existsSync(REFERENCE)
    ? JSON.parse(readFileSync(REFERENCE, 'utf8'))
    : {};
  for (const one of referenceCases()) {
    if (wanted !== 'all' && !wanted.split(',').includes(one.name)) continue;
    kept[one.name] = Object.fromEntries(
      networksOf(one).map(([wheel, run]) => [wheel, peaksOf(run, integrateNetwork(run, 1e-8).rows)]),
    );
    const lines = Object.entries(kept).map(([name, of]) => `${JSON.stringify(name)}: ${JSON.stringify(of)}`);
    writeFileSync(REFERENCE, `{\n${lines.join(',\n')}\n}\n`);
  }
}
