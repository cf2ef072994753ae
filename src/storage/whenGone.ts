/** Time until the database is looked at again after it went or was made larger, ms. */
const AGAIN = 400;

/**
 * Tells when the browser's database goes under an open page: deleted by another page, or its data cleared. Holds a
 * connection of its own, which gives way to whoever deletes or enlarges the database.
 * @param gone called as it goes, and once more if it is not there a moment later
 * @returns ends it
 */
export function whenGone(name: string, gone: () => void): () => void {
  let ended = false;
  let there = false;
  let connection: IDBDatabase | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const later = () => {
    connection = null;
    if (!ended) timer = setTimeout(watch, AGAIN);
  };
  const lost = () => {
    if (ended) return;
    gone();
    later();
  };
  function watch(): void {
    let opening: IDBOpenDBRequest;
    try {
      opening = indexedDB.open(name);
    } catch {
      // Blocked: there is nothing that could go.
      return;
    }
    opening.onupgradeneeded = () => {
      // One that is not there is not to be made here, without its stores.
      opening.transaction?.abort();
      // When it was told, it was still on its way out, and could be read.
      if (there && !ended) gone();
      there = false;
    };
    opening.onerror = later;
    opening.onsuccess = () => {
      const db = opening.result;
      if (ended) return db.close();
      connection = db;
      there = true;
      db.onclose = lost;
      db.onversionchange = ({ newVersion }) => {
        db.close();
        if (newVersion === null) lost();
        else later();
      };
    };
  }
  watch();
  return () => {
    ended = true;
    clearTimeout(timer);
    connection?.close();
  };
}
