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
  /** The day, of which nothing is told */
  warm(input: DayInput): void;
}

/** Time after the first day until the second worker is begun, ms: the page is drawn first. */
const LATER = 300;

/**
 * Days that are driven before a control is moved, each heavier than the one before by a share of the car: a worker takes
 * some such days until its program is compiled, and the first movements are not to wait for it.
 */
const WARMING = 12;
const HEAVIER = 0.01;

/**
 * Days judged by two workers: one drives the day, the other what is left of it with less cooling. The other is begun, and
 * tried, where a page has controls that move a day, some time after the first day is told: a page that opens is not to wait
 * for a program to be read twice. Until then, and where there is no other or it fails, the first does both. While the other
 * begins the first is got warm, until a day is asked of it.
 */
export class Judging {
  private begun = false;
  private ready = false;
  /** The last day that was told whole */
  private told: DayInput | null = null;
  /** Days asked of the first by themselves */
  private asked = 0;
  private readonly later: (act: () => void) => void;
  private readonly still: () => Promise<void>;

  /**
   * @param second null where there is no core for it
   * @param later does something in a while
   * @param still waits until nothing on the page moves
   */
  constructor(
    private readonly first: WorkerClient<Driving>,
    private second: WorkerClient<Driving> | null,
    {
      later = (act) => setTimeout(act, LATER),
      still = async () => {},
    }: { readonly later?: (act: () => void) => void; readonly still?: () => Promise<void> } = {},
  ) {
    this.later = later;
    this.still = still;
  }

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
    this.asked += 1;
    return this.first.call((engine) => engine.drive(input) as Promise<DayResult>);
  }

  /** What is left of it with less cooling. @throws as `leftAtWorse`; EngineError */
  async left(input: DayInput): Promise<Left> {
    const told = this.ready ? await this.ask(input) : null;
    // What the other says of a day that cannot be driven is said by the first too.
    return told ?? this.first.call((engine) => engine.leftAtWorse(input) as Promise<Left>);
  }

  /** Gets both ready in a while; a day has been told. */
  begin(): void {
    const { told } = this;
    if (!this.second || !told || this.begun) return;
    this.begun = true;
    this.later(() => void this.warm(told));
  }

  /** Gets both ready for days like one: what goes wrong with it is said to whoever asks for it. */
  private async warm(told: DayInput): Promise<void> {
    const { asked } = this;
    const { vehicle } = told;
    const other = this.ask(told);
    for (let k = 1; k <= WARMING; k++) {
      await this.still();
      if (this.asked > asked) return;
      const heavier = { ...told, vehicle: { ...vehicle, mass: (1 + k * HEAVIER) * vehicle.mass } };
      await this.first.call((engine) => engine.warm(heavier) as Promise<void>).catch(() => {});
    }
    await other;
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
