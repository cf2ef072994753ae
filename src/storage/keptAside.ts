import type { Problem } from '../model';
import type { KeyValueStore } from './keyValueStore';

const PREFIX = 'unreadable-';

/** A stored text that could not be read, kept until the user deletes it. */
export interface KeptText {
  readonly key: string;
  /** ISO 8601; when it was first found unreadable */
  readonly at: string;
  readonly text: string;
  /** What was wrong with it, '' where that is not known */
  readonly why: string;
}

/** Texts that are kept aside, newest first. @throws Error when the store is blocked */
export async function keptTexts(store: KeyValueStore): Promise<readonly KeptText[]> {
  const keys = (await store.keys()).filter((key) => key.startsWith(PREFIX));
  const kept = await Promise.all(
    keys.map(async (key): Promise<KeptText> => {
      const value = await store.getItem(key);
      const own = (value ?? {}) as Partial<KeptText>;
      return {
        key,
        at: own.at ?? key.slice(PREFIX.length),
        text: typeof value === 'string' ? value : (own.text ?? ''),
        why: own.why ?? '',
      };
    }),
  );
  return kept.sort((a, b) => b.at.localeCompare(a.at));
}

/**
 * Keeps a text aside; one copy for one text, however often it is met.
 * @returns the key it is kept under
 * @throws Error when the store does not take it
 */
export async function keepAside(
  store: KeyValueStore,
  text: string,
  problems: readonly Problem[],
): Promise<string> {
  const before = await keptTexts(store);
  const same = before.find((kept) => kept.text === text);
  if (same) return same.key;
  const at = new Date().toISOString();
  // Two within a millisecond must not take each other's place.
  let key = `${PREFIX}${at}`;
  while (before.some((kept) => kept.key === key)) key += '+';
  const [first] = problems;
  const why = first ? `${first.path}${first.path ? ': ' : ''}${first.message}` : '';
  await store.setItem(key, { at, text, why });
  return key;
}

/** Deletes a text that is kept aside. */
export async function deleteKept(store: KeyValueStore, key: string): Promise<void> {
  if (key.startsWith(PREFIX)) await store.removeItem(key);
}
