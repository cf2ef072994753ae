/** What the calibration says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  thereNoView: (slice: string) => `There is no view “${slice}” of the calibration. Choose one of the above.`,
  noDriveYet:
    'No drive of this car yet. After a session, add it as it was planned, count its laps, and enter whatever was seen: a pyrometer reading with the seconds since the car stopped, paint or strips that turned or not, a lap on which the pedal went long. Four humble readings are worth more than any handbook constant.',
  drivenByLog: (name: string) => `Driven as the log “${name}” has it.`,
  copiedThen:
    'Car, circuit and plan are kept as they were when it was added. Count the laps that were driven.',
  stoppedFor: (seconds: number) => `Stopped for ${seconds} s`,
  readingsOf: (all: number, used: number) =>
    all === used ? `${all} ${all === 1 ? 'reading' : 'readings'}` : `${all} readings, ${used} used`,
  readFrom: (count: number, file: string) => `${count} ${count === 1 ? 'reading' : 'readings'} from ${file}`,
  notUsedBecause: (what: string, why: string) => `Not used: ${what}. ${why}`,
  wasItFahrenheit: (read: string, meant: string) =>
    `Far from what is predicted. Was it ${read}? That is ${meant}: change it if so.`,
  leftOverTime: (rms: string) => `What is left of its samples over time: ${rms} of their errors, RMS`,
  logIsGone: (why: string) =>
    `The log of this drive cannot be read: ${why} Import it again, or count the laps.`,
  whatHelps:
    'A late pyrometer reading counts as much as an early one, as long as its seconds are right: the model takes it back to the time it was read. Hot parts burn: keep hands and hoses off for half an hour.',
  nothingObserved: 'Nothing was observed of this car’s drives yet, or all of it is left out.',
  drivesOfOthers: (count: number) =>
    `${count} ${count === 1 ? 'drive is' : 'drives are'} of other cars: choose a plan of theirs at the top.`,
  heldOutAre:
    'A drive without its mark is held out: it is only predicted, and shows whether the rest has learned.',
  noneChosen:
    'With none chosen, what moves any reading is free; each has a prior, so that what the data cannot tell stays where it was.',
  searching: (steps: number, runs: number) => `Step ${steps}, ${runs} drives computed …`,
  looking: (runs: number) => `Looking for what the readings can tell, ${runs} drives computed …`,
  couldNotEstimate: (why: string) => `The calibration could not be computed: ${why}`,
  chooseADrive: 'Choose at least one drive.',
  cancelledAt: (runs: number) => `Cancelled after ${runs} drives; it can go on from there.`,
  took: (runs: number, seconds: string) => `${runs} drives computed in ${seconds} s.`,
  whatItDoes:
    'The session is driven again and again with cooling, heat paths, friction and grip moved, until the readings are as likely as they can be.',
  keptNow: 'Kept with the car; it counts from now on',
  emptyFirm: 'Left empty, the pedal stayed firm all through: that tells something, too.',
  emptyNot: 'Left empty, it was not seen: that tells something, too.',
  conflict:
    'The readings contradict each other: too many of them fit no single answer. Nothing is applied. Look at those marked, leave out what was misread, and calibrate again.',
  notSettled: 'The search had not settled after all its steps; nothing is applied. Go on, or free less.',
  toldNothing: 'These readings tell nothing of the car that could be kept.',
  keptMeans:
    'From then on every prediction of this car uses these values and their own uncertainty instead of the usual range: verdict, run sheet, cooling need, what to buy, live. Another pad, rotor or duct takes away what it touches.',
  untold: (list: string) => `The data do not tell ${list}: there the usual range stays.`,
  farOff: (title: string) =>
    `${title} comes out far outside what is usual. Before believing it, look for a wrong reading, wheel or lap.`,
  tied: (first: string, second: string, together: boolean) =>
    `${first} and ${second} cannot be told apart by these readings: only ${together ? 'how they stand to each other' : 'what they do together'} is known.`,
  widened: (list: string) =>
    `An ensemble of trials found wider intervals than the slopes give for ${list}; the wider are shown.`,
  otherParts: (name: string, changed: string) =>
    `“${name}” was driven with other ${changed}: what it tells of them is not of the car as it is.`,
  heldOut: (name: string, readings: number, before: string, after: string) =>
    `Held out: the ${readings} readings of “${name}” are predicted within ${after} of their errors (RMS), ${before} before.`,
  sensorsOwn: (list: string) => `The sensors’ own offsets and lags, found besides: ${list}.`,
  oddOnes: (count: number) =>
    `${count === 1 ? 'One reading does' : `${count} readings do`} not fit what all others say; it hardly pulls at them. If it was misread, leave it out; if it was not, something else happened at that wheel.`,
  perhapsFahrenheit: (read: string, now: string) => `Was it ${read}? That would be near ${now}.`,
  nextLead:
    'What to measure on this plan’s day so that its verdict becomes surer: every reading is weighed by what it would tell, before it is taken.',
  outcomeNow: (part: string, value: string, spread: string, limit: string) =>
    `${part}: ${value} ±${spread}, limit ${limit}`,
  nextTook: (runs: number) =>
    `From ${runs} drives: how each reading and each hottest part moves with what is uncertain (linear, one standard deviation).`,
  noneKept:
    'Nothing is kept of this car yet. Enter readings of a drive and calibrate; what they tell is kept here with its date.',
  usedNow: 'Used everywhere now',
  notUsed: 'Not used: a newer one holds',
  holdsNothing: 'Not used: its parts are no longer fitted',
  keptFrom: (drives: string, observations: number) =>
    `From ${drives}: ${observations} ${observations === 1 ? 'observation' : 'observations'}.`,
  fittedThen: (parts: string) => `Measured with ${parts}.`,
  lostNow: (what: string, changed: string) => `No longer holds of ${what}: other ${changed} since.`,
} as const;
