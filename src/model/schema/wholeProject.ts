import type { StoredTest } from './brakeTest';
import type { Calibration } from './calibration';
import type { Car } from './car';
import type { Circuit } from './circuit';
import type { StoredDrive } from './drive';
import type { LogEntry } from './logEntry';
import type { Part } from './part';
import type { PartSet } from './partSet';
import type { Plan } from './plan';
import type { Bottle, Preparation } from './preparation';
import type { Season } from './season';
import type { KeptState } from './state';

export const PROJECT_FORMAT = 'fervent-kettle-project';

export const PROJECT_VERSION = 14;

/** A whole project. */
export interface Project {
  readonly format: typeof PROJECT_FORMAT;
  readonly version: typeof PROJECT_VERSION;
  readonly name: string;
  readonly cars: Car[];
  readonly circuits: Circuit[];
  readonly plans: Plan[];
  readonly parts: Part[];
  readonly states: KeptState[];
  readonly drives: StoredDrive[];
  readonly calibrations: Calibration[];
  readonly preparations: Preparation[];
  readonly bottles: Bottle[];
  readonly tests: StoredTest[];
  readonly sets: PartSet[];
  readonly seasons: Season[];
  readonly entries: LogEntry[];
  readonly currency: string;
  readonly prices: { readonly key: string; readonly price: number }[];
  readonly selectedPlanId: string;
}
