/** What keys do, as the list of them says it. */
export const SHORTCUTS: readonly (readonly [keys: string, what: string])[] = [
  ['?', 'This list'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  [', and .', 'Braking zone before and after'],
  ['Shift , and .', 'Lap before and after'],
  ['↑ and ↓', 'Step a number (Shift: ten steps)'],
  ['Enter', 'Next row of a table'],
  ['Esc', 'Back to the saved value, close'],
];
