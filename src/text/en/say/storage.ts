/** What storage says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  editsOfUnreadable: 'Edits that were not stored yet when the project could not be read',
  browserSStorageFull: 'The browser’s storage is full; remove a log, or export it.',
  browserSStoragePage: 'the browser’s storage for this page is full',
  browserBlocksStoragePage: 'the browser blocks storage for this page',
  deletedProject: (name: string) => `Deleted from the list: “${name}”`,
  unreadableProject: 'A project that cannot be read',
  replacedByBackup: (made: string) => `Replaced by the backup of ${made.slice(0, 10)}.`,
  nameFromBackup: (name: string, date: string) => `${name} (backup of ${date})`,
  photoStorageFull:
    'The browser’s storage is full: the picture was not kept, everything else was. Export the logbook with its pictures, then delete some.',
  photoNotKept: (why: string) => `The picture was not kept: ${why}`,
} as const;
