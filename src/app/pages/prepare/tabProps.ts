import type { Prepared } from './usePrepared';

/** What a tab of the preparation is given. */
export interface PrepareTabProps {
  readonly prepared: Prepared;
}
