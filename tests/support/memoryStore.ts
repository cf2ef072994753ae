import type { Journals, KeyValueStore } from '../../src/storage';

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

/** Both places of journals in memory. */
export function memoryJournals() {
  const [kept, sent] = [new Map<string, string>(), new Map<string, string>()];
  return {
    texts: { kept, sent },
    kept: {
      get length() {
        return kept.size;
      },
      key: (index: number) => [...kept.keys()][index] ?? null,
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    },
    sent: {
      put: (key: string, text: string) => void sent.set(key, text),
      remove: (keys: readonly string[]) => {
        for (const key of keys) sent.delete(key);
      },
      all: async () => new Map(sent),
    },
  } satisfies Journals & { readonly texts: object };
}
