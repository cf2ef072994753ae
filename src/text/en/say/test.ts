/** What the test page says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  newTest: 'Repeated stops from 80 km/h',
  nothingTested: (car: string) =>
    `Nothing is tested with “${car}” yet. Design a test: it says beforehand what should come out, takes down what did, and says what the figures can carry.`,
  noView: (tab: string) => `Tests have no view “${tab}”. Choose one above.`,
  driven: (runs: number, stops: number) =>
    runs === 0
      ? 'Nothing driven yet'
      : `${runs} ${runs === 1 ? 'run' : 'runs'}, ${stops} ${stops === 1 ? 'stop' : 'stops'}`,
  safety:
    'A prediction is no proof that brakes are safe. Local law and the rules of the course come first; brake parts are looked over by somebody qualified before and after.',
  predictionMeans:
    'Level straight road, no wind, pads as bedded as the car says; the engine is disengaged in the stops. Distances are from first touch of the pedal, with the plan’s build-up time.',
  currentSetup: 'Current setup',
  noRun: 'No run yet. Say what it is driven with, and begin one; or read a record that was kept elsewhere.',
  conditionsOf: (setup: string, surface: string) => `${setup}, ${surface}`,
  recordRefused: (file: string) => `Nothing was read from “${file}”.`,
  recordRead: (runs: number) => `Read ${runs} ${runs === 1 ? 'run' : 'runs'}`,
  lengthsWanted: (unit: string) => `A length in ${unit}, or several joined by +: 30 + 8.4.`,
  exitUnderEntry: 'It must end slower than it begins: are the two swapped?',
  distanceOrTime: 'A distance is needed, or at least a time.',
  minutesWanted: 'Minutes from 0 to 600.',
  axleWanted: 'Say at which axle; if nobody knows, choose the front.',
  endKept: (lasted: string) => `It lasted ${lasted} min`,
  endMeans:
    'For endurance runs: from the first stop to what ended it. It is compared with other setups, and tells the next prediction of this car.',
  counterWaits: 'The first tap starts the clock',
  counterTarget: (stops: number) => `${stops} are planned. Tap as the brakes are pressed.`,
  counterLast: (n: number, at: string) => `Stop ${n} at ${at} min`,
  counterAbs: ', ABS felt',
  logRefused: (file: string) => `“${file}” has no stops that could be read.`,
  noLogs: 'No log is kept in this browser yet.',
  logNoStops: (message: string) => `No stops could be looked for: ${message}`,
  noStopsIn: (from: string, to: string) =>
    `No stop from ${from} or more down to ${to} is in it. Stops are looked for by the test’s own speeds: are they right?`,
  stopsTaken: (count: number) => `Took ${count} ${count === 1 ? 'stop' : 'stops'}`,
  phoneMeans:
    'Fix the phone to the car, screen up or upright, never in a hand. Listen, hold the speed for eight seconds, brake in a straight line to rest, stay three seconds, then tap again. The driver does not touch it; nothing leaves the phone.',
  phoneWaits: 'Waiting for a first position …',
  phoneSays: (accuracy: string, bad: boolean, speed: string | null, fixes: number, felt: boolean) =>
    `Accuracy ${accuracy}${bad ? ': too coarse for a stop, wait under open sky' : ''}; ${speed === null ? 'no speed yet' : speed}; ${fixes} positions; ${felt ? 'accelerometer on' : 'no accelerometer: the range will be wider'}.`,
  phoneTrouble: {
    'no position': 'This browser gives no position. Type the distance, or bring a log.',
    denied:
      'The phone’s position may not be used here. Allow it in the browser’s settings for this page, or type the distance.',
    unavailable: 'The phone found no position within half a minute. Try under open sky.',
    'no stand-in': 'The simulated phone stands in the program’s own server, and that is not there.',
  },
  phoneTells: {
    'too few': (count: string) =>
      `Only ${count} positions came: listen before the car rolls, and for three seconds after it stands.`,
    inaccurate: (metres: string) =>
      `Positions were within ${metres} only; no stop can be read from that. Under open sky 15 m or better comes in a minute.`,
    'no stop': () => 'No stop to rest is in what the phone told.',
    'not straight': (metres: string) =>
      `The car did not brake in a straight line: its positions lie ${metres} beside one.`,
  } as Readonly<Record<'too few' | 'inaccurate' | 'no stop' | 'not straight', (fact: string) => string>>,
  phoneFound: (from: string, distance: string, low: string, high: string, accuracy: string, felt: boolean) =>
    `From ${from}: ${distance}, with 95 % between ${low} and ${high} (positions within ${accuracy}${felt ? ', braking felt by the accelerometer' : ', braking seen in positions alone'}).`,
  nothingToEvaluate: 'Nothing was driven yet: write stops down under Record first.',
  evaluationMeans:
    'Distances are put right for slope, s = v²/2(a − g·slope), and for speed, s·(v wanted / v driven)² (SAE J299). Wind is written down and not put right. A marked stop lies off the line of the others by more than 3.5 modified standard scores (Iglewicz and Hoaglin); it stays in every figure.',
  farOff:
    'A speed in red is more than 3 km/h off the test’s: the correction is long, and SAE J299 would have the stop driven again (from memory).',
  markedMeans:
    'Marked stops lie off the line of the others. Nothing is left out: look at what was different.',
  oneSetup:
    'All runs were driven with one setup. Begin a run with another under Record, and both are compared here.',
  sameSetup: 'Choose two different setups.',
  valueMissing: 'One of them has no such value written down.',
  forecastMeans:
    'The engine drives every run with many likely cars, keeps those that ended as yours did, and says when they would end with the other setups.',
  lasted: (time: string) => `lasted ${time} min.`,
  oneSetupOnly: (names: string) =>
    names === ''
      ? 'Only the current setup is there. Add others under Decide, Compare.'
      : `Only the current setup is there. Add others under Decide, Compare, or begin with the usual ones: ${names}.`,
  usualAdded: (count: number) => `Added ${count} setups to compare`,
  lessForce: (change: string) => `Pedal force of its last stop: ${change}.`,
  enoughMeans:
    'Enough means: no limit of the pads passed and a tenth or less of the braking lost over the row; for the session, that the plan’s verdict is within its limits. A prediction, no proof. Prices are as under Decide.',
  modulationMeans:
    'How much more the foot presses for each tenth of g, and how wide the band from half to full braking is. The wider, the finer it can be metered; more pistons of the same area do not change it. Static, on level ground, without downforce.',
  techniqueNeedsLog:
    'A log with speed tells how each braking zone is driven; with pressure or pedal force it tells more.',
  lapOf: (lap: number, seconds: string) => `Lap ${lap}, ${seconds} s`,
  techniqueFailed: (message: string) => `The laps could not be read: ${message}`,
  noHotLaps: 'No whole hot lap of this circuit is in the log.',
  lapGives: (seconds: string, metres: string, zones: number) =>
    `This lap gives away ${seconds} s in ${zones} braking zones: together they could be begun ${metres} later.`,
  pressedBy: {
    pedal: 'Pressing is read from the pedal force.',
    pressure: 'Pressing is read from the line pressure.',
    deceleration: 'Pressing is read from the deceleration alone.',
  },
  pressAt: (press: string, pressed: string, release: string) =>
    `Press at ${press} of the lap (pressed at ${pressed}), fully at once; from ${release} on let go along the line the grip allows.`,
  coldBraking: (lap: number, zone: string, percent: number, pedal: string, hot: string, earlier: string) =>
    `Lap ${lap}, ${zone}: the front pads have ${percent} % of their friction on the last hot lap. The same braking needs about ${pedal} of foot instead of ${hot}; with the usual foot brake ${earlier} earlier.`,
  coldMeans: 'Drag the brakes lightly on the way to the first corners, and press firmly, not suddenly.',
  coarse: (seconds: string) => `The log has a sample every ${seconds} s: build-up and presses are coarse.`,
  techniqueMeans:
    'Measured by the plan’s share of grip, its downforce and its build-up time; before the braking point the speed is taken as held. What is given away is what braking later and along the grip would bring, not a promise. Grip changes: approach a later braking point in steps.',
  benchName: (car: string, plan: string, wheel: string) => `${car}, ${plan}, ${wheel}`,
  controls: { torque: 'torque', pressure: 'line pressure', deceleration: 'deceleration' },
  starts: { time: 'time', temperature: 'temperature of the disc' },
  benchMeans:
    'Each stop’s work is kept exactly: one inertia for all stops, the last speed makes up for the rest. Drag, rolling resistance, engine and slip of the tyres are taken off. Between stops the disc turns evenly in air as cooling as the car’s own way.',
  benchStops: (count: number) => `The programme, stop by stop (${count})`,
  benchRefused: (file: string) => `Nothing was read from “${file}”.`,
  benchOtherStops: (count: number) =>
    `${count} rows are of stops that this programme does not have; they were left out.`,
  simulatedBench: 'the simulated bench',
  benchNotThere: (message: string) =>
    `The simulated bench did not answer; it stands in the program’s own server. ${message}`,
  benchCalibration: (day: string) => `Inertia bench, ${day}`,
  benchKept: 'The bench’s cooling is used from now on',
  noBenchResults:
    'A row for each stop, with “Stop”, “Disc before” and “Disc after” in the headings. The simulated bench runs the programme with a brake that cools a little otherwise than predicted.',
  benchFit: (axle: string, cooling: string, percent: number, before: string, after: string) =>
    `Cooling of the ${axle} axle: ${cooling} times the computed one, ± ${percent} % (95 %). RMS error ${before} before, ${after} after.`,
  benchCooling:
    'A bench’s air is not a wheel arch’s: what it says of pads and rotor holds in the car, what it says of cooling holds there as far as the air is alike.',
  /** What columns and charts hold */
  means: {
    rotorCoreAfterEachStop: 'Rotor core after each stop, measured over predicted',
    speedOfTheDiscAt: 'Speed of the disc at its end',
    whatTheRunsSayOf: 'What the runs say of the others',
    howMuchLaterItCould: 'How much later it could be braked',
    fromATenthToNine: 'From a tenth to nine tenths of the first peak',
    shareOfTheGripUsed: 'Share of the grip used from the peak to the end',
    shareOfTheTimeIn: 'Share of the time in which more than the grip left was asked',
    fromWhereThePedalIs: 'From where the pedal is let go to the end',
    betweenHalfAndFullBraking: 'Between half and full braking, pads at their best',
    theSameWithPadsAs: 'The same with pads as they bite cold',
    widthOfTheFootS: 'Width of the foot’s force from half to full braking: the wider, the finer',
    asWrittenDownOrThe: 'As written down, or the tape’s lengths together',
    whatTheSlopeTookOff: 'What the slope took off or added',
    byTheSpeedItWas: 'By the speed it was braked from: SAE J299',
    onLevelGroundFromThe: 'On level ground from the test’s speed',
    distanceThatTheEngineHas: 'Distance that the engine has for this stop',
    meanFullyDevelopedWhereIt: 'Mean fully developed where it was logged, else over the distance',
    pedalForceThatTheEngine: 'Pedal force that the engine has for this stop',
    whatHeldTheStopBy: 'What held the stop, by its readings',
    stopsUntilSomethingFailedOr: 'Stops until something failed, or all that were asked for',
    byThisTestAndThe: 'By this test and the plan’s session',
  },
} as const;
