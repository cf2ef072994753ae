import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { plainBrakes, plainChassis } from '../../../tests/support/vehicles';
import { STANDARD_GRAVITY } from '../constants';
import { BrakingState } from './brakingState';
import { type AxleForce, type BrakeChain, pedalFor, pressuresAt, pushAt, pushFor } from './chain';
import { wheelClearances } from './fit';
import { shoeFactor, torquePerPressure, wheelGain } from './gains';
import {
  type Chassis,
  frontLoad,
  idealFrontShare,
  loaded,
  lockingPoint,
  rearLoad,
  wheelLoads,
} from './loads';
import { clicksFor, nominalShare, withShare } from './share';
import { padTaper, pistonArea } from './taper';
import { closingVolume, PedalTravel, vapourVolume, volumePerPressure } from './travel';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const chassis: Chassis = { mass: 1400, ...plainChassis };
const plain = plainBrakes(0.6);

/** Chains of every kind, with a booster and a valve or without. */
const chains = fc
  .record({
    booster: fc.option(fc.record({ gain: number(1, 9), knee: number(100, 2000) })),
    pair: fc.boolean(),
    bar: number(0.1, 0.9),
    valve: fc.option(
      fc.record({
        knee: number(0, 8e6),
        slope: number(0, 1),
        perLoad: number(0, 2000),
        missedLoad: number(0, 2000),
      }),
    ),
    ratio: number(2, 7),
  })
  .map(
    ({ booster, pair, bar, valve, ratio }): BrakeChain => ({
      ...plain,
      pedalRatio: ratio,
      pedalEfficiency: 0.9,
      booster,
      valve,
      cylinders: pair
        ? { kind: 'pair', frontArea: 2.5e-4, rearArea: 3e-4, stroke: 0.03, frontPush: bar, click: 0.005 }
        : plain.cylinders,
    }),
  );

describe('the chain from foot to tyre', () => {
  it('is what a pencil makes of it: 300 N, ratio 4, gain 5, 22.2 mm, two pistons of 38 mm, µ 0.4, 130 mm, 310 mm', () => {
    const area = Math.PI * 0.0111 ** 2; // 3.8708e-4 m²
    const front: AxleForce = {
      ...plain.front,
      correction: 1,
      pistonArea: pistonArea([0.038, 0.038]),
      radius: 0.13,
    };
    const rear: AxleForce = { ...plain.rear, correction: 1, pistonArea: pistonArea([0.036]), radius: 0.125 };
    const chain: BrakeChain = {
      ...plain,
      booster: { gain: 5, knee: 1000 },
      cylinders: { kind: 'tandem', area, stroke: 0.036, split: 'front-rear' },
      valve: { knee: 30e5, slope: 0.3, perLoad: 0, missedLoad: 0 },
      front,
      rear,
    };
    // 300 N × 4 = 1200 N in: 1000 N at five times, 200 N more as they are: 5200 N.
    expect(pushAt(chain, 300)).toBeCloseTo(5200, 9);
    const p = { front: 0, rear: 0 };
    pressuresAt(chain, 5200, 0, 0, p);
    // 5200 N / 3.8708e-4 m² = 134.34 bar; behind the valve 30 + 0.3 × 104.34 = 61.30 bar.
    expect(p.front / 1e5).toBeCloseTo(134.34, 2);
    expect(p.rear / 1e5).toBeCloseTo(61.3, 2);
    // 2 × 0.4 × 2.2682e-3 m² × 0.13 m × 134.34e5 Pa = 3169 N·m at a front wheel, 10 223 N at its road.
    const torque = torquePerPressure(front, 0.4) * p.front;
    expect(torque).toBeCloseTo(3169, 0);
    expect(wheelGain(front, 0.4, 0.31) * p.front).toBeCloseTo(10_223, 0);
    // 2 × 0.4 × 1.0179e-3 × 0.125 × 61.30e5 = 624 N·m behind.
    expect(torquePerPressure(rear, 0.4) * p.rear).toBeCloseTo(624, 0);
    recordFigure({
      id: 'chain',
      what: 'Front wheel torque at 300 N of foot, by hand',
      expected: '3169',
      computed: torque,
      unit: 'N·m',
      source: 'worked by hand in the test',
    });
  });

  it('goes back the way it came: pedal and push are each other’s inverse, and force asked is force made', () => {
    fc.assert(
      fc.property(
        chains,
        number(1, 2000),
        number(100, 30_000),
        number(-3000, 1000),
        number(-5, 5),
        (chain, pedal, force, extra, clicks) => {
          expect(pedalFor(chain, pushAt(chain, pedal)) / pedal).toBeCloseTo(1, 9);
          const p = { front: 0, rear: 0 };
          const [gf, gr] = [2.1e-3, 1.2e-3];
          const push = pushFor(chain, gf, gr, force, extra, clicks, p);
          pressuresAt(chain, push, extra, clicks, p);
          expect((gf * p.front + gr * p.rear) / force).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('makes never less of a harder foot, a bigger piston, a larger rotor, more friction', () => {
    fc.assert(
      fc.property(chains, number(10, 900), number(1.01, 2), (chain, pedal, more) => {
        const made = (c: BrakeChain, foot: number, friction: number) => {
          const p = { front: 0, rear: 0 };
          pressuresAt(c, pushAt(c, foot), 0, 0, p);
          return wheelGain(c.front, friction, 0.3) * p.front + wheelGain(c.rear, friction, 0.3) * p.rear;
        };
        const now = made(chain, pedal, 0.4);
        const bigger = (change: Partial<AxleForce>) => ({ ...chain, front: { ...chain.front, ...change } });
        expect(made(chain, pedal * more, 0.4)).toBeGreaterThanOrEqual(now);
        expect(made(bigger({ pistonArea: chain.front.pistonArea * more }), pedal, 0.4)).toBeGreaterThan(now);
        expect(made(bigger({ radius: chain.front.radius * more }), pedal, 0.4)).toBeGreaterThan(now);
        expect(made(chain, pedal, Math.min(0.8, 0.4 * more))).toBeGreaterThan(now);
      }),
    );
  });

  it('holds the rear back beyond the knee, sooner with less load, and sooner still where a tall spring blinds it', () => {
    const rearAt = (perLoad: number, extra: number, missedLoad = 0) => {
      const p = { front: 0, rear: 0 };
      const valve = { knee: 30e5, slope: 0.3, perLoad, missedLoad };
      pressuresAt({ ...plain, valve }, 3200, extra, 0, p); // 80 bar from 4 cm²
      return p.rear / 1e5;
    };
    expect(rearAt(0, -1500)).toBeCloseTo(30 + 0.3 * 50, 9);
    expect(rearAt(1000, -1500)).toBeCloseTo(15 + 0.3 * 65, 9);
    expect(rearAt(1000, -1500, 500)).toBeCloseTo(10 + 0.3 * 70, 9);
    expect(rearAt(1000, 4000)).toBeCloseTo(70 + 0.3 * 10, 9);
  });

  it('shoes: 2.2 and 3.2 at µ = 0.38 (2.0 to 2.5 from memory), growing faster than µ does', () => {
    expect(shoeFactor('leading-trailing', 0.38)).toBeCloseTo(2.2, 9);
    expect(shoeFactor('duplex', 0.38)).toBeCloseTo(3.2, 9);
    fc.assert(
      fc.property(
        number(0.05, 0.7),
        number(1.02, 1.14),
        fc.constantFrom('leading-trailing' as const, 'duplex' as const),
        (mu, more, kind) => {
          expect(shoeFactor(kind, mu * more) / shoeFactor(kind, mu)).toBeGreaterThan(more);
        },
      ),
    );
  });

  it('equal total piston area gives equal torque and travel, and the larger pad less pressure', () => {
    const four = { ...plain.front, pistonArea: pistonArea([0.038, 0.038]), padArea: 52e-4 };
    const scale = Math.sqrt(pistonArea([0.038, 0.038]) / pistonArea([0.028, 0.031, 0.034]));
    const six = { ...four, pistonArea: pistonArea([0.028, 0.031, 0.034].map((d) => d * scale)) };
    expect(torquePerPressure(six, 0.4)).toBeCloseTo(torquePerPressure(four, 0.4), 12);
    expect(closingVolume(six)).toBeCloseTo(closingVolume(four), 15);
    expect(volumePerPressure(six) / volumePerPressure(four)).toBeCloseTo(1, 9);
    const larger = { ...six, padArea: 78e-4 };
    expect(volumePerPressure(larger)).toBeLessThan(volumePerPressure(four));
  });
});

describe('loads and balance', () => {
  it('ideal balance is (b + z·h)/L (Limpert): 1400 kg, 52 %, h/L = 0.18, 0.8 g', () => {
    const ideal = idealFrontShare(chassis, 0.8, 0);
    expect(ideal).toBeCloseTo(0.52 + 0.8 * 0.18, 12);
    recordFigure({
      id: '19',
      what: 'Ideal balance at 0.8 g',
      expected: '0.664',
      computed: ideal,
      unit: '',
      source: '(b + z·h)/L, Limpert',
    });
    // Downforce presses by its own share: half as much again as the weight, 45 % of it in front.
    const weight = 1400 * STANDARD_GRAVITY;
    expect(idealFrontShare(chassis, 0.8, 0.5 * weight)).toBeCloseTo((0.664 + 0.45 * 0.5) / 1.5, 12);
  });

  it('wheel loads add up to weight and downforce, and shift to the front and the outside', () => {
    fc.assert(
      fc.property(number(0, 1.4), number(0, 9000), number(-0.9, 0.9), (z, downforce, lateral) => {
        const loads = wheelLoads(chassis, z, downforce, lateral, 1.5);
        const sum = loads.frontLeft + loads.frontRight + loads.rearLeft + loads.rearRight;
        expect(sum / (1400 * STANDARD_GRAVITY + downforce)).toBeCloseTo(1, 9);
        expect(frontLoad(chassis, z, downforce)).toBeGreaterThanOrEqual(frontLoad(chassis, 0, downforce));
        // To the left sideways, the right wheels are the outer ones.
        if (lateral > 0) expect(loads.frontLeft).toBeLessThanOrEqual(loads.frontRight);
      }),
    );
  });

  it('added masses move the centre of gravity as moments do', () => {
    const heavier = loaded(chassis, [
      { mass: 60, position: 2.0, height: 0.5 },
      { mass: 140, position: 2.5, height: 0.9 },
    ]);
    expect(heavier.mass).toBe(1600);
    expect(heavier.frontWeight).toBeCloseTo((1400 * 0.52 + 60 * (1 - 2 / 2.5) + 140 * 0) / 1600, 12);
    expect(heavier.gravityHeight).toBeCloseTo((1400 * 0.45 + 60 * 0.5 + 140 * 0.9) / 1600, 12);
    expect(loaded(chassis, [])).toEqual(chassis);
  });

  it('the axle over its ideal share locks first, and at the ideal share both lock at the tyres’ grip', () => {
    for (const grip of [0.4, 0.9, 1.2]) {
      const ideal = idealFrontShare(chassis, grip, 0);
      expect(lockingPoint(chassis, ideal, grip, 0).z).toBeCloseTo(grip, 9);
      expect(lockingPoint(chassis, ideal + 0.02, grip, 0)).toMatchObject({ axle: 'front' });
      expect(lockingPoint(chassis, ideal - 0.02, grip, 0)).toMatchObject({ axle: 'rear' });
      expect(lockingPoint(chassis, ideal - 0.02, grip, 0).z).toBeLessThan(grip);
    }
  });

  it('a wanted share comes out, and clicks of a balance bar bring share to ideal within half a click', () => {
    fc.assert(
      fc.property(chains, number(0.3, 0.9), (chain, wanted) => {
        expect(nominalShare(withShare(chain, wanted))).toBeCloseTo(wanted, 9);
        const { cylinders } = chain;
        if (cylinders.kind !== 'pair') return;
        const now = nominalShare(chain);
        const clicks = clicksFor(chain, now, wanted);
        const push = cylinders.frontPush + clicks * cylinders.click;
        if (push < 0.05 || push > 0.95) return;
        const at = (shift: number) =>
          nominalShare({ ...chain, cylinders: { ...cylinders, frontPush: push + shift * cylinders.click } });
        expect(at(-0.51)).toBeLessThanOrEqual(wanted);
        expect(at(0.51)).toBeGreaterThanOrEqual(wanted);
      }),
    );
  });
});

describe('an instant of braking', () => {
  const state = (chain: BrakeChain, recovery: ConstructorParameters<typeof BrakingState>[3] = null) => {
    const s = new BrakingState(chain, chassis, 0.31, recovery);
    s.takeNominal();
    return s;
  };

  it('never makes or loses force between its axles and the motor', () => {
    fc.assert(
      fc.property(
        chains,
        number(50, 20_000),
        number(0, 1),
        fc.constantFrom('front' as const, 'rear' as const),
        fc.constantFrom('blended' as const, 'added' as const),
        number(0.1, 0.6),
        (chain, force, motor, axle, blending, mu) => {
          const s = state(chain, { axle, blending });
          Object.assign(s.condition, { frontLeft: mu, rearRight: mu });
          Object.assign(s.demand, { force, electric: motor * force, z: force / 14_000, downforce: 0 });
          s.solve();
          expect((s.frontFriction + s.rearFriction + s.electric) / force).toBeCloseTo(1, 9);
          expect(Math.min(s.frontFriction, s.rearFriction, s.electric)).toBeGreaterThanOrEqual(0);
          expect(s.share).toBeLessThanOrEqual(1 + 1e-12);
        },
      ),
    );
  });

  it('with ABS asks no axle for more than its tyres hold, loses no force, and presses harder for what it moves', () => {
    fc.assert(
      fc.property(
        chains,
        number(0.1, 0.98),
        number(0.1, 0.6),
        fc.constantFrom('front' as const, 'rear' as const, null),
        (chain, used, mu, axle) => {
          const grip = 1.1;
          const held = { ...chassis, abs: true, longitudinalGrip: grip };
          const recovery = axle && { axle, blending: 'blended' as const };
          const solved = (own: typeof chassis) => {
            const s = new BrakingState(chain, own, 0.31, recovery);
            s.takeNominal();
            Object.assign(s.condition, { frontLeft: mu, frontRight: mu });
            const force = used * grip * own.mass * STANDARD_GRAVITY;
            Object.assign(s.demand, { force, electric: axle ? 0.3 * force : 0, z: used * grip });
            s.solve();
            return { s, force };
          };
          const [{ s, force }, { s: free }] = [solved(held), solved(chassis)];
          expect((s.frontFriction + s.rearFriction + s.electric) / force).toBeCloseTo(1, 9);
          expect(Math.min(s.frontFriction, s.rearFriction, s.electric)).toBeGreaterThanOrEqual(-1e-6);
          expect(Math.max(s.frontUse, s.rearUse)).toBeLessThanOrEqual(grip * (1 + 1e-9));
          // Where neither is over nothing is held back; where one is, the foot presses on.
          if (Math.max(free.frontUse, free.rearUse) < grip) expect(s.pedal / free.pedal).toBeCloseTo(1, 9);
          else expect(s.pedal).toBeGreaterThan(free.pedal * (1 - 1e-9));
        },
      ),
    );
  });

  it('blended, the motor leaves balance and foot alone; added, the foot is lighter and its axle does more', () => {
    const solved = (blending: 'blended' | 'added', electric: number) => {
      const s = state(plain, { axle: 'rear', blending });
      Object.assign(s.demand, { force: 8000, electric, z: 0.6 });
      s.solve();
      return { pedal: s.pedal, share: s.share, rearPressure: s.pressures.rear };
    };
    const without = solved('blended', 0);
    const blended = solved('blended', 1500);
    const added = solved('added', 1500);
    expect(blended.pedal).toBeCloseTo(without.pedal, 9);
    expect(blended.share).toBeCloseTo(without.share, 9);
    expect(blended.rearPressure).toBeLessThan(without.rearPressure);
    expect(added.pedal / without.pedal).toBeCloseTo(6500 / 8000, 9);
    expect(added.share).toBeCloseTo((0.6 * 6500) / 8000, 9);
  });

  it('fade shifts the share to the cooler axle, asks more of the foot, and takes from what is in hand', () => {
    const at = (front: number) => {
      const s = state(plain);
      Object.assign(s.condition, { frontLeft: front, frontRight: front });
      Object.assign(s.demand, { force: 9000, z: 0.7 });
      s.solve();
      s.limit();
      return s;
    };
    const [fresh, faded] = [at(0.4), at(0.25)];
    expect(faded.share).toBeLessThan(fresh.share - 0.05);
    expect(faded.pedal).toBeGreaterThan(1.2 * fresh.pedal);
    expect(faded.margin()).toBeLessThan(fresh.margin());
    // What it says is in hand is what that foot makes.
    expect(faded.pedal * (1 + faded.margin())).toBeCloseTo(plain.forceLimit, 6);
    expect(faded.availableAtBest()).toBeCloseTo(fresh.available, 6);
  });

  it('a balance bar moves by its cylinders’ strokes, weighted by their shares of the push; chambers in a row add up', () => {
    const p = { front: 50e5, rear: 30e5 };
    const taken = (axle: AxleForce, pressure: number) =>
      closingVolume(axle) + volumePerPressure(axle) * pressure;
    const [front, rear] = [taken(plain.front, p.front), taken(plain.rear, p.rear)];
    expect(new PedalTravel(plain).pushTravel(p, 1e-6, 2e-6, 0)).toBeCloseTo((front + rear + 3e-6) / 4e-4, 12);
    const bar: BrakeChain = {
      ...plain,
      cylinders: { kind: 'pair', frontArea: 2e-4, rearArea: 3e-4, stroke: 0.03, frontPush: 0.7, click: 0.01 },
    };
    const strokes = [(front + 1e-6) / 2e-4, (rear + 2e-6) / 3e-4];
    expect(new PedalTravel(bar).pushTravel(p, 1e-6, 2e-6, 0)).toBeCloseTo(
      0.7 * strokes[0] + 0.3 * strokes[1],
      12,
    );
    expect(new PedalTravel(bar).pushTravel(p, 1e-6, 2e-6, 5)).toBeCloseTo(
      0.75 * strokes[0] + 0.25 * strokes[1],
      12,
    );
  });

  it('needs a longer first push where a corner has knocked the pads back: ratio·4·A·gap·(a/g) over the bore', () => {
    const knocked: BrakeChain = {
      ...plain,
      front: { ...plain.front, knockBack: 8e-5 },
      rear: { ...plain.rear, knockBack: 3e-5 },
    };
    const cornered = (lateral: number) => {
      const state = new BrakingState(knocked, chassis, 0.31, null);
      state.takeNominal();
      Object.assign(state.demand, { force: 5000, z: 0.4, lateral });
      state.solve();
      state.limit();
      return { ...state };
    };
    const volume = 4 * (knocked.front.pistonArea * 8e-5 + knocked.rear.pistonArea * 3e-5) * 1.2;
    const more = (knocked.pedalRatio * volume) / 4e-4;
    expect(cornered(1.2).travel - cornered(0).travel).toBeCloseTo(more, 12);
    expect(cornered(1.2).knockBack).toBeCloseTo(more, 12);
    expect(cornered(1.2).pedal).toBe(cornered(0).pedal);
    // Pads knocked far back leave a pedal that reaches the floor before there is pressure.
    expect(cornered(30).available).toBeLessThan(0.5 * cornered(0).available);
  });

  it('vapour lengthens the pedal to the floor, and then there is no pressure left', () => {
    const at = (over: number) => {
      const s = state(plain);
      s.condition.vapourFront = 2 * vapourVolume(over);
      Object.assign(s.demand, { force: 9000, z: 0.7 });
      s.solve();
      s.limit();
      return s;
    };
    expect(at(-5).travel).toBe(at(0).travel);
    expect(at(5).travel - at(0).travel).toBeCloseTo((2 * vapourVolume(5) * plain.pedalRatio) / 4e-4, 9);
    expect(at(30).available).toBeLessThan(0.2 * at(0).available);
    expect(at(30).availableByForce).toBeCloseTo(at(0).available, 6);
    expect(at(400).travel).toBe(at(300).travel);
    const soft = new PedalTravel({
      ...plain,
      front: { ...plain.front, hoseExpansion: 20 * plain.front.hoseExpansion },
    });
    const p = { front: 60e5, rear: 60e5 };
    expect(soft.pushTravel(p, 0, 0, 0)).toBeGreaterThan(new PedalTravel(plain).pushTravel(p, 0, 0, 0));
  });
});

describe('fit and wear', () => {
  const fit = {
    barrelDiameter: 0.36,
    spokes: 0.03,
    spacer: 0,
    rotorDiameter: 0.3,
    rotorThickness: 0.026,
    rotorDepth: 0.045,
    bridge: 0.02,
    outerBody: 0.03,
    sliding: true,
    opening: 0.07,
    padThickness: 0.005,
    plateThickness: 0.005,
    newPadThickness: 0.012,
  };
  const of = (change: Partial<typeof fit>) =>
    Object.fromEntries(wheelClearances({ ...fit, ...change }).map((c) => [c.what, c.clearance]));

  it('measures what a rule would: thicker pads push a sliding caliper outwards, a spacer gives the room back', () => {
    // Outer face 45 mm inside the hub’s face; 12 + 5 + 30 mm outwards of it: 2 mm past the face, spokes 30 mm out.
    expect(of({})['spokes-new']).toBeCloseTo(0.028, 12);
    expect(of({})['spokes-worn']).toBeCloseTo(0.035, 12);
    expect(of({}).barrel).toBeCloseTo(0.01, 12);
    expect(of({}).pads).toBeCloseTo(0.07 - 0.026 - 0.034, 12);
    expect(of({ newPadThickness: 0.015 })['spokes-new']).toBeCloseTo(0.025, 12);
    expect(of({ newPadThickness: 0.015, spacer: 0.003 })['spokes-new']).toBeCloseTo(0.028, 12);
    const fixed = of({ sliding: false });
    expect(fixed['spokes-new']).toBe(fixed['spokes-worn']);
    expect(of({ barrelDiameter: 0.33 }).barrel).toBeLessThan(0);
  });

  it('friction presses the leading edge by µ·h; smaller leading pistons take it back; a mirror turns it round', () => {
    const row = { padLength: 0.12, heldAt: 0.012, friction: 0.4 };
    const equal = padTaper({ ...row, diameters: [0.036, 0.036] });
    expect(equal.pushCentre).toBeCloseTo(0, 12);
    expect(equal.leadingEdge).toBeCloseTo(1 + (6 * 0.4 * 0.012) / 0.12, 12);
    expect(equal.leadingEdge + equal.trailingEdge).toBeCloseTo(2, 12);
    const staggered = padTaper({ ...row, diameters: [0.034, 0.038] });
    expect(staggered.leadingEdge).toBeLessThan(equal.leadingEdge);
    const mirrored = padTaper({ ...row, friction: 0, diameters: [0.038, 0.034] });
    expect(mirrored.pushCentre).toBeCloseTo(
      -padTaper({ ...row, friction: 0, diameters: [0.034, 0.038] }).pushCentre,
      12,
    );
    expect(rearLoad(chassis, 0.5, 0) + frontLoad(chassis, 0.5, 0)).toBeCloseTo(1400 * STANDARD_GRAVITY, 6);
  });
});
