import type { AxleName, DayResult, WheelName } from '../../core';
import type { AxleBrakes, Setup, UnitChoice } from '../../model';

/** How a result was reached: the relation, what went into it here, and where it comes from. */
export interface Explanation {
  readonly title: string;
  readonly relation: string;
  readonly inputs: readonly (readonly [name: string, value: string])[];
  readonly source: string;
  readonly limits: string;
}

/** What an explanation is made from. */
export interface Facts {
  readonly setup: Setup;
  readonly result: DayResult;
  readonly axle: AxleName;
  readonly brakes: AxleBrakes;
  readonly wheel: WheelName;
  readonly units: UnitChoice;
}
/** A name and its value. */
export type Input = readonly [string, string];
