import type { JournalStore, KeyValueStore } from '../../src/storage';

/** A store in memory; values pass through JSON, as they would through a database. */
export function memoryStore(
  start: Record<string, unknown> = {},
): KeyValueStore & { readonly kept: Map<string, unknown> } {
  const kept = new Map(Object.entries(start));
  return {
    kept,
    getItem: async (key) => structuredClone(kept.get(key) ?? null),
    setItem: async (key, value) => kept.set(key, structuredClone(value)),
    removeItem: async (key) => kept.delete(key),
    keys: async () => [...kept.keys()],
  };
}

/** A journal in memory. */
export function memoryJournal(): JournalStore & { readonly kept: Map<string, string> } {
  const kept = new Map<string, string>();
  return {
    kept,
    get length() {
      return kept.size;
    },
    key: (index) => [...kept.keys()][index] ?? null,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}
