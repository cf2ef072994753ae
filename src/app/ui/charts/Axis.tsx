import { memo } from 'react';
import type { LinearScale } from './linearScale';

/** Horizontal rules of a chart band with their values at the left, and what they are in at the top. */
export const ValueAxis = memo(function ValueAxis({
  scale,
  left,
  right,
  ticks,
  unit,
  format = String,
}: {
  scale: LinearScale;
  left: number;
  right: number;
  ticks: number;
  unit: string;
  format?: (value: number) => string;
}) {
  const [bottom, top] = scale.range;
  return (
    <g>
      {scale.ticks(ticks).map((tick) => (
        <g key={tick} transform={`translate(0,${scale(tick)})`}>
          <line x1={left} x2={right} stroke="var(--rule)" strokeWidth={tick === 0 ? 1 : 0.6} />
          <text x={left - 6} dy="0.32em" textAnchor="end" fontSize={11} fill="var(--dim)" className="narrow">
            {format(tick)}
          </text>
        </g>
      ))}
      <text x={left - 6} y={top - 5} textAnchor="end" fontSize={11} fill="var(--dim)" className="narrow">
        {unit}
      </text>
      <line x1={left} x2={left} y1={top} y2={bottom} stroke="var(--rule)" />
    </g>
  );
});

/** Values along the bottom. */
export function PlaceAxis({
  scale,
  y,
  ticks,
  format,
}: {
  scale: LinearScale;
  y: number;
  ticks: number;
  format: (value: number) => string;
}) {
  const shown = scale.ticks(ticks);
  // The last value would be cut where it stands at the chart's very edge.
  const end = scale.range[1];
  return (
    <g>
      {shown.map((tick) => (
        <g key={tick} transform={`translate(${scale(tick)},${y})`}>
          <line y2={4} stroke="var(--dim)" />
          <text
            y={15}
            textAnchor={end - scale(tick) < 14 ? 'end' : 'middle'}
            fontSize={11}
            fill="var(--dim)"
            className="narrow"
          >
            {format(tick)}
          </text>
        </g>
      ))}
    </g>
  );
}
