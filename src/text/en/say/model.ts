/** What model says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  mKmHM: (length: string, entryKmh: number, exitKmh: number, mean: string) =>
    `${length} m from ${entryKmh} to ${exitKmh} km/h is ${mean} m/s²; no car on wheels does that`,
  doesNotFitM: (toNextM: number, exitKmh: number, entryKmh: number, range: string) =>
    `does not fit: ${toNextM} m between ${exitKmh} and ${entryKmh} km/h takes ${range}`,
  lineDoesNotClose: (gap: string, turn: string, climb: string) =>
    `the line does not close: it ends ${gap} m from its start${turn}${climb}`,
  bodySLiftWould: (fromSi: string, fromSi2: string) =>
    `the body’s lift would leave less than a quarter of the weight on the tyres over ${fromSi} km/h, and the braking zones begin at up to ${fromSi2} km/h`,
  documentHoldsMoreThan: (most: number) => `The document holds more than ${most} values.`,
  keyNotAllowedFile: 'The key is not allowed in a file of ours.',
  thereNoPartShelf: (id: string) => `There is no part "${id}" on the shelf or among the project’s own.`,
  comparedTakeOutSetups: (list: string) => `Compared in ${list}: take it out of the setups there first.`,
  fittedFitAnotherPart: (list: string) => `Fitted to ${list}: fit another part there first.`,
  beginsChooseAnotherStart: (list: string) => `Begins ${list}: choose another start there first.`,
  projectKeepsLeastOne: (noun: string) => `A project keeps at least one ${noun}.`,
  usedChangeDeleteFirst: (list: string, which: string) => `Used by ${list}: change or delete ${which} first.`,
  changedHereAnotherPage: (shown: string, more: string) =>
    `Changed here and on another page at once: ${shown}${more}. What this page had was kept; Undo shows the other.`,
  endFileWasExpected: 'the end of the file was expected',
  numberNotWrittenJson: 'a number is not written as JSON writes it',
  textHasEscapeJson: 'a text has an escape that JSON does not know',
  fileEmptyWasExpected: (expected: string) => `The file is empty. ${expected} was expected.`,
  fileNestedMoreThan: (deepest: number, expected: string) =>
    `The file is nested more than ${deepest} levels deep. ${expected} was expected.`,
  somethingNoValueStands: 'something that is no value stands here',
  fileNotJsonWas: (why: string, expected: string) =>
    `The file is not JSON: ${why}. ${expected} was expected.`,
  jsonAnotherKindFormat: (format: string, ending: string) =>
    `This JSON is of another kind: "format" should be "${format}"${ending}.`,
  projectVersionProgramReads: (version: number, newest: number) =>
    `The project is of version ${version}; this program reads up to version ${newest}. A newer program is needed.`,
  projectHasNoComplete: (planId: string) => `The project has no complete plan "${planId}".`,
} as const;
