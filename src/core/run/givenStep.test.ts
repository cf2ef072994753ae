import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { frictionAt } from '../brake';
import { MOST_AT_ONCE } from '../heat';
import { DEFAULT_NUMERICS, daySchedule, type GivenPiece, type Steps } from '../schedule';
import { simulateDay } from './day';
import { stretchesOf } from './givenStep';

/** Every kind of steps that the demo's days have, with braking zones that could be made. */
function stepsOf(plan: string): Steps[] {
  const pieces = daySchedule(dayInput(setupOf(demoProject, plan)), DEFAULT_NUMERICS).pieces();
  const found = new Set<Steps>();
  for (let next = pieces.next(); !next.done; ) {
    const { steps, lap } = next.value as GivenPiece;
    found.add(steps);
    const available = (lap?.trace.zones ?? []).map(() => Number.POSITIVE_INFINITY);
    // Nothing else of what came of a lap is asked for.
    next = pieces.next({ available, duration: steps.duration, stop: null, of: () => expect.fail() });
  }
  return [...found];
}

describe('what is planned at once', () => {
  it('is every step once, in order, of one braking or of none', () => {
    let brakings = 0;
    for (const steps of demoProject.plans.flatMap(({ id }) => stepsOf(id))) {
      const { dt, inZone, zone, demand } = steps;
      let k = 0;
      for (const { count, coasts } of stretchesOf(steps)) {
        expect(count).toBeGreaterThan(0);
        expect(count).toBeLessThanOrEqual(coasts ? MOST_AT_ONCE : 8);
        for (let j = k; j < k + count; j++) {
          const braked =
            inZone[j] === 1 || (demand !== null && Math.max(demand.early[j], demand.late[j]) > 0);
          expect(braked, `step ${j}`).toBe(!coasts);
          if (!coasts) expect([zone[j], inZone[j]]).toEqual([zone[k], inZone[k]]);
        }
        if (!coasts) brakings += 1;
        k += count;
      }
      expect(k).toBe(dt.length);
    }
    expect(brakings).toBeGreaterThan(200);
  });

  it('leaves glaze and friction of a pad where noting each step by itself would', () => {
    let off = 0;
    // By the record alone: what lies over the limit in the hottest band, from step to step.
    for (const { id } of demoProject.plans) {
      const day = dayInput(setupOf(demoProject, id));
      const { record } = simulateDay(day);
      const { glaze, padFace, rotorBand, rotorFace, friction, bedded } = record.wheels.frontLeft;
      const { pad } = day.front.left;
      let left = 1 - glaze[0];
      for (let i = 1; i < glaze.length; i++) {
        const over = (k: number) => padFace[k] + rotorBand[k] - rotorFace[k] - pad.limit;
        const [low, high] = [Math.min(over(i - 1), over(i)), Math.max(over(i - 1), over(i))];
        const mean = high <= 0 ? 0 : low >= 0 ? 0.5 * (low + high) : (0.5 * high * high) / (high - low);
        left *= Math.exp((-mean * (record.time[i] - record.time[i - 1])) / (100 * 60));
        expect(glaze[i], `${id}, sample ${i}`).toBeCloseTo(1 - left, 9);
        // Within a stretch it is reckoned with the excess of the band before it.
        off = Math.max(off, Math.abs(friction[i] - frictionAt(pad, padFace[i], glaze[i], bedded[i])));
      }
    }
    expect(off).toBeGreaterThan(1e-9);
    expect(off).toBeLessThan(5e-4);
  });
});
