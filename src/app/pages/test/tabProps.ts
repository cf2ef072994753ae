import type { Tested } from './useTested';

/** What a tab of the tests is given. */
export interface TestTabProps {
  readonly tested: Tested;
}
