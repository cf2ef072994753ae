/** What keys do, as the list of them says it. */
const SHORTCUTS: readonly (readonly [keys: string, what: string])[] = [
  ['?', 'This list'],
  ['Ctrl K', 'Find a page, a command, a field'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  [', and .', 'Braking zone before and after'],
  ['Shift , and .', 'Lap before and after'],
  ['↑ and ↓', 'Step a number (Shift: ten steps)'],
  ['Enter', 'Next row of a table'],
  ['Esc', 'Back to the saved value, close'],
];

/** Keys with what they do. */
export function ShortcutList() {
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      {SHORTCUTS.map(([keys, what]) => (
        <div key={keys} className="contents">
          <dt>
            <kbd className="rounded border border-rule bg-sunk px-1.5 py-0.5 text-[12.5px]">{keys}</kbd>
          </dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
