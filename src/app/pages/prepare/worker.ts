import { useSyncExternalStore } from 'react';
import type { Done } from '../../../model';

const KEY = 'fervent-kettle-who-works';
const listeners = new Set<() => void>();

function read(): string {
  try {
    return localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
}
let name = read();

/** Who works at this device: written beside every tick. */
export function setWorker(next: string): void {
  name = next.trim().slice(0, 60);
  try {
    localStorage.setItem(KEY, name);
  } catch {
    // For this visit only.
  }
  for (const listener of listeners) listener();
}

export const useWorker = (): string =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => name,
  );

/** Who, and when: now. */
export const doneBy = (): Done => ({ by: name || 'somebody', at: new Date().toISOString() });
