import type { ReactNode } from 'react';

/** A line of a chart and what it is. */
export function Key({
  color,
  dashed,
  children,
}: {
  color: string;
  /** Or the stroke pattern itself, where there are several */
  dashed?: boolean | string;
  children: ReactNode;
}) {
  return (
    <span className="inline-flex items-center gap-1">
      <svg width="26" height="8" aria-hidden="true">
        <line
          x2="26"
          y1="4"
          y2="4"
          stroke={color}
          strokeWidth="2.2"
          strokeDasharray={dashed === true ? '4 3' : dashed || undefined}
        />
      </svg>{' '}
      {children}
    </span>
  );
}
