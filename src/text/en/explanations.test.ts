import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { saidOtherwise } from '../../../tests/support/words';
import { simulateDay } from '../../core';
import { STARTER_DRUM } from '../../model/catalogue/starters';
import { METRIC, US } from '../../model/quantity/units';
import { dayInput, type Setup, setupOf } from '../../model/toCore/toCore';
import { explain, type Topic } from './explanations';

const TOPICS: readonly Topic[] = [
  'energy',
  'lap',
  'shares',
  'rotorFace',
  'rotorBulk',
  'padFace',
  'plate',
  'seal',
  'fluid',
  'hub',
  'bite',
  'friction',
  'growth',
  'coning',
  'stress',
  'crack',
  'glaze',
  'outlook',
  'audit',
  'pedal',
  'travel',
  'balance',
  'fade',
];
const base = setupOf(demoProject);
const drums: Setup = {
  ...base,
  car: {
    ...base.car,
    fluid: { ...base.car.fluid, measuredBoilingC: 188 },
    rear: {
      ...base.car.rear,
      drum: { ...STARTER_DRUM, innerDiameterMm: 231, widthMm: 44 },
    },
  },
};

/** A source names somebody, a rule, or says that it is our own or from memory. */
const SOURCED =
  /from memory|common practice|own|Limpert|Newton|Carslaw|Incropera|Kirsch|Manson|UN R13|CFR|SAE|Alexander|Rhee|conservation|geometry|definition|catalogue|entered|Standard Atmosphere|Point mass|Friction ellipse|same computation/i;

describe('how a result was reached', () => {
  const setups = [...demoProject.plans.map((plan) => setupOf(demoProject, plan.id)), drums];

  it('is said for every topic, car and axle, with values, a source and its limits', () => {
    for (const setup of setups) {
      const result = simulateDay(dayInput(setup));
      for (const topic of TOPICS) {
        for (const axle of ['front', 'rear'] as const) {
          const told = explain(topic, setup, result, axle, METRIC);
          const text = JSON.stringify(told);
          expect(text, `${topic} ${axle}`).not.toMatch(/undefined|NaN|null|Infinity|\[object/);
          expect(told.relation, topic).toMatch(/[=·×+−√∫÷/]|(\w+,? ){5}/);
          expect(told.source, topic).toMatch(SOURCED);
          expect(told.limits, topic).toMatch(/^[A-Z0-9].{20,}\.$/s);
          expect(
            told.inputs.every(([name, value]) => name !== '' && value !== ''),
            topic,
          ).toBe(true);
          expect(text).not.toMatch(/\bsafe\b/i);
          expect(saidOtherwise(text), topic).toEqual([]);
          const foreign = explain(topic, setup, result, axle, US).inputs.map(([, value]) => value);
          expect(foreign.join(' | '), `${topic} ${axle}`).not.toMatch(
            /\d (kg(?!\/)|mm(?!³)|km\/h|°C|kJ|kW|cm²|N)(?![\w·])/,
          );
        }
      }
    }
  });

  it('shows this run’s own inputs, in the chosen units', () => {
    const result = simulateDay(dayInput(drums));
    const inputs = (topic: Topic, axle: 'front' | 'rear', units = METRIC) =>
      JSON.stringify(explain(topic, drums, result, axle, units).inputs);
    expect(inputs('energy', 'front')).toContain('1040.0 kg × 1.04');
    expect(inputs('energy', 'front', US)).toContain('2292.8 lb');
    expect(inputs('fluid', 'front')).toContain('187 °C');
    expect(explain('fluid', drums, result, 'front', METRIC).relation).toContain('was measured');
    expect(inputs('rotorFace', 'rear')).toContain('231.0 × 44.0 mm');
    expect(inputs('rotorFace', 'rear', US)).toContain('9.094 × 1.732 in');
    expect(inputs('audit', 'front')).toContain(`${(result.audit.supplied / 1e6).toFixed(3)} MJ`);
    expect(inputs('rotorFace', 'front')).toContain(`${(100 * result.rotorShare.front).toFixed(1)} %`);
  });
});
