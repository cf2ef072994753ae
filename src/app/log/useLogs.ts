import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { RawLog } from '../../core';
import type { Setup } from '../../project';
import { browserLogStore, keepLog, type LogEntry, listLogs, openKeptLog } from '../../storage';
import type { Analysed, TakenLog } from '../../workers';
import { useBackground, useSetup } from '../state/context';

export const logStore = browserLogStore();
const LIST = ['logs'];

/** Logs kept in this browser, newest first. */
export function useLogs() {
  return useQuery({ queryKey: LIST, queryFn: () => listLogs(logStore) });
}

/** Looks at the kept logs anew. */
export function useRefreshLogs() {
  const client = useQueryClient();
  return () => client.invalidateQueries({ queryKey: LIST });
}

/** The log that is open: the one the address names, else the newest. */
export function useOpenLog(): {
  readonly entry: LogEntry | null;
  readonly pending: boolean;
  readonly missing: string | null;
} {
  const logs = useLogs();
  const [search] = useSearchParams();
  const wanted = search.get('log');
  const entry = logs.data?.find((e) => (wanted ? e.id === wanted : true)) ?? null;
  return { entry, pending: logs.isPending, missing: wanted && logs.data && !entry ? wanted : null };
}

/** A log of this session's page is not read from the store again. */
const memory = new Map<string, RawLog>();

/** Puts a log that was read into the browser's storage. */
export async function keep(
  name: string,
  source: string,
  read: TakenLog,
  id: string = crypto.randomUUID(),
): Promise<LogEntry> {
  const { time, channels } = read.raw;
  const entry: LogEntry = {
    id,
    name: name.slice(0, 80),
    source,
    added: new Date().toISOString(),
    samples: time.length,
    duration: time[time.length - 1] - time[0],
    channels: Object.keys(channels),
    notes: read.notes,
    found: read.found,
    lineOf: read.lineOf,
  };
  memory.clear();
  memory.set(id, read.raw);
  await keepLog(logStore, entry, read.raw);
  return entry;
}

/** The values of a kept log. @throws Error in words when they are gone */
export async function valuesOf(id: string): Promise<RawLog> {
  const known = memory.get(id);
  if (known) return known;
  const raw = await openKeptLog(logStore, id);
  if (!raw) throw new Error('The values of this log are not in the browser’s storage any more.');
  memory.clear();
  memory.set(id, raw);
  return raw;
}

/** The worker's calls for a log; it is given the log when it does not hold it. */
export function useLogEngine() {
  const { files } = useBackground();
  return useMemo(() => {
    type Remote = Parameters<Parameters<typeof files.call>[0]>[0];
    const holding = async <T>(id: string, use: (remote: Remote) => Promise<T>): Promise<T> => {
      try {
        return await files.call(use);
      } catch (error) {
        if (!/not open any more/.test((error as Error).message)) throw error;
        const raw = await valuesOf(id);
        await files.call((remote) => remote.hold(id, raw) as Promise<void>);
        return files.call(use);
      }
    };
    return {
      analyse: (id: string, setup: Setup) =>
        holding(id, (remote) => remote.analyse(id, setup, false) as Promise<Analysed>),
      fit: (id: string, setup: Setup, lap: number) => holding(id, (remote) => remote.fit(id, setup, lap)),
    };
  }, [files]);
}

/** The open log laid over the selected plan. */
export function useAnalysis(id: string) {
  const setup = useSetup();
  const engine = useLogEngine();
  return useQuery({
    queryKey: ['log', id, JSON.stringify(setup)],
    queryFn: async () => (await engine.analyse(id, setup)).analysis,
  });
}
