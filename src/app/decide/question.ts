import type { Setup } from '../../project';

/** Keys in one order: a project that was saved and opened again is the same question. */
const inOrder = (_: string, value: unknown) =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** All of a setup that its day depends on, as text: names, wishes and comparisons are left out. */
export function drivenKey({ car, circuit, plan, parts }: Setup): string {
  const { name: _car, exposed: _exposed, driverSide: _side, ...driven } = car;
  const {
    name: _plan,
    wishK: _wish,
    minutes: _minutes,
    compare: _compare,
    uncertain: _ranges,
    ...day
  } = plan;
  return JSON.stringify([driven, circuit.layout, circuit.altitudeM, day, parts], inOrder);
}
