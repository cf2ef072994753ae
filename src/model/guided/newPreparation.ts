import { exchangedBy } from '../edit/prepare';
import type { Car } from '../schema/car';
import type { Change } from '../schema/compare';
import type { Part } from '../schema/part';
import { NOTHING_FOUND, type Preparation } from '../schema/preparation';

/** What opens the hydraulics, so that all of it is bled. */
const OPENS = ['calipers', 'hoses', 'cylinder', 'fluid'];

/** Work on a car as it begins: nothing ticked, bled where a change opens the system. */
export function newPreparation(
  car: Car,
  changes: readonly Change[],
  parts: readonly Part[],
  { id, name, date }: Pick<Preparation, 'id' | 'name' | 'date'>,
): Preparation {
  const opens = changes.some((change) => {
    const key = exchangedBy(change, parts);
    return key !== null && OPENS.some((what) => key.endsWith(what));
  });
  return {
    id,
    name: name.slice(0, 80),
    carId: car.id,
    date,
    before: car,
    changes: [...changes],
    protections: [],
    bleed: {
      wanted: opens || changes.length === 0 ? 'all' : 'none',
      way: 'pedal',
      oldColour: 'amber',
      newColour: 'clear',
      drawn: {},
      level: null,
      leaks: null,
      firm: null,
      finished: null,
    },
    bed: {
      version: 'track',
      limitKmh: 80,
      bedLowC: null,
      bedHighC: null,
      fromKmh: null,
      toKmh: null,
      warmUps: null,
      snubs: null,
      outcome: null,
    },
    found: {
      frontLeft: NOTHING_FOUND,
      frontRight: NOTHING_FOUND,
      rearLeft: NOTHING_FOUND,
      rearRight: NOTHING_FOUND,
    },
    ticks: {},
    signed: null,
  };
}
