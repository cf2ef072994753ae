/** What the charts of the garage share. */
export const AXIS = {
  stroke: 'var(--dim)',
  tick: { fontSize: 11, fill: 'var(--dim)' },
  tickLine: false,
} as const;
export const TOOLTIP = {
  isAnimationActive: false,
  contentStyle: {
    background: 'var(--panel)',
    border: '1px solid var(--rule)',
    borderRadius: 6,
    color: 'var(--ink)',
    fontSize: 12.5,
  },
  labelStyle: { color: 'var(--dim)' },
  cursor: { stroke: 'var(--dim)' },
} as const;
