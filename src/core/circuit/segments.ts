/** A piece of the driven line. */
export type Segment =
  | {
      readonly kind: 'straight';
      /** m */
      readonly length: number;
      /** Rise over run, 1; uphill is positive */
      readonly grade: number;
    }
  | {
      readonly kind: 'corner';
      /** Radius of the driven line, m */
      readonly radius: number;
      /** Angle turned through, rad, positive */
      readonly angle: number;
      readonly hand: 'left' | 'right';
      /** Rise over run, 1; uphill is positive */
      readonly grade: number;
    };

/** Length of a segment along the line, m. */
export function segmentLength(segment: Segment): number {
  return segment.kind === 'straight' ? segment.length : segment.radius * segment.angle;
}

/** Angle a segment turns through, rad; left is positive. */
export function segmentTurn(segment: Segment): number {
  if (segment.kind === 'straight') return 0;
  return segment.hand === 'left' ? segment.angle : -segment.angle;
}
