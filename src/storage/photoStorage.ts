import localforage from 'localforage';
import { say } from '../text/en/say/storage';

/** The little of a store of pictures that is used. */
export interface PhotoStore {
  getItem(key: string): Promise<unknown>;
  setItem(key: string, value: unknown): Promise<unknown>;
  removeItem(key: string): Promise<unknown>;
}

/** The browser's own store of pictures, beside the projects. */
export function browserPhotoStore(): PhotoStore & { keys(): Promise<string[]> } {
  return localforage.createInstance({ name: 'fervent-kettle-photos', storeName: 'photos' });
}

/** Keeps a picture. @throws Error in words when it does not fit; nothing of it is kept then */
export async function keepPhoto(store: PhotoStore, id: string, bytes: Uint8Array): Promise<void> {
  try {
    await store.setItem(id, bytes);
  } catch (error) {
    await store.removeItem(id).catch(() => {});
    const full = (error as { name?: string }).name === 'QuotaExceededError';
    throw new Error(full ? say.photoStorageFull : say.photoNotKept((error as Error).message));
  }
}

/** A kept picture, null where it is gone. */
export async function openPhoto(store: PhotoStore, id: string): Promise<Uint8Array | null> {
  const found = await store.getItem(id);
  return found instanceof Uint8Array ? found : null;
}
