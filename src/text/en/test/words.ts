import type { BenchDeviation, HeldBy, TestFailure, TestPhase } from '../../../core';
import type { RunEnd, StopSource, TestDesign, TestKind, TestRun } from '../../../model';
import type { EnoughFor, StopLimit, TestValue, UsualSetup } from '../../../services';

/** Kinds of test: what they are called, and what they tell. */
export const TEST_KIND_TEXT: Readonly<Record<TestKind, { readonly name: string; readonly note: string }>> = {
  repeated: {
    name: 'Repeated stops',
    note: 'Several stops in a row from one speed. Distance shows what tyres and brakes make together, pedal force shows fade first.',
  },
  endurance: {
    name: 'Endurance',
    note: 'Round and round, a corner and a stop, until the brakes no longer hold. Somebody counts the rounds and keeps the time.',
  },
  'cold-hot': {
    name: 'Cold against hot',
    note: 'The same stops with cold brakes, then snubs that heat them, then the stops again.',
  },
  rules: {
    name: 'Heating sequence of the rules',
    note: 'Cold stop, 15 snubs and hot stop as UN R13-H (annex 3, type I) and 49 CFR 571.135 want them. Our own computation, no approval.',
  },
};

export const TEST_BRAKING_TEXT: Readonly<Record<TestDesign['braking'], string>> = {
  hardest: 'As hard as tyres and foot allow',
  hold: 'A deceleration held',
};

export const RUN_END_TEXT: Readonly<Record<RunEnd, string>> = {
  fade: 'Fade: hard pedal, little braking',
  'long pedal': 'Long or soft pedal',
  boiled: 'Fluid boiled',
  'pads gone': 'Pads worn through',
  tyres: 'Tyres',
  'target reached': 'Target reached',
  driver: 'Driver or time on the ground',
};

export const STOP_SOURCE_TEXT: Readonly<Record<StopSource, string>> = {
  typed: 'typed',
  counter: 'counter',
  log: 'log',
  phone: 'phone',
  live: 'live logger',
};

export const TEST_PLACE_TEXT: Readonly<Record<TestRun['place'], string>> = {
  disc: 'disc',
  caliper: 'caliper',
  fluid: 'fluid',
};

/** What held a stop, by its readings. */
export const STOP_LIMIT_TEXT: Readonly<Record<StopLimit, string>> = {
  tyres: 'tyres (ABS)',
  pedal: 'the driver’s foot',
  fade: 'fade',
  fading: 'fading, the foot makes up for it',
  'not told': 'not told',
};

/** What limited a stop that was computed. */
export const HELD_BY_TEXT: Readonly<Record<HeldBy, string>> = {
  asked: 'the target',
  tyres: 'the tyres',
  pedal: 'the pedal',
  travel: 'the pedal’s travel',
};

export const FAILURE_TEXT: Readonly<Record<TestFailure['by'], string>> = {
  fade: 'the pads fade',
  boiled: 'the fluid boils',
  travel: 'the pedal reaches the floor',
  'never stops': 'the car does not stop any more',
};

export const TEST_PHASE_TEXT: Readonly<Record<TestPhase, string>> = {
  test: 'test',
  heating: 'heating',
  hot: 'hot',
};

/** Values that setups are compared by. */
export const TEST_VALUE_TEXT: Readonly<
  Record<TestValue, { readonly name: string; readonly more: string; readonly less: string }>
> = {
  distance: { name: 'Distance', more: 'longer', less: 'shorter' },
  pedal: { name: 'Pedal force', more: 'more force', less: 'less force' },
  deceleration: { name: 'Mean deceleration', more: 'more', less: 'less' },
  lasted: { name: 'Time until it ended', more: 'longer', less: 'shorter' },
};

/** Setups that are usually weighed. */
export const USUAL_SETUP_TEXT: Readonly<Record<UsualSetup, string>> = {
  pads: 'Pads',
  'pads and rotors': 'Pads and rotors',
  'rear discs': 'Rear disc conversion',
  'big kit': 'Big kit',
};

export const ENOUGH_TEXT: Readonly<Record<EnoughFor, { readonly name: string; readonly means: string }>> = {
  nothing: { name: 'Not even one stop', means: 'The first stop already fails.' },
  'one stop': {
    name: 'Everyday driving',
    means: 'One hard stop as asked; over the row it fades or passes a limit.',
  },
  'this test': {
    name: 'Short sessions',
    means: 'The whole row as asked; the plan’s session passes a limit.',
  },
  'the session': {
    name: 'The plan’s session',
    means: 'The row as asked, and the session within its limits.',
  },
};

/** What of a bench stop is not as it is in the car. */
export const DEVIATION_TEXT: Readonly<Record<BenchDeviation, string>> = {
  'first speed': 'begun faster: the work is kept, the speed is not',
  'last speed': 'ended at another speed: one inertia for all stops',
  'speed limit': 'begun slower: the bench’s speed limit',
  'torque limit': 'braked longer: the bench’s torque limit; the work is kept, the peak power is not',
  'air limit': 'less cooling air: the bench’s limit; begin it by temperature',
  split: 'made in parts: the work is kept, the peak temperature is not',
};

/** What is said before anybody drives. */
export const TEST_SAFETY = [
  'Closed course only: flat, dry, straight, nobody near it, and run-off as long as three of the stops.',
  'Walk it first. Mark the point of braking and the end of the run-off; agree on a sign that stops everything.',
  'Seat belts, helmet where the rules want it, nothing loose in the car. The passenger counts and looks, the driver drives.',
  'After the last stop roll on without brakes for some minutes. Park without holding the pedal and without the parking brake.',
] as const;
export const STOP_NOW = [
  'The pedal becomes long, soft or sinks.',
  'The car pulls to one side, or the steering shakes.',
  'Smoke, flames, a strong smell or a warning lamp.',
  'Grinding: metal on metal.',
  'Anybody or anything on the course.',
] as const;
