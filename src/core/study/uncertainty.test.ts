import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { recordFigure } from '../../../tests/support/validation';
import { dayInput, setupOf } from '../../model';
import { normalQuantile } from '../numeric';
import { randomNumbers } from '../numeric/random';
import { simulateDay } from '../run';
import type { DayInput } from '../schedule';
import { latinHypercube } from './latinHypercube';
import { hotMargins } from './least';
import { moved, PARAMETER_IDS, PARAMETERS, ParameterError } from './parameters';
import { type RunLayout, runLayout, WATCHED_LIMITS, writeRun } from './runRecord';
import { BAND_SHARES, runStatistics } from './runStatistics';
import { firstOrderShares, quantile, sorted } from './spread';
import { drawn, type UncertainRange, valueIn } from './uncertain';

const setup = setupOf(demoProject, 'plan-tarn-anvil');
const short = dayInput({
  ...setup,
  plan: oneSession(setup.plan, { hotLaps: 2, coolDownLaps: 1, paddockMin: 6 }),
});

/** Runs of a day at every row of a design, as the workers make them. */
function ran(day: DayInput, ranges: readonly UncertainRange[], runs: number, seed = 7) {
  const layout = runLayout(day);
  const design = latinHypercube(runs, ranges.length, seed);
  const values = new Float32Array(runs * layout.width);
  for (let run = 0; run < runs; run++) {
    const row = design.subarray(run * ranges.length, (run + 1) * ranges.length);
    const moved = drawn(day, ranges, row);
    writeRun(moved, simulateDay(moved), layout, values, run * layout.width);
  }
  return { layout, design, values, statistics: runStatistics(values, layout, design, ranges.length) };
}

describe('Latin hypercube', () => {
  it('uses every slice of every input once, and the same seed gives the same design', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 4_294_967_295 }),
        (runs, inputs, seed) => {
          const design = latinHypercube(runs, inputs, seed);
          for (let input = 0; input < inputs; input++) {
            const slices = new Set<number>();
            for (let run = 0; run < runs; run++) {
              const value = design[run * inputs + input];
              expect(value).toBeGreaterThan(0);
              expect(value).toBeLessThan(1);
              slices.add(Math.floor(value * runs));
            }
            expect(slices.size).toBe(runs);
          }
          expect(latinHypercube(runs, inputs, seed)).toEqual(design);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('orders the inputs apart from each other, and by the seed', () => {
    const runs = 2000;
    const design = latinHypercube(runs, 3, 11);
    for (const [a, b] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ]) {
      let together = 0;
      for (let run = 0; run < runs; run++) {
        together += (design[run * 3 + a] - 0.5) * (design[run * 3 + b] - 0.5) * 12;
      }
      // A correlation of 2000 independent pairs strays by 0.022.
      expect(Math.abs(together / runs)).toBeLessThan(0.09);
    }
    expect(latinHypercube(runs, 3, 12)).not.toEqual(design);
    expect(() => latinHypercube(0, 2, 1)).toThrow(/at least one run/);
    expect(() => latinHypercube(2.5, 2, 1)).toThrow(RangeError);
  });
});

describe('distributions', () => {
  it('gives the quantiles of the normal distribution (tables, from memory)', () => {
    for (const [probability, value] of [
      [0.5, 0],
      [0.8413447460685429, 1],
      [0.975, 1.959963984540054],
      [0.99865010196837, 3],
      [0.001, -3.090232306167813],
    ]) {
      expect(normalQuantile(probability)).toBeCloseTo(value, 7);
      expect(normalQuantile(1 - probability)).toBeCloseTo(-value, 7);
    }
  });

  it('an even range is uniform, a bell has 95 % between its ends', () => {
    const design = latinHypercube(4000, 1, 3);
    const even = sorted(design.map((p) => valueIn({ input: 'mass', low: -20, high: 60, shape: 'even' }, p)));
    for (const share of [0, 0.1, 0.5, 0.9, 1]) {
      expect(quantile(even, share)).toBeCloseTo(-20 + 80 * share, 1);
    }
    const bell = Array.from(design, (p) => valueIn({ input: 'mass', low: -20, high: 60, shape: 'bell' }, p));
    expect(bell.filter((v) => v > -20 && v < 60).length / 4000).toBeCloseTo(0.95, 3);
    const mean = bell.reduce((a, b) => a + b) / 4000;
    expect(mean).toBeCloseTo(20, 1);
    expect(Math.sqrt(bell.reduce((s, v) => s + (v - mean) ** 2, 0) / 4000)).toBeCloseTo(40 / 1.96, 1);
  });

  it('quantiles are those of the sample, linear between', () => {
    expect(quantile([1, 2, 4, 8], 0)).toBe(1);
    expect(quantile([1, 2, 4, 8], 1)).toBe(8);
    expect(quantile([1, 2, 4, 8], 0.5)).toBe(3);
    expect(quantile([5], 0.7)).toBe(5);
  });
});

describe('what matters', () => {
  it('finds the shares of the Ishigami function (from memory: 0.3139, 0.4424, 0)', () => {
    const runs = 4096;
    const design = latinHypercube(runs, 3, 5);
    const output = Array.from({ length: runs }, (_, run) => {
      const [x, y, z] = [0, 1, 2].map((k) => Math.PI * (2 * design[run * 3 + k] - 1));
      return Math.sin(x) + 7 * Math.sin(y) ** 2 + 0.1 * z ** 4 * Math.sin(x);
    });
    const shares = firstOrderShares(design, 3, output);
    expect(shares[0]).toBeCloseTo(0.3139, 1);
    expect(Math.abs(shares[0] - 0.3139)).toBeLessThan(0.025);
    expect(Math.abs(shares[1] - 0.4424)).toBeLessThan(0.025);
    expect(shares[2]).toBeLessThan(0.01);
    // The second has no slope at all, so no correlation would have found it.
    expect(shares[1]).toBeGreaterThan(shares[0]);
    [0.3139, 0.4424, 0].forEach((known, k) => {
      recordFigure({
        id: 'Ishigami',
        what: `First-order share of input ${k + 1}, 4096 runs`,
        expected: String(known),
        computed: shares[k],
        unit: '',
        source: 'Ishigami and Homma 1990 (from memory)',
      });
    });
  });

  it('a sum of inputs shares its variance by the squares of its factors; what does not enter has none', () => {
    const runs = 1000;
    const design = latinHypercube(runs, 4, 19);
    const output = Array.from(
      { length: runs },
      (_, r) => 3 * design[r * 4] - 4 * design[r * 4 + 1] + 0.5 * design[r * 4 + 3],
    );
    const shares = firstOrderShares(design, 4, output);
    const all = 9 + 16 + 0.25;
    expect(shares[0]).toBeCloseTo(9 / all, 1);
    expect(shares[1]).toBeCloseTo(16 / all, 1);
    expect(shares[2]).toBeLessThan(0.03);
    expect(firstOrderShares(design, 4, new Float64Array(runs).fill(3))).toEqual([0, 0, 0, 0]);
  });

  it('noise alone explains nothing, however few the runs', () => {
    for (const runs of [40, 200, 1000]) {
      const random = randomNumbers(runs);
      const design = latinHypercube(runs, 2, runs);
      let mean = 0;
      for (let k = 0; k < 40; k++) {
        const noise = Array.from({ length: runs }, () => random.normal());
        mean += firstOrderShares(design, 2, noise)[0] / 40;
      }
      expect(mean).toBeLessThan(0.08);
    }
  });
});

describe('uncertain days', () => {
  it('one input, a linear response: the fluid’s margin has the distribution of its boiling point', () => {
    const base = simulateDay(short);
    const margin = hotMargins(base).find((m) => m.part === 'fluid' && m.axle === 'front')?.margin ?? 0;
    const at = WATCHED_LIMITS.findIndex((l) => l.axle === 'front' && l.part === 'fluid');
    for (const shape of ['even', 'bell'] as const) {
      const range = { input: 'fluidState', low: -40, high: 20, shape } as const;
      // The day itself is the same in all of them, so its runs need not be computed again.
      const layout = runLayout(short);
      const design = latinHypercube(500, 1, 4);
      const values = new Float32Array(500 * layout.width);
      for (let run = 0; run < 500; run++) {
        const moved = drawn(short, [range], design.subarray(run, run + 1));
        writeRun(moved, base, layout, values, run * layout.width);
      }
      const { risks } = runStatistics(values, layout, design, 1);
      BAND_SHARES.forEach((share, k) => {
        const known = margin + valueIn(range, share);
        expect(Math.abs(risks[at].margin[k] - known)).toBeLessThan(0.25);
        recordFigure({
          id: 'Spread',
          what: `Fluid margin under which ${100 * share} % of the runs lie, ${shape} range of −40 to 20 K`,
          expected: known.toFixed(2),
          computed: risks[at].margin[k],
          unit: 'K',
          source: 'the range itself, moved by the margin',
        });
      });
      expect(risks[at].matters[0]).toBeGreaterThan(0.97);
      // The chance of boiling is the share of the range below −margin.
      const shift = -margin - 10;
      const low = { ...range, low: -40 + shift, high: 20 + shift };
      for (let run = 0; run < 500; run++) {
        const moved = drawn(short, [low], design.subarray(run, run + 1));
        writeRun(moved, base, layout, values, run * layout.width);
      }
      const chance = runStatistics(values, layout, design, 1).risks[at].passedBy.at(-1) ?? 0;
      expect(chance).toBeCloseTo(shape === 'even' ? 50 / 60 : 0.904, 2);
    }
  });

  it('keeps of a run what its result says: last margins are the day’s, curves peak where it peaks', () => {
    for (const id of ['plan-tarn-day', 'plan-ovel-nettle']) {
      const day = dayInput(setupOf(demoProject, id));
      const result = simulateDay(day);
      const layout = runLayout(day);
      const values = new Float32Array(layout.width);
      writeRun(day, result, layout, values, 0);
      const columns = layout.laps + 1;
      expect(layout.laps).toBe(result.laps.length);
      WATCHED_LIMITS.forEach(({ axle, part }, k) => {
        const all = [...result.margins, ...result.forceMargins].filter(
          (m) => m.part === part && (axle === null || ('axle' in m && m.axle === axle)),
        );
        const least = Math.min(...all.map((m) => m.margin)) * (part === 'travel' ? 1000 : 1);
        expect(values[k * columns + columns - 1]).toBeCloseTo(least, 2);
        for (let lap = 1; lap < columns; lap++) {
          expect(values[k * columns + lap]).toBeLessThanOrEqual(values[k * columns + lap - 1]);
        }
        // What passes its limit on a lap has no margin from that lap on, and had some before it.
        const passed = all.map((m) => m.passed).find((m) => m && m.lap !== null);
        if (passed?.lap && all.length === 1) {
          expect(values[k * columns + passed.lap - 1]).toBeLessThan(0);
          if (passed.lap > 1) expect(values[k * columns + passed.lap - 2]).toBeGreaterThanOrEqual(0);
        }
      });
      const face = WATCHED_LIMITS.length * columns;
      const points = layout.points.length;
      const curve = values.subarray(face, face + points);
      const peak = Math.max(result.peaks.frontLeft.rotorFace, result.peaks.frontRight.rotorFace);
      expect(Math.max(...curve)).toBeCloseTo(peak, 2);
      expect(Math.min(...curve)).toBeGreaterThan(day.sessions[0].ambient - 1);
      expect(layout.points.at(-1)?.standing).toBeGreaterThan(1);
    }
  });

  it('moves each input the way its name says', () => {
    // Warm air takes no power from this engine, so that it shows in the brakes alone.
    const { left, right } = short.front;
    const air = { ...left.air, ductArea: 0.004 };
    const blown = {
      ...short,
      front: { ...short.front, left: { ...left, air }, right: { ...right, air } },
      vehicle: { ...short.vehicle, intake: 'supercharged' as const },
    };
    const base = simulateDay(blown);
    const hotter = (input: (typeof PARAMETER_IDS)[number], value: number) => {
      const { peaks } = simulateDay(moved(blown, input, value));
      return {
        front: peaks.frontLeft.rotorBulk - base.peaks.frontLeft.rotorBulk,
        rear: peaks.rearLeft.rotorBulk - base.peaks.rearLeft.rotorBulk,
        fluid: peaks.frontLeft.fluid - base.peaks.frontLeft.fluid,
      };
    };
    expect(hotter('frontCooling', 0.7).front).toBeGreaterThan(3);
    expect(hotter('rearCooling', 0.7).rear).toBeGreaterThan(3);
    expect(hotter('frontFriction', 1.15).front).toBeGreaterThan(3);
    expect(hotter('rearFriction', 1.15).rear).toBeGreaterThan(3);
    expect(hotter('mass', 80).front).toBeGreaterThan(3);
    expect(hotter('padHeat', 1.4).fluid).toBeGreaterThan(1);
    expect(hotter('ambient', 10).front).toBeGreaterThan(3);
    expect(hotter('driver', 0.9).front).toBeLessThan(-3);
    expect(hotter('faceConvection', 0.7).front).toBeGreaterThan(1);
    expect(hotter('vaneConvection', 0.7).front).toBeGreaterThan(1);
    expect(hotter('plateToFluid', 1.5).fluid).toBeGreaterThan(1);
    expect(hotter('fluidToBody', 0.5).fluid).toBeGreaterThan(0.2);
    expect(hotter('ringToHat', 0.5).front).toBeGreaterThan(0.5);
    expect(hotter('hatArea', 0.5).front).toBeGreaterThan(0.05);
    expect(hotter('ductInletLoss', 2).front).toBeGreaterThan(0.1);
    expect(hotter('emissivity', 0.7).front).toBeGreaterThan(0.5);
    expect(Math.abs(hotter('corneringGrip', 0.9).front)).toBeGreaterThan(1);
    expect(Math.abs(hotter('brakingGrip', 0.9).front)).toBeGreaterThan(1);
    expect(hotter('power', 1.1).front).toBeGreaterThan(3);
    expect(hotter('fluidState', -30)).toEqual({ front: 0, rear: 0, fluid: 0 });
    // Outside its bounds it is named and refused.
    expect(() => moved(short, 'ringToHat', 20)).toThrow(/ringToHat: 20 was given; 0.1 to 5/);
    expect(() => moved(short, 'power', Number.NaN)).toThrow(ParameterError);
    const neutral = PARAMETER_IDS.map((input): UncertainRange => {
      const added = PARAMETERS[input].how === 'added';
      return { input, low: added ? 0 : 1, high: added ? 0 : 1, shape: 'even' };
    });
    const same = drawn(blown, neutral, new Float64Array(neutral.length).fill(0.5));
    expect(simulateDay(same).peaks).toEqual(base.peaks);
  });

  it('bands lie in order, chances grow lap by lap, and a wider range is a wider band', () => {
    const ranges = (width: number): UncertainRange[] => [
      { input: 'frontCooling', low: 1 - width, high: 1 + width, shape: 'even' },
      { input: 'driver', low: 1 - width / 6, high: 1 + width / 6, shape: 'bell' },
    ];
    const narrow = ran(short, ranges(0.1), 24);
    const wide = ran(short, ranges(0.4), 24);
    for (const { statistics } of [narrow, wide]) {
      for (const { lines } of statistics.bands) {
        for (let p = 0; p < lines[0].length; p++) {
          for (let k = 1; k < lines.length; k++) expect(lines[k][p]).toBeGreaterThanOrEqual(lines[k - 1][p]);
        }
      }
      for (const { passedBy } of statistics.risks) {
        for (let lap = 1; lap < passedBy.length; lap++) {
          expect(passedBy[lap]).toBeGreaterThanOrEqual(passedBy[lap - 1]);
        }
      }
      statistics.anyBy.forEach((any, lap) => {
        expect(any).toBeGreaterThanOrEqual(Math.max(...statistics.risks.map((r) => r.passedBy[lap])));
      });
    }
    const width = ({ statistics }: typeof narrow) => {
      const { lines } = statistics.bands[1];
      return Math.max(...lines[4].map((v, p) => v - lines[0][p]));
    };
    expect(width(wide)).toBeGreaterThan(2.5 * width(narrow));
    const same = (a: typeof narrow) => Buffer.from(a.values.buffer).equals(Buffer.from(narrow.values.buffer));
    expect(same(ran(short, ranges(0.1), 24))).toBe(true);
    expect(same(ran(short, ranges(0.1), 24, 8))).toBe(false);
  });

  it('lays a day of several sessions out lap by lap and stand by stand', () => {
    const day = dayInput(setupOf(demoProject, 'plan-tarn-day'));
    const layout: RunLayout = runLayout(day);
    const standing = layout.points.filter((p) => p.standing > 0);
    expect(standing).toHaveLength(5 * layout.perStand);
    expect(layout.points.filter((p) => p.standing === 0)).toHaveLength(layout.laps * layout.perLap);
    expect(layout.points[0].lap).toBeCloseTo(0.5 / layout.perLap, 12);
  });
});
