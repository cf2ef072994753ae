/** Whether a braking zone is braked into the wind or before it. */
export function windText(ground: { x: Float64Array; y: Float64Array }, i: number, fromDeg: number): string {
  const j = (i + 1) % (ground.x.length - 1);
  const from = (fromDeg * Math.PI) / 180;
  const [dx, dy] = [ground.x[j] - ground.x[i], ground.y[j] - ground.y[i]];
  const head = (dx * Math.sin(from) + dy * Math.cos(from)) / (Math.hypot(dx, dy) || 1);
  if (head > 0.5) return 'against the wind';
  return head < -0.5 ? 'with the wind behind' : 'across the wind';
}
