import { useMemo } from 'react';
import { sampleLine } from '../../../core';
import { type Circuit, circuitInput } from '../../../model';
import type { FoundLine } from '../../../services';
import { GroundMap } from './GroundMap';

/** A line found in a file over its points, with its corners; a click moves the start line. */
export function FoundMap({
  found,
  circuit,
  start,
  reverse,
  onStart,
}: {
  found: FoundLine;
  circuit: Circuit | null;
  /** m along the line */
  start: number;
  reverse: boolean;
  onStart: (start: number) => void;
}) {
  const { line, drawn } = found;
  const cells = line.distance.length - 1;
  const at = Math.round((start / line.length) * cells) % cells;
  const ahead = (at + (reverse ? cells - 3 : 3)) % cells;
  const corners = useMemo(() => (circuit ? cornersOn(circuit) : []), [circuit]);
  const pick = (east: number, north: number) => {
    let [best, nearest] = [0, Number.POSITIVE_INFINITY];
    for (let i = 0; i < cells; i++) {
      const far = (line.x[i] - east) ** 2 + (line.y[i] - north) ** 2;
      if (far < nearest) [best, nearest] = [i, far];
    }
    onStart(line.distance[best]);
  };
  return (
    <GroundMap label="Line found in the file" east={drawn.x} north={drawn.y} height={520} onPick={pick}>
      {({ x, y, zoom }) => {
        const size = 1 / Math.sqrt(zoom);
        let path = '';
        for (let i = 0; i <= cells; i++) {
          path += `${i === 0 ? 'M' : 'L'}${x(line.x[i]).toFixed(1)},${y(line.y[i]).toFixed(1)}`;
        }
        let dots = '';
        for (let i = 0; i < drawn.x.length; i++) {
          dots += `M${x(drawn.x[i]).toFixed(1)},${y(drawn.y[i]).toFixed(1)}h0`;
        }
        const heading =
          (Math.atan2(y(line.y[ahead]) - y(line.y[at]), x(line.x[ahead]) - x(line.x[at])) * 180) / Math.PI;
        return (
          <>
            <path d={path} fill="none" stroke="var(--rule)" strokeWidth={11 * size} strokeLinejoin="round" />
            <path d={dots} stroke="var(--rear)" strokeWidth={3 * size} strokeLinecap="round" opacity={0.7} />
            <path d={path} fill="none" stroke="var(--ink)" strokeWidth={2 * size} strokeLinejoin="round" />
            {corners.map(({ number, distance }) => {
              const i =
                (((at + (reverse ? -1 : 1) * Math.round((distance / line.length) * cells)) % cells) + cells) %
                cells;
              return (
                <g key={number} transform={`translate(${x(line.x[i])},${y(line.y[i])}) scale(${size})`}>
                  <circle r={10} fill="var(--panel)" stroke="var(--ink)" strokeWidth={1.4} />
                  <text textAnchor="middle" dy="0.35em" fontSize={11.5} fontWeight={660} fill="var(--ink)">
                    {number}
                  </text>
                </g>
              );
            })}
            <g
              transform={`translate(${x(line.x[at])},${y(line.y[at])}) rotate(${heading}) scale(${size})`}
              data-testid="start-mark"
            >
              <line y1={-14} y2={14} stroke="var(--act)" strokeWidth={3.5} />
              <path d="M5,-18 L16,-12 L5,-6 Z" fill="var(--act)" />
            </g>
          </>
        );
      }}
    </GroundMap>
  );
}

/** The middle of each corner along the circuit; arcs of one name are one. */
function cornersOn(circuit: Circuit): { number: number; distance: number }[] {
  const input = circuitInput(circuit);
  if (input.kind !== 'line' || circuit.layout.kind !== 'line') return [];
  const { length } = sampleLine(input.segments, 20);
  const found: { name: string; from: number; to: number }[] = [];
  let s = 0;
  for (const segment of circuit.layout.segments) {
    const own =
      segment.kind === 'straight' ? segment.lengthM : (segment.radiusM * segment.angleDeg * Math.PI) / 180;
    const last = found[found.length - 1];
    if (segment.kind === 'corner') {
      if (last && last.name === segment.name && last.to === s) last.to = s + own;
      else found.push({ name: segment.name, from: s, to: s + own });
    }
    s += own;
  }
  return found.map((c, i) => ({ number: i + 1, distance: (((c.from + c.to) / 2) * length) / s }));
}
