import { beforeAll, describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { beddedAfter, frictionAt } from '../brake';
import type { BeddingRecipe } from '../schedule';
import { type BeddingPlan, beddingPlan } from './bedding';
import type { ProcedureCar } from './procedures';

const K = 273.15;
const setup = setupOf(demoProject, 'plan-tarn-anvil');

/** The club car with new front pads. */
function car(ambientC = 25, thicknessMm = 25): ProcedureCar {
  const { front } = setup.car;
  const fresh = { ...front, beddedPercent: 0, rotor: { ...front.rotor, thicknessMm } };
  const input = dayInput({ ...setup, car: { ...setup.car, front: fresh } });
  return { ...input, sessions: [{ ambient: ambientC + K }] };
}

const recipe = (change: Partial<BeddingRecipe> = {}): BeddingRecipe => ({
  ambient: 25 + K,
  axles: [{ axle: 'front', warm: [120 + K, 300 + K], bed: [300 + K, 620 + K] }],
  warmUp: { from: 30, to: 15, deceleration: 3.5 },
  hard: { from: 41, to: 14, deceleration: 6.5 },
  acceleration: 2,
  pause: 3,
  counts: { warmUps: null, snubs: null },
  bedded: 0.95,
  rollOut: { speed: 22, until: 150 + K, longest: 1200 },
  ...change,
});
const drive = (change: Partial<BeddingRecipe> = {}, of = car()): BeddingPlan => {
  const own = recipe(change);
  return beddingPlan(of, own, own.ambient);
};

describe('the film of a bedded pad', () => {
  const { pad } = dayInput(setup).front.left;
  const { low, high, time } = pad.bedding;

  it('is there to 95 % after the pad’s time in its band, however the time is cut', () => {
    expect(beddedAfter(pad, 0, (low + high) / 2, time)).toBeCloseTo(1 - Math.exp(-3), 12);
    let bedded = 0;
    for (let k = 0; k < 50; k++) bedded = beddedAfter(pad, bedded, low, time / 50);
    expect(bedded).toBeCloseTo(1 - Math.exp(-3), 12);
  });

  it('does not grow in braking that is too cold or too hot', () => {
    expect(beddedAfter(pad, 0.4, low - 1, 100)).toBe(0.4);
    expect(beddedAfter(pad, 0.4, high + 1, 100)).toBe(0.4);
  });

  it('makes friction whole, and its lack a quarter less', () => {
    expect(frictionAt(pad, 600, 0, 0) / frictionAt(pad, 600, 0, 1)).toBeCloseTo(0.75, 12);
  });
});

describe('a bedding run', () => {
  let plan: BeddingPlan;
  beforeAll(() => {
    plan = drive();
  });
  const brakes = (of: BeddingPlan, phase: string) =>
    of.steps.filter((step) => step.phase === phase && step.does === 'brake');

  it('warms up by about ten medium applications, then beds within the band, then rolls out (common practice)', () => {
    expect(plan.obstacle).toBeNull();
    expect(plan.warnings).toEqual([]);
    expect(plan.warmUps).toBeGreaterThanOrEqual(6);
    expect(plan.warmUps).toBeLessThanOrEqual(14);
    const snubs = brakes(plan, 'snubs');
    // Rotor and pad are in the band together before the first of them.
    const before = plan.steps[plan.steps.indexOf(snubs[0]) - 1].at.front;
    expect(Math.min(before.padFace, before.rotorBulk)).toBeGreaterThanOrEqual(120 + K - 15);
    expect(Math.max(...snubs.map(({ at }) => at.front.padPeak))).toBeLessThanOrEqual(620 + K);
    expect(snubs.at(-1)?.at.front.bedded).toBeGreaterThanOrEqual(0.95);
    expect(plan.steps.at(-1)?.at.front.rotorBulk).toBeLessThanOrEqual(150 + K);
    expect(plan.state.frontLeft.bedded).toBe(snubs.at(-1)?.at.front.bedded);
    // The rear came bedded and stays so.
    expect(plan.state.rearLeft.bedded).toBe(1);
  });

  it('only ever adds to the film, and never in the roll-out', () => {
    const shares = plan.steps.map(({ at }) => at.front.bedded);
    for (let k = 1; k < shares.length; k++) expect(shares[k]).toBeGreaterThanOrEqual(shares[k - 1]);
    expect(brakes(plan, 'roll-out')).toEqual([]);
  });

  it('balances its energy, and its stops give up what ½mv² says less drag', () => {
    expect(plan.audit.residual).toBeLessThan(1e-3);
    const kinetic = [...brakes(plan, 'warm-up'), ...brakes(plan, 'snubs')].reduce(
      (sum, { from, to }) => sum + 0.5 * 1040 * 1.04 * (from * from - to * to),
      0,
    );
    // Drag, rolling resistance, engine braking and tyre slip take the rest.
    expect(plan.audit.supplied).toBeLessThan(kinetic);
    expect(plan.audit.supplied).toBeGreaterThan(0.6 * kinetic);
  });

  it('needs more applications in cold air, and with a heavier rotor', () => {
    const cold = drive({ ambient: 5 + K }, car(5));
    expect(cold.warmUps).toBeGreaterThan(plan.warmUps);
    expect(drive({}, car(25, 33)).warmUps).toBeGreaterThan(plan.warmUps);
  });

  it('says why where nothing warms, and then brakes hard nowhere', () => {
    const slow = drive({ warmUp: { from: 8, to: 4, deceleration: 2 } });
    expect(slow.obstacle).toMatchObject({ kind: 'stays cold', axle: 'front', needed: 120 + K });
    expect(slow.snubs).toBe(0);
    const soft = drive({ hard: { from: 30, to: 26, deceleration: 2 } });
    expect(soft.obstacle).toMatchObject({ kind: 'pads stay cold', needed: 300 + K });
  });

  it('warns of a smear where somebody types too few warm-ups, and does what was typed', () => {
    const hasty = drive({ counts: { warmUps: 1, snubs: 5 } });
    expect([hasty.warmUps, hasty.snubs]).toEqual([1, 5]);
    expect(hasty.warnings).toContainEqual(expect.objectContaining({ kind: 'smear', axle: 'front' }));
  });

  it('waits between snubs where the next would take the pads over their band', () => {
    const axles = [{ axle: 'front', warm: [120 + K, 200 + K], bed: [230 + K, 330 + K] }] as const;
    const narrow = drive({ axles });
    const rolled = (of: BeddingPlan) =>
      of.steps
        .filter((s) => s.phase === 'snubs' && s.does === 'roll')
        .reduce((sum, s) => sum + s.duration, 0) / of.snubs;
    expect(rolled(narrow)).toBeGreaterThan(rolled(plan));
    const reached = Math.max(...brakes(narrow, 'snubs').map(({ at }) => at.front.padPeak));
    expect(reached).toBeLessThan(330 + K + 8);
  });

  it('refuses what cannot be driven, naming it', () => {
    expect(() => drive({ axles: [] })).toThrow(/axles/);
    expect(() => drive({ hard: { from: 14, to: 41, deceleration: 6 } })).toThrow(/speed braked to/);
    expect(() => drive({ acceleration: 0 })).toThrow(/acceleration/);
  });
});
