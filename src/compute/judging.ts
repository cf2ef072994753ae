import { type DayInput, type DayResult, judged, type Left } from '../core';
import { EngineError, type WorkerClient } from './workerClient';

/** What a worker is asked for of a day. */
export interface Driving {
  /** The day by itself */
  drive(input: DayInput): DayResult;
  /** What is left of it with less cooling */
  leftAtWorse(input: DayInput): Left;
  /** Both */
  simulate(input: DayInput): Promise<DayResult>;
}

/** Time after the first day until the second worker is begun, ms: the page is drawn first. */
const LATER = 1000;

/**
 * Days judged by two workers: one drives the day, the other what is left of it with less cooling. The other is begun, and
 * tried, where a page has controls that move a day, some time after the first day is told: a page that opens is not to wait
 * for a program to be read twice. Until then, and where there is no other or it fails, the first does both.
 */
export class Judging {
  private begun = false;
  private ready = false;
  /** The last day that was told whole */
  private told: DayInput | null = null;

  /**
   * @param second null where there is no core for it
   * @param later does something in a while
   */
  constructor(
    private readonly first: WorkerClient<Driving>,
    private second: WorkerClient<Driving> | null,
    private readonly later: (act: () => void) => void = (act) => setTimeout(act, LATER),
  ) {}

  /** A day judged, by both at once. @throws as `judgedDay`; EngineError */
  async whole(input: DayInput): Promise<DayResult> {
    if (!this.ready) {
      const day = await this.first.call((engine) => engine.simulate(input));
      this.told = input;
      return day;
    }
    const [day, left] = await Promise.all([this.own(input), this.left(input)]);
    return judged(day, left);
  }

  /** A day by itself. @throws as `simulateDay`; EngineError */
  own(input: DayInput): Promise<DayResult> {
    return this.first.call((engine) => engine.drive(input) as Promise<DayResult>);
  }

  /** What is left of it with less cooling. @throws as `leftAtWorse`; EngineError */
  async left(input: DayInput): Promise<Left> {
    const told = this.ready ? await this.ask(input) : null;
    // What the other says of a day that cannot be driven is said by the first too.
    return told ?? this.first.call((engine) => engine.leftAtWorse(input) as Promise<Left>);
  }

  /** Gets the other ready in a while; a day has been told. */
  begin(): void {
    const { told } = this;
    if (!this.second || !told || this.begun) return;
    this.begun = true;
    this.later(() => void this.ask(told));
  }

  /** What the other says; null where it says nothing. */
  private async ask(input: DayInput): Promise<Left | null> {
    try {
      const left = await this.second?.call((engine) => engine.leftAtWorse(input) as Promise<Left>);
      this.ready = this.second !== null;
      return left ?? null;
    } catch (error) {
      if (error instanceof EngineError) {
        this.second = null;
        this.ready = false;
      }
      return null;
    }
  }
}
