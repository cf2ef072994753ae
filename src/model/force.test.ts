import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { type DayResult, failureCases, simulateDay, wheelClearances } from '../core';
import { tracesCsv, zonesCsv } from '../report/csv';
import { resultDocument } from '../report/results';
import { FORCE_COLUMNS, zoneRows } from '../report/zoneRows';
import { explain } from '../text/en/explanations';
import { LIMIT_WORDS, marginText, momentText, overrunText, verdictText } from '../text/en/wording';
import { applyWhatIf, keepWhatIf, savedValues } from './edit/whatIf';
import { METRIC, toStored, US, unitOf } from './quantity/units';
import type { Car } from './schema/car';
import type { Plan } from './schema/plan';
import { frontSharePercent, wheelFit } from './toCore/chain';
import { dayInput, type Setup, setupOf } from './toCore/toCore';

const TARN = setupOf(demoProject, 'plan-tarn-anvil');
const SKARN = setupOf(demoProject, 'plan-skarn-fen');
const changed = (setup: Setup, car: (car: Car) => Car, plan: Partial<Plan> = {}): Setup => ({
  ...setup,
  car: car(setup.car),
  plan: { ...oneSession(setup.plan, { hotLaps: 4, paddockMin: 1 }), brakesEarlier: false, ...plan },
});
const computed = (setup: Setup): { setup: Setup; result: DayResult } => ({
  setup,
  result: simulateDay(dayInput(setup)),
});
const strong = computed(changed(TARN, (car) => car));
const weak = computed(changed(TARN, (car) => ({ ...car, pedal: { ...car.pedal, limitN: 250 } })));
const boiled = computed(
  changed(TARN, (car) => ({
    ...car,
    fluid: { ...car.fluid, measuredBoilingC: 92 },
    front: { ...car.front, caliper: { ...car.front.caliper, fluidKg: 0.01, massKg: 1 } },
  })),
);

describe('words of the foot', () => {
  it('a weak foot: what gives out, where, by how much, and how long the braking zone runs', () => {
    const { state, sentence, notes } = verdictText(weak.result, METRIC);
    expect(state).toBe('Over limit');
    expect(sentence).toMatch(
      /^The pedal force runs out first: over the driver’s limit of 250 N on lap 2 at braking zone 1 \(Hammer\), before one hot lap is done\.$/,
    );
    expect(notes.join(' ')).toMatch(
      /The driver cannot press harder: the car overshoots\. Driven on all the same, it would come to 4\d\d N/,
    );
    expect(notes.join(' ')).toMatch(
      /The brakes fall short: brake reserve −\d\d % on lap \d at braking zone \d \(\w+\), limited by driver’s force; the car overshoots by \d+ m/,
    );
    expect(verdictText(weak.result, US).sentence).toContain('limit of 56 lbf');
    const margin = weak.result.forceMargins.find((m) => m.part === 'pedal');
    expect(margin && marginText(margin, METRIC)).toMatch(/^\d+ N over limit$/);
  });

  it('a strong one: only the least margin and its braking zone', () => {
    const { notes } = verdictText(strong.result, METRIC);
    expect(notes.at(-1)).toMatch(/^Minimum brake reserve \d+ % on lap \d at braking zone \d \(\w+\)\.$/);
    const { fade } = strong.result;
    expect(fade && momentText(fade.at, strong.result)).toBe(
      notes
        .at(-1)
        ?.replace(/^.* % /, '')
        .replace(/\.$/, ''),
    );
  });

  it('a boiled one: travel limits, and a pedal on the floor is said without a number', () => {
    const limits = new Set(boiled.result.laps.flatMap((lap) => lap.forces.map((f) => f.limit)));
    expect(limits.has('travel')).toBe(true);
    expect(LIMIT_WORDS.travel).toBe('pedal travel');
    expect(overrunText(null, METRIC)).toBe('does not stop');
    expect(overrunText(12.4, METRIC)).toBe('overshoots by 12 m');
    expect(overrunText(12.4, US)).toBe('overshoots by 41 ft');
  });

  it('explanations carry the car’s own parts', () => {
    const text = (topic: 'pedal' | 'balance' | 'travel' | 'fade', of = SKARN) => {
      const { result } = of === SKARN ? computed(changed(SKARN, (car) => car)) : strong;
      return JSON.stringify(explain(topic, of, result, 'front', METRIC));
    };
    expect(text('pedal')).toContain('17.8 mm front, 17.8 mm rear, 58 % of the push to the front');
    expect(text('pedal')).toContain('pistons 27.0 mm, 32.0 mm, 38.0 mm');
    expect(text('balance')).toContain('43.0 %');
    expect(text('travel')).toContain('4 mm³ a bar and metre');
    expect(text('fade', TARN)).toContain('600 N');
  });
});

describe('what is written out of the foot', () => {
  it('every braking zone has its force columns, in stored units, and they agree with the result', () => {
    const { setup, result } = weak;
    const rows = zoneRows(setup, result, 3);
    rows.forEach((row, k) => {
      const force = result.laps[2].forces[k];
      expect(row.pedalN).toBe(force.pedal);
      expect(row.frontBar).toBeCloseTo(force.frontPressure / 1e5, 9);
      expect(row.travelMm).toBeCloseTo(force.travel * 1000, 9);
      expect(row.frontSharePercent + row.rearSharePercent).toBeCloseTo(100, 9);
      expect(row.frontSharePercent).toBeCloseTo(
        (100 * force.frontHeat) / (force.frontHeat + force.rearHeat),
        9,
      );
      expect(row.fadeMarginPercent < 0).toBe(row.extraM !== 0);
      expect(row.limit).toBe(force.limit);
    });
    for (const [key] of FORCE_COLUMNS) expect(Number.isFinite(rows[0][key]), key).toBe(true);
  });

  it('the braking zone list comes back from CSV in US units as it went', () => {
    const { setup, result } = strong;
    const read = Papa.parse<Record<string, string>>(zonesCsv(setup, result, US), { header: true });
    const rows = result.laps.flatMap((lap) => zoneRows(setup, result, lap.number));
    expect(read.data.length).toBe(rows.length);
    for (const [key, title, quantity] of FORCE_COLUMNS) {
      const unit = unitOf(quantity, US);
      const head = unit.label ? `${title} (${unit.label})` : title;
      read.data.forEach((line, i) => {
        const back = toStored(Number(line[head]), unit);
        const went = rows[i][key] ?? Number.NaN;
        expect(Math.abs(back - went), `${head} ${i}`).toBeLessThan(1e-6 * Math.max(1, Math.abs(went)));
      });
    }
    expect(read.data.map((line) => line['limited by'])).toEqual(rows.map((row) => row.limit));
    expect(read.data.map((line) => line['nearer to locking'])).toEqual(rows.map((row) => row.locksFirst));
  });

  it('traces carry force and share at every sample, 0 where nothing is braked', () => {
    const { setup, result } = strong;
    const read = Papa.parse<Record<string, string>>(tracesCsv(setup, result), { header: true });
    const { force, time } = result.record;
    expect(read.data.length).toBe(time.length);
    let braked = 0;
    read.data.forEach((line, i) => {
      expect(Math.abs(Number(line['pedal force (N)']) - force.pedal[i])).toBeLessThan(
        1e-6 * Math.max(1, force.pedal[i]),
      );
      if (force.pedal[i] === 0) expect(Number(line['front brake balance (%)'])).toBe(0);
      else braked += 1;
    });
    expect(braked).toBeGreaterThan(200);
    expect(Number(read.data[0]['pedal travel (mm)'])).toBe(0);
  });

  it('the whole result holds margins of force, the least fade and the records, as JSON without holes', () => {
    const document = resultDocument(weak.setup, weak.result);
    expect(document.version).toBe(7);
    expect(document.padLeftMm.front).toBeLessThan(weak.setup.car.front.padThicknessMm);
    expect(document.force.margins.map((m) => m.part)).toEqual(['pedal', 'travel']);
    expect(document.force.margins[0]).toMatchObject({ limit: 250, passed: { lap: 2, zone: 1 } });
    expect(document.force.fade).toMatchObject({ limit: 'pedal' });
    expect(document.record.pedalN.length).toBe(document.record.timeS.length);
    expect(JSON.parse(JSON.stringify(document))).toEqual(document);
  });
});

describe('brake balance in a what-if', () => {
  it('moved, it rules; kept, it stands in the bar of a car that has one, else as measured', () => {
    expect(savedValues(TARN).frontSharePercent).toBeCloseTo(72.4, 1);
    expect(applyWhatIf(TARN, {}).car.frontSharePercent).toBeNull();
    const moved = applyWhatIf(TARN, { frontSharePercent: 58 });
    expect(moved.car.frontSharePercent).toBe(58);
    const bar = applyWhatIf(SKARN, { frontSharePercent: 62 });
    expect(bar.car.frontSharePercent).toBeNull();
    expect(frontSharePercent(bar.car)).toBeCloseTo(62, 1);
    const kept = keepWhatIf(demoProject, SKARN, { frontSharePercent: 62 });
    const { cylinders } = kept.cars[2].pedal;
    expect(cylinders.kind === 'pair' && cylinders.frontPushPercent).toBeLessThan(57);
    expect(kept.cars[0]).toEqual(demoProject.cars[0]);
  });

  it('another pad moves the share that follows from the parts, and not a measured one', () => {
    const other = { frontPad: 'sprint' };
    expect(frontSharePercent(applyWhatIf(TARN, other).car)).toBeGreaterThan(frontSharePercent(TARN.car) + 2);
    const measured = { ...TARN, car: { ...TARN.car, frontSharePercent: 61 } };
    expect(frontSharePercent(applyWhatIf(measured, other).car)).toBe(61);
  });
});

describe('the demo’s cars', () => {
  it('fit their own wheels, new pads too, and have failures that still stop', () => {
    for (const car of demoProject.cars) {
      for (const axle of [car.front, car.rear]) {
        for (const { what, clearance, wanted } of wheelClearances(wheelFit(axle))) {
          expect(clearance, `${car.name}, ${what}`).toBeGreaterThanOrEqual(wanted);
        }
      }
    }
    for (const plan of demoProject.plans.slice(0, 3)) {
      for (const { failure, distance } of failureCases(dayInput(setupOf(demoProject, plan.id)), 30)) {
        expect(distance, `${plan.name}, ${failure}`).toBeGreaterThan(25);
        expect(distance, `${plan.name}, ${failure}`).toBeLessThan(200);
      }
    }
  });

  it('share near their ideal balance, the front first', () => {
    for (const { result } of [strong, computed(changed(SKARN, (car) => car))]) {
      // Gentle laps want less in front than any fixed share gives them.
      const hot = result.laps.filter((lap) => lap.kind === 'hot');
      for (const { share, ideal } of hot.flatMap((lap) => lap.forces)) {
        expect(share.mean - ideal.mean).toBeGreaterThan(-0.03);
        expect(share.mean - ideal.mean).toBeLessThan(0.2);
      }
    }
  });
});
