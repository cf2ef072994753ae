import localforage from 'localforage';

/** The little of a store that is used; values are structured clones. */
export interface RunStore {
  getItem(key: string): Promise<unknown>;
  setItem(key: string, value: unknown): Promise<unknown>;
  removeItem(key: string): Promise<unknown>;
}

/** Work whose finished pieces are kept, so that it can go on after a closed page. */
interface KeptWork {
  /** All that the work was asked with: work asked with anything else is other work */
  readonly asked: string;
  readonly pieces: number;
  readonly started: string;
}

const WORK = 'work';
const pieceKey = (started: string, piece: number) => `${started}-${piece}`;

/** The browser's own store of finished pieces. */
export function browserRunStore(): RunStore {
  return localforage.createInstance({ name: 'fervent-kettle-runs', storeName: 'runs' });
}

const isWork = (value: unknown): value is KeptWork =>
  typeof value === 'object' && value !== null && 'asked' in value && 'started' in value && 'pieces' in value;

/**
 * Finished pieces of the same work, null where one is missing; all null for other work.
 * @param asked all that the work depends on, as text
 */
export async function keptPieces(
  store: RunStore,
  asked: string,
  pieces: number,
): Promise<(Float32Array | null)[]> {
  const work = await store.getItem(WORK);
  if (!isWork(work) || work.asked !== asked || work.pieces !== pieces) return Array(pieces).fill(null);
  return Promise.all(
    Array.from({ length: pieces }, async (_, piece) => {
      const found = await store.getItem(pieceKey(work.started, piece));
      return found instanceof Float32Array ? found : null;
    }),
  );
}

/** Begins or takes up a work: the one kept before gives way to another. @returns the name its pieces are kept under */
export async function beginWork(store: RunStore, asked: string, pieces: number): Promise<string> {
  const work = await store.getItem(WORK);
  if (isWork(work)) {
    if (work.asked === asked && work.pieces === pieces) return work.started;
    await forgetWork(store);
  }
  const started = `${Date.now()}-${Math.floor(performance.now() * 1000)}`;
  await store.setItem(WORK, { asked, pieces, started } satisfies KeptWork);
  return started;
}

/** Work that is not through, with its finished pieces; null for none. */
export async function keptWork(
  store: RunStore,
): Promise<{ readonly asked: string; readonly pieces: readonly (Float32Array | null)[] } | null> {
  const work = await store.getItem(WORK);
  if (!isWork(work)) return null;
  return { asked: work.asked, pieces: await keptPieces(store, work.asked, work.pieces) };
}

/** Keeps a finished piece. @param started as `beginWork` gave it */
export async function keepPiece(
  store: RunStore,
  started: string,
  piece: number,
  values: Float32Array,
): Promise<void> {
  await store.setItem(pieceKey(started, piece), values);
}

/** Forgets the work that is kept, with its pieces. */
export async function forgetWork(store: RunStore): Promise<void> {
  const work = await store.getItem(WORK);
  if (!isWork(work)) return;
  // The name last: cut off in between, what is left is still known and goes the next time.
  for (let piece = 0; piece < work.pieces; piece++) await store.removeItem(pieceKey(work.started, piece));
  await store.removeItem(WORK);
}
