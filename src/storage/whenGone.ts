/** Time until the database is looked at again after it went or was made larger, ms. */
const AGAIN = 400;

/**
 * Tells when the browser's database goes under an open page: deleted by another page, or its data cleared. Holds a
 * connection of its own, which gives way to whoever deletes or enlarges the database.
 * @param gone called each time; what is called for first is that it is stored anew
 * @returns ends it
 */
export function whenGone(name: string, gone: () => void): () => void {
  let ended = false;
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
    // One that is not there is not to be made here, without its stores.
    opening.onupgradeneeded = () => opening.transaction?.abort();
    opening.onerror = later;
    opening.onsuccess = () => {
      const db = opening.result;
      if (ended) return db.close();
      connection = db;
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
