import type { Kept } from '../../shared/useKept';

/** What a tab of the logbook is given. */
export interface KeepTabProps {
  readonly kept: Kept;
}

/** Today as it is kept: 2027-05-01, of the reader's own clock. */
export function today(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
