import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METRIC, type TestStopStored, toStored, US, unitOf } from '../../../model';
import { parseNumber } from '../../ui/parseNumber';
import { stopPlaces } from './stopTicks';
import { typedStop } from './typedStop';

const stop: TestStopStored = {
  n: 1,
  fromKmh: 81.4,
  toKmh: 0,
  distanceM: 39.25,
  marksM: [],
  timeS: 3.4,
  pedalN: 231,
  abs: true,
  meanMs2: null,
  temperatureC: 210,
  atS: 30,
  errorM: null,
  source: 'typed',
  note: 'gust',
};

describe('a stop in its form', () => {
  it('reads back as it was stored, in metric and in US units, within what the field shows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.constantFrom(METRIC, US),
        (fromKmh, distanceM, units) => {
          const typed = typedStop({ ...stop, fromKmh, distanceM }, { fromKmh: 80, toKmh: 0 }, units);
          const back = (text: string, quantity: 'speed' | 'distance') =>
            toStored(parseNumber(text) ?? Number.NaN, unitOf(quantity, units));
          expect(Math.abs(back(typed.fromKmh, 'speed') - fromKmh)).toBeLessThan(0.01);
          expect(Math.abs(back(typed.distance, 'distance') - distanceM)).toBeLessThan(0.006);
        },
      ),
    );
  });

  it('has a tape’s lengths as a sum, the test’s speeds where it is new, and nothing where nothing is known', () => {
    expect(
      typedStop({ ...stop, distanceM: null, marksM: [30, 9.2] }, { fromKmh: 80, toKmh: 0 }, {}).distance,
    ).toBe('30 + 9.2');
    expect(typedStop(null, { fromKmh: 96, toKmh: 30 }, {})).toEqual({
      fromKmh: '96',
      toKmh: '30',
      distance: '',
      timeS: '',
      pedalN: '',
      abs: '',
      temperatureC: '',
      note: '',
    });
    const cold = typedStop({ ...stop, temperatureC: -12, abs: false }, { fromKmh: 80, toKmh: 0 }, {});
    expect([cold.temperatureC, cold.abs]).toEqual(['-12', 'no']);
  });

  it('an axis names whole stops alone, the pointer the nearest', () => {
    expect([2, 2.5, 3].map(stopPlaces.tickText)).toEqual(['stop 2', '', 'stop 3']);
    expect(stopPlaces.placeText(2.6)).toBe('stop 3');
  });
});
