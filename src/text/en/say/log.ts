/** What log says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  makeSimulatedLapGo: 'Make the simulated lap go like this one',
  useGripCornersBraking:
    'Use of grip in corners and in braking and the power are fitted to the speeds along the lap. A log shows grip only as far as it is used: whether tyres or driver had more to give, it cannot tell.',
  listBrakingZonesHas: 'A list of braking zones has its speeds given; there is nothing to fit.',
  shareGripUsedGoes:
    'The share of grip used goes into the plan; what exceeds 100 % raises the tyres’ grip, and the power changes the car: both count in its other plans too.',
  endRangeNotFound: 'at the end of its range: it is not found',
  lapCannotTellNever: 'the lap cannot tell: it is never the limit',
  speedsDifferRmsError: (
    speed: string,
    speed2: string,
    time: string,
    time2: string,
    heat: string,
    heat2: string,
  ) =>
    `Speeds differ by ${speed} RMS error, ${speed2} before; the lap by ${time} s, ${time2} s before; its brake heat by ${heat}, ${heat2} before.`,
  fitHadNotQuite: ' The fit had not quite settled; fit again from here once it is applied.',
  computedLoggedSpeedsAir: (begins: string, ambient: string, which: string, note: string) =>
    `Computed with the logged speeds, ${begins}, in air of ${ambient} (${which}). ${note}`,
  tooHigh: (what: string, value: string) => `${what} goes up to ${value}: is that its unit?`,
  tooLow: (what: string, value: string) => `${what} only comes to ${value}: is that its unit?`,
  fitNotFound:
    'The fit was not found: it goes to the end of its range, or has not settled. It cannot be applied. Choose another lap, or look at car, circuit and air first.',
  speedMadeAt: (rate: string, made: string) => `${rate} a second, speed made of positions ${made}`,
  zonesMeasured:
    'Within each braking zone and three seconds after it: what sensors read, and in brackets what was predicted for it. Predicted pressure is what this car needs for the logged braking.',
  takeMeans:
    'The drive as logged and its sensors, thinned, become readings of this car; each sensor’s own offset and lag are found with the rest.',
  logHasNoTemperatures:
    'This log has no temperatures. What is predicted for it stands alone; with rotor, caliper or fluid temperatures in the log they would be drawn over it here.',
  brakesWarmLogS: 'from brakes as warm as the log’s own sensors find them at its start',
  brakesColdAir: 'from brakes as cold as the air',
  brakesWarmPlanBegins: 'from brakes as warm as the plan begins',
  measuredLessPredictedRubbing:
    'Measured less predicted. A rubbing thermocouple reads late and lies between surface and core; a difference that stays is what a calibration of the cooling would take up.',
  logsKeptBrowserCannot: (message: string) => `The logs kept in this browser cannot be listed: ${message}`,
  noLogsKeptBrowser: 'No logs are kept in this browser yet.',
  positionsStartLine: 'by the positions, at the start line',
  layingSimulatedLapS: 'by laying the simulated lap’s speed over it',
  notAllNoLap: 'not at all: no lap was found',
  samplesSecondSpeedScatters: (samples: number, step: string, noise: string, bY: string) =>
    `: ${samples} samples, ${step} a second; its speed scatters by ${noise}. Cut into laps ${bY}.`,
  soFewSamplesShow:
    'So few samples show where a braking begins and ends only roughly: take each braking zone’s energy as uncertain by about a tenth.',
  lapsLongPlanS: (logged: string, circuit: string) =>
    `Its laps are ${logged} long, the plan’s circuit is ${circuit}: was this driven on another circuit? Choose the plan it belongs to at the top.`,
  nothingWasDrivenLog: 'Nothing was driven in this log.',
  connectionLostTryingAgain: 'Connection lost; trying again. What was recorded is safe.',
  simulatedLoggerDrivesDemo: 'The simulated logger drives the demo’s first plan; yours is not one it knows.',
  nothingHasComeYet: 'Nothing has come yet. The simulated logger drives ',
  scatterDropoutsDriftingSensors:
    ' with scatter, dropouts and drifting sensors; a real one would send its samples the same way.',
  valuesLogNotBrowser: 'The values of this log are not in the browser’s storage any more.',
  goingLapsLikeLast:
    'Going on with laps like the last whole one. A prediction is no proof that the brakes will hold: a soft or long pedal means slow down and come in.',
  thereNoViewLog: (slice: string) => `There is no view “${slice}” of a log. Choose one of the above.`,
  browserKeepsNoSuch: 'This browser keeps no such log. It may have been removed. ',
  noLogYet: 'No log yet. ',
  couldNotLaidOver: (name: string, message: string) =>
    `“${name}” could not be laid over the plan. ${message} `,
  readingWasCancelledNothing: 'Reading was cancelled; nothing was kept.',
  loggerSExportCsv:
    'A logger’s export as CSV, laid out however it is, or a GPX track with times. It stays in this browser. No logger at hand? ',
  or: ' or ',
  noLoggerHere: 'A simulated one comes with the server, which is not there.',
  simulatedLogger: 'Simulated logger (comes with the program)',
  noSimulatedLogger: 'Simulated logger (needs the server, which is not there)',
  neededWhereNoColumn: 'Needed where no column is the time.',
  whatColumns: (name: string) => `${name}: what are its columns?`,
  separatedDecimalValuesBegin: (which: string, separator: string, which2: string, firstLine: number) =>
    `${which}Separated by ${separator}, decimal ${which2}; values begin at line ${firstLine}. What is left out is not read.`,
  oneStandardDeviationScatter:
    '± is one standard deviation from the scatter of the logged speed alone; mass, drag and grade come from the car and the circuit.',
  loggerRefusedCannotReached: 'The logger refused or cannot be reached; it is tried again.',
  streamDoesNotBegin: 'The stream does not begin with the names of its columns.',
  someSamplesCameGarbled: 'Some samples came garbled and were left out.',
  youConfirmedFileLike: 'As you confirmed for a file like this before. ',
  recognisedNamesUnitsPut: 'Recognised from names and units; put right what is wrong. ',
  recordingKeptAs: (name: string) => `The recording is kept as “${name}”.`,
} as const;
