/** What state says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  setupsComparedAlreadyRemove: (most: number) =>
    `${most} setups are compared already: remove one there first.`,
  anotherPageChangedProject:
    'Another page changed the project so that both together make none. What this page has was kept; the other is under Files, Texts kept aside.',
  nothingWasChanged: (message: string) => `Nothing was changed. ${message}`,
} as const;
