/** What ui says: sentences only; the labels of its fields and columns stand with them. */
export const say = {
  rowHowTo:
    'To move a row, press space on its handle, then the arrow keys, then space again; Escape leaves it.',
  rowLifted: (place: number, of: number) => `Row ${place} of ${of} is lifted.`,
  rowOver: (place: number, of: number) => `At place ${place} of ${of}.`,
  rowPut: (place: number, of: number) => `Put at place ${place} of ${of}.`,
  rowLeft: 'The row is where it was.',
  nameNeededLastOne: 'A name is needed; the last one is kept.',
  mostCharactersLastOne: (longest: number) => `At most ${longest} characters; the last one is kept.`,
  browserGivesNoCanvas: 'The browser gives no canvas to draw on.',
  partDidNotCome: 'This did not come: the program’s server does not answer. Reload the page to try again.',
  pictureCouldNotMade: 'The picture could not be made.',
  otherEditsHaveCome: 'Other edits have come after it. Step back through them with Undo (Ctrl+Z).',
} as const;
