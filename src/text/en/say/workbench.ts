/** What workbench says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  rangeCouldNotComputed: (message: string) => `The range could not be computed. ${message}`,
  keptChoosePlanRename: (name: string) => `Kept as “${name}”: choose it in a plan, rename it in the library`,
  planGoesHere: 'For a plan that goes on from here',
  byHotterSide: (apart: string, sentence: string) =>
    `By the hotter of inner and outer side, which differ by up to ${apart}: ${sentence}`,
  asIfItHeld: 'over limit: from here as if all held',
  lapAfterLimit:
    'This lap comes after a limit was passed: its figures are computed as if all had held, and are no prediction.',
  temperaturesGlazeComputedThicknesses:
    'Temperatures, glaze and wear of the pads are computed (wear is an index from memory); rotor thickness and water are the car’s own, carried on.',
  speedBrakingPowerTemperatures:
    'Speed, braking power and temperatures over the lap; the braking zone list has the numbers',
  frontCoreSurfaceFluid: (
    distance: string,
    speed: string,
    t: string,
    t2: string,
    t3: string,
    t4: string,
    t5: string,
  ) => `${distance}: ${speed} · front core ${t}, surface ${t2}, fluid ${t3} · rear core ${t4}, surface ${t5}`,
  worstTemperatureEachPart:
    'Worst temperature of each part against its limit, for the worse wheel of each axle',
  couldNotComputed: (message: string) => `It could not be computed. ${message} `,
  hotLapsRowEvery: 'Hot laps in a row with every limit kept',
  leastPaddockTimeBefore: 'Least paddock time before the same again',
  hotLapsUntilEach: 'Hot laps until each limit, when they follow each other without end',
  floatRingNeedsBell: 'Float the ring needs on its bell',
  drilledStressDoublesHoles: (list: string) =>
    `Drilled ${list}: stress doubles at the holes, so cracks begin there. For track use plain or slotted is advised.`,
  crackEdgeBetweenHoles: 'A crack to the edge or between holes: do not drive.',
  temperaturesOverSessionLap:
    'Temperatures over the session, lap by lap; the margins beside it have the peaks',
  aboveRotorCoreBulk: 'above: rotor core (bulk), and surface at its peaks (pale)',
  belowFluidThickCaliper: 'below: fluid thick, caliper thin; rear dashed',
  noBrakingZoneLap: 'No braking zone on this lap: nothing is braked for more than 7 km/h (4 mph).',
  brakingZonesLapTemperatures: (lap: number) =>
    `Braking zones of lap ${lap}, with temperatures of one wheel of each axle`,
  frictionFirstBiteInitial: 'Friction µ at first bite (initial friction) and at its minimum ',
  boilsWater: (fluidBoilingPointC: string, fluidWater: string) =>
    `Boils at ${fluidBoilingPointC} with ${fluidWater} % water.`,
  keptCarPlan: 'Kept in the car and the plan',
  discsHeatBrakingZone:
    'Discs: heat of the braking zone by area, hottest surface by lightness (pale is hottest). Keys ',
  stepThroughBrakingZones: ' step through braking zones, with Shift through laps.',
  drivingLapHeatingBrakes: 'Driving the lap and heating the brakes …',
  brakePartsSafetyParts:
    'Brake parts are safety parts: fit and torque to the maker’s data, by someone qualified, under the event’s rules and local law. Pump the pedal before moving. Hot parts burn for half an hour. A soft or sinking pedal, a leak, a crack to the edge or between holes: do not drive. Inputs are in ',
  and: ' and ',
  axleNearerLockingHardest: 'Axle that is nearer to locking at the hardest instant',
  whatWouldHaveGive: 'What would have to give more for a shorter braking zone',
  typedListFixed: 'Off: this circuit is a list of typed speeds, which grip does not move.',
  demoShown: (car: string, circuit: string) =>
    `This is an invented demo: the ${car} at ${circuit}. Look round, move what you like, or begin with your own car: three short forms to its verdict.`,
  whatFirst: 'What should I do first?',
  guessesMatter: 'Do my guesses matter?',
  placeholderShown:
    'Nothing of yours is in this project yet: a typical car stands in its place. Enter yours, and it goes.',
} as const;
