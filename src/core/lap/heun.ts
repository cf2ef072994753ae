/**
 * Speed at the next point of a line, m/s: v² carried on by the mean of the accelerations at both ends (Heun).
 * @param speed at point `i`, m/s
 * @param most speed that is allowed at the next one, m/s
 * @param step between them, m
 * @param acceleration in the direction that is gone, m/s², of speed and point
 */
export function heun(
  speed: number,
  i: number,
  next: number,
  most: number,
  step: number,
  acceleration: (speed: number, index: number) => number,
): number {
  const square = speed * speed;
  const a0 = acceleration(speed, i);
  const predicted = Math.min(most, Math.sqrt(Math.max(1, square + 2 * a0 * step)));
  const a1 = acceleration(predicted, next);
  return Math.min(most, Math.sqrt(Math.max(1, square + (a0 + a1) * step)));
}
