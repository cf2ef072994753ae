import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BeddingRecipe, beddingSchedule } from './bedding';
import type { BrakeReading, Outcome, Piece } from './piece';

const K = 273.15;
const recipe = (change: Partial<BeddingRecipe> = {}): BeddingRecipe => ({
  ambient: 20 + K,
  axles: [
    { axle: 'front', warm: [100 + K, 250 + K], bed: [250 + K, 500 + K] },
    { axle: 'rear', warm: [80 + K, 250 + K], bed: [200 + K, 500 + K] },
  ],
  warmUp: { from: 30, to: 15, deceleration: 3 },
  hard: { from: 40, to: 12, deceleration: 6 },
  acceleration: 2,
  pause: 4,
  counts: { warmUps: null, snubs: null },
  bedded: 0.95,
  rollOut: { speed: 20, until: 120 + K, longest: 600 },
  ...change,
});

/** Brakes made up for a test: each braking warms by so much, each second cools by a share of the rest. */
interface Toy {
  readonly rise: { readonly front: number; readonly rear: number };
  readonly hardRise: { readonly front: number; readonly rear: number };
  /** 1/s */
  readonly cools: number;
  /** Bedded by each hard braking */
  readonly beds: number;
}

/** Drives a schedule with toy brakes and tells its pieces. */
function driven(asked: BeddingRecipe, toy: Toy) {
  const temperature = { front: asked.ambient, rear: asked.ambient };
  const bedded = { front: 0, rear: 0 };
  const pieces: { readonly piece: Piece; readonly front: number; readonly rear: number }[] = [];
  const steps = beddingSchedule(asked).pieces();
  let next = steps.next();
  while (!next.done && pieces.length < 5000) {
    const piece: Piece = next.value;
    const peak = { ...temperature };
    const duration =
      piece.kind === 'given'
        ? piece.steps.duration
        : (piece.from - piece.to) / ('deceleration' in piece.ask ? piece.ask.deceleration : 5);
    for (const axle of ['front', 'rear'] as const) {
      if (piece.kind === 'stop') {
        const rise = piece.leg === 1 ? toy.hardRise[axle] : toy.rise[axle];
        temperature[axle] += rise;
        peak[axle] = temperature[axle] + 20;
        const { bed } = asked.axles.find((own) => own.axle === axle) ?? asked.axles[0];
        if (piece.leg === 1 && peak[axle] >= bed[0] && peak[axle] <= bed[1]) {
          bedded[axle] = 1 - (1 - bedded[axle]) * (1 - toy.beds);
        }
      } else {
        temperature[axle] =
          asked.ambient + (temperature[axle] - asked.ambient) * Math.exp(-toy.cools * duration);
        peak[axle] = Math.max(peak[axle], temperature[axle]);
      }
    }
    pieces.push({ piece, ...temperature });
    const of = (wheel: string): BrakeReading => {
      const axle = wheel.startsWith('front') ? 'front' : 'rear';
      const t = temperature[axle];
      return {
        padFace: t,
        rotorFace: t,
        rotorBulk: t,
        padPeak: peak[axle],
        rotorPeak: peak[axle],
        bedded: bedded[axle],
        boiled: false,
      };
    };
    const outcome: Outcome = { available: [], duration, stop: null, of };
    next = steps.next(outcome);
  }
  return { pieces, bedded, ended: next.done === true };
}
const legsOf = ({ pieces }: ReturnType<typeof driven>) => pieces.map(({ piece }) => piece.leg);
const stops = ({ pieces }: ReturnType<typeof driven>, leg: number) =>
  pieces.filter(({ piece }) => piece.kind === 'stop' && piece.leg === leg);

const good: Toy = {
  rise: { front: 16, rear: 14 },
  hardRise: { front: 55, rear: 50 },
  cools: 0.004,
  beds: 0.3,
};

describe('a bedding schedule', () => {
  it('warms up, then brakes hard, then rolls out, and ends', () => {
    const run = driven(recipe(), good);
    expect(run.ended).toBe(true);
    const legs = legsOf(run);
    expect(legs).toEqual(legs.toSorted((a, b) => a - b));
    expect([...new Set(legs)]).toEqual([0, 1, 2]);
    expect(Math.min(run.bedded.front, run.bedded.rear)).toBeGreaterThanOrEqual(0.95);
    // The first hard one finds both axles warm.
    const before =
      run.pieces[run.pieces.findIndex(({ piece }) => piece.kind === 'stop' && piece.leg === 1) - 2];
    expect(before.front).toBeGreaterThanOrEqual(100 + K);
    expect(before.rear).toBeGreaterThanOrEqual(80 + K);
    expect(run.pieces.at(-1)?.front).toBeLessThanOrEqual(120 + K);
  });

  it('is a value: its pieces can be asked for again, and are the same for the same brakes', () => {
    const asked = recipe();
    const [a, b] = [driven(asked, good), driven(asked, good)];
    const told = (run: typeof a) =>
      run.pieces.map(({ piece, front, rear }) => [piece.kind, piece.leg, front, rear]);
    expect(told(a)).toEqual(told(b));
  });

  it('stops and rolls fit together: each piece begins at the speed the one before ended with', () => {
    const { pieces } = driven(recipe(), good);
    const speeds = pieces.map(({ piece }) =>
      piece.kind === 'stop'
        ? [piece.from, piece.to]
        : [piece.steps.speed[0], piece.steps.speed[piece.steps.speed.length - 1]],
    );
    for (let k = 1; k < speeds.length; k++) {
      // A rolled piece tells the speed in the middle of its first and last second.
      expect(Math.abs(speeds[k][0] - speeds[k - 1][1])).toBeLessThanOrEqual(2.1);
    }
  });

  it('does not brake hard where one axle never warms, and does not try for ever', () => {
    const run = driven(recipe(), { ...good, rise: { front: 16, rear: 0.5 } });
    expect(run.ended).toBe(true);
    expect(stops(run, 1)).toEqual([]);
    expect(stops(run, 0).length).toBeLessThanOrEqual(40);
  });

  it('leaves an axle that stays cold when the other is bedded', () => {
    const run = driven(recipe(), { ...good, hardRise: { front: 55, rear: 0.2 } });
    expect(run.ended).toBe(true);
    expect(run.bedded.front).toBeGreaterThanOrEqual(0.95);
    expect(run.bedded.rear).toBe(0);
    expect(stops(run, 1).length).toBeLessThan(40);
  });

  it('waits while the next snub would take the pads over their band, and no longer than a minute and a half', () => {
    const hot: Toy = { ...good, hardRise: { front: 120, rear: 90 }, cools: 0.002, beds: 0.1 };
    const run = driven(recipe(), hot);
    expect(run.ended).toBe(true);
    const held = run.pieces.map(({ piece }) =>
      piece.kind === 'given' && piece.leg === 1 ? piece.steps.duration : 0,
    );
    let longest = 0;
    let row = 0;
    for (const duration of held) {
      row = duration > 0 ? row + duration : 0;
      longest = Math.max(longest, row);
    }
    expect(longest).toBeGreaterThan(14 + 4);
    expect(longest).toBeLessThanOrEqual(14 + 4 + 90 + 5);
  });

  it('does exactly what is typed, warm or not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 15 }), fc.integer({ min: 1, max: 15 }), (warmUps, snubs) => {
        const run = driven(recipe({ counts: { warmUps, snubs } }), good);
        expect(stops(run, 0)).toHaveLength(warmUps);
        expect(stops(run, 1)).toHaveLength(snubs);
        expect(run.ended).toBe(true);
        // One of them typed leaves the other to what the brakes come to.
        const warmed = driven(recipe({ counts: { warmUps: null, snubs } }), good);
        expect(stops(warmed, 0)).toHaveLength(stops(driven(recipe(), good), 0).length);
        expect(stops(warmed, 1)).toHaveLength(snubs);
        const counted = driven(recipe({ counts: { warmUps: warmUps + 10, snubs: null } }), good);
        expect(stops(counted, 0)).toHaveLength(warmUps + 10);
        expect(Math.min(counted.bedded.front, counted.bedded.rear)).toBeGreaterThanOrEqual(0.95);
      }),
    );
  });

  it('ends for any brakes at all, with every stop at one of its two kinds and nothing over its speeds', () => {
    const rise = fc.record({
      front: fc.double({ min: 0, max: 300, noNaN: true }),
      rear: fc.double({ min: 0, max: 300, noNaN: true }),
    });
    fc.assert(
      fc.property(
        rise,
        rise,
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (warm, hard, cools, beds) => {
          const asked = recipe();
          const run = driven(asked, { rise: warm, hardRise: hard, cools, beds });
          expect(run.ended).toBe(true);
          expect(stops(run, 0).length).toBeLessThanOrEqual(40);
          expect(stops(run, 1).length).toBeLessThanOrEqual(40);
          expect(stops(run, 2)).toEqual([]);
          for (const { piece } of run.pieces) {
            if (piece.kind === 'stop') expect([30, 40]).toContain(piece.from);
            else expect(Math.max(...piece.steps.speed)).toBeLessThanOrEqual(40);
          }
          const rolled = run.pieces
            .filter(({ piece }) => piece.leg === 2)
            .reduce((sum, { piece }) => sum + (piece.kind === 'given' ? piece.steps.duration : 0), 0);
          expect(rolled).toBeLessThanOrEqual(600 + 15);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('is only a warm-up for parts that are bedded', () => {
    const run = driven(recipe({ hard: null }), good);
    expect(stops(run, 1)).toEqual([]);
    expect(legsOf(run)).not.toContain(1);
    expect(legsOf(run)).toContain(2);
  });

  it('refuses what cannot be driven before anything is', () => {
    expect(() => beddingSchedule(recipe({ axles: [] }))).toThrow(/axles/);
    expect(() => beddingSchedule(recipe({ warmUp: { from: 10, to: 30, deceleration: 3 } }))).toThrow(
      /less than the 10 m\/s/,
    );
    expect(() => beddingSchedule(recipe({ hard: { from: 40, to: 12, deceleration: 0 } }))).toThrow(
      /deceleration/,
    );
    expect(() => beddingSchedule(recipe({ hard: { from: 25, to: 12, deceleration: 6 } }))).toThrow(
      /hard snubs from: 25 .* the 30 m\/s of the warm-up or more/,
    );
    expect(() => beddingSchedule(recipe({ rollOut: { speed: 0, until: 400, longest: 60 } }))).toThrow(
      /roll-out/,
    );
  });
});
