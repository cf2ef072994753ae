import type { Setup } from '../../model';

/** Keys in one order: a project that was saved and opened again is the same question. */
const inOrder = (_: string, value: unknown) =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** Texts of what has been asked about: nothing of a project is ever changed in place, and a circuit is long. */
const texts = new WeakMap<object, string>();
function textOf<T extends object>(whole: T, driven: (whole: T) => unknown): string {
  const known = texts.get(whole);
  if (known !== undefined) return known;
  const text = JSON.stringify(driven(whole), inOrder);
  texts.set(whole, text);
  return text;
}

/** All of a setup that its day depends on, as text: names, wishes and comparisons are left out. */
export function drivenKey({ car, circuit, plan, parts }: Setup): string {
  return [
    textOf(car, ({ name: _name, exposed: _exposed, driverSide: _side, ...driven }) => driven),
    textOf(circuit.layout, (layout) => layout),
    String(circuit.altitudeM),
    textOf(
      plan,
      ({ name: _name, wishK: _wish, minutes: _minutes, compare: _compare, uncertain: _ranges, ...day }) =>
        day,
    ),
    textOf(parts, (list) => list),
  ].join();
}
