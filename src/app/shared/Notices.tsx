import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { say } from '../../text/en/say/shared';
import type { SessionView } from '../state/useSession';

/** What stands in the way of a result, each with a way on. The last good result stays below. */
export function Notices({ view }: { view: SessionView }) {
  return (
    <>
      {view.obstacles.map((problem) => (
        <Notice key={problem.path + problem.message} grave={problem.severity === 'error'}>
          <span>
            The circuit: {problem.message}.{' '}
            {problem.severity === 'error'
              ? view.shown
                ? say.whatShownBelowWas
                : say.cannotComputedLike
              : say.endStartJoinedComputation}
          </span>
          <Link className="btn" to="/circuit">
            Open the circuit
          </Link>
        </Notice>
      ))}
      {view.error && (
        <Notice grave>
          <span>
            {view.error.message} {view.shown ? say.lastGoodResultStill : ''}
          </span>
          <button type="button" className="btn" onClick={view.retry}>
            Compute again
          </button>
        </Notice>
      )}
    </>
  );
}

/** A message across the page. */
export function Notice({ grave, children }: { grave: boolean; children: ReactNode }) {
  return (
    <div
      role={grave ? 'alert' : 'status'}
      className={`panel flex flex-wrap items-center gap-x-3 gap-y-2 border-l-4 px-3 py-2 ${grave ? 'border-l-over' : 'border-l-close'}`}
    >
      <TriangleAlert size={17} aria-hidden="true" className={grave ? 'text-over' : 'text-close'} />
      <div className="flex min-w-0 flex-1 flex-wrap items-center justify-between gap-2">{children}</div>
    </div>
  );
}
