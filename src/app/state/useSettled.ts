import { useEffect, useRef, useState } from 'react';

/**
 * A value once it has not changed for a while, null until then. What is computed for an older one is no longer asked for
 * at once, so that it does not slow what is being moved.
 * @param quiet ms
 * @param options.atOnce whether the first value counts as settled: where nothing is moved on the page, or drawn first
 */
export function useSettled<T>(value: T, quiet: number, { atOnce = false } = {}): T | null {
  const [settled, setSettled] = useState<T | null>(() => (atOnce ? value : null));
  const first = useRef(atOnce ? value : null);
  useEffect(() => {
    if (first.current === value) return;
    first.current = null;
    setSettled(null);
    const timer = setTimeout(() => setSettled(value), quiet);
    return () => clearTimeout(timer);
  }, [value, quiet]);
  return settled;
}
