/** What ui says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  nameNeededLastOne: 'A name is needed; the last one is kept.',
  mostCharactersLastOne: (longest: number) => `At most ${longest} characters; the last one is kept.`,
  browserGivesNoCanvas: 'The browser gives no canvas to draw on.',
  pictureCouldNotMade: 'The picture could not be made.',
  otherEditsHaveCome: 'Other edits have come after it. Step back through them with Undo (Ctrl+Z).',
} as const;
