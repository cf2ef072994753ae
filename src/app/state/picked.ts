import { useCallback, useSyncExternalStore } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSetup } from './context';
import type { Selection } from './selection';

/** What has been picked so far of one plan's day. */
type Picked = Partial<Selection>;
const NOTHING: Picked = {};
let kept: { readonly plan: string; readonly picked: Picked } = { plan: '', picked: NOTHING };
const listeners = new Set<() => void>();

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What is picked of the plan on the workbench, on whatever page it was picked; another plan starts with nothing picked. */
export function usePicked(): [Picked, (picked: Picked) => void] {
  const { plan } = useSetup();
  const picked = useSyncExternalStore(listen, () => (kept.plan === plan.id ? kept.picked : NOTHING));
  const pick = useCallback(
    (next: Picked) => {
      const before = kept.plan === plan.id ? kept.picked : NOTHING;
      kept = { plan: plan.id, picked: { ...before, ...next } };
      for (const listener of listeners) listener();
    },
    [plan.id],
  );
  return [picked, pick];
}

/**
 * The picked braking zone of a lap, and how to pick another; the keys comma and period step through them.
 * @param zones of the lap
 */
export function usePickedZone(zones: number): [number | null, (zone: number) => void] {
  const [picked, pick] = usePicked();
  const zone = picked.zone !== undefined && picked.zone < zones ? picked.zone : null;
  const step = (by: 1 | -1) => {
    if (zones > 0) pick({ zone: zone === null ? (by === 1 ? 0 : zones - 1) : (zone + by + zones) % zones });
  };
  useHotkeys('period', () => step(1), [zone, zones]);
  useHotkeys('comma', () => step(-1), [zone, zones]);
  return [zone, useCallback((next: number) => pick({ zone: next }), [pick])];
}
