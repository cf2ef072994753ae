/**
 * Configuration factor of a disc seen from a small element parallel to it on its axis: `r²/(r² + x²)`.
 * Source: Howell, A Catalog of Radiation Heat Transfer Configuration Factors.
 * @param radius of the disc, m
 * @param distance of the element, m
 * @returns 0 to 1
 */
export function discViewFactor(radius: number, distance: number): number {
  return (radius * radius) / (radius * radius + distance * distance);
}
