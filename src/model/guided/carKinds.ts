import type { CarKind, CarKindId } from './carKind';
import { RACE_KINDS } from './raceKinds';
import { ROAD_KINDS } from './roadKinds';

/** What is typical for each kind of car. */
export const CAR_KINDS: Readonly<Record<CarKindId, CarKind>> = { ...ROAD_KINDS, ...RACE_KINDS };
