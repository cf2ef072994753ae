import {
  type DayInput,
  type DayResult,
  judged,
  judgedDay,
  type Left,
  leftAtWorse,
  simulateDay,
} from '../core';
import { EngineError, type WorkerClient } from './workerClient';

/** What a second worker is asked for. */
export interface SecondEngine {
  leftAtWorse(input: DayInput): Left;
}

/** Time after the first day until the second worker is begun, ms: the page is drawn first. */
const LATER = 1000;

/**
 * Days judged by two workers at once: this one computes the day, the other what is left of it with less cooling. The other
 * is begun, and tried, once the first day is told: a page that opens is not to wait for a program to be read twice. Until
 * then, and where there is no other or it fails, this one does both.
 */
export class Beside {
  private begun = false;
  private ready = false;

  /**
   * @param second null where there is no core for it
   * @param later does something in a while
   */
  constructor(
    private second: WorkerClient<SecondEngine> | null,
    private readonly later: (act: () => void) => void = (act) => setTimeout(act, LATER),
  ) {}

  /** @throws as `judgedDay` */
  async day(input: DayInput): Promise<DayResult> {
    if (!this.second || !this.ready) {
      const day = judgedDay(input);
      if (this.second && !this.begun) {
        this.begun = true;
        this.later(() => void this.ask(input));
      }
      return day;
    }
    // Asked first, since this worker hears nothing while it computes.
    const asked = this.ask(input);
    // What the other says of a day that cannot be driven is said here too.
    const day = simulateDay(input);
    return judged(day, (await asked) ?? leftAtWorse(input));
  }

  /** What the other says; null where it says nothing. */
  private async ask(input: DayInput): Promise<Left | null> {
    try {
      const left = await this.second?.call((engine) => engine.leftAtWorse(input) as Promise<Left>);
      this.ready = true;
      return left ?? null;
    } catch (error) {
      if (error instanceof EngineError) this.second = null;
      return null;
    }
  }
}
