import { useEffect, useState } from 'react';

const KEY = 'fervent-kettle-stopped-at';

/** When each drive's car stopped, ms: a page that is closed in the pit lane loses no second. */
const stopped = (drive: string): number | null => {
  try {
    const [id, at] = (sessionStorage.getItem(KEY) ?? '').split(' ');
    return id === drive && Number(at) > 0 ? Number(at) : null;
  } catch {
    return null;
  }
};

/** Seconds since the car of a drive stopped; null while nobody has said that it did. */
export function useStopwatch(drive: string): {
  readonly seconds: number | null;
  readonly start: () => void;
  readonly stop: () => void;
} {
  const [at, setAt] = useState(() => stopped(drive));
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (at === null) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [at]);
  const keep = (value: number | null) => {
    try {
      if (value === null) sessionStorage.removeItem(KEY);
      else sessionStorage.setItem(KEY, `${drive} ${value}`);
    } catch {
      // Counted for this visit only.
    }
    setAt(value);
    setNow(Date.now());
  };
  return {
    seconds: at === null ? null : Math.max(0, Math.round((now - at) / 1000)),
    start: () => keep(Date.now()),
    stop: () => keep(null),
  };
}
