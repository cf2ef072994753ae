/** What shell says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  paletteFinds: 'Find a page, something to do or a field (Ctrl+K)',
  palettePlaceholder: 'A page, something to do, a field …',
  paletteNothing: 'Nothing has that in its name.',
  importedPlaceProjectBefore: (name: string) => `Imported “${name}” in place of the project before it`,
  dropProjectPartsCircuit: 'Drop a project, parts, a circuit or a log to open it',
  nothingWasChangedYour: ': nothing was changed, your project is as it was.',
  whatBrowserSStorage:
    'What this browser’s storage held and could not be read, as it was. It stays until you delete it.',
  nothingKeptAside: 'Nothing is kept aside.',
  nothingWasExported: (message: string) => `Nothing was exported. ${message}`,
  demoProjectOpenPlace: 'The demo project is open in place of yours',
  programSServerDoes:
    'The program’s server does not answer, or the program was updated while this page was open. Start the server again if it is off, then reload.',
  yourLastEditsNot: 'Your last edits are not saved: export the project before you reload.',
  yourProjectSafeBrowser: 'Your project is safe in the browser’s storage.',
  takesPlaceAllCars:
    '” takes the place of all cars, circuits, plans and parts in your project. Undo brings them back as long as this page is open; an exported file keeps them for good.',
  notSavedYourWork: (reason: string) =>
    `Not saved: ${reason}. Your work is on this page only; export it, or make room and try again.`,
  nothingWasDeletedCopy:
    'Nothing was deleted. A copy is kept in this browser, under Files, Texts kept aside; you can also export it as it is.',
  nothingWasDeletedBut:
    'Nothing was deleted, but the browser did not take a copy of it: export it now. Until a copy is kept, nothing is saved over it.',
  kernelMissing: (reason: string) =>
    `This browser computes without the fast kernel: the same numbers, some times slower (${reason}).`,
  programDoesNotStart: 'The program cannot be loaded',
  browserSStorageDoes: 'The browser’s storage does not answer yet',
  yourProjectLiesAnother:
    'Your project lies in it. Another page of this program may hold it: close the others, and this one goes on by itself. A restart of the browser helps when nothing else is open.',
  goDemoWithoutSaving: 'Go on with the demo, without saving',
  fileHasMbProject: (size: number, most: number) =>
    `The file has ${size} MB; a project has at most ${most} MB. It was not read.`,
  backupOld: (days: number) =>
    `No backup was made for ${days} days. The browser has the only copy of what you keep here, and may lose it.`,
  worksOffline: 'A copy of the program is kept in this browser: from now on it starts without its server.',
  newerVersion:
    'A newer version is here. It takes the place of this one when you ask for it; everything is saved first.',
  newerElsewhere: 'Another page was updated. This one goes on as it is until it is loaded again.',
  savedFirst:
    'Not updated: what is on this page could not be saved yet. Export it, or make room and try again.',
  fileCouldNotRead: 'The file could not be read. Was it moved or is it a folder?',
  moreKettleCheckLists: (problemsCount: number) =>
    `and ${problemsCount} more; “kettle check” lists all of them.`,
  tourVerdict:
    'The verdict comes first: what passes its limit, on which lap, at which braking zone. Below it stand the same at both ends of what is known of the cooling: ±30 % until the car is calibrated.',
  tourWhatIf:
    'Move anything here and the whole session is driven again while it moves. What was saved stays faintly behind; keep it, or reset it.',
  tourLap:
    'The lap unrolled: speed, braking power and temperatures above each other. Pick a braking zone and it is picked everywhere.',
  tourFirst:
    'Ask what to do first: what fails first is mended first, with its price and what remains. Ask, too, whether your guesses matter.',
  tourPlan: 'Every plan is a car, a circuit and a day. Switch between them here; the library has them all.',
  tourPages:
    'From left to right goes the work: verdict, car, circuit, decisions, track. The question mark has words, keys and sample files.',
} as const;
