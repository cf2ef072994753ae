import { LARGEST_BACKUP, readBackup, refuse, writeBackup } from '../io';
import type { Refused } from '../model';
import {
  type BackupMode,
  type BackupPreview,
  browserLogStore,
  browserPhotoStore,
  browserRunStore,
  browserStore,
  collectBackup,
  previewBackup,
  restoreBackup,
  type Stores,
} from '../storage';
import { say } from '../text/en/say/compute';

const stores: Stores = {
  projects: browserStore(),
  logs: browserLogStore(),
  photos: browserPhotoStore(),
  runs: browserRunStore(),
};

/** What a backup would bring, or why it is none. */
export type OpenedBackup = ({ readonly ok: true } & BackupPreview) | Refused;

/** The backup that was looked at last, until it is taken in. */
let held: Extract<ReturnType<typeof readBackup>, { ok: true }> | null = null;

/** What a page asks of backups; a large one never passes through it. */
export const backups = {
  /** Everything that this browser keeps, as one zip. @param preferences as the page keeps them */
  async backup(preferences: unknown): Promise<Blob> {
    const whole = await collectBackup(stores, { made: new Date().toISOString(), preferences });
    return new Blob([writeBackup(whole) as Uint8Array<ArrayBuffer>], { type: 'application/zip' });
  },
  /** Looks into a backup; nothing is changed. */
  async openBackup(file: File): Promise<OpenedBackup> {
    held = null;
    if (file.size > LARGEST_BACKUP) return refuse(say.backupTooLarge(LARGEST_BACKUP / 1e6));
    const read = readBackup(new Uint8Array(await file.arrayBuffer()));
    if (!read.ok) return read;
    held = read;
    return { ok: true, ...(await previewBackup(stores, read)) };
  },
  /** Takes in the backup that was looked at. @returns slot to open, and the preferences that were in it */
  async restoreBackup(
    mode: BackupMode,
  ): Promise<{ readonly slot: string | null; readonly preferences: unknown }> {
    if (!held) throw new Error(say.noBackupOpen);
    const slot = await restoreBackup(stores, held, mode, () => crypto.randomUUID());
    const { preferences } = held.list;
    held = null;
    return { slot, preferences };
  },
};
