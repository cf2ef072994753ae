import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { simulateDay, WHEELS } from '../core';
import { fitPart, shelfOf } from './catalogue/choices';
import { readProject } from './file/readProject';
import { carSchema } from './schema/car';
import { planSchema } from './schema/plan';
import { dayInput, setupOf } from './toCore/toCore';

type Loose = Record<string | number, unknown>;
/** The demo with one value of its first car or plan replaced, and what reading says of it. */
function said(path: readonly (string | number)[], value: unknown): string {
  const copy = structuredClone(demoProject) as unknown as Loose;
  let at = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Loose;
  at[path[path.length - 1]] = value;
  const read = readProject(JSON.stringify(copy));
  return read.ok ? 'read' : read.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
}
const car = (...path: (string | number)[]) => ['cars', 0, ...path] as const;
const valve = { kind: 'fixed', kneeBar: 30, slopePercent: 30 };
const pair = {
  kind: 'pair',
  frontBoreMm: 17.8,
  rearBoreMm: 17.8,
  strokeMm: 30,
  frontPushPercent: 50,
  clickPercent: 0.5,
};

describe('brakes that cannot be', () => {
  it.each([
    [
      'a caliper without pistons',
      car('front', 'caliper', 'pistonsMm'),
      [],
      /cars\[0\]\.front\.caliper\.pistonsMm: must have at least one piston a side: without one it cannot press/,
    ],
    [
      'one with seven a side',
      car('front', 'caliper', 'pistonsMm'),
      [20, 20, 20, 20, 20, 20, 20],
      /must have at most six pistons a side/,
    ],
    ['a piston of nothing', car('rear', 'caliper', 'pistonsMm'), [0], /pistonsMm\[0\]: must be at least 8/],
    [
      'a valve knee under zero',
      car('pedal', 'valve'),
      { ...valve, kneeBar: -1 },
      /valve\.kneeBar: must be at least 0/,
    ],
    [
      'a valve that lifts the rear',
      car('pedal', 'valve'),
      { ...valve, slopePercent: 130 },
      /slopePercent: must be at most 100/,
    ],
    ['a valve of no kind', car('pedal', 'valve'), { ...valve, kind: 'magic' }, /pedal\.valve/],
    [
      'a booster that takes',
      car('pedal', 'booster'),
      { gain: 0.8, kneeN: 900 },
      /booster\.gain: must be at least 1/,
    ],
    [
      'a balance over all',
      car('pedal', 'cylinders'),
      { ...pair, frontPushPercent: 101 },
      /frontPushPercent: must be at most 100/,
    ],
    [
      'a balance under none',
      car('pedal', 'cylinders'),
      { ...pair, frontPushPercent: -1 },
      /frontPushPercent: must be at least 0/,
    ],
    ['a share over all', car('frontSharePercent'), 100.5, /frontSharePercent: must be at most 100/],
    ['a bore of nothing', car('pedal', 'cylinders', 'boreMm'), 0, /cylinders\.boreMm: must be at least 8/],
    ['a pedal without a ratio', car('pedal', 'ratio'), null, /pedal\.ratio: must be a number, and is null/],
    ['a foot of text', car('pedal', 'limitN'), 'strong', /pedal\.limitN: must be a number, and is a string/],
    [
      'new pads thinner than worn ones',
      car('front', 'newPadMm'),
      4,
      /front\.newPadMm: must not be under what is left \(10 mm\)/,
    ],
    [
      'friction outside the ring',
      car('front', 'effectiveRadiusMm'),
      160,
      /effectiveRadiusMm: must lie in the ring \(92\.5 to 147\.5 mm\)/,
    ],
    [
      'a load of nothing known',
      car('loads'),
      [{ name: '', massKg: 5, fromFrontMm: 0, heightMm: 0 }],
      /loads\[0\]\.name: must not be empty/,
    ],
    [
      'a part of the project’s that is not there',
      car('rear', 'pad'),
      'gone',
      /rear\.pad: names no pad of this project: gone/,
    ],
    ['half a click', ['plans', 0, 'clicks'], [0.5], /clicks\[0\]: must be a whole number/],
    ['forty clicks', ['plans', 0, 'clicks'], [40], /clicks\[0\]: must be at most 30/],
    ['a doubtful driver', ['plans', 0, 'brakesEarlier'], 'maybe', /brakesEarlier: must be a boolean/],
  ] as const)('%s is refused with its place', (_, path, value, says) => {
    expect(said(path, value)).toMatch(says);
  });

  it('at the ends of what is allowed still compute: all balance to one side, no stroke to speak of, no grip', () => {
    const setup = setupOf(demoProject, 'plan-tarn-anvil');
    const plan = planSchema.parse({
      ...oneSession(setup.plan, { hotLaps: 1, coolDownLaps: 0, paddockMin: 0.2 }),
      clicks: [30, -30],
      brakesEarlier: true,
    });
    const ends = [
      { ...setup.car, frontSharePercent: 0 },
      { ...setup.car, frontSharePercent: 100 },
      { ...setup.car, pedal: { ...setup.car.pedal, cylinders: { ...pair, frontPushPercent: 0 } } },
      {
        ...setup.car,
        pedal: { ...setup.car.pedal, cylinders: { ...pair, frontPushPercent: 100, strokeMm: 5 } },
      },
      { ...setup.car, pedal: { ...setup.car.pedal, limitN: 50, travelMm: 20, freeTravelMm: 60 } },
      { ...setup.car, pedal: { ...setup.car.pedal, valve: { ...valve, kneeBar: 0, slopePercent: 0 } } },
    ];
    for (const end of ends) {
      const day = simulateDay(dayInput({ ...setup, car: carSchema.parse(end), plan }));
      expect(day.audit.residual).toBeLessThan(1e-9);
      for (const wheel of WHEELS) expect(Number.isFinite(day.peaks[wheel].rotorFace)).toBe(true);
      for (const force of day.laps.flatMap((lap) => lap.forces)) {
        expect(force.pedal).toBeGreaterThan(0);
        expect(force.frontHeat).toBeGreaterThanOrEqual(0);
        expect(force.rearHeat).toBeGreaterThanOrEqual(-1e-6);
        expect(Number.isNaN(force.fadeMargin)).toBe(false);
        expect(Number.isNaN(force.extraDistance)).toBe(false);
      }
    }
  });
});

describe('every pad on the shelf', () => {
  const setup = setupOf(demoProject, 'plan-tarn-anvil');
  const plan = oneSession(setup.plan, { hotLaps: 2, coolDownLaps: 0, paddockMin: 0.2 });

  it.each(shelfOf('pad', []).map((part) => [part.name, part] as const))(
    '%s can be driven, and is felt',
    (_, part) => {
      const day = simulateDay(dayInput({ ...setup, car: fitPart(setup.car, part, 'front'), plan }));
      expect(day.audit.residual).toBeLessThan(1e-9);
      const { friction } = day.record.wheels.frontLeft;
      const table = part.values.friction.map((p) => p.mu);
      for (const mu of friction) {
        expect(mu).toBeLessThanOrEqual(Math.max(...table) + 1e-9);
        expect(mu).toBeGreaterThanOrEqual(0.6 * Math.min(...table));
      }
      expect(day.fade?.margin).toBeGreaterThan(-1);
      expect(day.laps[1].forces[0].pedal).toBeGreaterThan(50);
    },
  );
});
