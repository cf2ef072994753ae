import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { judged, leftAtWorse, simulateDay } from '../../core';
import { dayInput, setupOf } from '../../model';
import { recordEdit, redo, startHistory, undo } from '../state/history';
import { stepZone } from '../state/selection';
import { heatOklch } from '../ui/charts/heatColor';
import { densePath } from '../ui/charts/paths';
import { asDrawn } from './workbench/asDrawn';
import { placeNumbers } from './workbench/ZoneButtons';

describe('history', () => {
  it('undoes every edit back to the start and redoes it to the end, whatever the edits', () => {
    fc.assert(
      fc.property(fc.array(fc.integer(), { maxLength: 30 }), (edits) => {
        let history = startHistory<number>(Number.NaN);
        edits.forEach((value, i) => {
          history = recordEdit(history, value, 'edit', null, i);
        });
        const end = history.value;
        while (history.past.length > 0) history = undo(history);
        expect(history.value).toBeNaN();
        while (history.future.length > 0) history = redo(history);
        expect(history.value).toBe(end);
      }),
    );
  });

  it('takes quick edits of one field as one, and others as their own', () => {
    let history = startHistory('');
    history = recordEdit(history, 'a', 'Name', 'name', 0);
    history = recordEdit(history, 'ab', 'Name', 'name', 400);
    history = recordEdit(history, 'abc', 'Name', 'name', 3000);
    history = recordEdit(history, 'abc!', 'Mass', 'mass', 3100);
    expect(history.past.map((step) => step.value)).toEqual(['', 'ab', 'abc']);
    expect(undo(undo(undo(history))).value).toBe('');
    const branched = recordEdit(undo(history), 'x', 'Mass', 'mass', 3200);
    expect(branched.future).toEqual([]);
  });
});

/** OKLCH to linear sRGB: Ottosson 2020, "A perceptual color space for image processing". */
function linearRgb([l, c, h]: readonly [number, number, number]): [number, number, number] {
  const [a, b] = [c * Math.cos((h * Math.PI) / 180), c * Math.sin((h * Math.PI) / 180)];
  const cone = [
    l + 0.3963377774 * a + 0.2158037573 * b,
    l - 0.1055613458 * a - 0.0638541728 * b,
    l - 0.0894841775 * a - 1.291485548 * b,
  ].map((v) => v ** 3);
  return [
    4.0767416621 * cone[0] - 3.3077115913 * cone[1] + 0.2309699292 * cone[2],
    -1.2684380046 * cone[0] + 2.6097574011 * cone[1] - 0.3413193965 * cone[2],
    -0.0041960863 * cone[0] - 0.7034186147 * cone[1] + 1.707614701 * cone[2],
  ];
}
/** Severe protan, deutan and tritan sight in linear RGB: Machado, Oliveira and Fernandes 2009, table 1. */
const SIGHTS = {
  protan: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  deutan: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  tritan: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
  usual: [1, 0, 0, 0, 1, 0, 0, 0, 1],
};

describe('temperature ramp', () => {
  it('gets evenly lighter with temperature for every kind of colour sight', () => {
    for (const m of Object.values(SIGHTS)) {
      const lightness = Array.from({ length: 21 }, (_, i) => {
        const [r, g, b] = linearRgb(heatOklch(i / 20)).map((v) => Math.max(0, v));
        const seen = [0, 3, 6].map((k) => Math.max(0, m[k] * r + m[k + 1] * g + m[k + 2] * b));
        return Math.cbrt(0.2126 * seen[0] + 0.7152 * seen[1] + 0.0722 * seen[2]);
      });
      const steps = lightness.slice(1).map((v, i) => v - lightness[i]);
      expect(Math.min(...steps)).toBeGreaterThan(0.008);
      expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(4.5);
    }
  });
});

describe('charts', () => {
  it('keep every extreme of a dense line while drawing few points', () => {
    const n = 20_000;
    const ys = Float64Array.from({ length: n }, (_, i) => Math.sin(i / 50) + (i === 777 ? 100 : 0));
    const xs = Float64Array.from({ length: n }, (_, i) => i / n);
    const path = densePath(
      xs,
      ys,
      (v) => v * 300,
      (v) => v,
    );
    expect(path.split('L').length).toBeLessThan(620);
    expect(path.split(/[ML]/).some((point) => Math.abs(Number(point.split(',')[1]) - ys[777]) < 0.06)).toBe(
      true,
    );
  });

  it('write each place in tenths as any number is written, however large, small or missing', () => {
    const places = fc.array(fc.tuple(fc.double(), fc.float()), {
      minLength: 1,
      maxLength: 40,
    });
    const tenths = (value: number) => `${Math.round(value * 10) / 10}`;
    fc.assert(
      fc.property(
        fc.oneof(
          places,
          fc.array(fc.tuple(fc.double({ min: -99, max: 3000 }), fc.double({ min: -9, max: 400 }))),
        ),
        (points) => {
          // Each in a column of its own.
          const xs = points.map(([x], i) => (Number.isFinite(x) ? x : 0) + 1e4 * i);
          const ys = points.map(([, y]) => y);
          const apart = xs.filter((x, i) => i === 0 || Math.round(0.5 * x) !== Math.round(0.5 * xs[i - 1]));
          fc.pre(apart.length === xs.length);
          const path = densePath(
            xs,
            ys,
            (v) => v,
            (v) => v,
          );
          const wanted = xs.map((x, i) => `${i === 0 ? 'M' : 'L'}${tenths(x)},${tenths(ys[i])}`).join('');
          return path === wanted;
        },
      ),
    );
    const many = Float64Array.from({ length: 9000 }, (_, i) => 10 * i + 0.04);
    const path = densePath(
      many,
      many,
      (v) => v,
      (v) => -v,
    );
    expect(path.split('L')).toHaveLength(9000);
    expect(path.endsWith('L89990,-89990')).toBe(true);
  });

  it('never lay two stop numbers over each other, with 3 stops or 30', () => {
    for (const [count, rows] of [
      [3, 2],
      [30, 2],
    ]) {
      const centres = Array.from({ length: count }, (_, i) => 50 + (i * 800) / count + (i % 3) * 4);
      const placed = placeNumbers(centres, 21, rows);
      for (let row = 0; row < rows; row++) {
        const lefts = placed.filter((p) => p.row === row).map((p) => p.left);
        for (let i = 1; i < lefts.length; i++) expect(lefts[i] - lefts[i - 1]).toBeGreaterThanOrEqual(21);
      }
    }
  });

  it('of a day are drawn once, before and after it is judged, unless its limit is another or passed elsewhere', () => {
    const demo = setupOf(demoProject);
    const setup = { ...demo, plan: oneSession(demo.plan, { hotLaps: 2, paddockMin: 3 }) };
    const own = simulateDay(dayInput(setup));
    const told = judged(own, leftAtWorse(dayInput(setup)));
    const first = { setup, result: own };
    expect(asDrawn(first)).toBe(first);
    expect(asDrawn({ setup, result: told })).toBe(first);
    const { verdict } = told;
    for (const margin of [
      { ...verdict.margin, limit: verdict.margin.limit + 1 },
      { ...verdict.margin, passed: { lap: 1, session: 0, time: 12, distance: null } },
    ]) {
      const other = { setup, result: { ...told, verdict: { ...verdict, margin } } } as typeof first;
      expect(asDrawn(other)).toBe(other);
    }
    // A renamed plan is the same day, and its own to be drawn; so is the same day driven anew.
    expect(asDrawn(first)).toBe(first);
    const renamed = { setup: { ...setup }, result: told };
    expect(asDrawn(renamed)).toBe(renamed);
    const again = { setup, result: simulateDay(dayInput(setup)) };
    expect(asDrawn(again)).toBe(again);
  });

  it('step round the stops of a lap', () => {
    expect(stepZone({ lap: 2, zone: 6, side: 'hotter' }, 1, 7)).toEqual({ lap: 2, zone: 0, side: 'hotter' });
    expect(stepZone({ lap: 2, zone: 0, side: 'hotter' }, -1, 7)).toEqual({ lap: 2, zone: 6, side: 'hotter' });
    expect(stepZone({ lap: 2, zone: 0, side: 'hotter' }, 1, 0)).toEqual({ lap: 2, zone: 0, side: 'hotter' });
  });
});
