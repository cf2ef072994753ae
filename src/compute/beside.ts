import { type DayInput, type DayResult, judged, type Left, leftAtWorse, simulateDay } from '../core';
import { EngineError, type WorkerClient } from './workerClient';

/** What a second worker is asked for. */
export interface SecondEngine {
  leftAtWorse(input: DayInput): Left;
}

/**
 * Days judged by two workers at once: this one computes the day, the other what is left of it with less cooling. Where
 * there is no other, or it fails, this one does both.
 */
export class Beside {
  /** @param second null where there is no core for it */
  constructor(private second: WorkerClient<SecondEngine> | null) {}

  /** @throws as `judgedDay` */
  async day(input: DayInput): Promise<DayResult> {
    // Asked first, since this worker hears nothing while it computes.
    const asked = this.second
      ?.call((engine) => engine.leftAtWorse(input) as Promise<Left>)
      .catch((error) => {
        if (error instanceof EngineError) this.second = null;
        return null;
      });
    // What it says of a day that cannot be driven is said here too.
    const day = simulateDay(input);
    return judged(day, (await asked) ?? leftAtWorse(input));
  }
}
