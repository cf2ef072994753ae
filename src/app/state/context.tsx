import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createContext, type ReactNode, useContext, useMemo, useSyncExternalStore } from 'react';
import {
  Crew,
  createEngineWorker,
  createFileWorker,
  createSeasonWorker,
  Days,
  EngineClient,
  type FilesEngine,
  Judging,
  type SeasonEngine,
  TRIED,
} from '../../compute';
import { type Project, type Setup, setupOf } from '../../model';
import { untilStill } from './moving';
import type { ProjectState } from './projectState';
import type { ProjectStore } from './projectStore';

const StoreContext = createContext<ProjectStore | null>(null);
const EngineContext = createContext<EngineClient | null>(null);
/** Computations beside the verdict, each with a worker of its own. */
export interface Background {
  readonly band: EngineClient;
  readonly outlook: EngineClient;
  readonly sides: EngineClient;
  /** One long question at a time */
  readonly decide: EngineClient;
  /** Many short ones at once, on all cores */
  readonly crew: Crew;
  /** Reads files and holds the open log; a day's log takes a while */
  readonly files: EngineClient<FilesEngine>;
  /** Spreads sets over a season */
  readonly season: EngineClient<SeasonEngine>;
}
const DaysContext = createContext<Days | null>(null);
const BackgroundContext = createContext<Background | null>(null);

/** A second worker for what is left of a day with less cooling; null where there is no core for it. */
const anotherEngine = () => (navigator.hardwareConcurrency > 1 ? new EngineClient(createEngineWorker) : null);

/** Gives the whole page its project and its engine. */
export function Providers({ store, children }: { store: ProjectStore; children: ReactNode }) {
  const engine = useMemo(() => new EngineClient(createEngineWorker), []);
  // Long computations have workers of their own, so that a moving control never waits for them.
  const background = useMemo(
    () => ({
      band: new EngineClient(createEngineWorker),
      outlook: new EngineClient(createEngineWorker, 120_000),
      sides: new EngineClient(createEngineWorker),
      decide: new EngineClient(createEngineWorker, 300_000),
      crew: new Crew(Math.max(1, Math.min(16, navigator.hardwareConcurrency || 1)), { still: untilStill }),
      files: new EngineClient<FilesEngine>(createFileWorker, 600_000),
      season: new EngineClient<SeasonEngine>(createSeasonWorker, 120_000),
    }),
    [],
  );
  // Answers come from the worker: never stale, not worth asking twice, and too large to keep for long.
  const queries = useMemo(() => {
    const client = new QueryClient({
      defaultOptions: {
        queries: {
          retry: false,
          staleTime: Number.POSITIVE_INFINITY,
          gcTime: 30_000,
          networkMode: 'always',
          structuralSharing: false,
        },
      },
    });
    // Sums of days are small, and asked for from one page after another.
    client.setQueryDefaults(TRIED, { gcTime: 600_000 });
    return client;
  }, []);
  const days = useMemo(() => new Days(new Judging(engine, anotherEngine()), queries), [engine, queries]);
  return (
    <StoreContext value={store}>
      <EngineContext value={engine}>
        <BackgroundContext value={background}>
          <DaysContext value={days}>
            <QueryClientProvider client={queries}>{children}</QueryClientProvider>
          </DaysContext>
        </BackgroundContext>
      </EngineContext>
    </StoreContext>
  );
}

export function useStore(): ProjectStore {
  const store = useContext(StoreContext);
  if (!store) throw new Error('useStore: no Providers above');
  return store;
}

export function useEngine(): EngineClient {
  const engine = useContext(EngineContext);
  if (!engine) throw new Error('useEngine: no Providers above');
  return engine;
}

/** The days of the selected plan, each computed once. */
export function useDays(): Days {
  const days = useContext(DaysContext);
  if (!days) throw new Error('useDays: no Providers above');
  return days;
}

/** The workers for what is computed beside the verdict. */
export function useBackground(): Background {
  const engine = useContext(BackgroundContext);
  if (!engine) throw new Error('useBackground: no Providers above');
  return engine;
}

export function useProjectState(): ProjectState {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, store.getState);
}

export function useProject(): Project {
  return useProjectState().history.value;
}

/** Car, circuit and plan that are selected; the same object while none of them changes. */
export function useSetup(): Setup {
  const project = useProject();
  const { car, circuit, plan, parts, begun, calibration } = setupOf(project);
  return useMemo(
    () => ({ car, circuit, plan, parts, begun, calibration }),
    [car, circuit, plan, parts, begun, calibration],
  );
}
