import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { AXLES, coolingNeed, keepsAll, leastMargin, simulateDay } from '../core';
import {
  type Change,
  changePrice,
  dayInput,
  ductPrice,
  METRIC,
  type Project,
  partPrice,
  type Setup,
  STARTER_DRUM,
  setupOf,
  shelfOf,
  US,
  withChanges,
  withPrice,
} from '../model';
import { checkText } from '../text/en/checkText';
import { assess } from './compare/assess';
import { checksOf, fits, mixes, trades } from './compare/compatibility';
import {
  type Candidate,
  drivable,
  type Rung,
  ranked,
  repriced,
  rungOf,
  sensiblePairs,
  singleSteps,
  targetMargin,
  worthwhilePairs,
  zonesText,
} from './compare/ladder';
import { ductShapes } from './cooling/ductShapes';
import { exposedReports } from './cooling/exposedReport';
import { isGood, type Way } from './cooling/way';
import { rankedWays, waysToKeep } from './cooling/ways';
import { pieceCount, uncertainPiece, uncertainStatistics } from './uncertain/uncertainRuns';

const short = (id: string, hotLaps = 3): Setup => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: oneSession(setup.plan, { hotLaps, paddockMin: 6 }) };
};
const tarn = short('plan-tarn-anvil');
const base = assess(tarn);
const part = (id: string, axle: 'front' | 'rear' = 'front'): Change => ({ kind: 'part', part: id, axle });
const check = (changes: Change[], kind: string, of = tarn, before = base) =>
  checksOf(of, changes, before, assess(withChanges(of, changes))).find((c) => c.kind === kind);
const said = (found: ReturnType<typeof check> | null, units = METRIC) =>
  found ? checkText(found, units) : '';

describe('does a change go with the car', () => {
  it('tells parts that do not fit the wheel, by how much, and not what was tight before', () => {
    const big = fits(tarn, [part('rotor-floating-355')]);
    expect(big).toMatchObject({ state: 'no', found: 'touches', axle: 'front' });
    expect(said(big)).toMatch(/^does not fit the front wheel: \d+\.\d mm too little room$/);
    expect(said(big, US)).toMatch(/^does not fit the front wheel: \d+\.\d+ in too little room$/);
    expect(said(fits(tarn, [part('rotor-vented-280')]))).toBe('fits the wheel');
    // The Tarn's wheel as it is counts as fitting, however tight.
    const tight = {
      ...tarn.car,
      front: { ...tarn.car.front, wheel: { barrelMm: 300, spokesMm: 0, spacerMm: 0 } },
    };
    expect(fits({ ...tarn, car: tight }, [part('duct-76')]).state).toBe('yes');
    // A longer pad on a narrow ring cannot be, and is told from the file's own rules.
    const narrow = { ...tarn.car.front.rotor, innerDiameterMm: 274 };
    const thin = { ...tarn, car: { ...tarn.car, front: { ...tarn.car.front, rotor: narrow } } };
    const never = fits(thin, [part('caliper-six')]);
    expect(never).toMatchObject({ state: 'no', found: 'invalid', path: 'front.padAreaCm2' });
    expect(said(never)).toMatch(/^does not go together: front\.padAreaCm2 /);
    const steps = [
      { id: 'a', changes: [part('caliper-six')] },
      { id: 'b', changes: [part('duct-76')] },
    ];
    expect(drivable(thin, steps).map((step) => step.id)).toEqual(['b']);
  });

  it('lets carbon rub on carbon only', () => {
    const skarn = short('plan-skarn-fen');
    expect(said(fits(tarn, [part('rotor-carbon-355')]))).toBe('front carbon rotors want carbon pads');
    expect(said(fits(skarn, [part('rotor-vented-300')]))).toBe('front carbon pads want carbon rotors');
    const carbonPad = shelfOf('pad', []).find((p) => p.values.family === 'carbon');
    const both = [part('rotor-carbon-355'), part(carbonPad?.id ?? '')];
    expect(fits(tarn, both).found).not.toBe('carbon');
    // Carbon with metal in it is made for iron.
    expect(fits(tarn, [part('carbon-iron')]).state).toBe('yes');
    expect(said(fits(skarn, [part('carbon-iron')]))).toBe('front carbon rotors want carbon pads');
  });

  it('never mixes glycol and silicone', () => {
    const silicone = shelfOf('fluid', []).find((p) => p.values.silicone)?.id ?? '';
    expect(mixes(tarn, [part(silicone)])?.state).toBe('no');
    expect(said(mixes(tarn, [part(silicone)]))).toMatch(/^never mix/);
    expect(said(mixes(tarn, [part('class-4')]))).toMatch(/^mixes with what is in it; flush/);
    expect(mixes(tarn, [part('duct-76')])).toBeNull();
    const filled = { ...tarn, car: { ...tarn.car, fluid: { ...tarn.car.fluid, kind: silicone } } };
    expect(mixes(filled, [part('class-4')])?.state).toBe('no');
    // Silicone on silicone does mix, and is not advised all the same.
    expect(mixes(filled, [part(silicone)])?.state).toBe('look');
    expect(said(mixes(filled, [part(silicone)]))).toMatch(/not advised on track or with ABS/);
  });

  it('tells what other pads cost beside money: dust, noise, rotors, and what they do cold', () => {
    const on = (pad: string) => ({ ...tarn, car: { ...tarn.car, front: { ...tarn.car.front, pad } } });
    expect(trades(on('estate'), [part('sprint')])).toMatchObject({
      state: 'look',
      worse: [
        { what: 'dust', before: 1, after: 5 },
        { what: 'noise' },
        { what: 'rotorWear' },
        { what: 'coldBite' },
      ],
    });
    expect(said(trades(on('estate'), [part('sprint')]))).toBe(
      'more dust, noisier, harder on the rotor, bites less cold (µ 0.32, before 0.36)',
    );
    expect(trades(on('sprint'), [part('estate')])).toEqual({
      kind: 'trades',
      state: 'yes',
      found: 'alike',
      worse: [],
    });
    expect(trades(on('sprint'), [part('duct-76')])).toBeNull();
  });

  it('tells a pedal that can no longer be worked, and one that gets heavier', () => {
    // A weak pad behind a driver with little in hand.
    const weak = { ...tarn, car: { ...tarn.car, pedal: { ...tarn.car.pedal, limitN: 470 } } };
    const before = assess(weak);
    expect(before.summary.forceMargins.find((m) => m.part === 'pedal')?.passed).toBeNull();
    const heavy = check([part('commuter')], 'pedal', weak, before);
    expect(heavy?.state).toBe('no');
    expect(said(heavy)).toMatch(/more force than the driver has \(\d+ N\)/);
    expect(said(heavy, US)).toMatch(/more force than the driver has \(\d+ lbf\)/);
    const bigger = check([part('cylinder-25-4')], 'pedal');
    expect(bigger).toMatchObject({ state: 'look', found: 'heavier' });
    const now = base.summary.forceMargins.find((m) => m.part === 'pedal')?.worst ?? 1;
    expect(bigger?.kind === 'pedal' && bigger.force / now).toBeGreaterThan(1.25);
    expect(check([part('duct-76')], 'pedal')).toMatchObject({ state: 'yes', found: 'usable' });
  });

  it('tells a rear that comes nearer to locking', () => {
    const front = { ...tarn, car: { ...tarn.car, frontSharePercent: 74 } };
    const before = assess(front);
    expect(before.summary.rearFirst).toBe(0);
    const rearward = check([{ kind: 'balance', frontSharePercent: 55 }], 'balance', front, before);
    expect(rearward).toMatchObject({ state: 'no', found: 'rear-first', before: 0 });
    expect(said(rearward)).toMatch(
      /^the rear is nearer to locking at \d+ of \d+ braking zones \(before 0\); 19\.0 points to the rear$/,
    );
    const little = check([{ kind: 'balance', frontSharePercent: 71 }], 'balance', front, before);
    expect(little?.state).toBe('look');
    expect(said(little)).toBe('balance moves 3.0 points to the rear');
    expect(said(check([part('duct-76')], 'balance', front, before))).toBe('balance stays');
  });
});

describe('the ladder', () => {
  const judge = (candidates: readonly Candidate[], project: Project = demoProject): Rung[] =>
    candidates.map((c) => rungOf(project, tarn, c, base, assess(withChanges(tarn, c.changes))));
  const steps = singleSteps(tarn);
  const some = judge(
    steps.filter(({ id }) => /duct|pad|clubday|sprint|class-4|race|rotor-pillar|rotor-floating/.test(id)),
  );

  it('tries every part of the shelf on every axle it can go to, but what is in the car', () => {
    const count = (kind: Parameters<typeof shelfOf>[0]) => shelfOf(kind, []).length;
    // Both axles have a pad of the shelf; the cylinder's bore is one of it; the lines are braided: harder ones are left.
    const harder = shelfOf('line', []).filter((l) => l.values.growthMm3BarM < 4).length;
    const wanted =
      2 * count('rotor') + 2 * count('caliper') + 2 * (count('pad') - 1) + 2 * count('duct') + count('fluid');
    // And the three kinds of tyres that are not on it.
    expect(steps).toHaveLength(wanted + (count('cylinder') - 1) + harder + 3);
    expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
    // A drum takes no rotor, no caliper and no duct; ducts there are can be taped.
    const drums = { ...tarn, car: { ...tarn.car, rear: { ...tarn.car.rear, drum: STARTER_DRUM } } };
    expect(
      singleSteps(drums).some(
        ({ changes: [c] }) => c.kind === 'part' && c.axle === 'rear' && /rotor|caliper|duct/.test(c.part),
      ),
    ).toBe(false);
    const ducted = {
      ...tarn,
      car: { ...tarn.car, front: { ...tarn.car.front, ductAreaCm2: 50, blankedOffPercent: 60 } },
    };
    const more = singleSteps(ducted);
    expect(more.filter((s) => s.id.includes('tape')).map((s) => s.id)).toEqual(['front:tape:100']);
    expect(more.some((s) => s.id === 'front:duct-50')).toBe(false);
  });

  it('gains what driving it again gains, and ranks by margin for money', () => {
    const order = ranked(some);
    const [first] = order;
    const again = assess(withChanges(tarn, first.changes));
    expect(first.gain).toBeCloseTo(leastMargin(again.summary).margin - leastMargin(base.summary).margin, 9);
    expect(first.perHundred).toBeCloseTo((100 * first.gain) / first.price, 9);
    const useful = order.filter((r) => r.possible && r.gain >= 0.5 && r.tooCold.length === 0);
    for (let k = 1; k < useful.length; k++) {
      expect(useful[k].perHundred).toBeLessThanOrEqual(useful[k - 1].perHundred);
    }
    // What is ruled out, or gains nothing, never stands above what is possible and gains.
    expect(order.slice(0, useful.length)).toEqual(useful);
    expect(order.some((r) => !r.possible)).toBe(true);
  });

  it('a price of nothing is free and first; another price reorders without driving', () => {
    const [, , third] = ranked(some);
    const [change] = third.changes;
    if (change.kind !== 'part') throw new Error('not a part');
    const free = withPrice(demoProject, change.part, 0);
    const again = ranked(some.map((rung) => repriced(free, tarn, rung)));
    const own = again.find((r) => r.id === third.id);
    expect(own).toMatchObject({ price: 0, perHundred: Number.POSITIVE_INFINITY, gain: third.gain });
    expect(again[0].price).toBe(0);
    const dear = withPrice(demoProject, change.part, 90_000);
    expect(
      ranked(some.map((rung) => repriced(dear, tarn, rung))).findIndex((r) => r.id === third.id),
    ).toBeGreaterThan(2);
    expect(repriced(withPrice(dear, change.part, null), tarn, third).price).toBe(third.price);
  });

  it('pairs are of the best singles, and stay only where they gain more than either alone', () => {
    const pairs = sensiblePairs(some, tarn);
    expect(pairs.length).toBeGreaterThan(3);
    for (const { changes } of pairs) expect(changes).toHaveLength(2);
    const driven = judge(pairs.slice(0, 6));
    for (const pair of worthwhilePairs(driven, some)) {
      for (const change of pair.changes) {
        if (change.kind !== 'part') continue;
        const alone = some.find(
          (r) => r.changes.length === 1 && JSON.stringify(r.changes[0]) === JSON.stringify(change),
        );
        expect(pair.gain).toBeGreaterThan((alone?.gain ?? 0) + 1);
      }
      expect(pair.price).toBe(
        pair.changes.reduce((sum, c) => sum + changePrice(demoProject, c, tarn.car), 0),
      );
    }
  });

  it('a drilled rotor doubles the stress at its holes (Kirsch 1898)', () => {
    const { summary } = assess(withChanges(tarn, [part('rotor-drilled-345')]));
    expect(summary.strain.frontLeft.concentration).toBe(2);
    expect(base.summary.strain.frontLeft.concentration).toBe(1);
  });

  it('says what a step does to a stop: nothing where tyres are the limit, something where the foot is', () => {
    const stronger = assess(withChanges(tarn, [part('sprint')]));
    expect(zonesText(base, stronger, METRIC)).toMatch(
      /^Shortens no braking zone: the tyres are the limit at all of them/,
    );
    const foot = { ...tarn, car: { ...tarn.car, pedal: { ...tarn.car.pedal, limitN: 300 } } };
    const long = assess(foot);
    const after = assess(withChanges(foot, [part('cylinder-15-9')]));
    expect(zonesText(long, after, METRIC)).toMatch(
      /Braking that overshot by \d+ m is made as planned|from \d+ m to \d+ m/,
    );
    expect(zonesText(after, long, METRIC)).toMatch(
      /^Braking gets longer: by up to \d+ m|The longest overrun goes/,
    );
  });

  it('for a car whose pads are too cold, bite is what is to be gained, and tape is free', () => {
    const skarn = short('plan-skarn-fen');
    const cold = assess(skarn);
    expect(cold.summary.verdict.kind).toBe('below-working');
    const bite = targetMargin(cold, 'bite');
    expect(bite.part).toBe('bite');
    const ducted: Setup = {
      ...skarn,
      car: {
        ...skarn.car,
        front: { ...skarn.car.front, ductAreaCm2: 60 },
        rear: { ...skarn.car.rear, ductAreaCm2: 60 },
      },
    };
    const before = assess(ducted);
    const step: Candidate = {
      id: 't',
      changes: [
        { kind: 'tape', axle: 'rear', percent: 100 },
        { kind: 'tape', axle: 'front', percent: 100 },
      ],
    };
    const rung = rungOf(demoProject, ducted, step, before, assess(withChanges(ducted, step.changes)), 'bite');
    expect(rung.gain).toBeGreaterThanOrEqual(0);
    expect(rung.price).toBe(0);
    expect(rung.after.part).toBe('bite');
  });
});

describe('ways to a margin', () => {
  const setup = setupOf(demoProject, 'plan-tarn-anvil');
  const wish = 10;
  const need = coolingNeed(dayInput(setup), wish);
  const ways = waysToKeep(demoProject, setup, wish, need);

  it('each way that holds keeps the wish when its changes are made, within a kelvin', () => {
    expect(ways.map((w) => w.kind)).toEqual(['ducts', 'vanes', 'rotor', 'pad', 'cool-downs', 'pace']);
    expect(ways.filter((w) => w.state === 'holds').length).toBeGreaterThanOrEqual(3);
    for (const way of ways) {
      if (way.changes.length === 0) continue;
      const result = simulateDay(dayInput(withChanges(setup, way.changes)));
      expect(keepsAll(result, wish - 1)).toBe(way.state === 'holds');
      expect(leastMargin(result).margin).toBeCloseTo(way.least?.margin ?? 0, 6);
      expect(way.price).toBe(way.changes.reduce((sum, c) => sum + changePrice(demoProject, c, setup.car), 0));
      // What stands against a way is what the ladder would hold against it.
      const found = checksOf(setup, way.changes, assess(setup), assess(withChanges(setup, way.changes)));
      expect(way.checks).toEqual(found.filter((c) => c.state !== 'yes'));
    }
    const pace = ways.find((w) => w.kind === 'pace');
    expect(pace?.perLap).toBeGreaterThan(0);
    expect(pace?.pace).toBeLessThan(1);
    const cool = ways.find((w) => w.kind === 'cool-downs');
    expect(cool?.perDay).toBeGreaterThan(0);
    expect(cool?.perLap).toBeCloseTo(0, 6);
  });

  it('ranks what holds by money, then by time; asks nothing where the wish is kept', () => {
    const order = rankedWays(ways);
    const holds = order.filter(isGood);
    expect(order.slice(0, holds.length)).toEqual(holds);
    for (let k = 1; k < holds.length; k++) expect(holds[k].price).toBeGreaterThanOrEqual(holds[k - 1].price);
    expect(holds.length).toBeGreaterThan(1);
    // What is ruled out never comes before what is not, and never counts as good.
    const against = { ...holds[0], checks: [{ kind: 'mixes', found: 'never', state: 'no' } as const] };
    expect(isGood(against)).toBe(false);
    expect(rankedWays([{ ...against, price: 0 }, holds[1]])[0]).toBe(holds[1]);
    const easy = { ...setup, plan: oneSession(setup.plan, { hotLaps: 1 }) };
    expect(waysToKeep(demoProject, easy, 0, coolingNeed(dayInput(easy), 0))).toEqual([]);
  });
});

describe('ways that are not there', () => {
  it('say why: vanes the wrong way round are swapped for nothing, drums and pumping vanes stay', () => {
    const setup = short('plan-tarn-anvil', 4);
    const vaned = (vaneType: 'curved' | 'curved-reversed'): Setup => ({
      ...setup,
      car: {
        ...setup.car,
        front: { ...setup.car.front, rotor: { ...setup.car.front.rotor, vaneType } },
        rear: { ...setup.car.rear, rotor: { ...setup.car.rear.rotor, vaneType } },
      },
    });
    const waysOf = (of: Setup) => waysToKeep(demoProject, of, 120, coolingNeed(dayInput(of), 120));
    const way = (of: Setup, kind: Way['kind']) => waysOf(of).find((w) => w.kind === kind);
    const reversed = way(vaned('curved-reversed'), 'vanes');
    expect(reversed).toMatchObject({ swapped: true, price: 0 });
    expect(reversed?.least?.margin).toBeGreaterThan(
      leastMargin(simulateDay(dayInput(vaned('curved-reversed')))).margin,
    );
    expect(way(vaned('curved'), 'vanes')).toMatchObject({ state: 'none', why: 'pump-already', changes: [] });
    const drums = { ...setup, car: { ...setup.car, front: { ...setup.car.front, drum: STARTER_DRUM } } };
    const wanting = AXLES.filter((axle) => leastMargin(simulateDay(dayInput(drums)), axle).margin < 120);
    expect(wanting).toContain('front');
    const iron = way(drums, 'rotor');
    expect(iron?.why ?? iron?.changes.every((c) => 'axle' in c && c.axle === 'rear')).toBeTruthy();
    const slow = { ...setup, plan: oneSession(setup.plan, { hotLaps: 1 }) };
    expect(waysToKeep(demoProject, slow, 400, coolingNeed(dayInput(slow), 400))).toContainEqual(
      expect.objectContaining({ kind: 'cool-downs', why: 'one-hot-lap' }),
    );
  });
});

describe('ducts and prices', () => {
  it('sections have the area asked for', () => {
    for (const { count, diameter, width, height } of ductShapes(0.004)) {
      expect((count * Math.PI * diameter ** 2) / 4).toBeCloseTo(0.004, 12);
      expect(count * ((Math.PI * height ** 2) / 4 + height * (width - height))).toBeCloseTo(0.004, 12);
      expect(width).toBe(2 * height);
    }
  });

  it('ducts of the shelf are counted by the air they pass, and the cheapest is taken', () => {
    const found = ductPrice(demoProject, 39.7, 50);
    const hose = shelfOf('duct', []).find((d) => d.id === found?.key);
    expect(hose).toBeDefined();
    if (!hose || !found) return;
    const passed = found.count * hose.values.areaCm2 * hose.values.coefficientPercent;
    expect(passed).toBeGreaterThanOrEqual(39.7 * 50 - 1e-6);
    expect(found.price).toBe(found.count * partPrice(demoProject, hose));
    const moulded = withPrice(demoProject, 'duct-moulded', 1);
    expect(ductPrice(moulded, 39.7, 50)).toEqual({ key: 'duct-moulded', count: 1, price: 1 });
    expect(ductPrice(demoProject, 0, 50)).toBeNull();
    expect(changePrice(demoProject, { kind: 'tape', axle: 'front', percent: 50 }, tarn.car)).toBe(0);
  });
});

describe('heat-exposed parts', () => {
  it('the driver’s side is the side the driver sits on: moving the driver over swaps the sides', () => {
    const ovel = short('plan-ovel-nettle');
    const [here] = exposedReports(ovel).parts;
    const [there] = exposedReports({ ...ovel, car: { ...ovel.car, driverSide: 'right' } }).parts;
    const bare = (report: typeof here) => report.ways[0].peak;
    expect(Math.abs(bare(here) - here.otherSide)).toBeGreaterThan(0.5);
    expect(bare(there)).toBeCloseTo(here.otherSide, 9);
    expect(there.otherSide).toBeCloseTo(bare(here), 9);
    for (const way of here.ways) expect(Math.max(...way.curve)).toBeCloseTo(way.peak, 2);
  });
});

describe('uncertain runs in pieces', () => {
  const setup: Setup = {
    ...tarn,
    plan: {
      ...oneSession(tarn.plan, { hotLaps: 1, paddockMin: 1 }),
      uncertain: { ...tarn.plan.uncertain, runs: 24, seed: 5 },
    },
  };

  it('come out alike whoever computes which piece when', () => {
    expect(pieceCount(setup)).toBe(3);
    const forward = [0, 1, 2].map((p) => uncertainPiece(setup, p));
    const backward = [2, 1, 0].map((p) => uncertainPiece(setup, p)).reverse();
    const bytes = (pieces: readonly Float32Array[]) =>
      Buffer.concat(pieces.map((p) => Buffer.from(p.buffer)));
    expect(bytes(backward).equals(bytes(forward))).toBe(true);
    const statistics = uncertainStatistics(setup, forward);
    expect(statistics.runs).toBe(24);
    expect(statistics.risks.some(({ matters }) => Math.max(...matters) > 0.1)).toBe(true);
    expect(() => uncertainStatistics(setup, forward.slice(0, 2))).toThrow('20 of 24 runs');
  });

  it('say so when nothing is uncertain', () => {
    const { ranges } = setup.plan.uncertain;
    const none = Object.fromEntries(Object.entries(ranges).map(([k, r]) => [k, { ...r, use: false }]));
    const sure = {
      ...setup,
      plan: { ...setup.plan, uncertain: { ...setup.plan.uncertain, ranges: none as typeof ranges } },
    };
    expect(() => uncertainPiece(sure, 0)).toThrow('choose at least one input');
  });
});
