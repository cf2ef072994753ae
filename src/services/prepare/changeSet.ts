import {
  type Car,
  EXPOSED_KINDS,
  exchangedBy,
  FITTED_KEYS,
  type FittedKey,
  type StoredDrive,
} from '../../model';
import type { Work } from './work';

/** What is on the car now, since when, and what has been driven with it. */
export interface FittedNow {
  readonly key: FittedKey;
  /** ISO date; null where nobody has said */
  readonly since: string | null;
  /** Drives kept in the project from that day on, and their laps */
  readonly drives: number;
  readonly laps: number;
}

/** Whether a car has a thing at all: no shields where none covers, no ducts where none is. */
function has(car: Car, key: FittedKey): boolean {
  const [axle, what] = key.split(' ') as ['front' | 'rear', string];
  const own = car[axle];
  if (what === 'ducts') return own.ductAreaCm2 > 0;
  if (what === 'shields') return own.shieldPercent > 0;
  return what !== 'calipers' || own.drum === null;
}

/** All that is exchanged on a car, with its day and its counters. */
export function fittedNow(car: Car, drives: readonly StoredDrive[]): FittedNow[] {
  return FITTED_KEYS.filter((key) => has(car, key)).map((key) => {
    const since = car.fitted[key] ?? null;
    const own = since === null ? [] : drives.filter((d) => d.car.id === car.id && d.date >= since);
    const laps = own.reduce(
      (sum, { plan }) =>
        sum +
        plan.sessions.reduce(
          (all, { legs }) => all + legs.reduce((n, leg) => n + ('laps' in leg ? leg.laps : 0), 0),
          0,
        ),
      0,
    );
    return { key, since, drives: own.length, laps };
  });
}

/** Protections of a preparation with the part each is for; of parts that are gone nothing. */
export const protectionsOf = ({ preparation, car }: Work) =>
  preparation.protections.flatMap(({ part, kind }) => {
    const own = car.exposed.find(({ id }) => id === part);
    return own ? [{ part: own, kind, source: EXPOSED_KINDS[own.kind].source }] : [];
  });

/** What a preparation exchanges, each once. */
export const exchanged = ({ preparation, parts }: Work): ReadonlySet<FittedKey> =>
  new Set(preparation.changes.flatMap((change) => exchangedBy(change, parts) ?? []));
