/** What editors says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  thinAirPower:
    'Thin air takes power from an engine that breathes freely: about a quarter at 2500 m (8200 ft).',
  powerCurveCaption: 'Power over speed',
  powerCurveNote:
    'Shares of the power above, in straight lines between the points. Without points, all of it at any speed.',
  engineBrakingCurveCaption: 'Engine braking over speed',
  engineBrakingCurveNote: 'Shares of the engine braking above. Without points, the same at any speed.',
  windNeedsPlace:
    'The circuit has no place on Earth, or is a list of braking zones: which way its straights point is not known, so no wind is driven in. Give it a place under its lap.',
  windTaken:
    'Driven against and before the wind along each straight: at a car’s height about 0.6 of what is measured ten metres up. Walls and trees are not known.',
  pedalCylindersCalipersBalance: 'Pedal, cylinders, calipers, balance, energy recovery and fit are in the ',
  carSelectedPlan: ', for the car of the selected plan.',
  antiLock:
    'Anti-lock brakes (ABS): both axles’ tyres are used up; without, the axle that would lock first holds the braking',
  freeWaterFound: 'Free water found: it lies at the lowest point and boils at 100 °C (212 °F)',
  todayWaterBoilsSource: (note: string, fluidWater: string, fluidBoilingPointC: string, source: string) =>
    `${note} Today ${fluidWater} % water: boils at ${fluidBoilingPointC} at sea level, lower at height. Source of dry and wet point: ${source}. Never mix glycol and silicone.`,
  sessionBeginsWarmOne:
    'A session begins as warm as the one before left the brakes; the first as chosen above.',
  cannotDrivenLapLike: ' It cannot be driven as a lap like this; the last good result is kept.',
  noChangeStraightsCloses: 'No change of the straights closes this line.',
  cannotClosedItselfAdd: (problem: string) =>
    `It cannot be closed by itself. ${problem} Add a straight across the gap first.`,
  closingTurnsAllCorners:
    'Closing turns all corners and stretches all straights by the least that is needed. Undo takes it back.',
  projectHasNoId: (what: string, slice: string) =>
    `This project has no ${what} with the id “${slice}”. It may have been deleted, or the address belongs to another project.`,
  noPlaceEarthYet: 'No place on Earth yet. Logs with positions need one to be cut into laps at the line.',
  startLineWhereLogs:
    'The start line: where logs with positions are cut into laps, and where exported maps are put.',
  howWarmTheyWhen:
    'How warm they are when the first session begins. A kept state brings the temperature of every part, glaze and wear along.',
  stateKeptUnderBrakes: 'A state is kept under “Brakes when the day ends” on the ',
  overLastLeadsBack: (zonesCount: number, which: string, total: string) =>
    `${zonesCount} ${which} over ${total}. The last leads back to the first. Between braking zones the car accelerates evenly, or takes the time that is given.`,
  lapHasNoBraking: 'This lap has no braking zone: nothing is braked for.',
  drivenLapCanWritten: (name: string, name2: string) =>
    `As driven by ${name} in “${name2}”, this lap can be written down as a list of braking zones and edited there.`,
  noWeatherCamePlan: (which: string) => `No weather came: ${which}. The plan is as it was.`,
  noService: 'The simulated service comes with the server, which is not there.',
  simulatedServiceComesProgram:
    'A simulated service that comes with the program; a real one would be asked the same way.',
  originsYours: (yours: number, all: number) => `${yours} of ${all} values are yours.`,
  originsSplit: (typed: number, measured: number, calibrated: number, assumed: number) =>
    `${typed} typed, ${measured} measured, ${calibrated} calibrated; ${assumed} assumed, as is typical.`,
  circuitMadeUp:
    'Its corners stand for a circuit of this character, not for a real place. Type or record the real one when you can.',
  sessionTakes: (time: string) => `Driven, this session takes about ${time} min.`,
  sessionMinutes: 'Sets how many hot laps fit: out lap and cool-down lap are in the minutes.',
} as const;
