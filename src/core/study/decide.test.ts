import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { recordFigure } from '../../../tests/support/validation';
import { type Car, dayInput, type Setup, STARTER_DRUM, setupOf, typedZoneSchema } from '../../model';
import { withShare } from '../actuation';
import { AXLES, type AxleName, WHEELS } from '../brake';
import { lapLength, lapTime } from '../lap';
import { simulateDay } from '../run';
import type { DayInput } from '../schedule';
import { LARGEST_DUCT } from './areaSearch';
import { type CoolingNeed, coolingNeed, withDuct } from './coolingNeed';
import { zoneShares } from './evenShares';
import { fastestPlan } from './fastestPlan';
import { hotMargins, keepsAll, leastForDuct } from './least';
import { summarise } from './summary';

const setup = (id: string, hotLaps = 4): Setup => {
  const whole = setupOf(demoProject, id);
  return { ...whole, plan: oneSession(whole.plan, { hotLaps, paddockMin: 8 }) };
};
const tarn = setup('plan-tarn-anvil');
const skarn = setup('plan-skarn-fen');
const day = (of: Setup, change: (car: Car) => Car = (car) => car): DayInput =>
  dayInput({ ...of, car: change(of.car) });
const putIn = (input: DayInput, need: CoolingNeed): DayInput => ({
  ...input,
  front: withDuct(input.front, need.front.area),
  rear: withDuct(input.rear, need.rear.area),
});

describe('cooling need', () => {
  it('takes no duct from a limit whose heat’s way is a guess, and says which limit set it', () => {
    // The wheel bearing behind a long straight of heat: its path from bell to hub is a guess.
    const input = day(tarn);
    const hot = { ...input, sessions: input.sessions.map((s) => ({ ...s, ambient: s.ambient + 10 })) };
    const need = coolingNeed(hot, 60);
    for (const axle of AXLES) {
      const own = simulateDay(putIn(hot, need)).margins.filter((m) => m.axle === axle);
      const hub = own.find((m) => m.part === 'hub')?.margin ?? Number.NaN;
      expect(need[axle].at.guessed).toEqual({ part: 'hub', margin: expect.closeTo(hub, 6) });
      expect(need[axle].at.part).not.toBe('hub');
      const set = own.find((m) => m.part === need[axle].at.part);
      expect(set?.margin).toBeCloseTo(need[axle].at.margin, 6);
      const others = own.filter((m) => m.part !== 'hub' && m.part !== 'bite');
      expect(Math.min(...others.map((m) => m.margin))).toBeCloseTo(need[axle].at.margin, 6);
    }
  });

  it('inverts the prediction: with the duct it found, the margin is the target within 1 K', () => {
    const cases: [DayInput, number][] = [
      [dayInput(setupOf(demoProject, 'plan-tarn-anvil')), 0],
      [dayInput(setupOf(demoProject, 'plan-tarn-anvil')), 40],
      [dayInput(setupOf(demoProject, 'plan-tarn-fen')), 80],
      [dayInput(setupOf(demoProject, 'plan-tarn-fen')), 100],
      [day(tarn), 60],
    ];
    let found = 0;
    for (const [input, wish] of cases) {
      const need = coolingNeed(input, wish);
      const again = simulateDay(putIn(input, need));
      for (const axle of AXLES) {
        const { margin } = leastForDuct(again, axle);
        if (need[axle].kind === 'none') expect(margin).toBeGreaterThanOrEqual(wish - 1);
        if (need[axle].kind !== 'found') continue;
        found += 1;
        expect(Math.abs(margin - wish)).toBeLessThan(1);
        recordFigure({
          id: 'Cooling need',
          what: `Margin with the duct found put back in, wish ${wish} K, ${axle}`,
          expected: `${wish}`,
          computed: margin,
          unit: 'K',
          source: 'the prediction itself',
        });
      }
      expect(need.runs).toBeLessThanOrEqual(20);
    }
    expect(found).toBeGreaterThanOrEqual(5);
  });

  it('more duct is never a hotter rotor, pad or fluid, and never less drag', () => {
    const input = dayInput(setupOf(demoProject, 'plan-tarn-anvil'));
    const need = coolingNeed(input, 30);
    for (const axle of AXLES) {
      const { curve } = need[axle];
      expect(curve.length).toBeGreaterThanOrEqual(4);
      for (let k = 1; k < curve.length; k++) {
        expect(curve[k].area).toBeGreaterThan(curve[k - 1].area);
        for (const part of ['rotorFace', 'rotorBulk', 'padFace', 'fluid'] as const) {
          expect(curve[k][part]).toBeLessThan(curve[k - 1][part] + 0.02);
        }
        expect(curve[k].margin).toBeGreaterThan(curve[k - 1].margin - 0.02);
      }
    }
    // More wished for is more duct, more drag and a longer lap.
    const more = coolingNeed(input, 60);
    expect(more.front.area).toBeGreaterThan(need.front.area);
    expect(more.dragArea).toBeGreaterThan(need.dragArea);
    expect(more.dragForce).toBeGreaterThan(need.dragForce);
    const times = [need.lapTimes, more.lapTimes];
    expect(times[0]?.with).toBeGreaterThan(times[0]?.without ?? 0);
    expect(times[1]?.with).toBeGreaterThan(times[0]?.with ?? 0);
    // Tape takes it away again, step by step, down to no duct at all.
    for (let k = 1; k < need.tape.length; k++) {
      expect(need.tape[k].front.margin).toBeLessThan(need.tape[k - 1].front.margin);
      expect(need.tape[k].front.bite).toBeGreaterThanOrEqual(need.tape[k - 1].front.bite ?? 0);
    }
    expect(need.tape.at(-1)?.front).toEqual(need.front.curve[0]);
  });

  it('the drag found is the momentum of the air taken in: force = ṁ·V of all four ducts', () => {
    const input = day(tarn);
    const need = coolingNeed(input, 120);
    expect(need.front.area).toBeGreaterThan(0);
    const { airDensity } = simulateDay(putIn(input, need));
    const flow = WHEELS.reduce((sum, wheel) => {
      const axle: AxleName = wheel.startsWith('front') ? 'front' : 'rear';
      const { ductCoefficient } = input[axle].left.air;
      return sum + airDensity * ductCoefficient * need[axle].area * need.topSpeed;
    }, 0);
    expect(need.dragForce).toBeCloseTo(flow * need.topSpeed, 6);
  });

  it('needs nothing where the wish is kept anyway', () => {
    const need = coolingNeed(day(skarn), -500);
    expect(need.front).toMatchObject({ kind: 'none', area: 0, reason: null });
    expect(need.rear).toMatchObject({ kind: 'none', area: 0, reason: null });
    expect(need.tape).toEqual([]);
    expect(need.dragArea).toBe(0);
  });

  it('says why no duct does it', () => {
    const wish = coolingNeed(day(tarn), 700);
    expect(wish.front).toMatchObject({ kind: 'impossible', area: LARGEST_DUCT, reason: { kind: 'wish' } });
    // Through the pads: a fluid that boils low.
    const fluid = day(tarn);
    const boils = fluid.sessions[0].ambient + 90;
    const wet = coolingNeed({ ...fluid, front: { ...fluid.front, boilingPoint: boils } }, 60);
    expect(wet.front.reason).toMatchObject({ kind: 'other-way', part: 'fluidWall' });
    expect(wet.front.reason?.best).toBeLessThan(59);
    expect(wet.front.reason?.gain).toBeGreaterThan(20);
    const drum = coolingNeed(
      day(tarn, (car) => ({ ...car, rear: { ...car.rear, drum: STARTER_DRUM, padAreaCm2: 60 } })),
      260,
    );
    expect(drum.rear.reason).toMatchObject({ kind: 'no-effect' });
    // A pad whose limit lies less over the air than one braking zone takes.
    const input = day(tarn);
    const weak = { ...input.front.left.pad, limit: input.sessions[0].ambient + 120 };
    const flash = coolingNeed(
      {
        ...input,
        front: {
          ...input.front,
          left: { ...input.front.left, pad: weak },
          right: { ...input.front.right, pad: weak },
        },
      },
      10,
    );
    expect(flash.front.reason).toMatchObject({ kind: 'single-stop', part: 'padFace' });
    expect(flash.front.reason?.rise).toBeGreaterThan(110);
  });

  it('has no lap-time cost where speeds are typed, ends when told to, and wants a number', () => {
    const zone = typedZoneSchema.parse({
      name: 'Only',
      by: 'distance',
      entryKmh: 170,
      exitKmh: 70,
      distanceM: 95,
      decelerationMs2: 9,
      gradePercent: 0,
      toNextM: 700,
      timeToNextS: null,
    });
    const typed = dayInput({
      ...tarn,
      circuit: { ...tarn.circuit, layout: { kind: 'zones', zones: [zone] } },
    });
    expect(coolingNeed(typed, 200).lapTimes).toBeNull();
    let asked = 0;
    expect(() => coolingNeed(day(tarn), 30, () => ++asked > 2)).toThrow('cancelled');
    expect(() => coolingNeed(day(tarn), Number.NaN)).toThrow(/must be a number/);
  });
});

describe('fastest plan', () => {
  const anvil = dayInput(setupOf(demoProject, 'plan-tarn-anvil'));
  const input = anvil;
  const planned = fastestPlan(input, 0, 18 * 60, 5);

  it('every plan it offers keeps every limit when it is driven, within the minutes', () => {
    expect(planned.flatOut.keeps).toBe(false);
    expect(planned.flatOut.lapsBefore).toBeGreaterThan(0);
    expect(planned.options.length).toBeGreaterThan(1);
    for (const option of planned.options) {
      const result = simulateDay({ ...input, sessions: [{ ...input.sessions[0], legs: option.legs }] });
      for (const margin of hotMargins(result)) expect(margin.margin).toBeGreaterThanOrEqual(5);
      expect(result.forceMargins.every((m) => m.margin >= 0)).toBe(true);
      expect(result.drivingTime).toBeLessThanOrEqual(18 * 60);
      expect(result.drivingTime).toBeCloseTo(option.time, 6);
      const way = result.laps.reduce((sum, lap) => sum + lapLength(lap.trace), 0);
      expect(way).toBeCloseTo(option.distance, 3);
      expect(result.laps.filter((lap) => lap.kind === 'hot')).toHaveLength(option.hotLaps);
      expect(result.laps.at(-1)?.kind).toBe('cool');
      expect(option.coolAfter.length * option.cool).toBe(option.coolLaps);
    }
    // No two of them are the same laps.
    for (const wish of [5, 30]) {
      const { options } = wish === 5 ? planned : fastestPlan(input, 0, 20 * 60, wish);
      const laps = options.map(({ hotLaps, cool, coolAfter }) => [hotLaps, cool, ...coolAfter].join());
      expect(new Set(laps).size).toBe(options.length);
    }
  });

  it('the first goes furthest, and a hair more pace would not do', () => {
    const [best, ...others] = planned.options;
    for (const other of others) expect(other.distance).toBeLessThanOrEqual(best.distance + 1e-6);
    const steady = planned.options.find((o) => o.kind === 'steady');
    expect(steady).toBeDefined();
    if (!steady) return;
    const legs = steady.legs.map((leg) =>
      leg.kind === 'hot' && 'pace' in leg ? { ...leg, pace: leg.pace + 0.012 } : leg,
    );
    const faster = simulateDay({ ...input, sessions: [{ ...input.sessions[0], legs }] });
    expect(keepsAll(faster, 5)).toBe(false);
    expect(lapTime(faster.laps[1].trace)).toBeLessThan(steady.lapTime);
  });

  it('the furthest with cool-down laps is as fast as its stints allow', () => {
    const [stints] = fastestPlan(input, 0, 18 * 60, 30).options.filter((o) => o.kind === 'stints');
    expect(stints.pace).toBeLessThan(0.98);
    expect(stints.hotLaps).toBeGreaterThan(stints.stint);
    const driven = (more: number) => {
      const legs = stints.legs.map((leg) =>
        leg.kind === 'hot' && 'pace' in leg ? { ...leg, pace: Math.min(1, leg.pace + more) } : leg,
      );
      return simulateDay({ ...input, sessions: [{ ...input.sessions[0], legs }] });
    };
    expect(keepsAll(driven(0), 30)).toBe(true);
    expect(keepsAll(driven(0.012), 30)).toBe(false);
  });

  it('a greater wish is never faster; flat-out is the plan where it keeps everything', () => {
    const careful = fastestPlan(input, 0, 18 * 60, 60);
    const steady = (plan: typeof planned) => plan.options.find((o) => o.kind === 'steady')?.pace ?? 0;
    expect(steady(careful)).toBeLessThan(steady(planned));
    const easy = fastestPlan(day(skarn), 0, 8 * 60, 0);
    expect(easy.options).toHaveLength(1);
    expect(easy.options[0]).toMatchObject({ kind: 'flat-out', keeps: true, cool: 0, coolAfter: [] });
  });

  it('after the least paddock time the same keeps everything again, after much less it does not', () => {
    const wish = 25;
    const careful = fastestPlan(input, 0, 18 * 60, wish);
    const stand = careful.leastPaddock ?? 0;
    expect(stand).toBeGreaterThan(120);
    const [best] = careful.options;
    const again = (duration: number) => {
      const laps = best.legs.filter((leg) => 'laps' in leg);
      const first = { ...input.sessions[0], legs: [...laps, { kind: 'paddock' as const, duration, fan: 0 }] };
      return keepsAll(
        simulateDay({ ...input, sessions: [first, { ...input.sessions[0], legs: best.legs }] }),
        wish,
      );
    };
    expect(again(stand)).toBe(true);
    expect(again(0.6 * stand)).toBe(false);
  });

  it('plans a later session as if the one before, hours earlier and far too hot, had not been', () => {
    // Pads that do not glaze, since glazed ones leave work to the other axle for good; the fluid is what limits.
    const axle = (own: DayInput['front']) => {
      const left = { ...own.left, pad: { ...own.left.pad, limit: 3000 } };
      return { ...own, left, right: left, boilingPoint: 273.15 + 178 };
    };
    const input = { ...anvil, front: axle(anvil.front), rear: axle(anvil.rear) };
    const planned = fastestPlan(input, 0, 18 * 60, 5);
    const [flatOut] = input.sessions;
    const pause = { kind: 'paddock' as const, duration: 4 * 3600, fan: 0 };
    const ruined = { ...flatOut, legs: [...flatOut.legs, pause] };
    expect(simulateDay(input).verdict.kind).toBe('over-limit');
    const later = fastestPlan({ ...input, sessions: [ruined, flatOut] }, 1, 18 * 60, 5);
    expect(later.flatOut.keeps).toBe(false);
    expect(later.flatOut.lapsBefore).toBe(planned.flatOut.lapsBefore);
    expect(later.options[0].kind).toBe(planned.options[0].kind);
    expect(later.options[0].pace).toBeCloseTo(planned.options[0].pace, 1);
    expect(later.options[0].tightest.at.session).toBe(1);
    for (const { legs } of later.options) {
      const { record, legs: driven } = simulateDay({ ...input, sessions: [ruined, { ...flatOut, legs }] });
      const hottest = (part: 'padFace' | 'rotorFace') =>
        record.wheels.frontLeft[part].reduce(
          (most, kelvin, i) => (driven[record.leg[i]].session === 1 ? Math.max(most, kelvin) : most),
          0,
        );
      const { pad, rotor } = input.front.left;
      expect(pad.limit - hottest('padFace')).toBeGreaterThanOrEqual(5);
      expect(rotor.material.faceLimit - hottest('rotorFace')).toBeGreaterThanOrEqual(5);
    }
  });

  it('refuses what cannot be planned, and says what it would need', () => {
    expect(() => fastestPlan(input, 0, 120, 0)).toThrow(/2 minutes are too short: .* take \d/);
    const coolOnly = {
      ...input,
      sessions: [{ ...input.sessions[0], legs: [{ kind: 'cool' as const, laps: 2, pace: 0.4 }] }],
    };
    expect(() => fastestPlan(coolOnly, 0, 1200, 0)).toThrow('no hot laps');
    expect(fastestPlan(input, 0, 18 * 60, 900)).toMatchObject({ options: [], leastPaddock: null });
  });
});

describe('balance by braking zone', () => {
  it('braked with the share found, both axles’ faces peak at the same part of their limits', () => {
    const input = day(setup('plan-skarn-fen', 1));
    const cold = {
      ...input,
      // With ABS, so that another share is the same lap.
      vehicle: { ...input.vehicle, abs: true },
      sessions: [{ ...input.sessions[0], legs: [{ kind: 'hot' as const, laps: 1, pace: 1 }] }],
    };
    const ambient = cold.sessions[0].ambient;
    const [first] = zoneShares(cold, simulateDay(cold).laps[0], ambient);
    const even = first.even ?? 0;
    expect(Math.abs(even - first.actual)).toBeGreaterThan(0.005);
    // The friction there is moves the share off the nominal one: aim until the first braking zone is braked as wanted.
    let wanted = even;
    let braked = simulateDay(cold);
    for (let k = 0; k < 6; k++) {
      braked = simulateDay({
        ...cold,
        vehicle: { ...cold.vehicle, brakes: withShare(cold.vehicle.brakes, wanted) },
      });
      const { frontHeat, rearHeat } = braked.laps[0].forces[0];
      wanted += even - frontHeat / (frontHeat + rearHeat);
    }
    const part = (axle: AxleName) => {
      const { pad, rotor } = cold[axle].left;
      const limit = Math.min(rotor.material.faceLimit, pad.limit);
      return (braked.laps[0].wheels[`${axle}Left`][0].facePeak - ambient) / (limit - ambient);
    };
    // A carbon pad's share of the heat grows with its temperature, which the straight line does not know.
    expect(Math.abs(part('front') - part('rear'))).toBeLessThan(0.02);
  });

  it('follows the limits: an axle that may get hotter is given more', () => {
    const input = day(tarn);
    const lap = simulateDay(input).laps[2];
    const tougher = {
      ...input,
      front: {
        ...input.front,
        left: { ...input.front.left, pad: { ...input.front.left.pad, limit: 1e4 } },
      },
    };
    const [a] = zoneShares(input, lap, input.sessions[0].ambient);
    const [b] = zoneShares(tougher, lap, input.sessions[0].ambient);
    expect(b.even).toBeGreaterThan(a.even ?? 1);
    expect(b.actual).toBe(a.actual);
  });
});

describe('summary', () => {
  it('sums a day up without losing what it says', () => {
    const input = day(skarn);
    const result = simulateDay(input);
    const summary = summarise(input, result);
    expect(summary.verdict).toEqual(result.verdict);
    expect(summary.laps.map((l) => l.lapTime)).toEqual(result.laps.map((l) => l.lapTime));
    const lap = result.laps[summary.zonesOfLap - 1];
    expect(Math.max(...summary.zones.map((s) => s.front.facePeak))).toBeCloseTo(
      Math.max(...lap.wheels.frontLeft.map((s) => s.facePeak)),
      9,
    );
    expect(summary.zones.reduce((sum, s) => sum + s.energy, 0)).toBeLessThanOrEqual(summary.lapHeat * 1.0001);
    expect(JSON.stringify(summary).length).toBeLessThan(60_000);
    expect(Object.values(summary.limits).reduce((a, b) => a + b, 0)).toBe(summary.hotZones);
  });
});
