import { hashKey } from '@tanstack/react-query';
import { startTransition, useCallback, useEffect, useRef, useState } from 'react';
import { CancelledError, QUESTION } from '../../../compute';
import type { RunStatistics } from '../../../core';
import type { Setup } from '../../../model';
import { pieceCount } from '../../../services';
import { beginWork, browserRunStore, forgetWork, keepPiece, keptPieces } from '../../../storage';
import { useBackground } from '../../state/context';
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

/** Raised whenever what is kept of a run changes its meaning, so that older pieces are no answer. */
const RUN_FORMAT = 2;

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
  const [state, setState] = useState<UncertainState & { readonly of: string }>({
    kind: 'looking',
    of: asked,
  });
  const controller = useRef<AbortController | null>(null);
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

  const finish = useCallback(
    async (of: string, wanted: Setup, all: readonly Float32Array[], seconds: number | null) => {
      const [statistics] = await crew.run(
        [all],
        (remote, list) => remote.uncertainStatistics(wanted, list) as Promise<RunStatistics>,
        {},
      );
      say(of, { kind: 'done', statistics, setup: wanted, seconds });
    },
    [crew, say],
  );

  // biome-ignore lint/correctness/useExhaustiveDependencies: another question, not another object, looks anew
  useEffect(() => {
    controller.current?.abort();
    controller.current = null;
    setState({ kind: 'looking', of: asked });
    const timer = setTimeout(() => {
      keptPieces(store, asked, pieces)
        .then(async (found) => {
          const kept = found.filter((piece) => piece !== null);
          if (kept.length === pieces) await finish(asked, setup, kept, null);
          else say(asked, { kind: 'idle', kept: kept.length, cancelled: false });
        })
        // A store that cannot be read keeps nothing; the runs can be made all the same.
        .catch(() => say(asked, { kind: 'idle', kept: 0, cancelled: false }));
    }, 200);
    return () => clearTimeout(timer);
  }, [asked]);
  useEffect(() => () => controller.current?.abort(), []);

  const run = useCallback(
    async (workers: number) => {
      controller.current?.abort();
      const control = new AbortController();
      controller.current = control;
      const { signal } = control;
      const begun = performance.now();
      const results: (Float32Array | null)[] = Array(pieces).fill(null);
      let started: string | null = null;
      try {
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
        let done = pieces - open.length;
        const before = done;
        say(asked, { kind: 'running', done });
        await crew.run(
          open,
          (remote, piece) => remote.uncertainPiece(setup, piece) as Promise<Float32Array>,
          {
            signal,
            workers,
            onDone: async (values, index) => {
              const piece = open[index];
              results[piece] = values;
              done += 1;
              say(asked, { kind: 'running', done });
              if (started) await keepPiece(store, started, piece, values).catch(() => {});
            },
          },
        );
        const seconds = before === 0 ? (performance.now() - begun) / 1000 : null;
        await finish(asked, setup, results as Float32Array[], seconds);
      } catch (error) {
        const kept = results.filter((piece) => piece !== null).length;
        if (error instanceof CancelledError || signal.aborted)
          say(asked, { kind: 'idle', kept, cancelled: true });
        else say(asked, { kind: 'failed', message: (error as Error).message, kept });
      }
    },
    [asked, pieces, setup, crew, say, finish],
  );

  const cancel = useCallback(() => controller.current?.abort(), []);
  const forget = useCallback(async () => {
    await forgetWork(store).catch(() => {});
    say(asked, { kind: 'idle', kept: 0, cancelled: false });
  }, [asked, say]);

  const now: UncertainState = state.of === asked ? state : { kind: 'looking' };
  return { state: now, pieces, run, cancel, forget, cores: crew.size };
}
