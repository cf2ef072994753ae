import { useSyncExternalStore } from 'react';
import type { Door } from '../../io';

/** A file dropped on the window for a page that reads its kind. */
export type HandedKind = Exclude<Door, 'project'>;

let handed: { readonly kind: HandedKind; readonly file: File } | null = null;
const listeners = new Set<() => void>();
const tell = () => {
  for (const listener of listeners) listener();
};

export function handOver(kind: HandedKind, file: File): void {
  handed = { kind, file };
  tell();
}

/** Takes the file that was handed to a page, once. */
export function takeHanded(kind: HandedKind): File | null {
  if (handed?.kind !== kind) return null;
  const { file } = handed;
  handed = null;
  return file;
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
/** The file waiting for a page, so that it looks again when one comes. */
export const useHanded = (kind: HandedKind): File | null =>
  useSyncExternalStore(subscribe, () => (handed?.kind === kind ? handed.file : null));
