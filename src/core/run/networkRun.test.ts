import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { integrateNetwork } from '../../../tests/support/integrateNetwork';
import { oneSession } from '../../../tests/support/sessions';
import { recordFigure } from '../../../tests/support/validation';
import { dayInput, type Setup, STARTER_DRUM, setupOf } from '../../model';
import type { WheelName } from '../brake';
import { GROUPS } from '../brake';
import { DEFAULT_NUMERICS } from '../schedule';
import { simulateDay } from './day';
import { flowsAt, heatBalance } from './flows';
import { networkOf, networkRun } from './networkRun';

const short = (id: string): Setup => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: oneSession(setup.plan, { hotLaps: 2, paddockMin: 12 }) };
};
const tarn = short('plan-tarn-anvil');
/** Carbon and solid rings, and whole days, are held against what `npm run reference` keeps. */
const CASES: readonly (readonly [string, Setup, WheelName])[] = [
  ['vented iron', tarn, 'frontLeft'],
  [
    'inner and outer side apart',
    {
      ...tarn,
      car: { ...tarn.car, front: { ...tarn.car.front, sides: 'apart', shieldPercent: 80 } },
    },
    'frontLeft',
  ],
  ['drum', { ...tarn, car: { ...tarn.car, rear: { ...tarn.car.rear, drum: STARTER_DRUM } } }, 'rearLeft'],
];

describe('the exported network, integrated by npm odex at 1e-8', () => {
  it.each(CASES)('%s: every peak of every node within 0.5 K', (name, setup, wheel) => {
    const input = dayInput(setup);
    const result = simulateDay(input);
    const run = JSON.parse(JSON.stringify(networkRun(input, result, wheel))) as ReturnType<typeof networkRun>;
    const { rows } = integrateNetwork(run, 1e-8);
    let worst = 0;
    run.nodes.forEach((_, i) => {
      const ours = Math.max(...run.temperatures.map((row) => row[i]));
      const theirs = Math.max(...rows.map((row) => row[i]));
      worst = Math.max(worst, Math.abs(ours - theirs));
    });
    expect(worst).toBeLessThan(0.5);
    // And not only at peaks: over the whole run every node follows, the moments of first contact included.
    run.nodes.forEach((node, i) => {
      const squares = rows.reduce((sum, row, k) => sum + (row[i] - run.temperatures[k][i]) ** 2, 0);
      expect(Math.sqrt(squares / rows.length), node.name).toBeLessThan(1.5);
    });
    recordFigure({
      id: '17',
      what: `Whole corner by another method at 1e-8: worst peak of any node, ${name}`,
      expected: 'under 0.5',
      computed: worst,
      unit: 'K',
      source: 'npm odex',
    });
  });
});

describe('the first moment of a braking', () => {
  it('shows a carbon surface within 6 K of steps ten times as fine', () => {
    const setup = setupOf(demoProject, 'plan-skarn-fen');
    const plan = { ...oneSession(setup.plan, { hotLaps: 1, paddockMin: 1 }), brakesEarlier: false };
    const input = dayInput({ ...setup, plan });
    const { steps } = DEFAULT_NUMERICS;
    const fine = { ...steps, braking: 0.02, leastPerZone: 150, release: 0.015, rolling: 0.25, standing: 5 };
    const ours = simulateDay(input).record;
    const theirs = simulateDay(input, { ...DEFAULT_NUMERICS, steps: fine }).record;
    const face = ours.wheels.frontLeft.rotorFace;
    let compared = 0;
    for (let i = 1; i < face.length; i++) {
      const { early } = ours.wheels.frontLeft;
      if (!(early[i] > 0 && early[i - 1] === 0)) continue;
      const k = theirs.time.findIndex((t) => t >= ours.time[i] - 1e-9);
      const share = (ours.time[i] - theirs.time[k - 1]) / (theirs.time[k] - theirs.time[k - 1]);
      const row = theirs.wheels.frontLeft.rotorFace;
      expect(Math.abs(face[i] - (row[k - 1] + share * (row[k] - row[k - 1])))).toBeLessThan(6);
      compared += 1;
    }
    expect(compared).toBeGreaterThan(12);
  });
});

describe('the cells through a pad', () => {
  it('follow the first cell, so that a pad of 32 mm is as near to cells four times as fine as one of 10 mm', () => {
    const { car, ...rest } = tarn;
    const thick = { ...rest, car: { ...car, front: { ...car.front, padThicknessMm: 32, newPadMm: 32 } } };
    const input = dayInput({ ...thick, plan: oneSession(thick.plan, { hotLaps: 3, paddockMin: 12 }) });
    const at = (refinement: number) =>
      simulateDay(input, { ...DEFAULT_NUMERICS, refinement }).peaks.frontLeft;
    const [ours, theirs] = [at(1), at(4)];
    for (const part of ['rotorFace', 'padFace', 'plate', 'fluid'] as const) {
      expect(Math.abs(ours[part] - theirs[part]), part).toBeLessThan(1);
    }
  });
});

describe('looking inside', () => {
  const input = dayInput(tarn);
  const result = simulateDay(input);
  const layout = networkOf(input, 'frontLeft');
  const record = result.record.wheels.frontLeft;
  const { ambient } = input.sessions[0];

  it('shows flows at a moment whose sum is what the parts gain', () => {
    const sample = result.record.zone.findIndex((s, i) => s === 3 && result.record.lap[i] === 2);
    const flows = flowsAt(layout, record, sample, ambient);
    expect(
      flows.find((f) => f.from === 'rotor' && f.to === 'air' && f.path === 'faces')?.heat,
    ).toBeGreaterThan(500);
    expect(flows.find((f) => f.path === 'vanes')?.heat).toBeGreaterThan(500);
    // Fluid gains what plate and pistons hand on, less what it gives to body and hose.
    const into = flows.reduce(
      (sum, f) => sum + (f.to === 'fluid' ? f.heat : f.from === 'fluid' ? -f.heat : 0),
      0,
    );
    const dt = result.record.time[sample + 1] - result.record.time[sample];
    const capacity = [layout.recorded.fluid[0], layout.recorded.hose[0]].map(
      (i) => layout.network.nodes[i].scale,
    );
    const gained =
      (capacity[0] * (record.fluid[sample + 1] - record.fluid[sample]) +
        capacity[1] * (record.hose[sample + 1] - record.hose[sample])) /
      dt;
    expect(Math.abs(into / gained - 1)).toBeLessThan(0.1);
  });

  it('accounts for every joule of a braking zone and the way to the next, to 1 %', () => {
    const lap = 2;
    for (const zone of [0, 3, 5]) {
      const inZone = (s: number) =>
        result.record.zone.findIndex((k, i) => k === s && result.record.lap[i] === lap);
      const [from, to] = [inZone(zone) - 1, inZone(zone + 1) - 1];
      const balance = heatBalance(layout, result.record, record, from, to, ambient);
      const made = balance.intoRotor + balance.intoPads;
      const energy = result.laps[lap].forces[zone].frontHeat / 2;
      expect(made / energy).toBeCloseTo(1, 6);
      const toAir = balance.flows.reduce((sum, f) => sum + (f.to === 'air' ? f.heat : 0), 0);
      const stored = GROUPS.reduce((sum, g) => sum + balance.stored[g], 0);
      expect(Math.abs(made - toAir - stored) / made).toBeLessThan(0.01);
    }
  });
});
