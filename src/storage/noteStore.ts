/** Name of the browser's database of edits that are not saved yet; apart, so that writing them waits for no project. */
const NOTES = 'fervent-kettle-notes';
const STORE = 'edits';
/** Time the database has to open before it is done without, ms. */
const PATIENCE = 1000;

/** Texts that are sent on their way at once: whoever sends one waits for nothing, and is told nothing. */
export interface NoteStore {
  put(key: string, text: string): void;
  remove(keys: readonly string[]): void;
  /** Everything that is there; nothing where it cannot be read. */
  all(): Promise<ReadonlyMap<string, string>>;
}

/**
 * The browser's own. A text is handed to the browser, its end along with it, in the task that sends it: it arrives
 * though the page crashes in the next, and once it has arrived it outlives the browser being killed.
 */
export function browserNotes(): NoteStore {
  let connection: IDBDatabase | null = null;
  let opening: Promise<IDBDatabase | null> | null = null;
  const open = () => {
    opening ??= new Promise<IDBDatabase | null>((resolve) => {
      const request = indexedDB.open(NOTES, 1);
      request.onupgradeneeded = () => request.result.createObjectStore(STORE);
      request.onerror = () => resolve(null);
      request.onsuccess = () => {
        const db = request.result;
        const gone = () => {
          connection = null;
          opening = null;
        };
        db.onclose = gone;
        db.onversionchange = () => {
          db.close();
          gone();
        };
        connection = db;
        resolve(db);
      };
    }).catch(() => null);
    return opening;
  };
  const send = (write: (store: IDBObjectStore) => void) => {
    if (!connection) {
      // Until it is open the journal that is taken at once is alone.
      void open();
      return;
    }
    try {
      const work = connection.transaction(STORE, 'readwrite');
      write(work.objectStore(STORE));
      // Else it ends only once this page has heard of the writing, which a busy page does late.
      work.commit?.();
    } catch {
      // Closing: as if it were not there.
    }
  };
  return {
    put: (key, text) => send((store) => void store.put(text, key)),
    remove: (keys) =>
      send((store) => {
        for (const key of keys) store.delete(key);
      }),
    all: async () => {
      const none = new Map<string, string>();
      const late = new Promise<null>((resolve) => setTimeout(resolve, PATIENCE, null));
      const db = await Promise.race([open(), late]);
      if (!db) return none;
      return new Promise((resolve) => {
        const work = db.transaction(STORE, 'readonly');
        const [keys, texts] = [work.objectStore(STORE).getAllKeys(), work.objectStore(STORE).getAll()];
        work.onabort = () => resolve(none);
        work.oncomplete = () =>
          resolve(new Map(keys.result.map((key, i) => [String(key), String(texts.result[i])])));
      });
    },
  };
}
