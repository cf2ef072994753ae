/** Colours and strokes of the setups of a comparison: told apart by both. */
export const SETUP_LOOKS = [
  { color: 'var(--ink)', dash: '' },
  { color: 'var(--front)', dash: '10 3' },
  { color: 'var(--rear)', dash: '6 3' },
  { color: 'var(--act)', dash: '2 3' },
  { color: 'var(--close)', dash: '12 3 2 3' },
  { color: 'var(--over)', dash: '5 2 2 2 2 2' },
] as const;

/** A shape of its own for each setup, about a point. */
export function SetupShape({ index, x, y, r = 4 }: { index: number; x: number; y: number; r?: number }) {
  const { color } = SETUP_LOOKS[index];
  const common = { fill: 'var(--panel)', stroke: color, strokeWidth: 1.8 };
  switch (index) {
    case 0:
      return <circle cx={x} cy={y} r={r} {...common} fill={color} />;
    case 1:
      return <rect x={x - r} y={y - r} width={2 * r} height={2 * r} {...common} />;
    case 2:
      return <path d={`M${x},${y - r - 1} L${x + r + 1},${y + r} L${x - r - 1},${y + r} Z`} {...common} />;
    case 3:
      return <path d={`M${x},${y + r + 1} L${x + r + 1},${y - r} L${x - r - 1},${y - r} Z`} {...common} />;
    case 4:
      return (
        <path
          d={`M${x},${y - r - 1.5} L${x + r + 1.5},${y} L${x},${y + r + 1.5} L${x - r - 1.5},${y} Z`}
          {...common}
        />
      );
    default:
      return (
        <path d={`M${x - r},${y - r} L${x + r},${y + r} M${x - r},${y + r} L${x + r},${y - r}`} {...common} />
      );
  }
}

/** The mark of a setup beside its name. */
export function SetupMark({ index }: { index: number }) {
  const { color, dash } = SETUP_LOOKS[index];
  return (
    <svg width="34" height="14" aria-hidden="true" className="shrink-0">
      <line x1="0" x2="34" y1="7" y2="7" stroke={color} strokeWidth="2" strokeDasharray={dash || undefined} />
      <SetupShape index={index} x={17} y={7} />
    </svg>
  );
}
