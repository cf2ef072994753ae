import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { recordFigure } from '../../../tests/support/validation';
import { type Car, dayInput, type Plan, type Setup, setupOf } from '../../model';
import { standardPressure } from '../air';
import { boilingUnder, WHEELS } from '../brake';
import { lapHeat } from '../lap';
import { circuitSeverity, type DayInput } from '../schedule';
import { simulateDay } from './day';
import { outlook } from './outlook';
import { distinctWheels } from './record';

const day = setupOf(demoProject, 'plan-tarn-day');
const with_ = (setup: Setup, car: (car: Car) => Car, plan: (plan: Plan) => Plan = (p) => p): DayInput =>
  dayInput({ ...setup, car: car(setup.car), plan: plan(setup.plan) });
const short = (id: string) => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: oneSession(setup.plan, { hotLaps: 3, paddockMin: 5 }) };
};
/** What is mirrored must have no wind. */
const calm = (plan: Plan): Plan => ({ ...plan, windKmh: 0 });
const celsius = (kelvin: number) => kelvin - 273.15;

describe('a day of sessions', () => {
  const result = simulateDay(dayInput(day));
  const { record, legs, laps } = result;

  it('drives its legs in order, without a gap, each lap in its session', () => {
    let at = 0;
    for (const leg of legs) {
      expect(leg.startTime).toBeCloseTo(at, 6);
      at = leg.endTime;
    }
    expect(record.time[record.time.length - 1]).toBeCloseTo(at, 6);
    expect(laps.map((lap) => lap.session)).toEqual([...laps.map((lap) => lap.session)].sort());
    day.plan.sessions.forEach((session, k) => {
      const planned = session.legs.reduce((sum, leg) => sum + ('laps' in leg ? leg.laps : 0), 0);
      const driven = laps.filter((lap) => lap.session === k);
      expect(driven.length).toBe(planned);
      expect(driven.map((lap) => lap.numberInSession)).toEqual(driven.map((_, i) => i + 1));
    });
    for (let i = 1; i < record.time.length; i++) expect(record.time[i]).toBeGreaterThan(record.time[i - 1]);
  });

  it('carries the heat over: a second session after a short pause begins warm, after a long one cold', () => {
    const base = short('plan-tarn-anvil');
    const [session] = base.plan.sessions;
    const twice = (minutes: number) => {
      const legs = session.legs.map((leg) => (leg.kind === 'paddock' ? { ...leg, minutes } : leg));
      return simulateDay(
        dayInput({ ...base, plan: { ...base.plan, sessions: [{ ...session, legs }, session] } }),
      );
    };
    const begin = (r: ReturnType<typeof simulateDay>) =>
      celsius(r.record.wheels.frontLeft.rotorBulk[r.record.leg.indexOf(session.legs.length)]);
    const [soon, late] = [twice(3), twice(500)];
    expect(begin(soon)).toBeGreaterThan(150);
    expect(begin(late)).toBeLessThan(30);
    const alone = simulateDay(dayInput(base));
    const peak = (r: ReturnType<typeof simulateDay>) => r.peaks.frontLeft.rotorBulk;
    expect(peak(soon)).toBeGreaterThan(peak(alone));
    expect(Math.abs(peak(late) - peak(alone))).toBeLessThan(1);
  });

  it('keeps its energy through changing air, pits and fans, and drives faster laps in thinner air, if the engine bears it', () => {
    expect(result.audit.residual).toBeLessThan(1e-3);
    const work = laps.reduce((sum, lap) => sum + lapHeat(lap.trace), 0);
    expect(result.audit.supplied / work).toBeCloseTo(1, 9);
    const hot = (session: number) => laps.find((lap) => lap.session === session && lap.kind === 'hot');
    expect(hot(2)?.lapTime).toBeGreaterThan(hot(0)?.lapTime ?? 0);
    const blown = simulateDay(dayInput({ ...day, car: { ...day.car, intake: 'supercharged' } }));
    const blownHot = (session: number) => blown.laps.find((l) => l.session === session && l.kind === 'hot');
    expect(blownHot(2)?.lapTime).toBeLessThan(blownHot(0)?.lapTime ?? 0);
  });

  it('drives a damp session slower and cooler than a dry one, and the next dry one as if it were the first', () => {
    const input = dayInput(day);
    const [session] = input.sessions;
    const only = { ...session, legs: [{ kind: 'hot' as const, laps: 3, pace: 1 }] };
    const parked = { kind: 'paddock' as const, duration: 4 * 3600, fan: 0 };
    const damp = { ...only, trackGrip: 0.7, legs: [...only.legs, parked] };
    const { laps, record, legs } = simulateDay({ ...input, sessions: [damp, only] });
    const dry = simulateDay({ ...input, sessions: [only] });
    expect(laps[0].lapTime).toBeGreaterThan(1.03 * dry.laps[0].lapTime);
    expect(laps[3].lapTime).toBe(dry.laps[0].lapTime);
    const hottest = (session: number) =>
      record.wheels.frontLeft.rotorBulk.reduce(
        (most, k, i) => (legs[record.leg[i]].session === session ? Math.max(most, k) : most),
        0,
      );
    expect(hottest(0)).toBeLessThan(hottest(1) - 30);
  });

  it('cools faster in the pits with a fan', () => {
    const base = short('plan-tarn-anvil');
    const atTheEnd = (fanKmh: number) => {
      const plan: Plan = {
        ...base.plan,
        sessions: [
          {
            ...base.plan.sessions[0],
            legs: [
              { kind: 'hot', laps: 4, pacePercent: 100 },
              { kind: 'pit', minutes: 5, fanKmh },
            ],
          },
        ],
      };
      const { record: r } = simulateDay(dayInput({ ...base, plan }));
      return r.wheels.frontLeft.rotorBulk[r.time.length - 1];
    };
    expect(atTheEnd(20)).toBeLessThan(atTheEnd(0) - 30);
    expect(atTheEnd(40)).toBeLessThan(atTheEnd(20));
  });
});

describe('left and right', () => {
  const ovel = short('plan-ovel-nettle');

  it('follow the loads by half with ABS where nothing is known, and not at all without it', () => {
    const of = (car: Partial<Car>) =>
      dayInput({ ...ovel, car: { ...ovel.car, loadFollowingPercent: null, ...car } }).vehicle.loadFollowing;
    expect([of({}), of({ abs: false }), of({ loadFollowingPercent: 30 })]).toEqual([0.5, 0, 0.3]);
    // A circuit has a harder side whatever the car's brakes do with it.
    const one = circuitSeverity(dayInput({ ...ovel, car: { ...ovel.car, loadFollowingPercent: 0 } }));
    expect(Math.abs(one.leftShare - 0.5)).toBeGreaterThan(0.005);
    expect(one.leftShare > 0.5).toBe((one.rightTurns ?? 0) > 0.5);
  });

  it('are one where everything is alike, and four where anything is not', () => {
    const count = (input: DayInput) => distinctWheels(simulateDay(input).record.wheels).length;
    const alike = (car: Car): Car => ({ ...car, loadFollowingPercent: 0 });
    expect(count(with_(ovel, alike))).toBe(2);
    expect(count(with_(ovel, (c) => c))).toBe(4);
    expect(count(with_(ovel, (c) => ({ ...alike(c), front: { ...c.front, rightFactor: 0.9 } })))).toBe(3);
    expect(count(with_(ovel, (c) => ({ ...alike(c), rear: { ...c.rear, rightDuctAreaCm2: 9 } })))).toBe(3);
  });

  it('differ by what the circuit asks: the outer wheels brake more, mirrored on the mirrored circuit', () => {
    const input = with_(ovel, (c) => ({ ...c, loadFollowingPercent: 100 }), calm);
    if (input.circuit.kind !== 'line') throw new Error('a line was expected');
    const mirrored: DayInput = {
      ...input,
      circuit: {
        ...input.circuit,
        segments: input.circuit.segments.map((s) =>
          s.kind === 'corner' ? { ...s, hand: s.hand === 'left' ? 'right' : 'left' } : s,
        ),
      },
    };
    const [here, there] = [simulateDay(input), simulateDay(mirrored)];
    expect(Math.abs(here.peaks.frontLeft.rotorBulk - here.peaks.frontRight.rotorBulk)).toBeGreaterThan(3);
    expect(there.peaks.frontLeft.rotorBulk).toBeCloseTo(here.peaks.frontRight.rotorBulk, 6);
    expect(there.peaks.rearRight.fluid).toBeCloseTo(here.peaks.rearLeft.fluid, 6);
  });

  it('sum to the axle’s work, whatever the relief', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (loadFollowingPercent) => {
        const { audit, laps } = simulateDay(
          with_(ovel, (c) => ({ ...c, recovery: null, loadFollowingPercent })),
        );
        const work = laps.reduce((sum, lap) => sum + lapHeat(lap.trace), 0);
        expect(audit.supplied / work).toBeCloseTo(1, 9);
      }),
      { numRuns: 6 },
    );
  });

  it('the better cooled side stays cooler', () => {
    const result = simulateDay(
      with_(ovel, (c) => ({ ...c, loadFollowingPercent: 0, front: { ...c.front, leftFactor: 1.3 } })),
    );
    expect(result.peaks.frontLeft.rotorBulk).toBeLessThan(result.peaks.frontRight.rotorBulk - 5);
    expect(result.peaks.rearLeft).toEqual(result.peaks.rearRight);
  });
});

describe('parts that keep heat from the fluid', () => {
  const base = short('plan-tarn-anvil');
  const fluid = (change: Partial<Car['front']>) =>
    simulateDay(with_(base, (c) => ({ ...c, front: { ...c.front, ...change } }))).peaks.frontLeft.fluid;

  it('a shim does, the better the more it insulates; so do pistons of titanium', () => {
    const [none, stainless, titanium, ceramic] = (['none', 'stainless', 'titanium', 'ceramic'] as const).map(
      (shim) => fluid({ shim }),
    );
    expect(none).toBeGreaterThan(stainless);
    expect(stainless).toBeGreaterThan(titanium);
    expect(titanium).toBeGreaterThan(ceramic);
    const { caliper } = base.car.front;
    expect(fluid({ caliper: { ...caliper, pistons: 'titanium-capped' } })).toBeLessThan(none);
    expect(fluid({ caliper: { ...caliper, pistons: 'aluminium' } })).toBeGreaterThan(none);
  });

  it('a measured boiling point overrides class and age in the verdict', () => {
    const measured = simulateDay(
      with_(base, (c) => ({ ...c, fluid: { ...c.fluid, measuredBoilingC: 111 } })),
    );
    // A measured point is one at sea level; Anvil Park lies at 120 m.
    const there = boilingUnder(111 + 273.15, standardPressure(base.circuit.altitudeM));
    expect(measured.margins.find((m) => m.part === 'fluid')?.limit).toBeCloseTo(there, 9);
  });
});

describe('what heat does to rotors', () => {
  it('grows a hot ring, cones a one-piece one, and lets a floating one be', () => {
    const { strain } = simulateDay(dayInput(short('plan-tarn-anvil')));
    const front = strain.frontLeft;
    expect(front.growth * 1000).toBeGreaterThan(1);
    expect(front.growth * 1000).toBeLessThan(3);
    expect(front.ringOverHat).toBeGreaterThan(200);
    expect(front.coning).toBeGreaterThan(0);
    expect(front.fatigueDamage).toBeGreaterThan(0);
    const carbon = simulateDay(dayInput(short('plan-skarn-fen'))).strain.frontLeft;
    expect(carbon.coning).toBeNull();
    expect(carbon.fatigueDamage).toBeNull();
    expect(carbon.growth).toBeLessThan(front.growth / 3);
  });

  it('glazes pads that are run over their limit, for good: their friction stays lower when cold again', () => {
    const { record, strain } = simulateDay(
      with_(short('plan-ovel-nettle'), (c) => ({ ...c, front: { ...c.front, pad: 'estate' } })),
    );
    const wheel = record.wheels.frontRight;
    expect(strain.frontRight.glaze).toBeGreaterThan(0.05);
    expect(strain.rearLeft.glaze).toBe(0);
    const last = wheel.friction.length - 1;
    const fresh = record.wheels.rearLeft.friction[last];
    expect(wheel.friction[last]).toBeLessThan(fresh);
  });
});

describe('plausibility', () => {
  it('a carbon prototype at the end of a long straight and in its biggest braking zone (common practice)', () => {
    const setup = setupOf(demoProject, 'plan-skarn-fen');
    const result = simulateDay(dayInput(setup));
    const hot = result.laps.filter((lap) => lap.kind === 'hot').slice(2);
    const before = Math.min(...hot.flatMap((lap) => lap.wheels.frontLeft.map((s) => s.faceBefore)));
    const peak = result.peaks.frontLeft.padFace;
    const figure = (what: string, expected: string, computed: number, unit: string) =>
      recordFigure({ id: '27', what, expected, computed, unit, source: 'common practice' });
    figure('Carbon front surface at the end of the long straight', 'about 200', celsius(before), '°C');
    figure('Carbon front interface in the biggest braking zone', 'up to 1000', celsius(peak), '°C');
    figure(
      'Peak deceleration',
      'about 5 at the most',
      Math.max(...result.trace.zones.map((s) => s.peakDeceleration)) / 9.80665,
      'g',
    );
    expect(celsius(before)).toBeGreaterThan(130);
    expect(celsius(before)).toBeLessThan(330);
    expect(celsius(peak)).toBeGreaterThan(750);
    expect(celsius(peak)).toBeLessThan(1100);
  });

  it('a road car’s discs stay about 120 °C on the road and 260 to 400 °C and more on a track (common practice)', () => {
    const setup = setupOf(demoProject, 'plan-tarn-fen');
    const at = (pacePercent: number) => {
      const [session] = setup.plan.sessions;
      const plan: Plan = {
        ...setup.plan,
        sessions: [{ ...session, legs: [{ kind: 'out', laps: 8, pacePercent }] }],
      };
      return celsius(simulateDay(dayInput({ ...setup, plan })).peaks.frontLeft.rotorBulk);
    };
    const road = at(25);
    const track = at(75);
    recordFigure({
      id: '28',
      what: 'Front disc, ridden as on the road (pace 25 %)',
      expected: 'about 120',
      computed: road,
      unit: '°C',
      source: 'common practice',
    });
    recordFigure({
      id: '28',
      what: 'The same on a track, not hurried (pace 75 %)',
      expected: '260 to 400',
      computed: track,
      unit: '°C',
      source: 'common practice',
    });
    expect(road).toBeGreaterThan(80);
    expect(road).toBeLessThan(170);
    expect(track).toBeGreaterThan(260);
    expect(track).toBeLessThan(450);
  });
});

describe('the outlook', () => {
  it('finds the stint that keeps every limit: one lap more passes one', () => {
    const setup = setupOf(demoProject, 'plan-tarn-anvil');
    const input = dayInput(setup);
    const ahead = outlook(input, 0);
    const stint = Number(ahead.stint);
    expect(stint).toBeGreaterThan(0);
    const passes = (hotLaps: number) => {
      const plan = oneSession(setup.plan, { hotLaps, coolDownLaps: 0, paddockMin: 0 });
      return simulateDay(dayInput({ ...setup, plan })).margins.some((m) => m.part !== 'bite' && m.passed);
    };
    expect(passes(stint)).toBe(false);
    expect(passes(stint + 1)).toBe(true);
    const first = ahead.parts
      .filter((p) => p.lapsUntil !== null)
      .sort((a, b) => Number(a.lapsUntil) - Number(b.lapsUntil))[0];
    expect(first).toMatchObject({ axle: 'front', part: 'padFace', lapsUntil: stint });
  });

  it('finds cool-down laps and paddock time that bring the brakes back, and no fewer', () => {
    const setup = setupOf(demoProject, 'plan-tarn-anvil');
    const input = dayInput(setup);
    const { stint, again, coolDownLaps, leastPaddock } = outlook(input, 0);
    const legs = (cool: number) => [
      { kind: 'out' as const, laps: 1, pace: 0.65 },
      { kind: 'hot' as const, laps: Number(stint), pace: 1 },
      { kind: 'cool' as const, laps: cool, pace: 0.4 },
      { kind: 'hot' as const, laps: again, pace: 1 },
    ];
    const keeps = (cool: number) =>
      !simulateDay({ ...input, sessions: [{ ...input.sessions[0], legs: legs(cool) }] }).margins.some(
        (m) => m.part !== 'bite' && m.passed,
      );
    expect(coolDownLaps).not.toBeNull();
    expect(keeps(Number(coolDownLaps))).toBe(true);
    if (Number(coolDownLaps) > 1) expect(keeps(Number(coolDownLaps) - 1)).toBe(false);
    // The least that is tried is a minute.
    expect(leastPaddock).toBeGreaterThanOrEqual(60);
    expect(leastPaddock).toBeLessThan(3600);
  });

  it('of a later session is that of the session by itself, however far too hot the one before was', () => {
    // Pads that do not glaze, since glazed ones leave work to the other axle for good.
    const hard = (corner: DayInput['front']['left']) => ({ ...corner, pad: { ...corner.pad, limit: 3000 } });
    const day = dayInput(setupOf(demoProject, 'plan-tarn-anvil'));
    const axle = (one: DayInput['front']) => ({ ...one, left: hard(one.left), right: hard(one.right) });
    const input = { ...day, front: axle(day.front), rear: axle(day.rear) };
    const [own] = input.sessions;
    const ruined = { ...own, legs: [...own.legs, { kind: 'paddock' as const, duration: 4 * 3600, fan: 0 }] };
    expect(simulateDay(input).margins.some((m) => m.part !== 'bite' && m.passed)).toBe(true);
    const [alone, later] = [outlook(input, 0), outlook({ ...input, sessions: [ruined, own] }, 1)];
    expect(later.stint).toBe(alone.stint);
    // A hub still warm is all that is left of it.
    expect(Math.abs(Number(later.coolDownLaps) - Number(alone.coolDownLaps))).toBeLessThanOrEqual(1);
    later.parts.forEach((part, i) => {
      expect(Math.abs(part.settles - alone.parts[i].settles), part.part).toBeLessThan(12);
    });
  });

  it('has no limit to name where none is passed, and can be cancelled', () => {
    const fen = dayInput(setupOf(demoProject, 'plan-tarn-fen'));
    expect(outlook(fen, 0).stint).toBeNull();
    expect(outlook(fen, 0).parts.every((part) => part.lapsUntil === null)).toBe(true);
    let asked = 0;
    expect(() => outlook(fen, 0, () => ++asked > 0)).toThrow('cancelled');
  });

  it('shares one record between alike wheels, so that nothing is moved twice', () => {
    const { record } = simulateDay(dayInput(short('plan-tarn-anvil')));
    expect(record.wheels.frontLeft).toBe(record.wheels.frontRight);
    expect(WHEELS.map((w) => record.wheels[w].nodes.length % record.wheels[w].nodeCount)).toEqual([
      0, 0, 0, 0,
    ]);
  });
});
