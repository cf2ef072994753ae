/** What services says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  carStillDoesNot: 'The car still does not stop everywhere.',
  carNoLongerStops: 'The car no longer stops everywhere.',
  carDidNotStop: 'The car did not stop everywhere; now it makes every braking zone as planned.',
  carDidNotStopEverywhere: (metres: string) =>
    `The car did not stop everywhere; now its longest overrun is ${metres}.`,
  brakingOvershotMadePlanned: (metres: string) => `Braking that overshot by ${metres} is made as planned.`,
  longestOverrunStays: (metres: string) => `The longest overrun stays: ${metres}.`,
  longestOverrunGoes: (metres: string, metres2: string) =>
    `The longest overrun goes from ${metres} to ${metres2}.`,
  brakingGetsLongerUp: (metres: string) => `Braking gets longer: by up to ${metres}.`,
  shortensNoBrakingZone:
    'Shortens no braking zone: the tyres are the limit at all of them. It keeps them the same for longer.',
  shortensNoBrakingZoneBrakes: (tyres: number, hotZones: number) =>
    `Shortens no braking zone: the brakes make all that is asked at ${tyres} of ${hotZones}. It keeps them the same for longer.`,
  carStandsStillAll: 'The car stands still all through this log; there is nothing to lay over the plan.',
  allPointsLieSame: (xCount: number) =>
    `All ${xCount} points lie at the same place; there is no line to drive.`,
  noLapWasFound: (apart: number) =>
    `No lap was found: the line never passes one place twice the same way, and its ends lie ${apart} m apart.`,
  lapWasFoundM: (length: number, shortest: number) =>
    `The lap that was found is ${length} m long; at least ${shortest} m are needed.`,
  lapWasFoundKm: (length: number, longest: number) =>
    `The lap that was found is ${length} km long; a circuit has at most ${longest} km. Is it a road, or are its units wrong?`,
  lineCouldNotCut:
    'The line could not be cut into straights and corners that close. Is it one whole lap, without points far off it?',
  lineMakesNoCircuit: (path: string, message: string) => `The line makes no circuit: its ${path} ${message}.`,
  lineFarOff: (metres: number, most: number) =>
    `The straights and corners cut from this line lie up to ${metres} m off it; ${most} m at most are taken. Too much noise, or points of another place: choose another lap or file.`,
  factsMakeNoLap: (corners: number) =>
    `No lap with ${corners} corners and such a straight comes back to its start: look at the length, the corners and the longest straight again.`,
  factsTakeOtherTime: (least: string, most: string) =>
    `With this car a lap of that length takes ${least} to ${most} s, however tight its corners are made.`,
  nothingUncertainChooseLeast: 'Nothing is uncertain: choose at least one input.',
  readTwice: 'This is entered twice; it counts once.',
  noSuchLap: (lap: number, laps: number) =>
    `Lap ${lap} is not one of this drive: it has ${laps} laps, the out lap first.`,
  noDiscThere: 'This wheel has a drum: there is no disc to be read or painted.',
  belowTheAir: 'Below the air’s temperature: brakes are never colder. Was it in °F, or from another day?',
  didNotStop: (lap: number) =>
    `The car did not stop after lap ${lap} in this drive. Choose the lap before it stood, or put the standing into the plan.`,
  droveOn: (stood: number) =>
    `The car drove on ${stood} s after it stopped there: nothing could be read later.`,
  marksContradict: 'One mark turned and a lower one at the same place did not: one of them is mistaken.',
  allTurned:
    'All marks here turned: they say only that it was at least so hot. A higher one would say how hot.',
  noneTurned: 'No mark here turned: they say only that it was less hot. A lower one would say how hot.',
} as const;
