/** What is kept of a car: its sets, its logbook, its season. */
export {
  BOOTS,
  CRACK_PLACES,
  type Crack,
  crackSchema,
  FLUID_LEVELS,
  fluidFoundSchema,
  HOSES,
  LEADS,
  LEAK_SIGNS,
  NOTHING_AT_WHEEL,
  NOTHING_OF_FLUID,
  SLEEVES,
  SLIDES,
  type WheelFound,
  wheelFoundSchema,
} from './inspection';
export {
  ENTRY_KINDS,
  type EntryKind,
  type EntryOf,
  type FittedSets,
  FLUID_DEEDS,
  type FluidDeed,
  type LogEntry,
  PEDALS,
  type Photo,
  type StoredLoad,
  TRACK_STATES,
} from './logEntry';
export {
  type PartSet,
  placeOf,
  ROTOR_BUILDS,
  SET_PLACES,
  type SetKind,
  type SetPlace,
} from './partSet';
export {
  type EventSession,
  FLUID_SCHOOLS,
  type FluidSchool,
  SESSION_KINDS,
  type Season,
  type SeasonEvent,
  type SessionKind,
  seasonRulesSchema,
} from './season';
