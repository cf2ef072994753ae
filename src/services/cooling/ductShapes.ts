/** One way of cutting a duct: so many of a round or an oval section. */
export interface DuctShape {
  readonly count: number;
  /** Diameter of each when round, m */
  readonly diameter: number;
  /** Width and height of each as a flat oval twice as wide as high, m */
  readonly width: number;
  readonly height: number;
}

/** One to three round or flat oval sections, m, that have an open area together; exact. @param area m², over 0 */
export function ductShapes(area: number): DuctShape[] {
  return [1, 2, 3].map((count) => {
    const each = area / count;
    // Two half circles and a square between them: h²·(1 + π/4).
    const height = Math.sqrt(each / (1 + Math.PI / 4));
    return { count, diameter: Math.sqrt((4 * each) / Math.PI), width: 2 * height, height };
  });
}
