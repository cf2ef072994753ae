import { type ClosingError, closeLine, closingError } from '../../core';
import type { Circuit } from '../schema/circuit';
import { circuitInput } from '../toCore/toCore';

/** How far a circuit misses closing; null for a list of braking zones, which has no line. */
export function circuitClosing(circuit: Circuit): ClosingError | null {
  const input = circuitInput(circuit);
  return input.kind === 'line' ? closingError(input.segments) : null;
}

/** The circuit with its line closed by the least change, or null where that cannot be done. */
export function closeCircuit(circuit: Circuit): Circuit | null {
  const { layout } = circuit;
  const input = circuitInput(circuit);
  if (layout.kind !== 'line' || input.kind !== 'line') return null;
  const closed = closeLine(input.segments);
  if (!closed) return null;
  const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;
  return {
    ...circuit,
    layout: {
      kind: 'line',
      segments: layout.segments.map((segment, i) => {
        const now = closed[i];
        const gradePercent = round(now.grade * 100, 2);
        if (segment.kind === 'straight' && now.kind === 'straight') {
          return { ...segment, lengthM: round(now.length, 2), gradePercent };
        }
        if (segment.kind === 'corner' && now.kind === 'corner') {
          return { ...segment, angleDeg: round((now.angle * 180) / Math.PI, 3), gradePercent };
        }
        return segment;
      }),
    },
  };
}
