import type { SetupTest } from '../../../services';

/** A setup with its test. */
export interface TestedSetup {
  readonly name: string;
  readonly price: number;
  readonly priced: boolean;
  readonly result: SetupTest;
}
