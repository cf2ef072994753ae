/** What shared says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  carbonOnCarbon: 'Carbon pads and carbon discs go only with each other. Nothing was changed.',
  fitBoth: (pads: string, rotors: string) => `Fit both: ${pads}, ${rotors.toLowerCase()}`,
  solidDisc: (thickness: string) => `Solid disc of ${thickness}`,
  drumsDiscSMeasures: "With drums, the disc's measures are kept aside until you change back.",
  valuesCoreUpSurface: (source: string, bulkLimit: string, faceLimit: string) =>
    `Values ${source}. Core up to ${bulkLimit}, surface up to ${faceLimit}.`,
  floatingRingPassesLittle: 'A floating ring passes little heat to bell and hub, and is free to grow.',
  curvedVanesPumpOnly: 'Curved vanes pump only one way round: left and right rotors differ.',
  stressHoleTwiceAround:
    'Stress at a hole is twice that around it (Kirsch), so cracks begin there: for track use plain or slotted is advised.',
  slotsHolesTakeMass: 'Slots and holes take mass and swept area away.',
  twoShoesInsideLittle: "Two shoes inside; little air moves in there, so the rim's outside does the cooling.",
  windowCSurfaceFades: (
    note: string,
    window: string,
    window2: string,
    limit: string,
    nominalFriction: number,
    friction: string,
    which: string,
    trades: string,
  ) =>
    `${note} Window ${window} to ${window2} at the surface, fades over ${limit}, µ up to ${nominalFriction} and ${friction} cold; ${trades}. ${which}`,
  sidesOnTheirOwn:
    'On its own each is computed and the hotter one judged; Inside shows by how much they differ. A day then takes about half as long again to compute.',
  plateKinds:
    'Holes key the material into the pad backing plate and add a little compliance; hooks hold it when the bond has gone, and stand 60 °C (108 °F) more. Values from memory.',
  insulatingLayerBehindBacking:
    'An insulating layer behind the pad backing plate keeps heat from pistons and fluid. Values from memory.',
  pathBackingPlateFluid: 'The path from pad backing plate to fluid: titanium and caps keep heat out of it.',
  measuresRotorWeighsRing: (kg: string, kg2: string, kg3: string, ending: string) =>
    `From its measures the rotor weighs ${kg}: ring ${kg2}, hat ${kg3}. ${ending}`,
  listBrakingZonesDrawn: 'list of braking zones: drawn as a ring',
  whatShownBelowWas: 'What is shown below was computed before that.',
  cannotComputedLike: 'It cannot be computed like this.',
  endStartJoinedComputation: 'End and start are joined for the computation.',
  lastGoodResultStill: 'The last good result is still shown.',
  numberNeeded: 'A number is needed.',
  notNumber: 'This is not a number.',
  nothingWasChangedChoose: 'Nothing was changed. Choose another file, or mend this one.',
  sessionCouldNotComputed: (message: string) => `The session could not be computed. ${message} `,
  wholeNumberNeeded: 'A whole number is needed.',
  mustLeast: (min: string) => `Must be at least ${min}.`,
  mustMost: (max: string) => `Must be at most ${max}.`,
  typicalValuesMemoryTake: 'Typical values (from memory); take the maker’s.',
  partYourOwn: 'A part of your own.',
  weighYoursCheck: 'Weigh yours to check.',
  scalesWeighedMassUsed: (kg: string, apart: string, which: string, ending: string) =>
    `On the scales ${kg}, ${apart} % ${which}${ending}. The weighed mass is used.`,
  checkTheMeasures: ': check the measures, most of all air gap and vanes',
  circuitCannotBeDriven: (message: string) => `The circuit cannot be driven yet: ${message}.`,
  couldNotComputed: (message: string) => `It could not be computed. ${message} `,
  firstHolds: 'Nothing passes a limit on this plan: nothing has to be done first.',
  firstHoldsAfter: (steps: number, price: string) =>
    `After ${steps === 1 ? 'this step' : `these ${steps} steps`} every limit holds, as predicted. Together ${price}.`,
  firstRemains: (what: string, laps: string) => `What remains: ${what}. ${laps}`,
  firstLapsHold: (laps: number) =>
    laps <= 0
      ? 'Not one hot lap holds: drive slower, or shorten the stint.'
      : `${laps === 1 ? 'One hot lap holds' : `${laps} hot laps hold`}; then cool down.`,
  firstMends: (what: string) => `Because ${what}.`,
  firstThen: (what: string) => `With it: ${what}.`,
  firstHelpsOnly: 'It helps, but is not enough alone.',
  firstLapTime: (before: string, after: string) => `The hot lap goes from ${before} to ${after}.`,
  firstBudget: 'Spend at most',
  firstOrder:
    'What fails first is mended first, each time by the cheapest step of the shelf that makes that limit hold; what comes to the fore then is mended next.',
  firstOverPrice: 'Nothing that fits the budget helps with it.',
  firstNothing: 'No step of the shelf helps with it.',
  renewNow: 'Renew the fluid before this plan: it comes nearer to boiling than the margin to keep.',
  renewBy: (day: string) =>
    `Renew the fluid by ${day}: from then on its boiling point is too near for a plan like this one.`,
  renewLater:
    'By its boiling point the fluid does for years of plans like this one; renew it by the calendar.',
  originOf: (title: string, origin: string) => `${title}: ${origin}. How is it known?`,
  originAssumed: 'typical for the kind of car; nobody looked',
  originTyped: 'from papers, a catalogue or by eye',
  originMeasured: 'weighed or measured on this car',
  originCalibrated: 'fitted to what was measured while driving',
  firstDriving: 'Driving the day with what may help',
  howToMeasure: (title: string) => `How to measure: ${title}`,
  measureThickness:
    'With a caliper at the edge, over both cheeks. Reach past the lip that wear leaves at the rim, and take the least of four places round.',
  measureDiameter:
    'With a tape across the friction ring, through the middle. Through the wheel, measure the radius and double it.',
  measureGap: 'Between the cheeks at the edge, with the back of a caliper or a drill that just fits.',
  measureRotorMass:
    'The whole rotor with its bell on kitchen or parcel scales, clean and dry. New and worn differ by its mass.',
  measurePad:
    'Friction material alone, without its backing plate, at both ends and at both pads: the least counts.',
  measurePistons:
    'Look from behind: pistons on both sides of the rotor are all counted. Their diameter stands in the parts list.',
  measureBoiling:
    'A workshop heats a sample of the fluid in the car with a tester until it boils. It overrides class and age.',
  measureMass: 'On four corner scales, or a weighbridge, with driver, helmet and the fuel of a session.',
  sampleNotThere: (why: string) => `The sample could not be opened: ${why}`,
  calibratedOn: (day: string, doubt: string) => `Calibrated on ${day}: cooling uncertain by about ${doubt}.`,
  notCalibrated: (doubt: string) => `Not calibrated on this car: cooling is uncertain by about ${doubt}.`,
  noLongerHolds: (what: string, changed: string) =>
    `What was measured of ${what} no longer holds: other ${changed} since then.`,
  nameNeeded: 'A name is needed.',
  nameTooLong: 'At most 80 characters.',
  noBottle: 'No bottle is on the shelf.',
  sealed: (fluid: string) => `${fluid}, sealed`,
  openSince: (day: string) => `open since ${day}, may be used`,
  openTooLong: (day: string) => `open since ${day}: too long, not for filling in`,
  otherUnit: (written: string, known: string) =>
    known === ''
      ? `It has no unit, and “${written}” stands behind it. Type the number alone.`
      : `“${written}” is none of its units (${known}).`,
  eitherNumber: (typed: string, plain: readonly string[]) => `Which is ${typed}: ${plain.join(' or ')}?`,
} as const;
