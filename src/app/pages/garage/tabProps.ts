import type { Editing } from '../../state/useItem';

/** What every tab of the garage is given: the car being edited. */
export interface TabProps {
  readonly editing: Editing<'cars'>;
}
