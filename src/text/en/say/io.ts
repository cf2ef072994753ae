/** What io says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  twoColumnsTakenSame: 'Two columns are taken for the same thing; only one can be.',
  fileHasNoColumn: (column: number) => `The file has no column ${column}.`,
  sayWhichColumnTime: 'Say which column is the time, or how many samples a second there are.',
  speedDistanceLatitudeLongitude:
    'Speed, distance, or latitude and longitude are needed; choose their columns.',
  latitudeLongitudeOnlyUse: 'Latitude and longitude are only of use together.',
  columnWasReadBut: (name: string, slice: string, which: string) =>
    `The column “${name}” was to be read, but “${slice}” is no ${which}, nor is any other of its values.`,
  onlyRowsValuesWere: (rows: number) => `Only ${rows} rows of values were found; a log needs at least 20.`,
  rowAnotherNumberColumns: (count: number, ending: string, line: number) =>
    `${count} row${ending} with another number of columns left out, the first at line ${line}.`,
  valueNoNumberFirst: (name: string, wrong: number, which: string, wrongLine: number, slice: string) =>
    `“${name}”: ${wrong} value${which} no number, the first at line ${wrongLine} (“${slice}”).`,
  everyRowsWereAveraged: (per: number, rate: number) =>
    `Every ${per} rows were averaged into one sample, to ${rate} a second.`,
  fileEmptyTableValues: 'The file is empty. A table of values was expected.',
  fileNotTextTable: (what: string) => `The file is ${what}, not text. A table of values (CSV) was expected.`,
  logHasMoreThan: (most: number) =>
    `The log has more than ${most} rows; that is more than is read. Cut it in two.`,
  noTableNumbersWas: (linesCount: number) =>
    `No table of numbers was found in the first ${linesCount} lines. Rows of values with the same number of columns were expected, separated by comma, semicolon, tab or bar.`,
  fileEmpty: 'The file is empty.',
  fileNotText: (what: string) => `The file is ${what}, not text.`,
  fileHoldsNothingBut: 'The file holds nothing but blanks.',
  noColumnsLatitudeLongitude: (list: string) =>
    `No columns of latitude and longitude, or of x and y, were found. The columns are: ${list}.`,
  rowsWithoutPositionWere: (count: number, first: number) =>
    `${count} rows without a position were left out, the first at line ${first}.`,
  gpxKmlGeojsonCsv: (problem: string) => `${problem} A GPX, KML, GeoJSON or CSV file was expected.`,
  nameSaysContentWas: (told: string, kind: string) =>
    `The name says ${told}, the content is ${kind}; it was read as what it is.`,
  fileHoldsNoLine: (kind: string) =>
    `The ${kind} file holds no line. A track, a route or a line was expected.`,
  longestLineFileHas: (most: number, least: number) =>
    `The longest line in the file has ${most} points; at least ${least} are needed for a circuit.`,
  fileHasPointsMost: (points: number, most: number) =>
    `The file has ${points} points; at most ${most} are read.`,
  pointMWhichNo: (i: number, name: string, a: number, b: number) =>
    `Point ${i} of “${name}” is at ${a}, ${b} m, which is no place on a circuit.`,
  pointHasLatitudeLongitude: (i: number, name: string, a: number, b: number) =>
    `Point ${i} of “${name}” has latitude ${a} and longitude ${b}; they must be within 90 and 180 degrees.`,
  fileDefinesDocumentType:
    'The file defines a document type or entities. Such definitions can blow up or reach outside, and no track needs them; nothing was read.',
  fileXmlButRoot: (root: string) =>
    `The file is XML, but its root is <${root}>; <gpx> or <kml> was expected.`,
  elementsNestedMoreThan: (deepest: number) => `elements are nested more than ${deepest} levels deep`,
  fileEndsBeforeLast: (why: string) =>
    `The file ends before its last element is closed: it looks cut off. (${why})`,
  hasPointsTimeLog: (name: string, timedCount: number) =>
    `“${name}” has ${timedCount} points with a time; a log needs at least 20. It can still be imported as a circuit.`,
  zoneTableTooLong: (most: number) => `The table is too long: at most ${most} characters are read.`,
  zoneTableTooMany: (rows: number, most: number) =>
    `The table has ${rows} rows; a circuit has at most ${most} braking zones.`,
  zoneTableEmpty: 'There are no braking zones in it: a row has at least three numbers.',
  zoneTableColumns:
    'Three columns of numbers are needed: speed from, speed to, and distance to the next braking zone, in this order or with headings that say so.',
  zoneTableNoNumber: (column: string, cell: string) =>
    cell === '' ? `“${column}” is empty` : `“${column}” is no number: “${cell}”`,
  readingsTooLong: (most: number) => `The file is too long: at most ${most} characters are read.`,
  readingsTooMany: (rows: number, most: number) =>
    `The table has ${rows} rows; at most ${most} readings are read at a time.`,
  readingsExpected: 'Readings as JSON or as a table',
  readingsOtherFormat: (format: string) => `must be "${format}": this is JSON of another kind`,
  readingsColumns:
    'The first line must name the columns: kind, then wheel or axle, and what the kind needs (place, value, turned, lap, seconds).',
  workTooLong: (most: number) => `The file is too long: at most ${most} characters are read.`,
  workExpected: 'What was done of a work, exported from another device',
  readingsNone: 'There is no reading below the headings.',
  rowOf: (row: number) => `row ${row}`,
  gpxVersionCreatorFervent:
    '<gpx version="1.1" creator="Fervent Kettle" xmlns="http://www.topografix.com/GPX/1/1">',
  recordTooLong: (most: number) => `The file is longer than ${most} characters; no record is.`,
  recordColumns:
    'A record needs a column “From” (speed braked from) and one of “Distance”, “Marks” or “Time”, with their units in the headings: “From (km/h)”, “Distance (m)”.',
  recordNone: 'The record has headings, but no stop under them.',
  recordTooMany: (count: number, most: number) => `The record has ${count} stops; at most ${most} are read.`,
  recordUnit: (name: string, unit: string) =>
    `The unit “${unit}” of the column “${name}” is not known here: was another meant?`,
  recordNoNumber: (name: string, typed: string) => `“${typed}” in the column “${name}” is no number.`,
  recordNoAnswer: (typed: string) => `“${typed}” in the column “ABS” is neither yes nor no.`,
  benchExpected: 'A bench programme exported from here',
  benchResultColumns:
    'A bench’s results need the columns “Stop”, “Disc before” and “Disc after”, with their unit in the headings, and a row for each stop.',
  backupTooLarge: (mb: number) =>
    `It unfolds to more than ${mb} MB, the most that is read. Nothing was taken from it.`,
  backupWithoutList: (name: string) => `It has no ${name}, so it is no backup of this program.`,
  backupFileName: 'must be the name of a file in the backup',
  backupNewer: (version: number, most: number) =>
    `The backup is of version ${version}; this program reads up to version ${most}. A newer program is needed.`,
  backupUneven: (name: string) =>
    `The columns of its log “${name}” do not begin with the time or are not equally long. Nothing was taken from it.`,
  backupMisses: (names: readonly string[], all: number) =>
    `It is not whole: ${all} ${all === 1 ? 'file' : 'files'} that it lists ${all === 1 ? 'is' : 'are'} missing (${names.join(', ')}). Nothing was taken from it.`,
  notWholeNumbers: (bytes: number, width: number) =>
    `${bytes} bytes are no whole number of ${width}-byte figures.`,
  noZip: (why: string) => `This is no zip file that can be read: ${why}`,
  bundleTooLarge: (mb: number) =>
    `It unfolds to more than ${mb} MB; a project with pictures has at most that.`,
  bundleWithoutProject: (name: string) =>
    `It has no ${name}: a file of ours with a logbook and its pictures was expected.`,
  logbookTooLong: (most: number) => `The table has more than ${most} characters.`,
  logbookColumns: 'A logbook needs the columns Kind and Date; export one to see all of them.',
  logbookNone: 'There is no line under the headings.',
  logbookTooMany: (lines: number, most: number) => `It has ${lines} lines; at most ${most} are read.`,
  logbookUnit: (head: string, unit: string) => `“${head}” is in ${unit}, a unit that is not known here.`,
  logbookKind: (found: string, kinds: string) => `“${found}” is no kind of line; it is one of ${kinds}.`,
  logbookFlag: (head: string, cell: string) => `${head}: “${cell}” is neither yes nor no.`,
  logbookNumber: (head: string, cell: string) => `${head}: “${cell}” is no number.`,
  logbookName: (head: string, cell: string) => `${head}: nothing here is called “${cell}”.`,
  logbookValue: (head: string, message: string) => `${head} ${message}`,
} as const;
