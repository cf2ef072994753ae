/** What cli says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  inputTooLarge: (mb: string) => `standard input has more than ${mb} MB; a project has at most that.`,
  noSchema: (kind: string, known: string) => `there is no schema of "${kind}"; there are ${known}`,
  noOption: (name: string, command: string, own: string) =>
    `--${name} is no option of ${command}; it takes ${own}`,
  oneTooMany: (extra: string) => `"${extra}" is one argument too many`,
  lapSBrakeEnergy: (seconds: string, seconds2: string, lapHeat: string, lapHeat2: string) =>
    `Lap ${seconds} (${seconds2} s), brake energy per lap ${lapHeat}, mean brake power ${lapHeat2} kW.`,
  brakingZonesLapHottest: (hottest: number) =>
    `Braking zones of lap ${hottest}, the hottest; the hotter front wheel, °C`,
  energyMjStoredCarried: (supplied: string, stored: string, lost: string, error: string) =>
    `Energy in ${supplied} MJ = stored ${stored} + carried away ${lost}; energy balance error ${error} %.`,
  kettleBrakeTemperaturesWithout:
    'kettle: brake temperatures without a browser\n\n  kettle demo                     print the demo project\n  kettle run FILE [--plan ID]     compute a plan: verdict, braking zone table, peaks\n      --json OUT                  write the whole result as JSON\n      --csv OUT                   write every braking zone as CSV, and every sample beside it as OUT with "-trace"\n  kettle network FILE [--plan ID] [--wheel frontLeft]\n                                  print one wheel\'s heat network with all that acts on it, to be integrated elsewhere\n  kettle calibrate FILE [--readings READINGS] [--plan ID] [--out FILE]\n                                  what readings of a drive as planned (JSON or CSV), or without them the project’s own\n                                  drives of the plan’s car, tell of it: values, intervals,\n                                  what they do not tell, what to measure next; --out writes the project with it\n  kettle prepare FILE [--plan ID] [--setup ID] [--bleed] [--bed] [--json OUT]\n                                  the job list of the newest open work on the plan’s car, or of one of the plan’s\n                                  setups: steps, checks; how it is bled and bedded\n  kettle test FILE [--record RECORD.csv] [--test ID] [--plan ID] [--json OUT]\n                                  what a brake test should come to (the car’s newest one, or repeated, endurance,\n                                  cold-hot, rules), and what the stops of a record came to; exit 2 when one is doubtful\n  kettle bench-programme FILE [--wheel frontLeft] [--plan ID] [--csv OUT] [--json OUT]\n                                  the plan’s session for an inertia bench, stop by stop\n  kettle season FILE [--season ID] [--today DATE] [--json OUT] [--csv OUT] [--ics OUT]\n                                  which pads and rotors serve which session of the season, what to order and by when,\n                                  when the fluid is renewed; --ics writes a calendar; exit 2 when a session has no set\n  kettle check FILE               say what is wrong with a project, with paths; exit 2 when something is\n  kettle schema [parts|readings|bench-programme]\n                                  print the JSON Schema of the project file, or of another\n\n"-" is standard input or standard output.\n',
  hasMbProjectHas: (file: string, size: string, most: string) =>
    `${file} has ${size} MB; a project has at most ${most} MB`,
  projectCanComputed: 'The project can be computed.\n',
  notComputable: (file: string, problems: string) =>
    `${file} is not a project that can be computed:\n${problems}`,
  noPlan: (plan: string, known: string) => `there is no plan "${plan}"; the project has\n${known}`,
  noWheel: (wheel: string, known: string) => `there is no wheel "${wheel}"; it is one of ${known}`,
  noDrives: (car: string) =>
    `the project has no drive of ${car} with anything observed; give --readings for a drive as planned`,
  calibratedFrom: (used: number, runs: number) =>
    `From ${used} ${used === 1 ? 'observation' : 'observations'}, ${runs} drives computed; percent of what is computed.\n`,
  doesNotFit: (what: string) => `does not fit the others: ${what}\n`,
  readingsConflict: 'The readings contradict each other: nothing is to be believed.\n',
  notSettled: 'The search had not settled: nothing is to be believed.\n',
  withinSeconds: (seconds: number) => ` within ${seconds} s of stopping`,
  nextBest: (what: string, outcome: string, before: string, after: string) =>
    `Measure next: ${what}. The ${outcome} would be known to ±${after} instead of ±${before}.\n`,
  writtenTo: (file: string) => `Kept with the car in ${file}.\n`,
  nothingKept: 'These readings tell nothing that can be kept; no file is written.\n',
  readingsCannotBeRead: (problems: string) => `the readings cannot be used:\n${problems}`,
  noReadingUsed: (why: string) => `no reading can be used:\n${why}`,
  noSetup: (id: string, known: string) =>
    `the plan has no setup "${id}"; ${known === '' ? 'it has none to compare' : `it has\n${known}`}`,
  checkIs: (check: string) => `Right when: ${check}`,
  nothingChanged: 'Nothing is exchanged.\n',
  toolsAre: (list: string) => `Ready before: ${list}.\n`,
  bedsNot: (why: string) => `the pads cannot be bedded so: ${why}`,
  nothingBled: '\nNothing is bled in this work.\n',
  nothingBedded: '\nNothing is to be bedded: no pad or rotor is new.\n',
  partsAreSafetyParts:
    '\nBrake parts are safety parts: the maker’s data, the event’s rules and local law come first, and someone qualified does the work or looks it over. A prediction is no proof.\n',
  noSeasons: 'the project has no season; plan one on the season page (Logbook, Season)',
  noSeason: (wanted: string, known: string) => `there is no season "${wanted}"; the project has\n${known}`,
  noDay: (text: string) => `"${text}" is no day; one like 2027-05-01 was expected`,
  seasonHead: (name: string, sessions: number, today: string) =>
    `${name}: ${sessions} ${sessions === 1 ? 'session' : 'sessions'} from ${today} on\n`,
  hottest: (rotor: string, fluid: string) => `: rotor core up to ${rotor} °C, fluid up to ${fluid} °C`,
  renewFluid: (why: string) => `Renew the fluid before it. ${why}`,
  setsLeft: 'What is left of each set, in sessions like those planned:',
  drivenSoFar: (sessions: number, energy: string) =>
    `${sessions} ${sessions === 1 ? 'session' : 'sessions'}, ${energy} MJ so far`,
  nothingToOrder: '\nNothing is to be ordered.\n',
  toOrder: '\nTo be ordered by:\n',
  forDay: (date: string) => `for ${date}`,
  noTest: (wanted: string, kinds: string, known: string) =>
    `there is no test "${wanted}"; it is one of ${kinds}${known === '' ? '' : `, or of the project’s own\n${known}`}`,
  recordNot: (problems: string) => `the record cannot be used:\n${problems}`,
  testNot: (why: string) => `the test cannot be driven: ${why}`,
  testHead: '      phase     distance  mean fully d.   pedal front pads  limited by\n',
  markedStop: ' (marked: off the line of the others)',
  testSafety:
    '\nTest only on a closed course with run-off. Stop at once when the pedal becomes long or soft, at smoke, or when the car pulls. A prediction is no proof.\n',
  benchNot: (why: string) => `no programme can be made: ${why}`,
  benchHead: '   stop phase               from            to      torque      work     pause       air\n',
} as const;
