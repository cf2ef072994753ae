import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { type Drive, oneSession } from '../../../tests/support/sessions';
import { recordFigure } from '../../../tests/support/validation';
import { type Car, cornerOf, dayInput, type Plan, type Setup, setupOf, zonesFromLap } from '../../model';
import { airProperties } from '../air';
import {
  CHANNEL_COUNT,
  CornerDrive,
  cornerNetwork,
  freshState,
  RECORDED_PARTS,
  WHEELS,
  wheelOf,
} from '../brake';
import { lapHeat, lapTime } from '../lap';
import { DEFAULT_NUMERICS } from '../schedule';
import { CornerRun } from './cornerRun';
import { simulateDay } from './day';
import type { DayResult } from './result';

interface Change {
  car?: (car: Car) => Car;
  plan?: Partial<Plan>;
  /** Replaces the day by one session of so many laps */
  drive?: Drive;
}

function setup(planId: string, { car, plan, drive }: Change = {}): Setup {
  const base = setupOf(demoProject, planId);
  const day = drive ? oneSession(base.plan, drive) : base.plan;
  return { ...base, car: car ? car(base.car) : base.car, plan: { ...day, brakesEarlier: false, ...plan } };
}
const run = (planId: string, change: Change = {}) => simulateDay(dayInput(setup(planId, change)));
const bothAxles = (car: Car, change: Partial<Car['front']>): Car => ({
  ...car,
  front: { ...car.front, ...change },
  rear: { ...car.rear, ...change },
});

const SHORT = { hotLaps: 4, paddockMin: 10 } as const;
const PLANS = demoProject.plans.map((plan) => plan.id);
const TARN = 'plan-tarn-anvil';
const celsius = (kelvin: number) => kelvin - 273.15;

/** Largest difference between the peaks of two runs, K. */
function peakDifference(a: DayResult, b: DayResult): number {
  return Math.max(
    ...WHEELS.flatMap((wheel) =>
      RECORDED_PARTS.map((part) => Math.abs(a.peaks[wheel][part] - b.peaks[wheel][part])),
    ),
  );
}

describe('every run', () => {
  it.each(PLANS)('keeps its energy to 0.1 %% and puts all brake work into the brakes: %s', (id) => {
    const result = run(id);
    const input = dayInput(setup(id));
    expect(result.audit.supplied).toBeGreaterThan(1e6);
    expect(result.audit.residual).toBeLessThan(1e-3);
    recordFigure({
      id: 'energy',
      what: `Supplied − stored − carried away, ${setup(id).plan.name}`,
      expected: 'under 0.1',
      computed: 100 * result.audit.residual,
      unit: '%',
      source: 'conservation',
    });
    const work = result.laps.reduce((sum, lap) => sum + lapHeat(lap.trace), 0);
    if (input.vehicle.recovery === null) expect(result.audit.supplied / work).toBeCloseTo(1, 9);
    // A motor takes what it can whatever the pads do: what it takes more than planned, they do not get.
    const motor = (of: (lap: (typeof result.laps)[number]) => number) =>
      result.laps.reduce((sum, lap) => sum + of(lap), 0);
    const taken = motor((lap) => lap.forces.reduce((sum, zone) => sum + zone.recovered, 0));
    const planned = motor((lap) => lap.trace.zones.reduce((sum, zone) => sum + zone.recovered, 0));
    const kept = work - (taken - planned) * (1 - input.vehicle.slipShare);
    expect(result.audit.supplied / kept).toBeCloseTo(1, 4);
  });

  it.each(PLANS)('moves no peak by more than 1 K when steps are halved and cells doubled: %s', (id) => {
    const input = dayInput(setup(id));
    const { steps, refinement, spacing } = DEFAULT_NUMERICS;
    const day = simulateDay(input);
    const fine = simulateDay(input, {
      ...DEFAULT_NUMERICS,
      steps: {
        braking: steps.braking / 2,
        leastPerZone: steps.leastPerZone * 2,
        release: steps.release / 2,
        rolling: steps.rolling / 2,
        standing: steps.standing / 2,
      },
      refinement: refinement * 2,
    });
    const moved = peakDifference(day, fine);
    expect(moved).toBeLessThan(1);
    recordFigure({
      id: 'numerics',
      what: `Steps halved, cells doubled: largest move of a peak, ${setup(id).plan.name}`,
      expected: 'under 1',
      computed: moved,
      unit: 'K',
      source: 'own requirement',
    });
    const closer = peakDifference(day, simulateDay(input, { ...DEFAULT_NUMERICS, spacing: spacing / 2 }));
    expect(closer).toBeLessThan(1);
    recordFigure({
      id: 'numerics',
      what: `Points of the line twice as close: largest move of a peak, ${setup(id).plan.name}`,
      expected: 'under 1',
      computed: closer,
      unit: 'K',
      source: 'own requirement',
    });
  });

  it('gives the same numbers each time', () => {
    expect(run(TARN).record.wheels.frontLeft).toEqual(run(TARN).record.wheels.frontLeft);
  });

  it('is in time order, finite, and never colder than the air', () => {
    const { record } = run('plan-skarn-fen', { drive: SHORT });
    for (let i = 1; i < record.time.length; i++) expect(record.time[i]).toBeGreaterThan(record.time[i - 1]);
    for (const wheel of WHEELS) {
      for (const part of RECORDED_PARTS) {
        expect(celsius(Math.min(...record.wheels[wheel][part]))).toBeGreaterThan(18 - 1e-6);
      }
    }
  });
});

describe('relations that must always hold', () => {
  const warmer = (less: DayResult, more: DayResult) => {
    for (const wheel of WHEELS) {
      expect(more.peaks[wheel].rotorBulk).toBeGreaterThanOrEqual(less.peaks[wheel].rotorBulk - 0.05);
      expect(more.peaks[wheel].rotorFace).toBeGreaterThanOrEqual(less.peaks[wheel].rotorFace - 0.3);
    }
  };
  const plan = fc.constantFrom(...PLANS);
  const share = fc.double({ min: 0.02, max: 0.3, noNaN: true });
  const holds = (property: (id: string, share: number) => void) =>
    fc.assert(fc.property(plan, share, property), { numRuns: 12 });

  it('more mass: never cooler rotors', () => {
    holds((id, s) =>
      warmer(
        run(id, { drive: SHORT }),
        run(id, { drive: SHORT, car: (c) => ({ ...c, massKg: c.massKg * (1 + s) }) }),
      ),
    );
  });

  it('more of the grip used in braking: never cooler rotors', () => {
    holds((id, s) => {
      const used = setup(id).plan.brakingGripUsedPercent;
      const less = run(id, { drive: SHORT, plan: { brakingGripUsedPercent: used * (1 - s) } });
      warmer(less, run(id, { drive: SHORT }));
    });
  });

  it('more speed from more power: never cooler rotors', () => {
    holds((id, s) =>
      warmer(
        run(id, { drive: SHORT }),
        run(id, { drive: SHORT, car: (c) => ({ ...c, powerKw: c.powerKw * (1 + s) }) }),
      ),
    );
  });

  it('more laps: never cooler rotors', () => {
    holds((id, s) =>
      warmer(run(id, { drive: SHORT }), run(id, { drive: { ...SHORT, hotLaps: 4 + Math.ceil(s * 20) } })),
    );
  });

  it('more duct: never hotter rotor, never less drag', () => {
    holds((id, s) => {
      const with_ = (cm2: number) =>
        run(id, { drive: SHORT, car: (c) => bothAxles(c, { ductAreaCm2: c.front.ductAreaCm2 + cm2 }) });
      const [small, large] = [with_(10), with_(10 + 200 * s)];
      for (const wheel of WHEELS)
        expect(large.peaks[wheel].rotorBulk).toBeLessThanOrEqual(small.peaks[wheel].rotorBulk);
      expect(lapTime(large.trace)).toBeGreaterThanOrEqual(lapTime(small.trace) - 1e-9);
    });
  });

  it('thicker pad: never hotter fluid', () => {
    holds((id, s) => {
      const thick = (mm: number) =>
        run(id, { drive: SHORT, car: (c) => bothAxles(c, { padThicknessMm: mm }) });
      const [worn, fresh] = [thick(5), thick(5 + 40 * s)];
      for (const wheel of WHEELS)
        expect(fresh.peaks[wheel].fluid).toBeLessThanOrEqual(worn.peaks[wheel].fluid + 0.01);
    });
  });

  it('the same brakes and half the work on each axle: the same temperatures front and rear', () => {
    const result = run(TARN, { drive: SHORT, car: (c) => ({ ...c, frontSharePercent: 50, rear: c.front }) });
    expect(result.record.wheels.rearLeft).toEqual(result.record.wheels.frontLeft);
  });

  it('no work at all: everything goes to ambient and never past it', () => {
    const { record } = run(TARN, { drive: { hotLaps: 2, paddockMin: 240 } });
    const last = record.time.length - 1;
    for (const wheel of WHEELS) {
      expect(celsius(record.wheels[wheel].rotorBulk[last])).toBeLessThan(60);
      expect(celsius(record.wheels[wheel].rotorBulk[last])).toBeGreaterThan(24);
    }
    const idle = run(TARN, { drive: SHORT, car: (c) => ({ ...c, frontSharePercent: 0 }) });
    expect(celsius(idle.peaks.frontLeft.rotorFace)).toBeCloseTo(24, 6);
    expect(idle.audit.residual).toBeLessThan(1e-3);
  });

  it('a list of braking zones made from a simulated lap has that lap’s energies and nearly its temperatures', () => {
    for (const id of ['plan-tarn-fen', 'plan-skarn-fen']) {
      // A list of braking zones has no directions, so no wind blows on it.
      const solved = setup(id, { drive: SHORT, plan: { windKmh: 0 } });
      const lap = simulateDay(dayInput(solved));
      const zones = zonesFromLap(lap.trace);
      const circuit = { ...solved.circuit, layout: { kind: 'zones' as const, zones } };
      const typed = simulateDay(dayInput({ ...solved, circuit }));
      expect(typed.trace.zones.length).toBe(lap.trace.zones.length);
      typed.trace.zones.forEach((zone, k) => {
        const drag = Math.abs(zone.energy / lap.trace.zones[k].energy - 1);
        expect(drag).toBeLessThan(0.02);
      });
      expect(Math.abs(lapTime(typed.trace) / lapTime(lap.trace) - 1)).toBeLessThan(0.008);
      expect(Math.abs(typed.peaks.frontLeft.rotorBulk - lap.peaks.frontLeft.rotorBulk)).toBeLessThan(12);
    }
  });
});

describe('verdict and margins', () => {
  it('names what passes its limit first in time, and the hot laps done before', () => {
    const { verdict, margins } = run(TARN);
    expect(verdict.kind).toBe('over-limit');
    const times = margins.filter((m) => m.passed && m.part !== 'bite').map((m) => m.passed?.time ?? 0);
    expect(verdict.margin.passed?.time).toBe(Math.min(...times));
    expect(verdict.hotLapsBefore).toBe((verdict.margin.passed?.lap ?? 0) - 2);
  });

  it('names the closest share when nothing is passed, and finds a margin again in the record', () => {
    const result = run('plan-tarn-fen');
    expect(result.verdict.kind).not.toBe('over-limit');
    const shares = result.margins.filter((m) => m.part !== 'bite').map((m) => m.share);
    expect(result.verdict.margin.share).toBe(Math.min(...shares));
    for (const m of result.margins) {
      if (m.part === 'bite') continue;
      const peaks = result.peaks[wheelOf(m.axle, m.side === 'right' ? 'right' : 'left')];
      expect(m.worst).toBe(m.part === 'fluid' ? Math.max(peaks.fluid, peaks.hose) : peaks[m.part]);
      expect(m.margin).toBeCloseTo(m.limit - m.worst, 9);
    }
  });

  it('says when the pads are too cold at a braking point', () => {
    const { coldBite } = run('plan-skarn-fen').verdict;
    expect(coldBite).not.toBeNull();
    expect(coldBite?.worst).toBeLessThan(coldBite?.limit ?? 0);
  });

  it('finds the fluid hottest minutes after parking when there was no cool-down lap', () => {
    const { margins } = run(TARN, { drive: { hotLaps: 11, coolDownLaps: 0, paddockMin: 30 } });
    const fluid = margins.find((m) => m.part === 'fluid' && m.axle === 'front');
    expect(fluid?.at.lap).toBeNull();
    expect(fluid?.at.standingTime).toBeGreaterThan(60);
    expect(fluid?.at.standingTime).toBeLessThan(600);
  });
});

/**
 * Plausibility, common practice: a coupe of 1.3 to 1.5 t with 30 to 45 kW averaged over the lap. The Tarn has 1.04 t and
 * smaller rotors, so what is compared is the heat one front brake has to carry: 30 to 45 kW × 0.65 ÷ 2 is 9.8 to 14.6 kW.
 */
describe('the Tarn at Long Fen, an ordinary circuit, as demo', () => {
  const result = run('plan-tarn-fen', { drive: { hotLaps: 10, paddockMin: 30 } });
  const figure = (what: string, expected: string, computed: number, unit: string) =>
    recordFigure({ id: '30', what, expected, computed, unit, source: 'common practice' });
  const front = (lapHeat(result.trace) / lapTime(result.trace) / 2000) * 0.63;

  it('carries 9.8 to 14.6 kW in a front brake', () => {
    expect(front).toBeGreaterThan(9.8);
    expect(front).toBeLessThan(14.6);
    figure('Mean brake power of one front brake', '9.8 to 14.6', front, 'kW');
    figure('Front bulk, settled', '450 to 700', celsius(result.peaks.frontLeft.rotorBulk), '°C');
    figure(
      'Front face over bulk',
      'about 100',
      result.peaks.frontLeft.rotorFace - result.peaks.frontLeft.rotorBulk,
      'K',
    );
    figure('Front fluid', '120 to 220', celsius(result.peaks.frontLeft.fluid), '°C');
    recordFigure({
      id: '20',
      what: 'Share of the heat in the vented iron front rotor of the Tarn',
      expected: '0.95 to 0.99',
      computed: result.rotorShare.front,
      unit: '',
      source: 'Limpert (m)',
    });
  });

  it('settles its front bulk at 450 to 700 °C within 4 to 8 laps, its face peaking about 100 K higher', () => {
    const top = result.laps
      .filter((l) => l.kind === 'hot')
      .map((l) => Math.max(...l.wheels.frontLeft.map((s) => s.bulkAfter)));
    const last = top[top.length - 1];
    expect(celsius(last)).toBeGreaterThan(450);
    expect(celsius(last)).toBeLessThan(700);
    const settled = top.findIndex((t) => last - t < 5) + 1;
    expect(settled).toBeGreaterThanOrEqual(4);
    expect(settled).toBeLessThanOrEqual(8);
    expect(result.peaks.frontLeft.rotorFace - result.peaks.frontLeft.rotorBulk).toBeGreaterThan(50);
    expect(result.peaks.frontLeft.rotorFace - result.peaks.frontLeft.rotorBulk).toBeLessThan(150);
  });

  it('brings its fluid to 120 to 220 °C', () => {
    // Its wetted wall; its mean, recorded above, is under that range and called outside it.
    expect(celsius(result.peaks.frontLeft.fluidWall)).toBeGreaterThan(120);
    expect(celsius(result.peaks.frontLeft.fluidWall)).toBeLessThan(220);
  });

  it('cools a 30 mm vented front (the Ovel’s) from 500 to 250 °C in about 2 to 3 minutes at 100 km/h', () => {
    const corner = cornerOf(demoProject.cars[1].front);
    const ambient = 297;
    const layout = cornerNetwork(corner, ambient, 101325);
    const wheel = new CornerRun(corner, layout, freshState(corner, layout, ambient, 0, 1), ambient);
    const air = new CornerDrive(corner, airProperties(1.19, ambient), 0.338);
    const drives = new Float64Array(CHANNEL_COUNT);
    const roll = (applied: boolean) => air.fill(drives, 0, 100 / 3.6, applied);
    const bulkAfter = (dt: number, power: number) => {
      wheel.plan({ dt: [dt], event: [0], drives }, 0, 1, 0);
      wheel.next({ lifted: false, early: power, late: power }, 0);
      wheel.note(1, 0);
      return celsius(wheel.record.rotorBulk[0]);
    };
    roll(true);
    while (bulkAfter(0.2, 40_000) < 500);
    roll(false);
    let seconds = 0.5;
    for (; bulkAfter(0.5, 0) > 250; seconds += 0.5);
    figure('Vented front from 500 to 250 °C at 100 km/h', '2 to 3', seconds / 60, 'min');
    expect(seconds).toBeGreaterThan(110);
    expect(seconds).toBeLessThan(190);
  });
});
