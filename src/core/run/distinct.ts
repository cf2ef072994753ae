import { AXLES, type AxleInput, type AxleName, type Corner, WHEELS, type WheelName } from '../brake';
import { alike } from '../numeric';
import type { Start } from '../schedule';

/** A wheel to compute, and the other of its axle where that is alike. */
export interface DistinctWheel {
  readonly wheel: WheelName;
  readonly axle: AxleName;
  readonly also: WheelName | null;
}

/**
 * Wheels that must be computed: one an axle where both have the same parts, air, work and start.
 * @param sided whether a wheel may brake otherwise than the other of its axle
 */
export function distinct(
  axles: Readonly<Record<AxleName, AxleInput>>,
  sided: boolean,
  start: Start,
): DistinctWheel[] {
  return AXLES.flatMap((axle): DistinctWheel[] => {
    const [left, right]: WheelName[] = [`${axle}Left`, `${axle}Right`];
    const { left: a, right: b } = axles[axle];
    const begunAlike = typeof start === 'number' || alike(start[left], start[right]);
    return !sided && begunAlike && sameCorner(a, b)
      ? [{ wheel: left, axle, also: right }]
      : [left, right].map((wheel) => ({ wheel, axle, also: null }));
  });
}

/** What each wheel has of those that are computed. @param of which of them */
export function byWheel<T>(wheels: readonly DistinctWheel[], of: (index: number) => T): Record<WheelName, T> {
  const each = wheels.map((_, i) => of(i));
  const at = (name: WheelName) => wheels.findIndex((w) => w.wheel === name || w.also === name);
  return Object.fromEntries(WHEELS.map((wheel) => [wheel, each[at(wheel)]])) as Record<WheelName, T>;
}

/** Whether two brakes are the same in every value. */
function sameCorner(a: Corner, b: Corner): boolean {
  const keys = [
    'rotor',
    'drum',
    'pad',
    'caliper',
    'air',
    'constants',
  ] as const satisfies readonly (keyof Corner)[];
  return keys.every((key) => alike(a[key], b[key]));
}
