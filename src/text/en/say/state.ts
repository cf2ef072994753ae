/** What state says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  setupsComparedAlreadyRemove: (most: number) =>
    `${most} setups are compared already: remove one there first.`,
  anotherPageChangedProject:
    'Another page changed the project so that both together make none. What this page has was kept; the other is under Files, Texts kept aside.',
  storageDoesNotAnswer: 'the browser’s storage does not answer',
  storedAnew:
    'What this browser had kept of this project was deleted, by another page or with its site data. The project as it is here was stored anew; export it if it is to stay.',
  nothingWasChanged: (message: string) => `Nothing was changed. ${message}`,
  notSavedYet: 'This project could not be saved yet; it stays open. Export it first.',
  projectNotAdded: (why: string) => `The project could not be added: ${why}`,
  projectNotDeleted: (why: string) => `The project could not be deleted: ${why}`,
} as const;
