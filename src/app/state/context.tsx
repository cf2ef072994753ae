import { createContext, type ReactNode, useContext, useMemo, useSyncExternalStore } from 'react';
import { type Project, type Setup, setupOf } from '../../project';
import { EngineClient } from '../../workers';
import type { ProjectState, ProjectStore } from './projectStore';

const StoreContext = createContext<ProjectStore | null>(null);
const EngineContext = createContext<EngineClient | null>(null);

/** Gives the whole page its project and its engine. */
export function Providers({ store, children }: { store: ProjectStore; children: ReactNode }) {
  const engine = useMemo(() => new EngineClient(), []);
  return (
    <StoreContext value={store}>
      <EngineContext value={engine}>{children}</EngineContext>
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
  const { car, circuit, plan } = setupOf(project);
  return useMemo(() => ({ car, circuit, plan }), [car, circuit, plan]);
}
