import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { CancelledError, crewPredicting } from '../../../compute';
import type { ParameterId } from '../../../core';
import type { StoredDrive } from '../../../model';
import { type CalibrationAnswer, caseOf, type EstimateProgress, estimate } from '../../../services';
import { useBackground } from '../../state/context';
import { useLoggedDays } from './useDrives';

/** What is asked of an estimate. */
export interface EstimateAsked {
  readonly fitted: readonly StoredDrive[];
  readonly heldOut: readonly StoredDrive[];
  /** null takes what the data can tell */
  readonly parameters: readonly ParameterId[] | null;
}

/** An answer with what it belongs to. */
export interface EstimateDone {
  readonly asked: EstimateAsked;
  readonly answer: CalibrationAnswer;
  readonly seconds: number;
}

/** Where searches were cancelled, by their question: they go on from there. */
const left = new Map<string, EstimateProgress>();
/** Answers of this visit, by their question. */
const answers = new Map<string, EstimateDone>();

const keyOf = ({ fitted, heldOut, parameters }: EstimateAsked): string =>
  JSON.stringify([fitted, heldOut.map(({ id }) => id), parameters]);

/** Estimates a car's values from its drives, by all cores; can be cancelled and gone on with. */
export function useEstimate(asked: EstimateAsked) {
  const { crew } = useBackground();
  const key = keyOf(asked);
  const logged = useLoggedDays([...asked.fitted, ...asked.heldOut]);
  const abort = useRef<AbortController | null>(null);
  const [progress, setProgress] = useState<EstimateProgress | null>(null);
  const mutation = useMutation({
    mutationFn: async (): Promise<EstimateDone> => {
      const controller = new AbortController();
      abort.current = controller;
      const begun = performance.now();
      const ready = (drive: StoredDrive) => caseOf(drive, logged.days?.get(drive.id) ?? null);
      const answer = await estimate(
        asked.fitted.map(ready),
        asked.heldOut.map(ready),
        asked.parameters,
        crewPredicting(crew, controller.signal),
        {
          from: left.get(key) ?? null,
          told: (is) => {
            left.set(key, is);
            setProgress(is);
          },
        },
      );
      left.delete(key);
      const done = { asked, answer, seconds: (performance.now() - begun) / 1000 };
      answers.set(key, done);
      return done;
    },
  });
  return {
    run: () => {
      setProgress(left.get(key) ?? null);
      mutation.mutate();
    },
    cancel: () => abort.current?.abort(),
    running: mutation.isPending,
    cancelled: mutation.error instanceof CancelledError,
    error: mutation.error && !(mutation.error instanceof CancelledError) ? mutation.error : null,
    logError: logged.error,
    waiting: logged.days === null,
    progress,
    canGoOn: (left.get(key)?.state ?? null) !== null,
    done: answers.get(key) ?? null,
  };
}
