/** Where a file may be given: anywhere on the window, or to the page that reads its kind. */
export type Door =
  | 'project'
  | 'tracks'
  | 'log'
  | 'readings'
  | 'work'
  | 'record'
  | 'bench'
  | 'logbook'
  | 'backup'
  | 'photo';

/** A kind of file that comes in, goes out, or both. */
interface Format {
  /** Endings of its name, without the point; the first is what it is written with */
  readonly endings: readonly string[];
  readonly mime: string;
  /** Doors that take it; a file is handed to the first that knows its ending. Its text decides what it is then */
  readonly doors: readonly Door[];
}

/**
 * Every kind of file there is: endings, media type and doors. How each is told from others by its text, and its reader or
 * writer, stand with the kind: projects and parts in the model's file room, tracks, logs and tables here, results and
 * comparisons in the report room.
 */
export const FORMATS = {
  project: { endings: ['json'], mime: 'application/json', doors: ['project'] },
  parts: { endings: ['json'], mime: 'application/json', doors: ['project'] },
  gpx: { endings: ['gpx'], mime: 'application/gpx+xml', doors: ['tracks', 'log'] },
  kml: { endings: ['kml'], mime: 'application/vnd.google-earth.kml+xml', doors: ['tracks', 'log'] },
  geojson: { endings: ['geojson', 'json'], mime: 'application/geo+json', doors: ['tracks'] },
  points: { endings: ['csv', 'txt'], mime: 'text/csv', doors: ['tracks'] },
  log: { endings: ['csv', 'tsv', 'txt', 'log'], mime: 'text/csv', doors: ['log'] },
  readings: { endings: ['json', 'csv'], mime: 'application/json', doors: ['readings'] },
  work: { endings: ['json'], mime: 'application/json', doors: ['work'] },
  record: { endings: ['csv'], mime: 'text/csv', doors: ['record'] },
  benchProgramme: { endings: ['json'], mime: 'application/json', doors: [] },
  benchResult: { endings: ['csv'], mime: 'text/csv', doors: ['bench'] },
  bundle: { endings: ['zip'], mime: 'application/zip', doors: ['logbook'] },
  backup: { endings: ['zip'], mime: 'application/zip', doors: ['backup'] },
  logbook: { endings: ['csv'], mime: 'text/csv', doors: ['logbook'] },
  calendar: { endings: ['ics'], mime: 'text/calendar', doors: [] },
  photo: { endings: ['jpg', 'jpeg', 'png', 'webp'], mime: 'image/jpeg', doors: ['photo'] },
  table: { endings: ['csv'], mime: 'text/csv', doors: [] },
  result: { endings: ['json'], mime: 'application/json', doors: [] },
  schema: { endings: ['json'], mime: 'application/schema+json', doors: [] },
  svg: { endings: ['svg'], mime: 'image/svg+xml', doors: [] },
  png: { endings: ['png'], mime: 'image/png', doors: [] },
} as const satisfies Readonly<Record<string, Format>>;

export type FormatId = keyof typeof FORMATS;
const ALL: readonly Format[] = Object.values(FORMATS);

/** Endings a door takes, as a file chooser wants them: ".gpx,.kml". */
export const acceptedBy = (door: Door): string =>
  [...new Set(ALL.filter(({ doors }) => doors.includes(door)).flatMap(({ endings }) => endings))]
    .map((ending) => `.${ending}`)
    .join();

/** Doors in the order a dropped file is offered to them where its ending leaves a choice. */
const OFFERED: Readonly<Record<string, Door>> = { json: 'project', csv: 'log', txt: 'log' };

/** The door that takes a file dropped on the window, by its name; whatever nothing else takes is read as a project. */
export function doorOf(name: string): Door {
  const ending = /\.([^.]+)$/.exec(name)?.[1].toLowerCase() ?? '';
  return OFFERED[ending] ?? ALL.find(({ endings }) => endings.includes(ending))?.doors[0] ?? 'project';
}
