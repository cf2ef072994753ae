import { useEffect, useState } from 'react';

/**
 * A value once it has not changed for a while, null until then. What is computed for an older one is no longer asked for
 * at once, so that it does not slow what is being moved.
 * @param quiet ms
 */
export function useSettled<T>(value: T, quiet: number): T | null {
  const [settled, setSettled] = useState<T | null>(null);
  useEffect(() => {
    setSettled(null);
    const timer = setTimeout(() => setSettled(value), quiet);
    return () => clearTimeout(timer);
  }, [value, quiet]);
  return settled;
}
