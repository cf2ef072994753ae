/** What the logbook and the season say: sentences only; the labels of their fields and columns stand with them. */
export const say = {
  noView: (tab: string) => `The logbook has no view “${tab}”. Choose one above.`,
  dayNeeded: 'A day is needed.',
  writtenDown: (what: string) => `Written down: ${what}`,
  deletedLine: (name: string) => `Deleted “${name}”`,
  logbookOf: (car: string) => `Logbook: ${car}`,
  linesShown: (shown: number, all: number) =>
    shown === all ? `${all} ${all === 1 ? 'line' : 'lines'}` : `${shown} of ${all} lines`,
  nothingWritten: 'Nothing is written down of this car yet. Begin after the next session:',
  nothingFound: 'No line has that. Search for something else, or show everything.',
  computedNow: (n: number) =>
    `What ${n} ${n === 1 ? 'session' : 'sessions'} took of the brakes was computed with the car as it is now. Kept, it no longer moves when the car does.`,
  loadsKept: (n: number) => `Kept for ${n} ${n === 1 ? 'session' : 'sessions'}`,
  photoCount: (n: number) => `${n} ${n === 1 ? 'picture' : 'pictures'}`,
  picturesKept: 'Made smaller, kept in this browser, and part of the file with pictures.',
  pictureRemoved: 'Picture removed',
  pictureGone: (name: string) =>
    `“${name}” is not in this browser: it came from another one without its file.`,
  noPicture: (name: string) =>
    `“${name}” is no picture that this browser can read; a JPEG, PNG or WebP was expected.`,
  photoTooLarge: (name: string, mb: number, most: number) =>
    `“${name}” has ${mb} MB; a picture has at most ${most} MB. Nothing was added.`,
  bundle: 'Export and import',
  bundleMeans:
    'The ZIP has the whole project with its logbook, and every picture; the table has the logbook’s figures, and is read back line by line. From another device’s file, what is new can be added here, or all of it can take this project’s place.',
  tableRead: (n: number, file: string) => `${n} ${n === 1 ? 'line' : 'lines'} read from “${file}”`,
  bundleTooLarge: (mb: number) => `It is larger than ${mb} MB, the most that is read.`,
  bundleRead: (name: string, lines: number) =>
    `“${name}” has a logbook of ${lines} ${lines === 1 ? 'line' : 'lines'}. What should become of it?`,
  picturesMissing: (names: readonly string[]) =>
    `It has no file of these pictures: ${names.slice(0, 5).join(', ')}.`,
  joined: (n: number, file: string) => `${n} ${n === 1 ? 'item' : 'items'} added from “${file}”`,
  tookOver: (file: string) => `“${file}” is the project now`,
  differ: (names: readonly string[]) =>
    `Both have these, written differently; this device’s stay: ${names.slice(0, 6).join(', ')}${names.length > 6 ? ` and ${names.length - 6} more` : ''}.`,
  afterMeans:
    'Put down right after parking, while the readings are still worth something. What was the same last time is there already; everything may be left as it is.',
  plannedSession: (name: string, laps: number) => `${name}, ${laps} ${laps === 1 ? 'lap' : 'laps'}`,
  readingsMean:
    'Disc by a contact thermometer, with the seconds since the car stopped: a late reading is put back by the model. They go to the calibration as a drive of their own. Hot parts burn for half an hour.',
  boiled: 'The fluid boiled, or was over its temperature',
  oneUndo: 'One undo takes all of it back.',
  nothingInspected: 'Nothing has been inspected yet.',
  takeAsInches: (thickness: string) => `They were inches: ${thickness}`,
  rotorPoints: 'Ten millimetres in from the edge, at several points: the least counts, the spread is felt.',
  boilsAt: (median: string, low: string, high: string) =>
    `It boils at about ${median} by now (${low} to ${high}), at no line pressure and sea level.`,
  inSince: (date: string) => `In since ${date}, by the log.`,
  inSinceByCar: (date: string) =>
    `In since about ${date}, by the age entered for the car: no renewal is in the log.`,
  fallsUnder: (needed: string, low: string | null, median: string | null) =>
    median === null && low === null
      ? `It stays over the ${needed} that the hottest session of the season needs for four years and more.`
      : `It falls under the ${needed} that the hottest session of the season needs ${median === null ? 'in four years or later' : `about ${median}`}${low === null ? '' : `, perhaps as early as ${low}`}.`,
  noReason: 'By what is known, nothing says that it must be renewed now.',
  fluidMeans:
    'From dry and wet boiling point, climate and age; a boil test overrides all of it, a refractometer tells which climate fits, a strip tells of corrosion. Colour proves nothing. After boiling or over-temperature: renew. Fluid harms paint, skin and eyes; never mix glycol and silicone, never use drawn fluid again.',
  sessionsDriven: 'Driving the sessions',
  interval: (median: string, low: string, high: string) => `${median} (${low} to ${high})`,
  nothingOfFluid: 'Nothing was done to it or read of it in this log.',
  newInCalipers: (percent: number) => `${percent} % new in the calipers`,
  chartLabel: 'Boiling point over time, most likely and in nine of ten cases',
  readingWanted: (range: string) => `A figure from ${range} is needed.`,
  wearMeans:
    'Wear goes with the friction work of the sessions driven, faster with hot pads; how fast on this car follows from its own measurements (Inspect), and is only a usual figure before there are any. Cracks go by the fatigue damage index, which is an index. Figures in brackets hold in nine of ten cases. They replace no look at the parts.',
  noSets: 'No set is listed here.',
  piecesOf: (name: string) => `Pieces of ${name}`,
  retired: (date: string) => `retired ${date}`,
  setDriven: (sessions: number, energy: string, readings: number) =>
    `${sessions} ${sessions === 1 ? 'session' : 'sessions'}, ${energy}; ${readings === 0 ? 'its wear is not measured yet' : `its wear is known from ${readings} ${readings === 1 ? 'measurement' : 'measurements'} of parts like it`}`,
  cracked: (length: string, stop: boolean) =>
    stop
      ? 'A crack that must not be driven on was seen.'
      : `Cracks of up to ${length} were seen: measure them again.`,
  asOnTheCar: (place: string) => `as the car’s ${place}`,
  seasonName: (year: string) => `Season ${year}`,
  noSeason: 'No season is planned for this car.',
  eventName: (n: number) => `Event ${n}`,
  noEvents: 'No event yet.',
  spreading: 'Spreading the sets over the season',
  nothingToCome: 'No session is to come: add an event, or move one into the future.',
  cannotDrive:
    'The plan it is driven like, or the circuit of an event, is no longer in the project: choose another one below.',
  costOf: (cost: string, risk: string) => `${cost}, and ${risk} for the risk of wearing out.`,
  usedTo: (percent: number, worn: number) =>
    `to ${percent.toFixed(0)} % of its life${worn >= 1 ? `, ${worn.toFixed(0)} % risk` : ''}`,
  alternative: (name: string, more: string) =>
    `With ${name} in its place the whole season would cost ${more} more, everything else moved to suit.`,
  nothingToOrder: 'Nothing: what is there lasts.',
  neededOn: (date: string) => `for ${date}`,
  orderMeans: (days: number) => `Ordered ${days} days ahead, as the rules above say.`,
  rulesMean:
    'Sets are chosen so that none is past its life when a session ends, with the confidence wanted, and so that wear, purchases, changes and the risk of wearing out cost least together. Limits of sets are those of each event’s rules.',
  sessionCount: (n: number) => `${n} ${n === 1 ? 'session' : 'sessions'}`,
  hottest: (rotor: string, fluid: string) => `rotor core ${rotor}, fluid ${fluid}`,
  seasonSafety:
    'A plan of sets is no proof that they hold: every part is looked at before it is driven, by somebody qualified, to the maker’s limits and the event’s rules.',
  renewBefore: (why: string) => `Renew the brake fluid before it. ${why}`,
  orderTitle: (place: string) => `Order ${place}`,
  orderFor: (event: string, date: string) => `To be here for ${event} on ${date}.`,
} as const;
