import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { QUESTION } from '../../compute';
import { browserLogStore, type LogEntry, listLogs } from '../../storage';
import { useBackground, useSetup } from './context';

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

/** The open log laid over the selected plan. */
export function useAnalysis(id: string) {
  const { files } = useBackground();
  const setup = useSetup();
  return useQuery({
    queryKey: QUESTION.log(setup, id),
    queryFn: () => files.call((remote) => remote.analyse(id, setup)),
  });
}
