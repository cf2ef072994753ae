import * as z from 'zod/mini';

const KEY = 'fervent-kettle-backup';
const DAY = 86_400_000;
/** Days after which what was kept since is worth a new backup, and how long "later" holds. */
const OLD = 30;
const LATER = 7;

const keptSchema = z.object({
  /** When the program was first opened here, and when the last backup was made; ms since 1970 */
  since: z.number(),
  made: z.nullable(z.number()),
  later: z.catch(z.number(), 0),
});
type Kept = z.infer<typeof keptSchema>;

function read(now: number): Kept {
  try {
    return keptSchema.parse(JSON.parse(localStorage.getItem(KEY) ?? ''));
  } catch {
    const begun: Kept = { since: now, made: null, later: 0 };
    write(begun);
    return begun;
  }
}

function write(kept: Kept): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(kept));
  } catch {
    // Blocked: there is no reminder then.
  }
}

/** When the last backup was made, ms since 1970; null for never. */
export const lastBackup = (now = Date.now()): number | null => read(now).made;

/** Whether it is time for a backup: days since the last one, or since the program was first opened here; null where it is not. */
export function backupDue(now = Date.now()): number | null {
  const { since, made, later } = read(now);
  const days = Math.floor((now - (made ?? since)) / DAY);
  return days >= OLD && now - later >= LATER * DAY ? days : null;
}

export const backupMade = (now = Date.now()): void => write({ ...read(now), made: now });
export const remindLater = (now = Date.now()): void => write({ ...read(now), later: now });
