import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { type Drive, oneSession } from '../../../tests/support/sessions';
import { type Car, dayInput, type Plan, type Setup, setupOf, zonesFromLap } from '../../model';
import { vapourVolume } from '../actuation';
import { balanceSweep } from './balanceSweep';
import { simulateDay } from './day';
import { outlook } from './outlook';
import type { DayResult } from './result';

/** A demo plan whose driver keeps the braking points whatever the brakes do. */
const kept = (id: string): Setup => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: { ...setup.plan, brakesEarlier: false } };
};
const TARN = kept('plan-tarn-anvil');
const OVEL = kept('plan-ovel-nettle');
const SKARN = kept('plan-skarn-fen');

interface Change {
  readonly car?: (car: Car) => Car;
  readonly plan?: Partial<Plan>;
  readonly drive?: Drive;
}
const changed = (setup: Setup, { car = (c) => c, plan, drive }: Change): Setup => ({
  ...setup,
  car: car(setup.car),
  plan: { ...(drive ? oneSession(setup.plan, drive) : setup.plan), ...plan },
});
const run = (setup: Setup, change: Change = {}) => simulateDay(dayInput(changed(setup, change)));
const pedal = (change: Partial<Car['pedal']>) => (car: Car) => ({
  ...car,
  pedal: { ...car.pedal, ...change },
});
const hot = (day: DayResult) => day.laps.filter((lap) => lap.kind === 'hot');
const most = (day: DayResult, of: (f: DayResult['laps'][number]['forces'][number]) => number) =>
  Math.max(...hot(day).flatMap((lap) => lap.forces.map(of)));

describe('heat and force of every braking zone', () => {
  it.each([TARN, OVEL, SKARN])('what the friction shares is what the lap made: $plan.name', (setup) => {
    const day = run(setup);
    for (const lap of day.laps) {
      lap.trace.zones.forEach((zone, k) => {
        const { frontHeat, rearHeat, recovered, share, ideal, needed } = lap.forces[k];
        // The motor takes what it can whatever the pads do, so that only work is as planned.
        const work = (heat: number, motor: number) =>
          heat / (1 - setup.car.tyres.slipSharePercent * 0.01) + motor;
        const planned = work(zone.energy, zone.recovered);
        expect(Math.abs(work(frontHeat + rearHeat, recovered) / planned - 1)).toBeLessThan(1e-6);
        for (const part of [share.start, share.mean, share.end, ideal.mean]) {
          expect(part).toBeGreaterThan(0);
          expect(part).toBeLessThan(1);
        }
        // The greatest braking of the steps is no more than the trace’s own, nor much less.
        expect(needed * zone.length).toBeGreaterThan(zone.energy + zone.recovered);
      });
    }
  });

  it('warm and even pads share as the parts do; fade moves work to the cooler axle', () => {
    const day = run(TARN);
    const [first, last] = [hot(day)[0].forces[2], hot(day)[10].forces[2]];
    const warm = first.share.mean;
    expect(warm).toBeCloseTo(0.724, 2);
    expect(last.share.mean).toBeLessThan(warm - 0.015);
    expect(last.frontHeat / (last.frontHeat + last.rearHeat)).toBeCloseTo(last.share.mean, 2);
    expect(last.pedal).toBeGreaterThan(1.2 * first.pedal);
    expect(last.pedalStay).toBeGreaterThan(last.pedalBite);
  });

  it('a typed brake balance is the share of warm pads', () => {
    const day = run(TARN, { car: (c) => ({ ...c, frontSharePercent: 70 }), drive: { hotLaps: 1 } });
    expect(hot(day)[0].forces[3].share.mean).toBeCloseTo(0.7, 2);
  });

  it('a control’s clicks to the front move share and heat there, at that braking zone alone', () => {
    const drive = { hotLaps: 2 };
    const plain = run(SKARN, { drive });
    const clicked = run(SKARN, { drive, plan: { clicks: [0, 0, 8] } });
    const share = (day: DayResult, zone: number) => hot(day)[0].forces[zone].share.mean;
    expect(share(clicked, 2)).toBeGreaterThan(share(plain, 2) + 0.02);
    // Before the first clicked braking zone nothing has changed.
    expect(clicked.laps[0].forces[0]).toEqual(plain.laps[0].forces[0]);
    expect(hot(clicked)[0].forces[2].frontHeat).toBeGreaterThan(hot(plain)[0].forces[2].frontHeat);
  });

  it('more mass never needs a lighter foot nor leaves more in hand', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.02, max: 1.4, noNaN: true }), (factor) => {
        const drive = { hotLaps: 2, paddockMin: 1 };
        const heavy = run(TARN, { drive, car: (c) => ({ ...c, massKg: c.massKg * factor }) });
        const light = run(TARN, { drive });
        expect(most(heavy, (f) => f.pedal)).toBeGreaterThan(most(light, (f) => f.pedal));
        expect(heavy.fade?.margin).toBeLessThan(light.fade?.margin ?? 0);
      }),
      { numRuns: 5 },
    );
  });

  it('a motor that brakes on top makes the foot lighter and moves the balance to its axle', () => {
    const drive = { hotLaps: 1, paddockMin: 1 };
    const with_ = (blending: 'blended' | 'added') =>
      run(OVEL, { drive, car: (c) => ({ ...c, recovery: c.recovery && { ...c.recovery, blending } }) });
    const [blended, added] = [with_('blended'), with_('added')];
    const first = (day: DayResult) => hot(day)[0].forces[3];
    expect(first(added).pedal).toBeLessThan(first(blended).pedal);
    expect(first(added).share.mean).toBeLessThan(first(blended).share.mean - 0.03);
    expect(added.audit.residual).toBeLessThan(1e-9);
  });
});

describe('what limits a braking zone', () => {
  const drive = { hotLaps: 5, paddockMin: 1 };

  it('tyres, as long as the brakes can do more; then the margin is positive and nothing runs long', () => {
    const day = run(TARN, { drive });
    for (const force of hot(day).flatMap((lap) => lap.forces)) {
      expect(force).toMatchObject({ limit: 'tyres', extraDistance: 0 });
      expect(force.fadeMargin).toBeGreaterThan(0);
    }
    expect(day.forceMargins.every((m) => m.passed === null)).toBe(true);
  });

  it('the foot, when it is too weak for fresh pads: braking zones run long, and the verdict says so', () => {
    const day = run(TARN, { drive, car: pedal({ limitN: 250 }) });
    const [lap] = hot(day);
    expect(lap.forces[0].limit).toBe('pedal');
    expect(lap.forces[0].extraDistance).toBeGreaterThan(5);
    // What is missing of the braking must be made up at what there is: within a half of the closed form.
    const zone = lap.trace.zones[0];
    const { available, needed } = lap.forces[0];
    const rough = zone.length * (needed / available - 1);
    expect(Math.abs((lap.forces[0].extraDistance ?? Number.NaN) / rough - 1)).toBeLessThan(0.5);
    expect(day.verdict).toMatchObject({ kind: 'over-limit', margin: { part: 'pedal' }, hotLapsBefore: 0 });
    expect(day.fade).toMatchObject({ limit: 'pedal' });
  });

  it('fade, when fresh pads would do and hot ones do not; glaze stays when they have cooled', () => {
    const day = run(TARN, { drive, car: (c) => ({ ...c, front: { ...c.front, pad: 'commuter' } }) });
    const last = hot(day)[4].forces[3];
    expect(last.limit).toBe('fade');
    expect(last.fadeMargin).toBeLessThan(-0.1);
    const { friction, glaze } = day.record.wheels.frontLeft;
    const end = friction.length - 1;
    expect(glaze[end]).toBeGreaterThan(0.2);
    expect(friction[end]).toBeLessThan(friction[0] * (1 - 0.3 * glaze[end]));
  });

  it('cold pads, where carbon has cooled on the way', () => {
    const day = run(SKARN, { drive, car: pedal({ limitN: 640 }) });
    expect(hot(day)[0].forces[0].limit).toBe('cold');
  });

  it('travel, when the fluid has boiled: the pedal is on the floor however hard it is pressed', () => {
    const boiled = (c: Car) => ({ ...c, fluid: { ...c.fluid, measuredBoilingC: 110 } });
    const day = run(TARN, { drive: { hotLaps: 8, paddockMin: 1 }, car: boiled });
    const last = hot(day)[7].forces[0];
    expect(last.limit).toBe('travel');
    expect(last.travel).toBeGreaterThan(0.14);
    expect(last.extraDistance).toBeNull();
    const travel = day.forceMargins.find((m) => m.part === 'travel');
    expect(travel?.passed).not.toBeNull();
    // The same fluid, not boiled, leaves a short pedal; the difference is each axle's own vapour over the cylinder.
    const sound = run(TARN, { drive: { hotLaps: 8, paddockMin: 1 } });
    expect(most(sound, (f) => f.travel)).toBeLessThan(0.08);
    const { brakes } = dayInput(TARN).vehicle;
    const { cylinders } = brakes;
    if (cylinders.kind === 'pair') throw new Error('a tandem was expected');
    const boils = dayInput({ ...TARN, car: boiled(TARN.car) }).front.boilingPoint;
    const over = (wheel: 'frontLeft' | 'rearLeft', i: number) => {
      const { fluid, hose } = day.record.wheels[wheel];
      return vapourVolume(Math.max(fluid[i], hose[i]) - boils);
    };
    let compared = 0;
    day.record.force.travel.forEach((travelled, i) => {
      if (travelled === 0 || over('frontLeft', i - 1) === over('rearLeft', i - 1)) return;
      const vapour = 2 * (over('frontLeft', i - 1) + over('rearLeft', i - 1));
      const expected = (brakes.pedalRatio * vapour) / cylinders.area;
      expect(travelled - sound.record.force.travel[i]).toBeCloseTo(expected, 9);
      compared += 1;
    });
    expect(compared).toBeGreaterThan(50);
  });
});

describe('how long it lasts', () => {
  it('counts the foot among what gives out: a weaker driver’s stint is shorter, and ends with the pedal', () => {
    const of = (limitN: number) => outlook(dayInput(changed(TARN, { car: pedal({ limitN }) })), 0);
    const [strong, weak] = [of(900), of(350)];
    const foot = (o: typeof strong) => o.parts.find((part) => part.part === 'pedal');
    expect(foot(strong)).toMatchObject({ axle: null, lapsUntil: null, limit: 900 });
    expect(foot(weak)?.lapsUntil).toBeLessThan(strong.stint ?? 40);
    expect(weak.stint).toBe(foot(weak)?.lapsUntil);
    expect(foot(weak)?.settles).toBeCloseTo(foot(strong)?.settles ?? 0, 6);
  });
});

describe('braking earlier as the brakes fade', () => {
  const weak = (brakesEarlier: boolean, hotLaps = 6): Change => ({
    drive: { hotLaps, paddockMin: 1 },
    car: (c) => ({ ...c, front: { ...c.front, pad: 'commuter' } }),
    plan: { brakesEarlier },
  });

  it('changes nothing while the brakes can make every braking zone', () => {
    const drive = { hotLaps: 3, paddockMin: 1 };
    const [off, on] = [false, true].map((brakesEarlier) => run(TARN, { drive, plan: { brakesEarlier } }));
    expect(on.peaks).toEqual(off.peaks);
    expect(on.laps.map((lap) => lap.lapTime)).toEqual(off.laps.map((lap) => lap.lapTime));
  });

  it('runs less long, costs lap time, and keeps its energy; the first lap that falls short is the same', () => {
    const [off, on] = [run(TARN, weak(false)), run(TARN, weak(true))];
    const extra = (day: DayResult, lap: number) =>
      Math.max(...hot(day)[lap].forces.map((f) => f.extraDistance ?? Number.POSITIVE_INFINITY));
    const first = hot(off).findIndex((_, lap) => extra(off, lap) > 0);
    expect(extra(on, first)).toBeCloseTo(extra(off, first), 9);
    expect(extra(on, 5)).toBeLessThan(0.4 * extra(off, 5));
    expect(hot(on)[5].lapTime).toBeGreaterThan(hot(off)[5].lapTime + 0.3);
    expect(on.audit.residual).toBeLessThan(1e-9);
    // Earlier braking is gentler braking: the pads come to less.
    expect(on.peaks.frontLeft.padFace).toBeLessThan(off.peaks.frontLeft.padFace);
    const { time, lap } = on.record;
    for (let i = 1; i < time.length; i++) expect(time[i]).toBeGreaterThan(time[i - 1]);
    expect(lap[lap.length - 1]).toBe(-1);
  });

  it('also stretches typed braking zones, at the cost of the way before them', () => {
    const { trace } = run(TARN, { drive: { hotLaps: 1 } });
    const circuit = { ...TARN.circuit, layout: { kind: 'zones' as const, zones: zonesFromLap(trace) } };
    const typed = { ...TARN, circuit };
    const on = run(typed, weak(true));
    const first = on.laps[1].trace.zones;
    const last = hot(on)[5].trace.zones;
    expect(last[0].length).toBeGreaterThan(first[0].length + 2);
    expect(Math.abs(last[0].entrySpeed - first[0].entrySpeed)).toBeLessThan(0.05);
    expect(last[0].length + last[0].airDistance).toBeLessThan(first[0].length + first[0].airDistance + 60);
  });
});

describe('the balance sweep', () => {
  it('front margins fall and rear margins rise with the brake balance, and cross where it says', () => {
    const input = dayInput(changed(TARN, { drive: { hotLaps: 5, paddockMin: 5 } }));
    const { points, now, ideal, even } = balanceSweep(input);
    expect(points.length).toBeGreaterThanOrEqual(5);
    for (let k = 1; k < points.length; k++) {
      expect(points[k].margin.front.share).toBeLessThan(points[k - 1].margin.front.share);
      expect(points[k].margin.rear.share).toBeGreaterThan(points[k - 1].margin.rear.share);
    }
    expect(now).toBeCloseTo(0.724, 3);
    expect(ideal).toBeGreaterThan(0.6);
    expect(ideal).toBeLessThan(0.7);
    const side = (p: (typeof points)[number]) => p.margin.front.share > p.margin.rear.share;
    if (even === null) expect(new Set(points.map(side)).size).toBe(1);
    else {
      const below = points.filter((p) => p.share < even);
      const above = points.filter((p) => p.share > even);
      expect(below.every(side)).toBe(true);
      expect(above.some(side)).toBe(false);
    }
  });
});
