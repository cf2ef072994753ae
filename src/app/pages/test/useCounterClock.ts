import { useEffect, useState } from 'react';

const KEY = 'fervent-kettle-counter';

/** When a run's first stop was tapped, ms since 1970; null where none was in this browser. */
function begun(run: string): number | null {
  try {
    const [id, at] = (localStorage.getItem(KEY) ?? '').split(' ');
    return id === run && Number(at) > 0 ? Number(at) : null;
  } catch {
    return null;
  }
}

/** The clock of a run: it goes on while the page is closed. */
export function useCounterClock(run: string): {
  readonly running: boolean;
  /** s, as it is shown */
  readonly seconds: number;
  /** s, at this moment */
  readonly now: () => number;
  readonly start: () => void;
  readonly stop: () => void;
} {
  const [at, setAt] = useState(() => begun(run));
  const [tick, setTick] = useState(() => Date.now());
  useEffect(() => {
    if (at === null) return;
    const timer = setInterval(() => setTick(Date.now()), 250);
    return () => clearInterval(timer);
  }, [at]);
  const keep = (value: number | null) => {
    try {
      if (value === null) localStorage.removeItem(KEY);
      else localStorage.setItem(KEY, `${run} ${value}`);
    } catch {
      // Counted for this visit only.
    }
    setAt(value);
    setTick(Date.now());
  };
  return {
    running: at !== null,
    seconds: at === null ? 0 : Math.max(0, (tick - at) / 1000),
    now: () => (at === null ? 0 : Math.max(0, (Date.now() - at) / 1000)),
    start: () => keep(Date.now()),
    stop: () => keep(null),
  };
}
