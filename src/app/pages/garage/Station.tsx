import type { ReactNode } from 'react';

/** A station of the chain: what it is, its drawing, what it carries. */
export function Station({
  x,
  y,
  href,
  title,
  lines,
  below = 62,
  alarm = false,
  children,
}: {
  x: number;
  y: number;
  href: string;
  title: string;
  lines: readonly string[];
  below?: number;
  alarm?: boolean;
  children: ReactNode;
}) {
  return (
    <g transform={`translate(${x},${y})`}>
      <a href={href} className="group">
        <text y={-56} textAnchor="middle" fontSize={13} className="fill-dim group-hover:underline narrow">
          {title}
        </text>
        {children}
        {lines.map((line, i) => (
          <text
            key={line}
            y={below + 16 * i}
            textAnchor="middle"
            fontSize={i === 0 ? 15 : 13}
            fontWeight={i === 0 ? 640 : 420}
            className={alarm && i === 0 ? 'fill-over' : 'fill-ink'}
          >
            {line}
          </text>
        ))}
      </a>
    </g>
  );
}
