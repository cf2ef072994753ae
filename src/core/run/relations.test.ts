import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { integrateNetwork } from '../../../tests/support/integrateNetwork';
import { oneSession } from '../../../tests/support/sessions';
import {
  type AxleBrakes,
  type Car,
  dayInput,
  type Plan,
  type Setup,
  STARTER_DRUM,
  setupOf,
} from '../../model';
import { CHANNEL_COUNT } from '../brake';
import { AMBIENT } from '../heat';
import { tableAt } from '../numeric';
import { simulateDay } from './day';
import { linkFlow, nodesAt } from './flows';
import { networkOf, networkRun } from './networkRun';
import type { DayResult } from './result';

const short = (id: string): Setup => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: oneSession(setup.plan, { hotLaps: 3, paddockMin: 6 }) };
};
const tarn = short('plan-tarn-anvil');
const run = (
  setup: Setup,
  car: (car: Car) => Car = (c) => c,
  plan: (plan: Plan) => Plan = (p) => p,
): DayResult => simulateDay(dayInput({ ...setup, car: car(setup.car), plan: plan(setup.plan) }));
const front =
  (change: Partial<AxleBrakes>) =>
  (car: Car): Car => ({ ...car, front: { ...car.front, ...change } });
const rotor =
  (change: Partial<AxleBrakes['rotor']>) =>
  (car: Car): Car => ({
    ...car,
    front: { ...car.front, rotor: { ...car.front.rotor, ...change } },
  });
const bulk = (result: DayResult) => result.peaks.frontLeft.rotorBulk;

describe('air and ducts', () => {
  const ducted = { ductAreaCm2: 60 };

  it('the more of a duct is blanked off, the hotter the rotor, until it is as without one', () => {
    const at = (blankedOffPercent: number) => bulk(run(tarn, front({ ...ducted, blankedOffPercent })));
    const steps = [0, 30, 60, 90, 100].map(at);
    for (let k = 1; k < steps.length; k++) expect(steps[k]).toBeGreaterThan(steps[k - 1]);
    expect(Math.abs(steps[4] - bulk(run(tarn, front({ ductAreaCm2: 0 }))))).toBeLessThan(1e-6);
  });

  it('air led to the caliper is lost to the rotor, and air beside the rotor’s cools caliper and fluid', () => {
    const whole = setupOf(demoProject, 'plan-tarn-anvil');
    const split = (ductAreaCm2: number, toCaliperPercent: number) =>
      run(whole, front({ ductAreaCm2, toCaliperPercent })).peaks.frontLeft;
    expect(split(60, 50).rotorBulk).toBeGreaterThan(split(60, 0).rotorBulk);
    // Twice the duct, half of it to the caliper: the rotor has what it had.
    const [before, beside] = [split(60, 0), split(120, 50)];
    expect(Math.abs(beside.rotorBulk - before.rotorBulk)).toBeLessThan(8);
    expect(beside.caliper).toBeLessThan(before.caliper - 2);
    expect(beside.fluid).toBeLessThan(before.fluid);
  });

  it('a duct helps a solid rotor too, over its faces', () => {
    const ovel = short('plan-ovel-nettle');
    const rear = (ductAreaCm2: number) =>
      run(ovel, (c) => ({ ...c, recovery: null, rear: { ...c.rear, ductAreaCm2 } })).peaks.rearLeft.rotorBulk;
    expect(rear(60)).toBeLessThan(rear(0) - 3);
  });

  it('thin air high up, warm air and a closed wheel with a shield each leave it hotter', () => {
    // An engine that loses power in thin air reaches less speed, and leaves its brakes cooler in the end.
    const blown: Setup = { ...tarn, car: { ...tarn.car, intake: 'supercharged' } };
    const base = bulk(run(blown));
    const aloft = { ...tarn.circuit, altitudeM: 2000 };
    expect(bulk(run({ ...blown, circuit: aloft }))).toBeGreaterThan(base + 5);
    expect(bulk(run({ ...tarn, circuit: aloft }))).toBeLessThan(base);
    const warm = (plan: Plan): Plan => ({
      ...plan,
      sessions: plan.sessions.map((s) => ({ ...s, ambientC: s.ambientC + 15 })),
    });
    expect(bulk(run(blown, (c) => c, warm))).toBeGreaterThan(base + 5);
    expect(bulk(run(blown, front({ wheelOpenAreaPercent: 0, shieldPercent: 80 })))).toBeGreaterThan(base + 5);
  });
});

describe('rotors', () => {
  it('a heavier one of the same shape heats less in a stop, a drilled one more', () => {
    const rise = (result: DayResult) => {
      const zone = result.laps[1].wheels.frontLeft[0];
      return zone.bulkAfter - zone.bulkBefore;
    };
    const [light, heavy] = [6, 9].map((weighedKg) => rise(run(tarn, rotor({ weighedKg }))));
    // All but the heat given off during the braking zone: the rise goes with one over the ring's mass.
    expect(light / heavy).toBeCloseTo((9 - 1.4) / (6 - 1.4), 0);
    expect(rise(run(tarn, rotor({ surface: 'drilled', holeCount: 200 })))).toBeGreaterThan(rise(run(tarn)));
  });

  it('a floating ring keeps its heat from hat and bearing', () => {
    const floating = run(tarn, rotor({ mounting: 'floating' }));
    const onePiece = run(tarn);
    expect(floating.peaks.frontLeft.hub).toBeLessThan(onePiece.peaks.frontLeft.hub - 10);
    expect(bulk(floating)).toBeGreaterThan(bulk(onePiece));
  });

  it('a drum keeps every joule; it is fanned from outside, and ribs there help', () => {
    const drum = STARTER_DRUM;
    const disc = run(tarn, (c) => ({ ...c, abs: true }));
    const drums = run(tarn, (c) => ({ ...c, abs: true, rear: { ...c.rear, drum } }));
    expect(drums.audit.residual).toBeLessThan(1e-9);
    // Drums share otherwise, which without ABS is another lap; with it the same one.
    expect(drums.audit.supplied).toBeCloseTo(disc.audit.supplied, 3);
    const ribbed = run(tarn, (c) => ({
      ...c,
      abs: true,
      rear: { ...c.rear, drum: { ...drum, ribFactor: 2 } },
    }));
    expect(ribbed.peaks.rearLeft.rotorBulk).toBeLessThan(drums.peaks.rearLeft.rotorBulk);
  });
});

describe('heat between parts', () => {
  it('never flows from cold to hot, along any link, at any moment, in any brake', () => {
    for (const setup of [tarn, short('plan-ovel-nettle'), short('plan-skarn-fen')]) {
      const input = dayInput(setup);
      const result = simulateDay(input);
      fc.assert(
        fc.property(
          fc.constantFrom('frontLeft' as const, 'rearRight' as const),
          fc.nat(result.record.time.length - 1),
          (wheel, sample) => {
            const { network } = networkOf(input, wheel);
            const record = result.record.wheels[wheel];
            const temperatures = nodesAt(record, sample);
            const drive = record.drive.subarray(sample * CHANNEL_COUNT, (sample + 1) * CHANNEL_COUNT);
            const { ambient } = input.sessions[0];
            for (const link of network.links) {
              const other = link.to === AMBIENT ? ambient : temperatures[link.to];
              const flow = linkFlow(link, temperatures, drive, ambient);
              expect(flow * (temperatures[link.from] - other)).toBeGreaterThanOrEqual(0);
            }
          },
        ),
        { numRuns: 40 },
      );
    }
  });

  it('is told by the exported tables as by the program’s own', () => {
    const input = dayInput(tarn);
    const { network } = networkOf(input, 'frontLeft');
    const exported = networkRun(input, simulateDay(input), 'frontLeft');
    network.nodes.forEach((node, i) => {
      const { table } = exported.nodes[i];
      if (!node.table || !table) return;
      for (let t = 250; t < 1400; t += 7.3) {
        const k = table.kelvin.findLastIndex((at) => at <= t);
        const [t0, t1] = [table.kelvin[k], table.kelvin[k + 1]];
        const value = table.value[k] + ((t - t0) / (t1 - t0)) * (table.value[k + 1] - table.value[k]);
        expect(Math.abs(value / tableAt(node.table, t) - 1)).toBeLessThan(1e-9);
      }
    });
  });

  it('is integrated alike by npm odex through two sessions in different air, a pit stop and a fan', () => {
    const [session] = tarn.plan.sessions;
    const plan: Plan = {
      ...tarn.plan,
      sessions: [
        {
          ...session,
          ambientC: 12,
          legs: [
            { kind: 'hot', laps: 1, pacePercent: 100 },
            { kind: 'pit', minutes: 2, fanKmh: 20 },
          ],
        },
        { ...session, ambientC: 33, legs: [{ kind: 'hot', laps: 1, pacePercent: 90 }] },
      ],
    };
    const input = dayInput({ ...tarn, plan });
    const exported = networkRun(input, simulateDay(input), 'rearLeft');
    expect(new Set(exported.ambient).size).toBe(2);
    const { rows } = integrateNetwork(exported, 1e-7);
    exported.nodes.forEach((node, i) => {
      const peak = (all: readonly (readonly number[])[]) => Math.max(...all.map((row) => row[i]));
      expect(Math.abs(peak(rows) - peak(exported.temperatures)), node.name).toBeLessThan(0.5);
    });
  });
});
