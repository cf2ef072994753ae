/** A value with its past and its future. */
export interface History<T> {
  readonly value: T;
  readonly past: readonly Step<T>[];
  readonly future: readonly Step<T>[];
}

interface Step<T> {
  /** The value before (past) or after (future) the edit */
  readonly value: T;
  /** What the edit did, for the menu: "Mass as driven" */
  readonly label: string;
  /** Edits of one key close together count as one */
  readonly key: string | null;
  /** ms */
  readonly at: number;
}

/** Edits of the same key within this time are one step, ms. */
const MERGE_WITHIN = 1500;
/** Steps kept; one is a few references, as unchanged parts are shared. */
const KEPT = 500;

/** @param past steps of an earlier page, the oldest first */
export const startHistory = <T>(
  value: T,
  past: readonly { readonly value: T; readonly label: string }[] = [],
): History<T> => ({
  value,
  // Long ago: no edit of this page joins one of them.
  past: past.map((step) => ({ ...step, key: null, at: Number.NEGATIVE_INFINITY })),
  future: [],
});

/** @param now ms, of any clock that rises */
export function recordEdit<T>(
  history: History<T>,
  value: T,
  label: string,
  key: string | null,
  now: number,
): History<T> {
  if (value === history.value) return history;
  const last = history.past[history.past.length - 1];
  if (
    last &&
    key !== null &&
    last.key === key &&
    now - last.at < MERGE_WITHIN &&
    history.future.length === 0
  ) {
    return { value, past: [...history.past.slice(0, -1), { ...last, at: now }], future: [] };
  }
  const past = [...history.past, { value: history.value, label, key, at: now }].slice(-KEPT);
  return { value, past, future: [] };
}

export function undo<T>(history: History<T>): History<T> {
  const last = history.past[history.past.length - 1];
  if (!last) return history;
  return {
    value: last.value,
    past: history.past.slice(0, -1),
    future: [{ ...last, value: history.value, key: null }, ...history.future],
  };
}

export function redo<T>(history: History<T>): History<T> {
  const next = history.future[0];
  if (!next) return history;
  return {
    value: next.value,
    past: [...history.past, { ...next, value: history.value, key: null }],
    future: history.future.slice(1),
  };
}
