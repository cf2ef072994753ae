import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { saidOtherwise } from '../../../tests/support/words';
import {
  AXLES,
  balanceChoices,
  coolingNeed,
  discViewFactor,
  fastestPlan,
  type RunStatistics,
  simulateDay,
} from '../../core';
import {
  dayInput,
  METRIC,
  type Setup,
  STARTER_DRUM,
  setupOf,
  starterExposed,
  type UnitChoice,
  US,
} from '../../model';
import { assess } from '../../services/compare/assess';
import { exposedReports } from '../../services/cooling/exposedReport';
import { waysToKeep } from '../../services/cooling/ways';
import { uncertainPiece, uncertainStatistics } from '../../services/uncertain/uncertainRuns';
import {
  explainBalance,
  explainChances,
  explainComparison,
  explainDuctDrag,
  explainExposed,
  explainLadder,
  explainNeed,
  explainPlan,
  explainSheet,
  explainWays,
} from './decisionExplanations';
import type { Explanation } from './explanation';

const short = (id: string, hotLaps = 2): Setup => {
  const setup = setupOf(demoProject, id);
  return {
    ...setup,
    car: { ...setup.car, exposed: [starterExposed('lead', 'a'), starterExposed('boot', 'b')] },
    plan: {
      ...oneSession(setup.plan, { hotLaps, paddockMin: 4 }),
      uncertain: { ...setup.plan.uncertain, runs: 20, seed: 31 },
    },
  };
};
const tarn = short('plan-tarn-anvil');
const drums: Setup = {
  ...tarn,
  car: { ...tarn.car, rear: { ...tarn.car.rear, drum: { ...STARTER_DRUM, innerDiameterMm: 231 } } },
};
const statistics = (setup: Setup): RunStatistics =>
  uncertainStatistics(setup, [uncertainPiece(setup, 0), uncertainPiece(setup, 1)]);

/** Everything that Decide explains about a setup. */
function told(setup: Setup, units: UnitChoice): Record<string, Explanation> {
  const day = dayInput(setup);
  const need = coolingNeed(day, 150);
  const base = assess(setup);
  const found = statistics(setup);
  const { parts } = exposedReports(setup);
  return {
    front: explainNeed(need, 'front', setup, units),
    rear: explainNeed(need, 'rear', setup, units),
    drag: explainDuctDrag(need, setup, units),
    ways: explainWays(waysToKeep(demoProject, setup, 150, need), 150, '€', units),
    comparison: explainComparison('Current setup', base, units),
    ladder: explainLadder(96, base, units),
    plan: explainPlan(fastestPlan(day, 0, 8 * 60, 5), units),
    balance: explainBalance(balanceChoices(day), setup),
    chances: explainChances(found, found.risks[0], setup, units),
    lead: explainExposed(setup.car.exposed[0], parts[0], setup, units),
    boot: explainExposed(setup.car.exposed[1], parts[1], setup, units),
    sheet: explainSheet(setup, units),
  };
}
const value = ({ inputs }: Explanation, name: string) =>
  inputs.find(([is]) => is.startsWith(name))?.[1] ?? `no “${name}”`;

describe('how a decision was reached', () => {
  it.each([
    ['tarn', tarn, METRIC],
    ['skarn', short('plan-skarn-fen'), US],
    ['drums', drums, US],
  ] as const)('is said whole for %s: relation, values, source, limits', (_, setup, units) => {
    for (const [topic, explanation] of Object.entries(told(setup, units))) {
      const text = JSON.stringify(explanation);
      expect(text, topic).not.toMatch(/undefined|NaN|null|Infinity|\[object|\bsafe\b/);
      expect(saidOtherwise(text), topic).toEqual([]);
      expect(explanation.relation, topic).toMatch(/[=·×+−√÷]|\b(is|are)\b/);
      expect(explanation.source, topic).toMatch(/[A-Z].*[.)]$/s);
      expect(explanation.limits, topic).toMatch(/^[A-Z0-9].{20,}\.$/s);
      expect(explanation.inputs.length, topic).toBeGreaterThan(2);
      const names = explanation.inputs.map(([name]) => name);
      expect(new Set(names).size, topic).toBe(names.length);
      // Values keep to the reader's units.
      const values = explanation.inputs.map(([, is]) => is).join(' | ');
      if (units === US) expect(values, topic).not.toMatch(/\d (kg|mm|km\/h|°C|kJ|cm²|N)\b/);
    }
  });

  it('shows this very question’s numbers', () => {
    const need = coolingNeed(dayInput(tarn), 150);
    const front = explainNeed(need, 'front', tarn, METRIC);
    expect(value(front, 'Target margin')).toBe('150 °C');
    expect(value(front, 'Found')).toBe(`${(need.front.area * 1e4).toFixed(1)} cm²`);
    expect(value(front, 'Simulation runs')).toBe(String(need.runs));
    const drag = explainDuctDrag(need, tarn, METRIC);
    // Twice C·A of all four wheels is the drag area.
    expect(Number.parseFloat(value(drag, 'CdA'))).toBeCloseTo(2 * Number.parseFloat(value(drag, 'C·A')), 3);
    const [lead] = tarn.car.exposed;
    const [report] = exposedReports(tarn).parts;
    const radius = tarn.car.front.rotor.outerDiameterMm / 2;
    const exposed = explainExposed(lead, report, tarn, METRIC);
    expect(value(exposed, 'Distance')).toContain(discViewFactor(radius, lead.distanceMm).toFixed(3));
    expect(value(exposed, 'Faces')).toContain(`${radius.toFixed(1)} mm`);
    const behind = exposedReports(drums).parts[0];
    expect(value(explainExposed({ ...lead, axle: 'rear' }, behind, drums, METRIC), 'Faces')).toContain(
      '115.5 mm',
    );
  });

  it('says how far a chance can be off: by its standard error, or by the rule of three', () => {
    const found = statistics(tarn);
    const [risk] = found.risks;
    const off = (passed: number) =>
      explainChances(found, { ...risk, passedBy: [0, passed] }, tarn, METRIC)
        .inputs.map(([, is]) => is)
        .at(-1);
    expect(off(0.5)).toBe(`± ${(100 * Math.sqrt(0.25 / 20)).toFixed(1)} % (one standard error)`);
    expect(off(0)).toBe('up to 15.0 % (95 % of the time)');
    expect(off(1)).toBe(off(0));
  });

  it('counts of the plan what the plan did', () => {
    const plan = fastestPlan(dayInput(tarn), 0, 15 * 60, 5);
    const said = explainPlan(plan, METRIC);
    expect(value(said, 'Minutes')).toBe('15');
    expect(value(said, 'Simulation runs')).toBe(String(plan.runs));
    expect(value(explainPlan({ ...plan, options: [] }, METRIC), 'Mean speed of the fastest')).toBe(
      'none keeps it',
    );
    const { margins } = simulateDay(dayInput(tarn));
    const least = Math.min(...margins.filter((m) => m.part !== 'bite').map((m) => m.margin));
    expect(value(explainLadder(7, assess(tarn), METRIC), 'Smallest margin today')).toBe(
      `${least.toFixed(0).replace('-', '−')} °C`,
    );
    for (const axle of AXLES) expect(value(explainSheet(tarn, METRIC), `Pads, ${axle}`)).toMatch(/\w{4}/);
  });
});
