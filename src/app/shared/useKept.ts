import { useMemo } from 'react';
import { QUESTION } from '../../compute';
import type { Car, LogEntry, Setup, StoredLoad } from '../../model';
import { entriesOf, type Loads, type SetWear, setsWear } from '../../services';
import { useBackground, useProject, useSetup } from '../state/context';
import { type Answer, useAnswer } from '../state/useAnswer';
import { type DrivenLoad, drivenLoad, drivenSession } from './drivenLoad';

/** What is kept of the selected plan's car. */
export interface Kept {
  readonly car: Car;
  /** The oldest first */
  readonly entries: readonly LogEntry[];
  /** What sessions took that were not computed when they were written down */
  readonly loads: Loads;
  /** Those of them that went by their own log's speeds */
  readonly byLog: ReadonlySet<string>;
  readonly wear: readonly SetWear[];
  readonly answer: Answer<readonly DrivenLoad[]>;
}

/** Drives setups, one a job; the same days are driven once. */
export function useLoads(setups: readonly Setup[]): Answer<readonly StoredLoad[]> {
  const { tries } = useBackground();
  return useAnswer<readonly StoredLoad[]>(QUESTION.loads(setups), (signal, report) =>
    tries.run(setups, (engine, setup) => engine.load(setup) as Promise<StoredLoad>, {
      signal,
      onDone: (_, _index, progress) => report(progress),
    }),
  );
}

export function useKept(): Kept {
  const project = useProject();
  const { car } = useSetup();
  const entries = useMemo(() => entriesOf(project, car.id), [project, car.id]);
  const { crew, files } = useBackground();
  const asked = useMemo(
    () =>
      entries.flatMap((entry) => {
        if (entry.kind !== 'session' || entry.load !== null) return [];
        const session = drivenSession(project, entry);
        return session ? [{ id: entry.id, session }] : [];
      }),
    [project, entries],
  );
  const sessions = useMemo(() => asked.map(({ session }) => session), [asked]);
  const answer = useAnswer<readonly DrivenLoad[]>(QUESTION.driven(sessions), (signal, report) =>
    crew.run(sessions, (engine, session) => drivenLoad(files, engine, session, signal), {
      signal,
      onDone: (_, _index, progress) => report(progress),
    }),
  );
  const { data, behind } = answer;
  const known = !behind && data?.length === asked.length ? data : null;
  const loads = useMemo(
    (): Loads => new Map(known ? asked.map(({ id }, i) => [id, known[i].load]) : []),
    [asked, known],
  );
  const byLog = useMemo(
    () => new Set(known ? asked.flatMap(({ id }, i) => (known[i].by === 'log' ? [id] : [])) : []),
    [asked, known],
  );
  const wear = useMemo(() => setsWear(project, car.id, loads), [project, car.id, loads]);
  return { car, entries, loads, byLog, wear, answer };
}
