/** What the library says: sentences only; the labels of its buttons stand with them. */
export const say = {
  backupMeans:
    'Every project with its logbook and pictures, kept logs and recordings, calibrations, confirmed columns, texts kept aside and preferences, as one file. The browser holds the only copy of them until there is another.',
  backupName: 'fervent-kettle-backup',
  neverBackedUp: 'No backup was made in this browser yet.',
  backedUp: (when: string) => `The last backup was made on ${when}.`,
  room: (used: string, all: string) => `${used} MB of the ${all} MB that the browser gives are used.`,
  persisted: 'The browser has promised to keep them.',
  mayBeTaken: 'Short of room, the browser may delete them without asking.',
  notPersisted: 'The browser does not promise it. Installed, or used more often, it may; a backup is sure.',
  notSavedBefore: 'Nothing was taken in: what is on this page could not be saved yet.',
  backupOf: (when: string, mb: string) => `made on ${when}, ${mb} MB.`,
  stateOfProject: {
    new: 'is not here yet',
    same: 'is here, the same',
    differs: 'is here with other contents',
  },
  backupWithoutProject: 'It has no project: nothing had been changed in the demo.',
  keptAsItIs: (why: string) => `It cannot be read by this program (${why}) and is kept as it is.`,
  alsoHas: (newLogs: number, logs: number, newPhotos: number, photos: number, aside: number) =>
    `${logs} ${logs === 1 ? 'log' : 'logs'} (${newLogs} new), ${photos} ${photos === 1 ? 'picture' : 'pictures'} (${newPhotos} new), ${aside} ${aside === 1 ? 'text' : 'texts'} kept aside.`,
  replaceTitle: 'Replace everything here?',
  replaceWarning:
    'The projects of the backup take the place of those here, and its preferences of yours. Projects that go are kept aside as texts (Files, Texts kept aside); logs that go can be put back for a day.',
  textStaysAside:
    'It goes from the list. Its text is kept aside (Files, Texts kept aside) until you delete it there.',
} as const;
