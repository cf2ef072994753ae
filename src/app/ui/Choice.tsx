import { ChevronDown } from 'lucide-react';
import { type ComponentType, lazy, useState } from 'react';
import { Asked } from './Asked';
import { BUTTON, type ChoiceProps, textOf } from './choiceProps';

export type { Options } from './choiceProps';

type List = ComponentType<ChoiceProps<string> & { readonly begun: boolean }>;
let fetched: List | null = null;

/** Fetches the list, for whoever knows that it will be wanted. */
export async function fetchList(): Promise<{ default: List }> {
  fetched = (await import('./ChoiceList')).ChoiceList;
  return { default: fetched };
}
const ListLater = lazy(fetchList);

/** Keys that open a list, besides those that press a button. */
const OPENS = new Set(['ArrowDown', 'ArrowUp']);

/**
 * One of a few named things, picked from a list that opens. Named by a `label` with its id, or by itself. The list is
 * fetched with the first that is opened; until then its button stands alone.
 */
export function Choice<T extends string>(props: ChoiceProps<T>) {
  const { id, name, value, options = [], groups = [], className = '' } = props;
  const [asked, setAsked] = useState(false);
  /** The list at once where it has been fetched before */
  const [known] = useState(() => fetched);
  const List = known ?? ListLater;
  const button = (onClick: () => void) => (
    <button
      type="button"
      role="combobox"
      aria-expanded={false}
      aria-haspopup="listbox"
      id={id}
      aria-label={name}
      data-value={value}
      className={`${BUTTON} ${className}`}
      onClick={onClick}
      onKeyDown={(event) => {
        if (!OPENS.has(event.key)) return;
        event.preventDefault();
        onClick();
      }}
    >
      <span className="min-w-0 truncate">{textOf(value, options, groups)}</span>
      <ChevronDown size={14} aria-hidden="true" className="shrink-0 text-dim" />
    </button>
  );
  if (!known && !asked) return button(() => setAsked(true));
  return (
    <Asked button={button}>
      <List {...(props as unknown as ChoiceProps<string>)} begun={known === null} />
    </Asked>
  );
}
