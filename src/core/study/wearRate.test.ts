import { describe, expect, it } from 'vitest';
import { recordFigure } from '../../../tests/support/validation';
import { randomNumbers } from '../numeric';
import { fitWear, sessionsLeft, WEAR_PRIOR, type WearLoss } from './wearRate';

const PLACES = ['frontLeft inner', 'frontLeft outer', 'frontRight inner', 'frontRight outer'];
const MM = 1e-3;

/** A season of some car: what its pads truly lose, and what is read of them. */
function season(seed: number, readings: number) {
  const random = randomNumbers(seed);
  const { spread, places, session } = WEAR_PRIOR;
  const rate = Math.exp(spread * random.normal());
  const own = PLACES.map(() => Math.exp(places * random.normal()));
  const of = (p: number) => {
    const index = (0.15 + 0.3 * random.next()) * MM;
    return { index, lost: rate * own[p] * index * Math.exp(session * random.normal()) };
  };
  const losses = PLACES.flatMap((place, p) =>
    Array.from({ length: readings }, (): WearLoss => {
      const driven = Array.from({ length: 3 }, () => of(p));
      const lost = driven.reduce((sum, each) => sum + each.lost, 0);
      const error = 0.2 * MM;
      return {
        place,
        index: driven.reduce((sum, each) => sum + each.index, 0),
        sessions: 3,
        lost: lost + error * random.normal(),
        error,
      };
    }),
  );
  /** Sessions, each of one index, until some thickness is gone. */
  const lasts = (left: number, index: number, p: number) => {
    let gone = 0;
    for (let n = 0; ; n++) {
      const next = rate * own[p] * index * Math.exp(session * random.normal());
      if (gone + next >= left) return n + (left - gone) / next;
      gone += next;
    }
  };
  return { rate, own, losses, lasts };
}

describe('how fast parts wear', () => {
  it('recovers a rate that was put in, with each place’s own, from readings without error', () => {
    const [rate, own] = [1.7, [1, 1.15, 0.9, 1.05]];
    const losses = PLACES.flatMap((place, p) =>
      [0.4, 0.7, 0.5].map((index): WearLoss => {
        const lost = rate * own[p] * index * MM;
        return { place, index: index * MM, sessions: 200, lost, error: 1e-6 };
      }),
    );
    const fit = fitWear(losses, { ...WEAR_PRIOR, session: 1e-4, spread: 3, places: 1 });
    PLACES.forEach((place, p) => {
      expect(Math.exp(fit.at(place).mean)).toBeCloseTo(rate * own[p], 3);
    });
  });

  it('is the prior alone where nothing was measured, and narrower with every reading', () => {
    const none = fitWear([]);
    expect(none.at('any')).toEqual({ mean: 0, variance: Math.LN2 ** 2 + WEAR_PRIOR.places ** 2 });
    const widths = [1, 2, 4, 8].map((n) => fitWear(season(3, n).losses).at(PLACES[0]).variance);
    for (let k = 1; k < widths.length; k++) expect(widths[k]).toBeLessThan(widths[k - 1]);
    // A place that was never measured is told by the others, but less well.
    const fit = fitWear(season(3, 4).losses);
    expect(fit.at('rear').variance).toBeGreaterThan(fit.at(PLACES[0]).variance);
    expect(fit.at('rear').variance).toBeLessThan(none.at('rear').variance);
  });

  it.each([1, 2, 5])(
    'measured %i times, sessions left lie in the interval of nine in ten in 85 to 95 of 100 cars',
    (readings) => {
      let within = 0;
      const cars = 600;
      for (let car = 1; car <= cars; car++) {
        const { losses, lasts } = season(1000 * readings + car, readings);
        const fit = fitWear(losses);
        const p = car % PLACES.length;
        const truth = lasts(3 * MM, 0.3 * MM, p);
        const { low, high } = sessionsLeft(fit, PLACES[p], 3 * MM, 1e-9, 0.3 * MM);
        if (truth >= low && truth <= high) within += 1;
      }
      recordFigure({
        id: 'Wear',
        what: `sessions left within the interval of nine in ten, measured ${readings} times, of 600 made-up cars`,
        expected: '85 to 95',
        computed: (100 * within) / cars,
        unit: '%',
        source: 'the prediction itself, synthetic truth',
      });
      expect((100 * within) / cars).toBeGreaterThan(85);
      expect((100 * within) / cars).toBeLessThan(95);
    },
  );

  it('has nothing left of a part at its limit, no end where nothing wears, and fewer where a session takes more', () => {
    const fit = fitWear(season(5, 3).losses);
    const left = (mm: number, index: number) => sessionsLeft(fit, PLACES[0], mm * MM, 0.1 * MM, index * MM);
    expect(left(0, 0.3)).toEqual({ low: 0, median: 0, high: 0 });
    expect(left(-0.4, 0.3).high).toBe(0);
    expect(left(3, 0).low).toBe(Number.POSITIVE_INFINITY);
    expect(left(3, 0.4).median).toBeLessThan(left(3, 0.3).median);
    expect(left(3, 0.3).low).toBeLessThan(left(3, 0.3).median);
    expect(left(3, 0.3).median).toBeCloseTo(2 * left(1.5, 0.3).median, 9);
  });

  it('refuses a loss without driving or without an error', () => {
    const loss: WearLoss = { place: 'a', index: 1e-3, sessions: 1, lost: 1e-3, error: 1e-4 };
    for (const wrong of [{ index: 0 }, { error: 0 }, { sessions: 0 }]) {
      expect(() => fitWear([loss, { ...loss, ...wrong }])).toThrow('fitWear: loss 1');
    }
  });
});
