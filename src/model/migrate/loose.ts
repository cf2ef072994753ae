/** Data of an older version, of which nothing is certain yet. */
export type Loose = Record<string, unknown>;

export const record = (value: unknown): Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : {};
export const list = (value: unknown, change: (item: Loose) => unknown) =>
  Array.isArray(value) ? value.map((item) => change(record(item))) : value;
