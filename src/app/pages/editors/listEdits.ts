/** A list with two neighbours exchanged. */
export function moved<T>(list: readonly T[], index: number, by: 1 | -1): T[] {
  const next = [...list];
  [next[index], next[index + by]] = [next[index + by], next[index]];
  return next;
}

/** A list with something put in at a place. */
export function inserted<T>(list: readonly T[], index: number, item: T): T[] {
  return [...list.slice(0, index), item, ...list.slice(index)];
}
