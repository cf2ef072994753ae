import { useEffect, useRef } from 'react';
import { applyWhatIf, movedOn, type Setup, type WhatIf } from '../../../model';
import { useDays } from '../../state/context';

/** Time after which a control counts as at rest, ms: what is moved on without a pause is not to wait for a guess. */
const AT_REST = 40;

/**
 * Has the day driven that comes next if the control that was moved last is moved on by as much, so that its verdict is
 * there when it is. Only while nothing moves and what is asked for is there.
 */
export function useAhead(setup: Setup, whatIf: WhatIf, behind: boolean): void {
  const days = useDays();
  useEffect(() => {
    if (!behind) days.beginMoving();
  }, [days, behind]);
  const moves = useRef({ before: whatIf, now: whatIf });
  useEffect(() => {
    if (moves.current.now !== whatIf) moves.current = { before: moves.current.now, now: whatIf };
    if (behind) return;
    const next = movedOn(setup, moves.current.before, whatIf);
    if (!next) return;
    const timer = setTimeout(() => days.driveAhead(applyWhatIf(setup, next)), AT_REST);
    return () => clearTimeout(timer);
  }, [days, setup, whatIf, behind]);
}
