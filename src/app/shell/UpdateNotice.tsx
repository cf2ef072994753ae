import { useEffect, useRef, useState } from 'react';
import type { Workbox } from 'workbox-window';
import { say } from '../../text/en/say/shell';
import { Notice } from '../shared/Notices';
import { useStore } from '../state/context';
import { ownAddress } from '../ui/ownAddress';
import { toast } from '../ui/toast';

/** How often it is asked whether there is a newer version, ms. */
const ASKED_EVERY = 60 * 60 * 1000;

type Newer = 'none' | 'waiting' | 'replaced';

/** Keeps the program in the browser, so that it starts without its server; says when a newer version waits. */
function useOwnCopy(): { readonly newer: Newer; readonly take: () => void } {
  const [newer, setNewer] = useState<Newer>('none');
  const box = useRef<Workbox | null>(null);
  const asked = useRef(false);
  useEffect(() => {
    if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
    let ended = false;
    const ask = () => void box.current?.update().catch(() => {});
    const begin = async () => {
      const { Workbox } = await import('workbox-window');
      if (ended) return;
      const own = new Workbox(ownAddress('sw.js'), { scope: import.meta.env.BASE_URL });
      box.current = own;
      own.addEventListener('installed', ({ isUpdate }) => {
        if (!isUpdate) toast.success(say.worksOffline);
      });
      own.addEventListener('waiting', () => setNewer('waiting'));
      own.addEventListener('controlling', ({ isUpdate, isExternal }) => {
        if (asked.current) window.location.reload();
        // Another page of the program asked for it: this one may be in the middle of something.
        else if (isUpdate || isExternal) setNewer('replaced');
      });
      await own.register();
    };
    // A browser that keeps no copies runs the program from its server, as before.
    void begin().catch(() => {});
    const timer = setInterval(ask, ASKED_EVERY);
    return () => {
      ended = true;
      clearInterval(timer);
    };
  }, []);
  return {
    newer,
    take: () => {
      asked.current = true;
      box.current?.messageSkipWaiting();
    },
  };
}

/** Offers a newer version; it replaces this one when it is asked to, and after all is saved. */
export function UpdateNotice() {
  const store = useStore();
  const { newer, take } = useOwnCopy();
  const [later, setLater] = useState<Newer>('none');
  if (newer === 'none' || newer === later) return null;
  const change = async () => {
    await store.saveNow();
    if (store.unsaved) {
      toast.error(say.savedFirst);
      return;
    }
    if (newer === 'replaced') window.location.reload();
    else take();
  };
  return (
    <div className="mb-3" data-testid="update">
      <Notice grave={false}>
        <span>{newer === 'waiting' ? say.newerVersion : say.newerElsewhere}</span>
        <span className="flex gap-2">
          <button type="button" className="btn btn-main" onClick={() => void change()}>
            {newer === 'waiting' ? 'Update' : 'Reload'}
          </button>
          <button type="button" className="btn" onClick={() => setLater(newer)}>
            Later
          </button>
        </span>
      </Notice>
    </div>
  );
}
