import { type ForceMargin, isClose, type Margin, type Verdict } from '../../core';

const TITLES: Record<Verdict['kind'], string> = {
  'over-limit': 'Over limit',
  'below-working': 'Below working temperature',
  close: 'Close to a limit',
  'within-limits': 'Within limits',
  'not-judged': 'Not judged',
};

const LOOKS: Record<Verdict['kind'], { reach: number; colour: string; hollow?: boolean }> = {
  'over-limit': { reach: 17, colour: 'var(--over)' },
  'below-working': { reach: 9, colour: 'var(--rear)', hollow: true },
  close: { reach: 11.5, colour: 'var(--close)' },
  'within-limits': { reach: 7, colour: 'var(--act)' },
  'not-judged': { reach: 5, colour: 'var(--dim)', hollow: true },
};

/** A state by its shape first, its colour second: a wedge through a line, at it, short of it, or hollow. */
export function StateMark({ kind, className = '' }: { kind: Verdict['kind']; className?: string }) {
  const { reach, colour, hollow = false } = LOOKS[kind];
  return (
    <svg viewBox="0 0 18 18" width={18} height={18} className={`shrink-0 ${className}`} role="img">
      <title>{TITLES[kind]}</title>
      <path
        d={`M1,4 L${reach},9 L1,14 Z`}
        fill={hollow ? 'none' : colour}
        stroke={hollow ? colour : undefined}
        strokeWidth={hollow ? 1.8 : undefined}
      />
      <line x1={12.5} x2={12.5} y1={1} y2={17} stroke="var(--ink)" strokeWidth={1.6} />
    </svg>
  );
}

/** The state of one margin. */
export function marginState(margin: Margin | ForceMargin): Verdict['kind'] {
  if (margin.passed) return 'over-limit';
  return isClose(margin) ? 'close' : 'within-limits';
}
