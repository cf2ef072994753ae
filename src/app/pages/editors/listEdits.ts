/** A list with one of its items at another place. */
export function moved<T>(list: readonly T[], from: number, to: number): T[] {
  const rest = list.filter((_, i) => i !== from);
  return inserted(rest, to, list[from]);
}

/** A list with something put in at a place. */
export function inserted<T>(list: readonly T[], index: number, item: T): T[] {
  return [...list.slice(0, index), item, ...list.slice(index)];
}
