import { useMemo } from 'react';
import { QUESTION } from '../../compute';
import type { Car, LogEntry, Setup, StoredLoad } from '../../model';
import { entriesOf, type Loads, type SetWear, setsWear, setupOfSession } from '../../services';
import { useBackground, useProject, useSetup } from '../state/context';
import { type Answer, useAnswer } from '../state/useAnswer';

/** What is kept of the selected plan's car. */
export interface Kept {
  readonly car: Car;
  /** The oldest first */
  readonly entries: readonly LogEntry[];
  /** What sessions took that were not computed when they were written down */
  readonly loads: Loads;
  readonly wear: readonly SetWear[];
  readonly answer: Answer<readonly StoredLoad[]>;
}

/** Drives setups on the crew, one a job; the same days are driven once. */
export function useLoads(setups: readonly Setup[]): Answer<readonly StoredLoad[]> {
  const { crew } = useBackground();
  return useAnswer<readonly StoredLoad[]>(QUESTION.loads(setups), (signal, report) =>
    crew.run(setups, (engine, setup) => engine.load(setup) as Promise<StoredLoad>, {
      signal,
      onDone: (_, _index, progress) => report(progress),
    }),
  );
}

export function useKept(): Kept {
  const project = useProject();
  const { car } = useSetup();
  const entries = useMemo(() => entriesOf(project, car.id), [project, car.id]);
  const asked = useMemo(
    () =>
      entries.flatMap((entry) => {
        if (entry.kind !== 'session' || entry.load !== null) return [];
        const setup = setupOfSession(project, entry);
        return setup ? [{ id: entry.id, setup }] : [];
      }),
    [project, entries],
  );
  const answer = useLoads(useMemo(() => asked.map(({ setup }) => setup), [asked]));
  const { data, behind } = answer;
  const loads = useMemo((): Loads => {
    if (!data || behind || data.length !== asked.length) return new Map();
    return new Map(asked.map(({ id }, i) => [id, data[i]]));
  }, [asked, data, behind]);
  const wear = useMemo(() => setsWear(project, car.id, loads), [project, car.id, loads]);
  return { car, entries, loads, wear, answer };
}
