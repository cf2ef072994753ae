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
import { untilDrawn, untilStill } from './moving';
import type { ProjectState } from './projectState';
import type { ProjectStore } from './projectStore';

const StoreContext = createContext<ProjectStore | null>(null);
const EngineContext = createContext<EngineClient | null>(null);
/** Computations beside the verdict. */
export interface Background {
  /**
   * Single days, on all cores, by the workers that drive the page's own among others: a worker needs some twenty days
   * until its program is compiled, and whatever is driven counts
   */
  readonly tries: Crew;
  /** One long question at a time, with a worker of its own: it is ended with it */
  readonly outlook: EngineClient;
  /** The same */
  readonly decide: EngineClient;
  /** Much at once, on all cores, by workers of its own: no day waits for a job of theirs */
  readonly crew: Crew;
  /** Reads files and holds the open log; a day's log takes a while */
  readonly files: EngineClient<FilesEngine>;
  /** Spreads sets over a season */
  readonly season: EngineClient<SeasonEngine>;
}
const DaysContext = createContext<Days | null>(null);
const BackgroundContext = createContext<Background | null>(null);
const SetupContext = createContext<Setup | null>(null);

/** Workers that are worth having at once. */
const cores = () => Math.max(1, Math.min(16, navigator.hardwareConcurrency || 1));

/** Gives the whole page its project and its engine. */
export function Providers({ store, children }: { store: ProjectStore; children: ReactNode }) {
  const engine = useMemo(() => new EngineClient(createEngineWorker), []);
  // A second one for what is left of a day with less cooling, where there is a core for it.
  const another = useMemo(() => (cores() > 1 ? new EngineClient(createEngineWorker) : null), []);
  const background = useMemo(() => {
    const many = Array.from({ length: cores() }, () => new EngineClient(createEngineWorker, 120_000));
    const own = another ? [engine, another] : [engine];
    return {
      tries: new Crew(cores(), { members: [...own, ...many.slice(own.length)], still: untilStill }),
      outlook: new EngineClient(createEngineWorker, 120_000),
      decide: new EngineClient(createEngineWorker, 300_000),
      crew: new Crew(cores(), { members: many, still: untilStill }),
      files: new EngineClient<FilesEngine>(createFileWorker, 600_000),
      season: new EngineClient<SeasonEngine>(createSeasonWorker, 120_000),
    };
  }, [engine, another]);
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
  const days = useMemo(
    () => new Days(new Judging(engine, another, { still: untilStill }), queries, untilDrawn),
    [engine, another, queries],
  );
  return (
    <StoreContext value={store}>
      <EngineContext value={engine}>
        <BackgroundContext value={background}>
          <DaysContext value={days}>
            <QueryClientProvider client={queries}>
              <OneSetup>{children}</OneSetup>
            </QueryClientProvider>
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

/**
 * Gives all parts of the page one setup object while nothing in it changes: whether what is shown is what was asked for
 * is told by it.
 */
function OneSetup({ children }: { children: ReactNode }) {
  const { car, circuit, plan, parts, begun, calibration } = setupOf(useProject());
  const setup = useMemo(
    () => ({ car, circuit, plan, parts, begun, calibration }),
    [car, circuit, plan, parts, begun, calibration],
  );
  return <SetupContext value={setup}>{children}</SetupContext>;
}

/** Car, circuit and plan that are selected; the same object for the whole page while none of them changes. */
export function useSetup(): Setup {
  const setup = useContext(SetupContext);
  if (!setup) throw new Error('useSetup: no Providers above');
  return setup;
}
