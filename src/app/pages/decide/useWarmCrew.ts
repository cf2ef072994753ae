import { useEffect } from 'react';
import type { Crew } from '../../../compute';
import type { Setup } from '../../../model';
import { useBackground } from '../../state/context';
import type { UncertainState } from './useUncertain';

/** Days that a worker drives until most of its program is compiled. */
const WARMING = 10;
/** Workers that are got ready at most: each takes its memory. */
const READY = 4;
/** How long the page is at rest before, ms. */
const REST = 800;

/** Crews that are ready, or at work already. */
const warm = new WeakSet<Crew>();

/**
 * Gets some of the crew ready for a setup's uncertain runs while nothing is asked of it: the first ones take no longer then.
 * @param state of the runs
 */
export function useWarmCrew(setup: Setup, state: UncertainState['kind']): void {
  const { crew } = useBackground();
  // biome-ignore lint/correctness/useExhaustiveDependencies: any setup will do
  useEffect(() => {
    if (state === 'running') warm.add(crew);
    if (state !== 'idle' || warm.has(crew)) return;
    const control = new AbortController();
    const timer = setTimeout(() => {
      // What goes wrong is said once it is asked for.
      driveSome(crew, setup, control.signal).then(
        () => warm.add(crew),
        () => {},
      );
    }, REST);
    return () => {
      clearTimeout(timer);
      control.abort();
    };
  }, [state, crew]);
}

/** Each day is a job, so that what is asked meanwhile waits for no more than one. */
async function driveSome(crew: Crew, setup: Setup, signal: AbortSignal): Promise<void> {
  const { plan } = setup;
  const single = (seed: number): Setup => ({
    ...setup,
    plan: { ...plan, uncertain: { ...plan.uncertain, runs: 1, seed } },
  });
  const workers = Math.min(crew.size, READY);
  await crew.run(
    Array.from({ length: WARMING * workers }, (_, k) => single(k + 1)),
    (remote, one) => remote.uncertainPiece(one, 0) as Promise<Float32Array>,
    { signal, workers },
  );
}
