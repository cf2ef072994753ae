import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { type Car, dayInput, METRIC, setupOf } from '../../model';
import { verdictText } from '../../text/en';
import type { DayInput } from '../schedule';
import { simulateDay } from './day';
import { judgedDay, likelyJudged, withCooling } from './judgedDay';
import { isCold } from './limits';
import { isClose } from './margins';
import type { DayResult } from './result';

const fen = setupOf(demoProject, 'plan-tarn-fen');
const skarn = setupOf(demoProject, 'plan-skarn-fen');
const short = (of: typeof fen, hotLaps: number, car: (car: Car) => Car = (c) => c) =>
  dayInput({ ...of, car: car(of.car), plan: oneSession(of.plan, { hotLaps, paddockMin: 8 }) });

describe('a day judged with what nobody knows of its cooling', () => {
  it('is never within limits where 0.7 times the cooling passes one, by part; the rest is the same day', () => {
    const cooling = (factor: number) => (car: Car) => ({
      ...car,
      front: { ...car.front, coolingFactor: factor },
      rear: { ...car.rear, coolingFactor: factor },
    });
    const kinds = new Set<string>();
    for (const factor of [0.5, 0.8, 1.2, 1.8, 3]) {
      const input = short(fen, 5, cooling(factor));
      const day = judgedDay(input);
      const worse = simulateDay(withCooling(input, { front: 0.7, rear: 0.7 }));
      expect(day.peaks).toEqual(simulateDay(input).peaks);
      const hot = [...day.margins.filter((m) => !isCold(m)), ...day.forceMargins];
      const there = [...worse.margins.filter((m) => !isCold(m)), ...worse.forceMargins];
      hot.forEach((margin, k) => {
        expect(margin.lessCooling).toBe(there[k].margin);
        if (!margin.passed) expect(isClose(margin)).toBe(there[k].margin < 0);
      });
      const passed = hot.some((m) => m.passed);
      const near = there.some((m) => m.margin < 0);
      kinds.add(day.verdict.kind);
      if (passed) expect(day.verdict.kind).toBe('over-limit');
      else if (near) {
        expect(day.verdict.kind).toBe('close');
        expect(day.verdict.margin.lessCooling).toBeLessThan(0);
      } else expect(['within-limits', 'below-working']).toContain(day.verdict.kind);
    }
    expect(kinds.size).toBeGreaterThan(2);
  });

  it('does not say too cold where a limit is close', () => {
    // The prototype’s pads begin under their window; with a lower limit they are close to it besides.
    const base = judgedDay(short(skarn, 4));
    expect(base.verdict.coldBite).not.toBeNull();
    const near = short(skarn, 4);
    const least = base.peaks.frontLeft.padFace + 1;
    const lowered = { ...near.front.left, pad: { ...near.front.left.pad, limit: least } };
    const day = judgedDay({ ...near, front: { ...near.front, left: lowered, right: lowered } });
    expect(day.verdict).toMatchObject({ kind: 'close', margin: { part: 'padFace', axle: 'front' } });
    expect(day.verdict.coldBite).not.toBeNull();
  });

  it('is told before it is judged only where nothing told of it is another once it is', () => {
    const closeOnes = ({ margins, forceMargins }: DayResult) =>
      [...margins, ...forceMargins].map((m) => !m.passed && isClose(m));
    let [told, waited, marks, others] = [0, 0, 0, 0];
    for (const of of [setupOf(demoProject), fen, skarn]) {
      const input = short(of, 4);
      const moved = (mass: number, grip: number): DayInput => ({
        ...input,
        vehicle: { ...input.vehicle, mass: mass * input.vehicle.mass },
        driver: { ...input.driver, brakingGripUsed: grip * input.driver.brakingGripUsed },
      });
      let like = judgedDay(input);
      for (let k = 1; k <= 6; k++) {
        const day = moved(1 + 0.03 * k, 1 - 0.01 * k);
        const judgedItself = judgedDay(day);
        const likely = likelyJudged(simulateDay(day), like);
        if (likely) {
          told += 1;
          expect(verdictText(likely, METRIC)).toEqual(verdictText(judgedItself, METRIC));
          expect(likely.peaks).toEqual(judgedItself.peaks);
          const itself = closeOnes(judgedItself);
          marks += itself.length;
          closeOnes(likely).forEach((mark, i) => {
            if (mark !== itself[i]) others += 1;
          });
        } else waited += 1;
        like = judgedItself;
      }
    }
    expect(told).toBeGreaterThan(4);
    expect(waited).toBeGreaterThan(4);
    expect(others / marks).toBeLessThan(0.03);
    // One that was not judged tells nothing of another.
    expect(likelyJudged(simulateDay(short(fen, 4)), simulateDay(short(fen, 4)))).toBeNull();
  });
});
