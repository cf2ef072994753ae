import { type Interval, normalQuantile, sessionsLeft, type WheelName } from '../../core';
import type { StoredLoad } from '../../model';
import type { SetWear } from './wear';
import { indexOf, placeKey, type WearPlace, wheelsOf } from './wearHistory';

/** How many more sessions like one a set stands, and which of its pieces ends it. */
export interface Remaining extends Interval {
  readonly by: WearPlace & { readonly why: 'thickness' | 'cracks' };
}

/** Sessions left of a set where each takes what `load` says; the piece that ends it first decides. */
export function remainingSessions(wear: SetWear, load: StoredLoad, coverage = 0.9): Remaining {
  const byThickness = wear.pieces.map((piece): Remaining => {
    const { leftMm, leftErrorMm } = piece;
    const left = sessionsLeft(
      wear.rate,
      placeKey(piece),
      leftMm / 1000,
      leftErrorMm / 1000,
      indexOf(load, piece) / 1000,
      coverage,
    );
    return { ...left, by: { wheel: piece.wheel, pad: piece.pad, why: 'thickness' } };
  });
  const byCracks = (Object.entries(wear.fatigue) as [WheelName, number][]).flatMap(
    ([wheel, used]): Remaining[] => {
      const { mean } = wear.crackRate.at(wheel);
      const gone = used * Math.exp(mean);
      // What is used already is uncertain by the same rate: the share of life is what counts.
      const left = sessionsLeft(
        wear.crackRate,
        wheel,
        Math.max(0, 1 - gone),
        0,
        load[wheel].fatigue,
        coverage,
      );
      return [{ ...left, by: { wheel, pad: null, why: 'cracks' } }];
    },
  );
  return [...byThickness, ...byCracks].reduce((least, own) => (own.median < least.median ? own : least));
}

/** Share of a set's whole life that a session takes, the most of its pieces; median and spread of its logarithm. */
export function lifeShare(
  wear: SetWear,
  load: StoredLoad,
): { readonly share: number; readonly spread: number } {
  const wearable = wear.set.newMm - wear.set.minimumMm;
  const shares = [
    ...wear.pieces.map((piece) => {
      const { mean, variance } = wear.rate.at(placeKey(piece));
      return { share: (indexOf(load, piece) * Math.exp(mean)) / wearable, spread: Math.sqrt(variance) };
    }),
    ...(wear.set.kind === 'rotors'
      ? wheelsOf(wear.set.axle).map((wheel) => {
          const { mean, variance } = wear.crackRate.at(wheel);
          return { share: load[wheel].fatigue * Math.exp(mean), spread: Math.sqrt(variance) };
        })
      : []),
  ];
  return shares.reduce((most, own) => (own.share > most.share ? own : most));
}

/** Share of its life that a set has used, the most of its pieces, 0 to 1 and over. */
export function lifeUsed(wear: SetWear): number {
  const wearable = wear.set.newMm - wear.set.minimumMm;
  return Math.max(
    0,
    ...wear.pieces.map(({ leftMm }) => 1 - leftMm / wearable),
    ...(Object.entries(wear.fatigue) as [WheelName, number][]).map(
      ([wheel, used]) => used * Math.exp(wear.crackRate.at(wheel).mean),
    ),
  );
}

/** Share of its life that a set may be used to so that it is within it with some confidence. */
export const capacityOf = (spread: number, confidencePercent: number): number =>
  Math.exp(-normalQuantile(confidencePercent / 100) * spread);
