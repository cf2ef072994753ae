import { newRun, newTest, type StoredTest, USUAL_CONDITIONS } from '../src/model';
import { tarn } from './cars/tarn';

/** Entry speed, km/h, distance, m, pedal force, N, and the front left disc after it, °C. */
type Row = readonly [fromKmh: number, distanceM: number, pedalN: number, temperatureC: number];

const BEFORE: readonly (readonly Row[])[] = [
  [
    [78.6, 24.8, 475, 76],
    [78.4, 25.6, 470, 103],
    [79.9, 26.2, 470, 108],
    [80.7, 27.2, 440, 133],
    [82, 28.3, 430, 133],
  ],
  [
    [81.4, 27.3, 515, 79],
    [78.6, 25.2, 495, 107],
    [79.1, 25.2, 450, 115],
    [80.1, 26.5, 455, 131],
    // The tape slipped: kept, and marked.
    [78.8, 31.9, 455, 132],
  ],
  [
    [81.1, 26.4, 490, 79],
    [79.1, 26, 455, 104],
    [78.9, 26.5, 445, 107],
    [79.7, 26.9, 460, 127],
    [78.2, 25.1, 430, 139],
  ],
];
const AFTER: readonly (readonly Row[])[] = [
  [
    [78.2, 23.9, 575, 76],
    [80.5, 25.5, 605, 100],
    [79.5, 24.8, 550, 113],
    [80.4, 24.2, 580, 137],
    [80.2, 24.7, 545, 136],
  ],
  [
    [79.8, 24.8, 580, 72],
    [79.1, 24.1, 565, 92],
    [80.1, 24.8, 575, 109],
    [79.8, 25.1, 565, 127],
    [80.9, 25, 535, 132],
  ],
  [
    [80.1, 25.1, 580, 77],
    [82.1, 26.2, 570, 96],
    [82.2, 25.4, 610, 106],
    [81, 25.6, 570, 117],
    [80.8, 25.4, 570, 130],
  ],
];

const enduro = { ...tarn, front: { ...tarn.front, pad: 'enduro' } };
const conditions = {
  ...USUAL_CONDITIONS,
  slopePercent: 0.4,
  windKmh: 6,
  tyres: 'track tyres, semi-slick',
  frontTyreBar: 1.9,
  rearTyreBar: 2,
  massKg: 1045,
  airC: 21,
};

const begun = newTest(tarn, {
  id: 'test-tarn-pads',
  name: 'Five stops, pads before and after',
  date: '2026-06-20',
});

const stopsOf = (rows: readonly Row[]) =>
  Object.fromEntries(
    rows.map(([fromKmh, distanceM, pedalN, temperatureC], k) => [
      `stop-${k + 1}`,
      {
        n: k + 1,
        fromKmh,
        toKmh: 0,
        distanceM,
        marksM: [],
        timeS: null,
        pedalN,
        abs: null,
        meanMs2: null,
        temperatureC,
        atS: 30 * k,
        errorM: null,
        source: 'typed' as const,
        note: '',
      },
    ]),
  );

const run = (setup: string, rows: readonly Row[], n: number, of: number) => ({
  ...newRun(begun, setup === 'Current setup' ? tarn : enduro, [], { setup, date: '2026-06-20' }),
  name: `${setup} ${of}`,
  n,
  conditions,
  stops: stopsOf(rows),
});

/** Two sets of front pads on the paddock road behind the pits: three runs each, five stops a run. */
export const demoTests: StoredTest[] = [
  {
    ...begun,
    runs: Object.fromEntries([
      ...BEFORE.map((rows, i) => [`run-${i + 1}`, run('Current setup', rows, i + 1, i + 1)]),
      ...AFTER.map((rows, i) => [`run-${i + 4}`, run('Enduro front pads', rows, i + 4, i + 1)]),
    ]),
  },
];
