/** What compute says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  backupTooLarge: (mb: number) =>
    `The file is larger than ${mb} MB, the most that is read. Nothing was taken from it.`,
  noBackupOpen: 'No backup is open: choose its file again.',
  computationWasCancelled: 'The computation was cancelled.',
  computationDidNotAnswer: (patience: number) => `The computation did not answer within ${patience} seconds.`,
  computationStopped: (which: string) => `The computation stopped${which}.`,
  computationSAnswerCould: 'The computation’s answer could not be read.',
  valuesLogNotBrowser: 'The values of this log are not in the browser’s storage any more.',
  fileNotOpenAny: 'The file is not open any more; choose it again.',
} as const;
