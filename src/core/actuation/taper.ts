/** Pistons of one side of a caliper along its pad, and what their sizes do to the pad's wear. */
export interface PistonRow {
  /** Piston diameters in the order the rotor passes them, leading first, m */
  readonly diameters: readonly number[];
  /** Length of the pad along the rotor's movement, m */
  readonly padLength: number;
  /** From the rubbed face to where the pad is held, m: what is left of the pad and half its plate */
  readonly heldAt: number;
  /** Friction coefficient, 1 */
  readonly friction: number;
}

export interface PadTaper {
  /** Centre of the pistons' push before (+, towards the leading edge) or behind (−) the pad's middle, m */
  readonly pushCentre: number;
  /** Centre of the pressure on the rotor, the same way, m */
  readonly pressureCentre: number;
  /** Pressure at the leading edge over the mean; 1 wears evenly */
  readonly leadingEdge: number;
  readonly trailingEdge: number;
}

/** Piston area of one side, m². @param diameters of its pistons, m */
export const pistonArea = (diameters: readonly number[]): number =>
  diameters.reduce((sum, d) => sum + (Math.PI / 4) * d * d, 0);

/**
 * Where a pad presses. Friction drags at the face but is held at the plate; that moment presses the leading edge harder,
 * by `µ·h` of the normal force. Smaller pistons at the leading end move the push the other way. The pressure is taken
 * linear along the pad: its edges are `1 ± 6·e/L` of the mean. Statics; diameters and lengths in m, piston by piston from
 * the leading end.
 */
export function padTaper({ diameters, padLength, heldAt, friction }: PistonRow): PadTaper {
  const area = pistonArea(diameters);
  const row = diameters.reduce((sum, d) => sum + d, 0);
  // Pistons stand in the pad's length with equal gaps, as far as there is room for gaps.
  const gap = Math.max(0, padLength - row) / (diameters.length + 1);
  const span = Math.max(padLength, row);
  let at = span / 2 - gap;
  let moment = 0;
  for (const d of diameters) {
    moment += (at - d / 2) * (Math.PI / 4) * d * d;
    at -= d + gap;
  }
  const pushCentre = area > 0 ? moment / area : 0;
  const pressureCentre = pushCentre + friction * heldAt;
  const slope = (6 * pressureCentre) / padLength;
  return {
    pushCentre,
    pressureCentre,
    leadingEdge: Math.max(0, 1 + slope),
    trailingEdge: Math.max(0, 1 - slope),
  };
}
