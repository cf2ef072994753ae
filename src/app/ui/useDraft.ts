import { useState } from 'react';

interface Draft<T, V> {
  readonly typed: T;
  readonly error: string | null;
  /** The saved value it was typed over, or became */
  readonly of: V;
}

/**
 * What is typed but not (or not quite) what is saved. It belongs to one saved value: when that changes from elsewhere (undo,
 * a reset, another field), what was typed is no longer meant and is not shown.
 */
export function useDraft<T, V>(saved: V) {
  const [draft, setDraft] = useState<Draft<T, V> | null>(null);
  const live = draft && Object.is(draft.of, saved) ? draft : null;
  return {
    typed: live?.typed ?? null,
    error: live?.error ?? null,
    /** Typed, with what is wrong with it; `becomes` is what was saved by it. */
    type: (typed: T, error: string | null = null, becomes: V = saved) =>
      setDraft({ typed, error, of: error === null ? becomes : saved }),
    drop: () => setDraft(null),
  };
}
