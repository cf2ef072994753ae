/** What circuits says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  thereNoViewCircuits: (slice: string) => `There is no view “${slice}” of circuits. Choose one of the above.`,
  straightsArcsOffLine: 'Straights and arcs off the line by at most',
  evenLeastSmoothingSome:
    'Even with the least smoothing some points lie farther off than that: the laps themselves differ.',
  pointsWereJumpsReceiver: (jumps: number) => `${jumps} points were jumps of the receiver and were left out.`,
  pointsHaveNoHeights: 'The points have no heights; the line is taken as level.',
  lineCrossesItselfBridge: (which: string) =>
    `The line crosses itself ${which}. A bridge is fine; a wrong turn is not.`,
  arrowKeysMovePlus: (label: string) => `${label}. Arrow keys move it, plus and minus zoom, 0 shows all.`,
  gpxKmlGeojsonTable:
    'GPX, KML, GeoJSON, or a table of latitude and longitude or of x and y in metres. One lap or many: the laps in it are found and laid over each other. The file stays in this browser.',
  pointsTheyCameLine: (which: string) =>
    `Points as they came, and the line laid through them. Click the line where the start line is; now it is ${which}.`,
  farthestMayLieOff: 'Farthest it may lie off any point. Left empty, the points’ own scatter decides.',
  compareChangesNothing: 'To compare with; it changes nothing.',
  alongLineWhereFile: 'Along the line from where the file begins; or click the line on the map.',
  listBrakingZonesHas: (name: string) =>
    `${name} is a list of braking zones and has no line to draw. A circuit of straights and corners, or one `,
  has: ', has.',
  circuitHasNoPlace:
    'This circuit has no place on Earth. Exported files put its start at 0°, 0°, in the sea; give it one under Straights and corners.',
  mapNotDrawnYet: 'The map is not drawn yet.',
  nothingWasExported: (message: string) => `Nothing was exported. ${message}`,
  circuitStraightsCornersWas: 'A circuit of straights and corners was expected.',
  cannotDriven: (message: string) => `It cannot be driven: ${message}.`,
  whatEachCircuitAsks: 'What each circuit asks of ',
  drivenRepeatedStopsLittle: (name: string) =>
    `, driven as in “${name}”. Repeated stops with little air between do the harm; a very long straight leaves the brakes cold.`,
  lessAirBetweenBraking: 'Less air between braking zones is harder on the brakes.',
  harderSideDiffersOnly:
    'The harder side is that of brakes that follow the wheel loads from side to side, by half where this car’s own do not (Car, side-to-side distribution); brakes with one pressure for both wheels of an axle work them alike.',
  middleLongestStraight: 'in the middle of the longest straight',
  addedRecorded: (name: string) => `Added the braking zones of “${name}”`,
  recordedLap: (time: string, zones: number, heat: string) =>
    `Its fastest whole lap took ${time}, with ${zones} braking zones worth the name and ${heat} into the brakes of this plan’s car.`,
  lineIsTame: (line: number, recording: number, heat: string) =>
    `${line} ${line === 1 ? 'zone' : 'zones'} found along the line, the recording shows ${recording}: noise or drift has rounded corners away, and this circuit would be too easy on the brakes (${heat} a lap). Take the braking zones of the recording instead.`,
  lineAgrees: (zones: number, time: string, heat: string) =>
    `Along the line the plan’s car has ${zones} such zones, ${time} and ${heat}: they agree.`,
} as const;
