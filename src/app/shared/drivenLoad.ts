import type { Remote } from 'comlink';
import type { Engine } from '../../compute';
import type { LoadBy, Setup, StoredLoad } from '../../model';
import { setupOfSession } from '../../services';
import type { useBackground } from '../state/context';

/** A session that was driven. */
export interface DrivenSession {
  readonly setup: Setup;
  /** Id of the kept log it was recorded by; null for none */
  readonly log: string | null;
}

/** What it took of the brakes, and whether its own log told. */
export interface DrivenLoad {
  readonly load: StoredLoad;
  readonly by: LoadBy;
}

/** The setup and log of a line of the logbook; null where its car, circuit or plan are gone. */
export function drivenSession(...[project, entry]: Parameters<typeof setupOfSession>): DrivenSession | null {
  const setup = setupOfSession(project, entry);
  return setup && { setup, log: entry.log?.id ?? null };
}

/** Drives a session as its log has it; one without a log, or whose log is not in this browser, by the plan's laps. */
export async function drivenLoad(
  files: ReturnType<typeof useBackground>['files'],
  engine: Remote<Engine>,
  { setup, log }: DrivenSession,
  signal?: AbortSignal,
): Promise<DrivenLoad> {
  const reading = log === null ? null : files.call((remote) => remote.loggedDay(log, setup), signal);
  const day = await reading?.catch((error: unknown) => {
    if (signal?.aborted) throw error;
    return null;
  });
  return day
    ? { load: await engine.loadOfDay(day), by: 'log' }
    : { load: await engine.load(setup), by: 'laps' };
}
