import type { Estimate } from '../../../core';

/** What was believed (thin) and what is known now (thick), on one scale; the figures stand beside it. */
export function IntervalBar({ estimate }: { readonly estimate: Estimate }) {
  const { low, high, value, priorLow, priorHigh } = estimate;
  const least = Math.min(low, priorLow);
  const span = Math.max(high, priorHigh) - least || 1;
  const at = (x: number) => 4 + (172 * (x - least)) / span;
  return (
    <svg viewBox="0 0 180 16" className="h-4 w-full" aria-hidden="true" preserveAspectRatio="none">
      <line x1={at(priorLow)} x2={at(priorHigh)} y1="8" y2="8" stroke="var(--dim)" strokeWidth="1.5" />
      <line x1={at(low)} x2={at(high)} y1="8" y2="8" stroke="var(--front)" strokeWidth="6" />
      <line x1={at(value)} x2={at(value)} y1="2" y2="14" stroke="var(--ink)" strokeWidth="2" />
    </svg>
  );
}
