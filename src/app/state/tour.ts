import { useSyncExternalStore } from 'react';

/** Which stop of the tour is shown; null while there is none. */
let stop: number | null = null;
const listeners = new Set<() => void>();

/** Goes to a stop of the tour, or ends it. */
export function goToStop(next: number | null): void {
  stop = next;
  for (const listener of listeners) listener();
}

export const useTourStop = (): number | null =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => stop,
  );
