/** What cli says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  lapSBrakeEnergy: (seconds: string, seconds2: string, lapHeat: string, lapHeat2: string) =>
    `Lap ${seconds} (${seconds2} s), brake energy per lap ${lapHeat}, mean brake power ${lapHeat2} kW.`,
  brakingZonesLapHottest: (hottest: number) =>
    `Braking zones of lap ${hottest}, the hottest; the hotter front wheel, °C`,
  energyMjStoredCarried: (supplied: string, stored: string, lost: string, error: string) =>
    `Energy in ${supplied} MJ = stored ${stored} + carried away ${lost}; energy balance error ${error} %.`,
  kettleBrakeTemperaturesWithout:
    'kettle: brake temperatures without a browser\n\n  kettle demo                     print the demo project\n  kettle run FILE [--plan ID]     compute a plan: verdict, braking zone table, peaks\n      --json OUT                  write the whole result as JSON\n      --csv OUT                   write every braking zone as CSV, and every sample beside it as OUT with "-trace"\n  kettle network FILE [--plan ID] [--wheel frontLeft]\n                                  print one wheel\'s heat network with all that acts on it, to be integrated elsewhere\n  kettle check FILE               say what is wrong with a project, with paths; exit 2 when something is\n  kettle schema [parts]           print the JSON Schema of the project file, or of a file of parts\n\n"-" is standard input or standard output.\n',
  hasMbProjectHas: (file: string, size: string, most: string) =>
    `${file} has ${size} MB; a project has at most ${most} MB`,
  projectCanComputed: 'The project can be computed.\n',
  notComputable: (file: string, problems: string) =>
    `${file} is not a project that can be computed:\n${problems}`,
  noPlan: (plan: string, known: string) => `there is no plan "${plan}"; the project has\n${known}`,
  noWheel: (wheel: string, known: string) => `there is no wheel "${wheel}"; it is one of ${known}`,
} as const;
