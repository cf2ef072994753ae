import type { Assessed, PricedSetup } from '../../../services';

/** A setup of the comparison with its result. */
export interface Compared extends PricedSetup {
  readonly name: string;
  readonly assessed: Assessed;
}
