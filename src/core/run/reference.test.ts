import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drawProjects, makeReference } from '../../../tests/support/makeReference';
import {
  networksOf,
  type Peaks,
  peaksOf,
  REFERENCE,
  referenceCases,
} from '../../../tests/support/referenceCases';
import { recordFigure } from '../../../tests/support/validation';

const { REFERENCE: wanted, REFERENCE_DRAW: draw } = process.env;
if (wanted) {
  if (draw) drawProjects();
  makeReference(wanted);
}

/** Highest temperature of every node as npm odex found it at 1e-8 from the same forcing (`npm run reference`). */
const reference = JSON.parse(readFileSync(REFERENCE, 'utf8')) as Record<string, Record<string, Peaks>>;

describe('every peak of every node, front and rear, within 0.5 K of npm odex at 1e-8', () => {
  it.each(referenceCases())('$name', (one) => {
    for (const [wheel, run] of networksOf(one)) {
      const theirs = reference[one.name][wheel];
      const ours = peaksOf(run, run.temperatures);
      expect(Object.keys(ours)).toEqual(Object.keys(theirs));
      const apart = Object.keys(ours).map((name) => Math.abs(ours[name] - theirs[name]));
      const worst = Math.max(...apart);
      expect(worst, `${wheel}, ${Object.keys(ours)[apart.indexOf(worst)]}`).toBeLessThan(0.5);
      recordFigure({
        id: '17',
        what: `Whole day by another method at 1e-8: worst peak of any node, ${one.name}, ${wheel === 'frontLeft' ? 'front' : 'rear'}`,
        expected: 'under 0.5',
        computed: worst,
        unit: 'K',
        source: 'npm odex',
      });
    }
  });
});
