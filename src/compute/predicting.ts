import type { Drive, Free } from '../core';
import type { Predicting } from '../services';
import type { Crew } from './crew';

/**
 * Predictions of readings by a crew, side by side: each worker takes places that lie together, as those that differ in a
 * sensor's own numbers alone share a run.
 */
export const crewPredicting =
  (crew: Crew, signal: AbortSignal): Predicting =>
  async (drives: readonly Drive[], free: readonly Free[], places: readonly (readonly number[])[]) => {
    const size = Math.ceil(places.length / crew.size);
    const pieces = Array.from({ length: Math.ceil(places.length / size) }, (_, k) =>
      places.slice(k * size, (k + 1) * size),
    );
    const done = await crew.run(
      pieces,
      (engine, piece) => engine.predictReadings(drives, free, piece) as Promise<number[][]>,
      { signal },
    );
    return done.flat();
  };
