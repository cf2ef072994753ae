import { say } from '../../text/en/say/shared';
import type { Answer } from '../state/useAnswer';
import { ProgressBar } from '../ui/ProgressBar';

/** What a long question is doing, when it has no fresh answer: running, cancelled or failed. */
export function AnswerState<T>({ answer, doing }: { answer: Answer<T>; doing: string }) {
  const { running, cancelled, error, progress } = answer;
  if (error) {
    return (
      <p className="text-dim" role="alert">
        {say.couldNotComputed(error.message)}
        <button type="button" className="underline" onClick={answer.again}>
          Compute again
        </button>
      </p>
    );
  }
  if (cancelled) {
    return (
      <p className="text-dim" role="status">
        Cancelled.{' '}
        <button type="button" className="underline" onClick={answer.again}>
          Compute
        </button>
      </p>
    );
  }
  if (!running) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-dim" role="status">
      <span>
        {doing} …{progress && ` ${progress.done} of ${progress.all}`}
      </span>
      {progress && (
        <ProgressBar label="Runs done" className="w-[160px]" max={progress.all} value={progress.done} />
      )}
      {answer.asked && (
        <button type="button" className="btn" onClick={answer.cancel}>
          Cancel
        </button>
      )}
    </div>
  );
}
