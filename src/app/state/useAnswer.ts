import { hashKey, keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { CrewProgress } from '../../compute';

/** A long question as a page shows it. */
export interface Answer<T> {
  /** The newest answer there is; while a newer question runs, the one before */
  readonly data: T | undefined;
  /** Whether `data` belongs to an older question */
  readonly behind: boolean;
  readonly running: boolean;
  /** False while it is still being waited for the question to settle: nothing can be cancelled yet */
  readonly asked: boolean;
  readonly cancelled: boolean;
  readonly error: Error | null;
  readonly progress: CrewProgress | null;
  readonly again: () => void;
  readonly cancel: () => void;
}

/**
 * Asks a worker something that takes a while, when the question changes; it can be cancelled and asked again.
 * @param question all that the answer depends on; null waits
 */
export function useAnswer<T>(
  question: readonly unknown[] | null,
  ask: (signal: AbortSignal, report: (progress: CrewProgress) => void) => Promise<T>,
): Answer<T> {
  const client = useQueryClient();
  const key = question ? hashKey(question) : null;
  const [cancelled, setCancelled] = useState<string | null>(null);
  const [progress, setProgress] = useState<{ key: string; is: CrewProgress } | null>(null);
  const queryKey = question ?? ['waiting'];
  const query = useQuery<T>({
    queryKey,
    enabled: key !== null && cancelled !== key,
    queryFn: ({ signal }) =>
      ask(
        signal,
        nowAndThen((is) => setProgress({ key: key ?? '', is })),
      ),
    placeholderData: keepPreviousData,
  });
  // Drawn in pieces, so that a page full of charts does not stall what is being typed.
  const data = useDeferredValue(query.data);
  const stopped =
    key !== null && cancelled === key && !(query.data !== undefined && !query.isPlaceholderData);
  return {
    data,
    behind: query.isPlaceholderData,
    running: key === null || (query.isFetching && !stopped),
    asked: key !== null,
    cancelled: stopped,
    error: query.isError ? query.error : null,
    progress: progress && progress.key === key && query.isFetching ? progress.is : null,
    again: () => {
      setCancelled(null);
      setProgress(null);
      if (cancelled !== key) void query.refetch();
    },
    cancel: () => {
      setCancelled(key);
      void client.cancelQueries({ queryKey });
    },
  };
}

/** Least time between two reports of progress, ms: drawing one takes time from what it reports. */
const NOW_AND_THEN = 250;

/** Passes on progress that comes after a while, and that which says that all is done. */
export function nowAndThen(report: (progress: CrewProgress) => void): (progress: CrewProgress) => void {
  let last = Number.NEGATIVE_INFINITY;
  return (progress) => {
    const now = performance.now();
    if (progress.done < progress.all && now - last < NOW_AND_THEN) return;
    last = now;
    report(progress);
  };
}
