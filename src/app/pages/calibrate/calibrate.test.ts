import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  INSTRUMENTS,
  LIGHTS,
  METRIC,
  type Observation,
  observationSchema,
  PAINT_PLACES,
  SPOT_PLACES,
  US,
} from '../../../model';
import { CAUSE_WORDS, observationText, SYMPTOM_NAMES } from '../../../text/en';
import { emptyObservation, observationForm, type TypedKind, typedAgain } from './observationForm';

const wheel = fc.constantFrom('frontLeft', 'frontRight', 'rearLeft', 'rearRight');
const axle = fc.constantFrom('front', 'rear');
const lap = fc.option(fc.integer({ min: 1, max: 60 }));
const shared = {
  id: fc.constant('r'),
  excluded: fc.constant(null),
  note: fc.constantFrom('', 'in the rain', 'Imke’s probe'),
};
/** Whole degrees Celsius that are whole degrees Fahrenheit, too: what is typed comes back to the digit. */
const degrees = (min: number, max: number) => fc.integer({ min: min / 5, max: max / 5 }).map((n) => 5 * n);

/** Observations as a form could have made them. */
const typed: fc.Arbitrary<Observation> = fc.oneof(
  fc
    .record({
      kind: fc.constant('spot' as const),
      ...shared,
      wheel,
      place: fc.constantFrom(...SPOT_PLACES),
      valueC: degrees(-40, 1000),
      lap: fc.integer({ min: 1, max: 60 }),
      afterS: fc.integer({ min: 0, max: 3600 }),
      instrument: fc.constantFrom(...INSTRUMENTS),
      emissivity: fc.option(fc.constantFrom(0.3, 0.85, 0.95)),
      errorK: fc.option(degrees(5, 100)),
    })
    .map((own) => ({ ...own, emissivity: own.instrument === 'infrared' ? own.emissivity : null })),
  fc.record({
    kind: fc.constant('paint' as const),
    ...shared,
    wheel,
    place: fc.constantFrom(...PAINT_PLACES),
    thresholdC: degrees(50, 900),
    turned: fc.boolean(),
  }),
  fc.record({
    kind: fc.constant('boiled' as const),
    ...shared,
    axle,
    lap,
    sign: fc.constantFrom('boiled' as const, 'long pedal' as const),
  }),
  fc.record({ kind: fc.constant('faded' as const), ...shared, axle, lap }),
  fc.record({
    kind: fc.constant('glow' as const),
    ...shared,
    wheel,
    lap,
    light: fc.constantFrom(...LIGHTS),
  }),
  fc.record({
    kind: fc.constant('worn' as const),
    ...shared,
    wheel,
    // Tenths of an inch and of a millimetre alike.
    padMm: fc.integer({ min: 0, max: 7 }).map((n) => 2.54 * n),
  }),
) as fc.Arbitrary<Observation>;

describe('the form of a reading', () => {
  it.each([
    ['metric', METRIC],
    ['US', US],
  ])('gives back in %s units what it was opened with, whatever was typed before', (_name, units) => {
    fc.assert(
      fc.property(typed, typed, (own, before) => {
        expect(observationSchema.parse(own)).toEqual(own);
        const last = typedAgain(before, emptyObservation(9), units);
        const again = typedAgain(own, last, units);
        const read = observationForm(own.kind as TypedKind, units).safeParse(again);
        expect(read.error?.issues).toBeUndefined();
        expect({ id: 'r', ...(read.data as object) }).toEqual(
          'padMm' in own ? { ...own, padMm: expect.closeTo(own.padMm, 6) } : own,
        );
      }),
      { numRuns: 200 },
    );
  });

  it('says in the units shown what is no reading, at its field', () => {
    const wrong = (with_: object, units = METRIC) =>
      observationForm('spot', units)
        .safeParse({ ...emptyObservation(9), valueC: '300', ...with_ })
        .error?.issues.map(({ path, message }) => [path[0], message]);
    expect(wrong({})).toBeUndefined();
    expect(wrong({ valueC: '' })).toEqual([['valueC', expect.stringMatching(/needed/)]]);
    expect(wrong({ valueC: '4000' })).toEqual([['valueC', expect.stringMatching(/1600 °C/)]]);
    expect(wrong({ valueC: '4000' }, US)).toEqual([['valueC', expect.stringMatching(/2912 °F/)]]);
    expect(wrong({ stopLap: '0' })).toEqual([['stopLap', expect.any(String)]]);
    expect(wrong({ afterS: '-3' })).toEqual([['afterS', expect.any(String)]]);
  });
});

describe('words', () => {
  it('of every observation name its wheel or axle, and are degrees as they are shown', () => {
    fc.assert(
      fc.property(typed, (own) => {
        expect(observationText(own, METRIC)).toMatch(/^(Front|Rear)/);
        expect(observationText(own, US)).not.toContain('°C');
        expect(observationText(own, METRIC)).not.toMatch(/undefined|NaN|null|°F/);
      }),
      { numRuns: 150 },
    );
  });

  it('of every cause say what tells it apart and what to do; what must not be driven says so', () => {
    for (const { name, check, before } of Object.values(CAUSE_WORDS)) {
      for (const text of [name, check, before]) expect(text.length).toBeGreaterThan(10);
      expect([name, check, before].join(' ')).not.toMatch(/\bsafe\b/i);
    }
    for (const cause of ['leak', 'air in the fluid', 'cracked rotor', 'master cylinder'] as const) {
      expect(CAUSE_WORDS[cause].never).toBe(true);
    }
    expect(new Set(Object.values(SYMPTOM_NAMES)).size).toBe(Object.keys(SYMPTOM_NAMES).length);
  });
});
