import type { Verdict } from '../../core';

const TITLES: Record<Verdict['kind'], string> = {
  'gives-out': 'Passes a limit',
  close: 'Close to a limit',
  'in-hand': 'Nothing passes a limit',
};

/** A state by its shape first, its colour second: a wedge through a line, a wedge at it, a wedge short of it. */
export function StateMark({ kind, className = '' }: { kind: Verdict['kind']; className?: string }) {
  const reach = kind === 'gives-out' ? 17 : kind === 'close' ? 11.5 : 7;
  const colour = kind === 'gives-out' ? 'var(--over)' : kind === 'close' ? 'var(--close)' : 'var(--act)';
  return (
    <svg viewBox="0 0 18 18" width={18} height={18} className={`shrink-0 ${className}`} role="img">
      <title>{TITLES[kind]}</title>
      <path d={`M1,4 L${reach},9 L1,14 Z`} fill={colour} />
      <line x1={12.5} x2={12.5} y1={1} y2={17} stroke="var(--ink)" strokeWidth={1.6} />
    </svg>
  );
}

/** The state of one margin. */
export function marginState(share: number, passed: boolean): Verdict['kind'] {
  return passed ? 'gives-out' : share < 0.12 ? 'close' : 'in-hand';
}
