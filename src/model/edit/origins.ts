import type { Car } from '../schema/car';
import type { Origin, Origins } from '../schema/origin';
import type { Plan } from '../schema/plan';
import type { Project } from '../schema/project';

/** What of an item is no value of its own: names, lists that say what they hold, what waits unused. */
const NO_VALUES: ReadonlySet<string> = new Set([
  'id',
  'name',
  'origins',
  'exposed',
  'loads',
  'carId',
  'circuitId',
  'date',
  'start',
  'clicks',
  'compare',
  'uncertain',
  'targetMarginK',
  'minutes',
  'driverSide',
  'workshop',
  'fitted',
]);

/**
 * Every value of a car or a plan by its dotted path: numbers, choices, and lists as one each. What is empty and what is
 * kept aside for later is none.
 */
export function valuesOf(item: Car | Plan): ReadonlyMap<string, unknown> {
  const found = new Map<string, unknown>();
  const walk = (value: unknown, path: string) => {
    if (value === null || value === undefined) return;
    if (typeof value !== 'object') {
      found.set(path, value);
      return;
    }
    if (Array.isArray(value)) {
      if (value.length > 0) found.set(path, value);
      return;
    }
    for (const [key, inner] of Object.entries(value)) {
      const drum = (value as { drum?: unknown }).drum;
      if (NO_VALUES.has(key) || (key === 'rotor' && drum)) continue;
      // Of slots and holes only those that are there.
      const { surface } = value as { surface?: string };
      if (/^hole/.test(key) && surface !== undefined && surface !== 'drilled') continue;
      if (/^slot/.test(key) && surface !== undefined && surface !== 'slotted') continue;
      walk(inner, path === '' ? key : `${path}.${key}`);
    }
  };
  walk(item, '');
  return found;
}

/** How the value at a dotted path is known. */
export const originOf = (origins: Origins, path: string): Origin =>
  Object.hasOwn(origins.known, path) ? origins.known[path] : origins.rest;

/** Origins with one value's said. */
export function withOrigin(origins: Origins, path: string, origin: Origin): Origins {
  const { [path]: _old, ...others } = origins.known;
  return { ...origins, known: origin === origins.rest ? others : { ...others, [path]: origin } };
}

/** How many of an item's values there are, and how many are no assumption. */
export function countOrigins(item: Car | Plan): Readonly<Record<Origin | 'all', number>> {
  const count = { all: 0, assumed: 0, typed: 0, measured: 0, calibrated: 0 };
  for (const path of valuesOf(item).keys()) {
    count.all += 1;
    count[originOf(item.origins, path)] += 1;
  }
  return count;
}

const differs = (a: unknown, b: unknown) => a !== b && JSON.stringify(a) !== JSON.stringify(b);

function touched<T extends Car | Plan>(before: T | undefined, now: T): T {
  // An item that brings its own origins along says itself how it is known.
  if (!before || before === now || before.origins !== now.origins) return now;
  const old = valuesOf(before);
  let { origins } = now;
  for (const [path, value] of valuesOf(now)) {
    if (differs(value, old.get(path))) origins = withOrigin(origins, path, 'typed');
  }
  return origins === now.origins ? now : { ...now, origins };
}

/** A project after an edit, in which every value that the edit changed is somebody's own. */
export function withOrigins(before: Project, now: Project): Project {
  const each = <T extends Car | Plan>(old: readonly T[], list: T[]): T[] => {
    if (old === list) return list;
    return list.map((item) =>
      touched(
        old.find(({ id }) => id === item.id),
        item,
      ),
    );
  };
  return { ...now, cars: each(before.cars, now.cars), plans: each(before.plans, now.plans) };
}
