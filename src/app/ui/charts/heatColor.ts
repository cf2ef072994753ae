/** Ends of the temperature ramp in OKLCH: lightness rises evenly, hue turns from violet through red to straw. */
const DARK = { l: 0.36, c: 0.11, h: 295 };
const MIDDLE = { l: 0.62, c: 0.185, h: 388 };
const LIGHT = { l: 0.88, c: 0.135, h: 455 };

/** A point of the ramp in OKLCH; `share` from 0 (coolest) to 1 (hottest). */
export function heatOklch(share: number): readonly [l: number, c: number, h: number] {
  const t = Math.min(1, Math.max(0, Number.isFinite(share) ? share : 0));
  const [a, b, u] = t < 0.5 ? [DARK, MIDDLE, 2 * t] : [MIDDLE, LIGHT, 2 * t - 1];
  return [a.l + u * (b.l - a.l), a.c + u * (b.c - a.c), (a.h + u * (b.h - a.h)) % 360];
}

/** CSS colour of a share of the temperature range. */
export function heatColor(share: number): string {
  const [l, c, h] = heatOklch(share);
  return `oklch(${l.toFixed(3)} ${c.toFixed(3)} ${h.toFixed(1)})`;
}

/** The whole ramp as a CSS gradient from left to right. */
export function heatGradient(): string {
  const stops = Array.from({ length: 9 }, (_, i) => heatColor(i / 8));
  return `linear-gradient(to right, ${stops.join(', ')})`;
}
