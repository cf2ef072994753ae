import { hashKey } from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { CancelledError, QUESTION } from '../../../compute';
import type { RunStatistics } from '../../../core';
import type { Setup } from '../../../model';
import { pieceCount } from '../../../services';
import { beginWork, browserRunStore, forgetWork, keepPiece, keptPieces } from '../../../storage';
import { useBackground } from '../../state/context';
import { nowAndThen } from '../../state/useAnswer';
import { useLatest } from '../../ui/useLatest';

/** What is being done about the uncertain runs of a setup. */
export type UncertainState =
  | { readonly kind: 'looking' }
  /** Nothing runs; some pieces may be kept from before */
  | { readonly kind: 'idle'; readonly kept: number; readonly cancelled: boolean }
  | { readonly kind: 'running'; readonly done: number }
  | { readonly kind: 'failed'; readonly message: string; readonly kept: number }
  | {
      readonly kind: 'done';
      readonly statistics: RunStatistics;
      readonly setup: Setup;
      readonly seconds: number | null;
    };

const store = browserRunStore();

/** Raised whenever what is kept of a run changes its meaning or its numbers, so that older pieces are no answer. */
const RUN_FORMAT = 3;

/** All that uncertain runs depend on, as text. */
const askedOf = (setup: Setup): string => hashKey([RUN_FORMAT, ...QUESTION.uncertain(setup)]);

/**
 * Uncertain runs of a setup on all cores. Finished pieces are kept in the browser, so that what was cancelled, or cut off
 * by a closed page or a dead worker, goes on where it was.
 */
export function useUncertain(setup: Setup) {
  const { crew } = useBackground();
  const asked = askedOf(setup);
  const pieces = pieceCount(setup);
  const { now, say } = useStateOf(asked);
  const controller = useRef<AbortController | null>(null);
  const finish = useCallback(
    async (of: string, wanted: Setup, all: readonly Float32Array[], seconds: number | null) => {
      const statistics = await crew.ask(
        (remote) => remote.uncertainStatistics(wanted, all) as Promise<RunStatistics>,
      );
      say(of, { kind: 'done', statistics, setup: wanted, seconds });
    },
    [crew, say],
  );

  const look = useCallback(async () => {
    // A store that cannot be read keeps nothing; the runs can be made all the same.
    const found = await keptPieces(store, asked, pieces).catch(() => []);
    const kept = found.flatMap((piece) => (piece === null ? [] : [piece]));
    if (kept.length === pieces) await finish(asked, setup, kept, null);
    else say(asked, { kind: 'idle', kept: kept.length, cancelled: false });
  }, [asked, pieces, setup, finish, say]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another question, not another object, looks anew
  useEffect(() => {
    controller.current?.abort();
    controller.current = null;
    say(asked, { kind: 'looking' });
    const idle = () => say(asked, { kind: 'idle', kept: 0, cancelled: false });
    const timer = setTimeout(() => void look().catch(idle), 200);
    return () => clearTimeout(timer);
  }, [asked]);
  useEffect(() => () => controller.current?.abort(), []);

  const run = useCallback(
    async (workers: number) => {
      controller.current?.abort();
      const control = new AbortController();
      controller.current = control;
      const begun = performance.now();
      const tell = nowAndThen(({ done }) => say(asked, { kind: 'running', done }));
      const made = await makePieces(
        (piece, options) =>
          crew.run(piece, (remote, k) => remote.uncertainPiece(setup, k) as Promise<Float32Array>, options),
        { asked, pieces, workers, signal: control.signal },
        (done) => {
          if (!control.signal.aborted) tell({ done, all: pieces });
          // A piece that was under way when the rest was cancelled is kept too.
          else if (controller.current === control) say(asked, { kind: 'idle', kept: done, cancelled: true });
        },
      );
      if (made.error) {
        const { kept, error } = made;
        if (error instanceof CancelledError || control.signal.aborted)
          say(asked, { kind: 'idle', kept, cancelled: true });
        else say(asked, { kind: 'failed', message: error.message, kept });
        return;
      }
      const seconds = made.found === 0 ? (performance.now() - begun) / 1000 : null;
      await finish(asked, setup, made.results, seconds).catch((error: Error) =>
        say(asked, { kind: 'failed', message: error.message, kept: pieces }),
      );
    },
    [asked, pieces, setup, crew, say, finish],
  );

  const cancel = useCallback(() => controller.current?.abort(), []);
  const forget = useCallback(async () => {
    await forgetWork(store).catch(() => {});
    say(asked, { kind: 'idle', kept: 0, cancelled: false });
  }, [asked, say]);

  return { state: now, pieces, run, cancel, forget };
}

/** The state of what is asked now; news of what was asked before are dropped. */
function useStateOf(asked: string) {
  const [state, setState] = useState<UncertainState & { readonly of: string }>({
    kind: 'looking',
    of: asked,
  });
  const latest = useLatest(asked);
  const say = useCallback(
    (of: string, next: UncertainState) => {
      // What has been changed meanwhile is no longer asked for.
      if (latest.current !== of) return;
      // Results are drawn in pieces, so that the page stays smooth.
      if (next.kind === 'done') startTransition(() => setState({ ...next, of }));
      else setState({ ...next, of });
    },
    [latest],
  );

  const now: UncertainState = state.of === asked ? state : { kind: 'looking' };
  return { now, say };
}

/** Runs some pieces on the workers, and tells of each as it is done. */
type RunPieces = (
  pieces: readonly number[],
  options: {
    signal: AbortSignal;
    workers: number;
    onDone: (values: Float32Array, index: number) => void;
  },
) => Promise<unknown>;

/** All pieces of a run: those kept from before and the rest anew, each kept as it is done. */
async function makePieces(
  runPieces: RunPieces,
  { asked, pieces, workers, signal }: { asked: string; pieces: number; workers: number; signal: AbortSignal },
  onProgress: (done: number) => void,
): Promise<
  | { readonly error: null; readonly results: readonly Float32Array[]; readonly found: number }
  | { readonly error: Error; readonly kept: number }
> {
  const results: (Float32Array | null)[] = Array(pieces).fill(null);
  const count = () => results.filter((piece) => piece !== null).length;
  let started: string | null = null;
  try {
    const found = await keptPieces(store, asked, pieces);
    found.forEach((piece, i) => {
      results[i] = piece;
    });
    started = await beginWork(store, asked, pieces);
  } catch {
    // Without a store the runs are made in one go.
  }
  const open = results.flatMap((piece, i) => (piece === null ? [i] : []));
  const found = count();
  onProgress(found);
  // No worker waits for the store.
  const writing: Promise<void>[] = [];
  try {
    await runPieces(open, {
      signal,
      workers,
      onDone: (values, index) => {
        const piece = open[index];
        results[piece] = values;
        onProgress(count());
        if (started) writing.push(keepPiece(store, started, piece, values).catch(() => {}));
      },
    });
  } catch (error) {
    return { error: error as Error, kept: count() };
  } finally {
    await Promise.all(writing);
  }
  return { error: null, results: results as Float32Array[], found };
}
