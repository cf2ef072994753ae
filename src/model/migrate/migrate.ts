import { RADIAL_CELLS } from '../../core';
import { DEFAULT_UNCERTAIN } from '../schema/uncertain';
import { USUAL_WORKSHOP } from '../schema/workshop';
import { from1 } from './from1';
import { type Loose, list, record } from './loose';
import { NECK_7, partTo7, partTo8, walled } from './parts';

/** Generic hydraulics, fit and weight for what version 2 did not know; a typed brake balance goes on to rule. */
const CALIPER_3 = {
  kind: 'fixed',
  pistonsMm: [38, 42],
  stiffnessKnMm: 150,
  clearanceMm: 0.15,
  bridgeMm: 20,
  outerBodyMm: 35,
  openingMm: 75,
};
const WHEEL_3 = { barrelMm: 420, spokesMm: 40, spacerMm: 0 };
const PEDAL_3 = {
  ratio: 4,
  efficiencyPercent: 90,
  booster: { gain: 5, kneeN: 1200 },
  cylinders: { kind: 'tandem', boreMm: 23.8, strokeMm: 38, split: 'diagonal' },
  valve: null,
  hoseLengthMm: 400,
  hoseGrowthMm3BarM: 12,
  limitN: 500,
  travelMm: 130,
  freeTravelMm: 8,
};

function from2(project: Loose): Loose {
  const axle = (value: unknown, rear: boolean) => {
    const own = record(value);
    const rotor = record(own.rotor);
    return {
      ...own,
      newPadMm: own.padThicknessMm,
      effectiveRadiusMm: null,
      wheel: WHEEL_3,
      rotor: { depthMm: 45, ...rotor },
      drum: own.drum ? { shoes: 'leading-trailing', cylinderMm: 20.6, ...record(own.drum) } : own.drum,
      caliper: { ...CALIPER_3, ...(rear && { pistonsMm: [30, 34] }), ...record(own.caliper) },
    };
  };
  return {
    ...project,
    version: 3,
    parts: [],
    cars: list(project.cars, (car) => ({
      wheelbaseMm: 2550,
      frontWeightPercent: 52,
      frontDownforcePercent: 42,
      loads: [],
      pedal: PEDAL_3,
      ...car,
      recovery: car.recovery ? { blending: 'blended', ...record(car.recovery) } : car.recovery,
      front: axle(car.front, false),
      rear: axle(car.rear, true),
    })),
    plans: list(project.plans, (plan) => ({ brakesEarlier: false, clicks: [], ...plan })),
  };
}

/** Version 3 did not know where a circuit lies, nor the weather but for air and moisture. */
function from3(project: Loose): Loose {
  return {
    ...project,
    version: 4,
    circuits: list(project.circuits, (circuit) => ({ place: null, ...circuit })),
    plans: list(project.plans, (plan) => ({ pressureHpa: null, windKmh: 0, windFromDeg: 0, ...plan })),
  };
}

/** Version 4 only predicted: nothing in it was compared, priced or uncertain. */
function from4(project: Loose): Loose {
  return {
    ...project,
    version: 5,
    currency: '€',
    prices: [],
    cars: list(project.cars, (car) => ({ driverSide: 'left', exposed: [], ...car })),
    plans: list(project.plans, (plan) => ({
      wishK: 30,
      minutes: 20,
      compare: { setups: [], referenceId: null },
      uncertain: DEFAULT_UNCERTAIN,
      ...plan,
    })),
  };
}

/** What version 6 calls by the field's terms. */
const NAMES_6: Readonly<Record<string, string>> = {
  brakingCommitmentPercent: 'brakingGripUsedPercent',
  corneringCommitmentPercent: 'corneringGripUsedPercent',
  wishK: 'targetMarginK',
  innerReliefPercent: 'loadFollowingPercent',
  hoseGrowthMm3BarM: 'hoseExpansionMm3BarM',
  tapePercent: 'blankedOffPercent',
  opennessPercent: 'wheelOpenAreaPercent',
};
const renamed = (value: unknown): Loose =>
  Object.fromEntries(Object.entries(record(value)).map(([key, kept]) => [NAMES_6[key] ?? key, kept]));

/** Version 5 began every day with cold brakes and kept none. */
function from5(project: Loose): Loose {
  return {
    ...project,
    version: 6,
    states: [],
    cars: list(project.cars, (car) => ({
      ...renamed(car),
      front: renamed(car.front),
      rear: renamed(car.rear),
      pedal: renamed(car.pedal),
    })),
    circuits: list(project.circuits, (circuit) => ({
      ...circuit,
      layout: withZones(record(circuit.layout)),
    })),
    plans: list(project.plans, (plan) => ({ start: { kind: 'cold' }, ...renamed(plan) })),
  };
}

/** Version 5 called braking zones stops. */
function withZones({ stops, ...layout }: Loose): Loose {
  return layout.kind === 'stops' ? { ...layout, kind: 'zones', zones: stops } : layout;
}

/** Ranges of what was not drawn when a file was written, of whatever version: known, and not used. */
function withEveryRange(plan: Loose): Loose {
  if (!plan.uncertain) return plan;
  const uncertain = record(plan.uncertain);
  const unused = Object.entries(DEFAULT_UNCERTAIN.ranges).map(([id, range]) => [
    id,
    { ...range, use: false },
  ]);
  return {
    ...plan,
    uncertain: { ...uncertain, ranges: { ...Object.fromEntries(unused), ...record(uncertain.ranges) } },
  };
}

/** Version 6 had every engine's power whatever the air; a car that recovers is taken to be electric. */
function from6(project: Loose): Loose {
  const axle = (value: unknown) => {
    const own = record(value);
    return { ...own, rotor: { ...NECK_7, ...record(own.rotor) }, caliper: walled(own.caliper) };
  };
  return {
    ...project,
    version: 7,
    cars: list(project.cars, (car) => ({
      intake: car.recovery ? 'electric' : 'natural',
      // Laps of older versions used up the tyres of both axles.
      abs: true,
      ...car,
      fluid: { freeWater: false, ...record(car.fluid) },
      recovery: car.recovery ? { derating: [], ...record(car.recovery) } : car.recovery,
      front: axle(car.front),
      rear: axle(car.rear),
    })),
    states: list(project.states, (state) => ({
      ...state,
      brakes: Object.fromEntries(
        Object.entries(record(state.brakes)).map(([wheel, brake]) => [
          wheel,
          // Version 6 took a disc as even over its radius.
          { radialK: new Array<number>(RADIAL_CELLS).fill(0), ...record(brake) },
        ]),
      ),
    })),
    parts: list(project.parts, partTo7),
  };
}

/** Version 7 knew dry tracks alone, the same power at any speed, and pads that nothing knocked back. */
function from7(project: Loose): Loose {
  const axle = (value: unknown) => {
    const own = record(value);
    return {
      plateKind: 'flush',
      sides: 'together',
      ...own,
      caliper: { knockBackMm: 0, ...record(own.caliper) },
    };
  };
  return {
    ...project,
    version: 8,
    cars: list(project.cars, (car) => ({
      powerCurve: [],
      engineBrakingCurve: [],
      ...car,
      front: axle(car.front),
      rear: axle(car.rear),
    })),
    parts: list(project.parts, partTo8),
    plans: list(project.plans, (plan) => ({
      ...plan,
      sessions: list(plan.sessions, (session) => ({ gripPercent: 100, ...session })),
    })),
  };
}

/** Version 8 did not say how a value is known: whoever typed it knew. */
function from8(project: Loose): Loose {
  const typed = { rest: 'typed', known: {} };
  return {
    ...project,
    version: 9,
    cars: list(project.cars, (car) => ({ origins: typed, ...car })),
    circuits: list(project.circuits, (circuit) => ({ source: 'typed', ...circuit })),
    plans: list(project.plans, (plan) => ({ date: null, origins: typed, ...plan })),
  };
}

/** Version 9 kept nothing of what was driven and measured. */
const from9 = (project: Loose): Loose => ({ drives: [], calibrations: [], ...project, version: 10 });

/** A car as version 11 has it: bedded, nothing on what gets hot, of whose workshop nobody has told. */
function carTo11(value: unknown): Loose {
  const car = record(value);
  const axle = (own: unknown) => ({ beddedPercent: 100, ...record(own) });
  return {
    workshop: USUAL_WORKSHOP,
    fitted: {},
    ...car,
    front: axle(car.front),
    rear: axle(car.rear),
    exposed: list(car.exposed, (part) => ({ protection: 'none', ...part })),
  };
}

/** Version 10 knew nothing of handwork, and all pads as bedded. */
function from10(project: Loose): Loose {
  const bedded = (value: unknown) => {
    const state = record(value);
    const brakes = Object.entries(record(state.brakes)).map(([wheel, own]) => [
      wheel,
      { beddedPercent: 100, ...record(own) },
    ]);
    return { ...state, brakes: Object.fromEntries(brakes) };
  };
  return {
    preparations: [],
    bottles: [],
    ...project,
    version: 11,
    cars: list(project.cars, carTo11),
    states: list(project.states, bedded),
    drives: list(project.drives, (drive) => ({
      ...drive,
      car: carTo11(drive.car),
      begun: drive.begun ? bedded(drive.begun) : drive.begun,
    })),
    calibrations: list(project.calibrations, (own) => ({ ...own, car: carTo11(own.car) })),
  };
}

/** Version 11 knew no brake tests. */
const from11 = (project: Loose): Loose => ({ tests: [], ...project, version: 12 });
/** Version 12 kept no logbook. */
const from12 = (project: Loose): Loose => ({
  sets: [],
  seasons: [],
  entries: [],
  ...project,
  version: 13,
});

/** Version 13 did not say by what a session's load was computed, what a renewal took from its bottle, what rings cost. */
const from13 = (project: Loose): Loose => ({
  ...project,
  version: 14,
  entries: list(project.entries, (entry) => ({
    ...(entry.kind === 'session' && { loadBy: entry.load ? 'laps' : null }),
    ...(entry.kind === 'fluid' && { usedCm3: null }),
    ...entry,
  })),
  seasons: list(project.seasons, (season) => ({
    ...season,
    rules: { ringPercent: 60, ...record(season.rules) },
  })),
});

/** Each makes the version after its own. */
const STEPS = [from1, from2, from3, from4, from5, from6, from7, from8, from9, from10, from11, from12, from13];

/** Brings a project of an older version up to the present one; what it cannot know is left to the schema to say. */
export function migrate(project: Loose): Loose {
  const now = STEPS.reduce((before, step, i) => (before.version === i + 1 ? step(before) : before), project);
  return {
    ...now,
    plans: list(now.plans, withEveryRange),
    // A drive keeps the plan it was driven by.
    drives: list(now.drives, (drive) => ({ ...drive, plan: withEveryRange(record(drive.plan)) })),
  };
}
