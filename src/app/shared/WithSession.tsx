import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { WhatIf } from '../../model';
import { say } from '../../text/en/say/shared';
import { useSetup } from '../state/context';
import { type Computed, useSession } from '../state/useSession';

const NOTHING: WhatIf = {};

/** The selected plan's session for a panel, or what stands in its way. */
export function WithSession({ children }: { children: (computed: Computed, behind: boolean) => ReactNode }) {
  const setup = useSetup();
  const view = useSession(setup, NOTHING);
  if (view.shown) return <>{children(view.shown, view.behind)}</>;
  if (view.error) {
    return (
      <p className="panel px-4 py-5" role="alert">
        {say.sessionCouldNotComputed(view.error.message)}
        <button type="button" className="underline" onClick={view.retry}>
          Compute again
        </button>
      </p>
    );
  }
  if (view.obstacles.some((o) => o.severity === 'error')) {
    return (
      <p className="panel px-4 py-5" role="alert">
        {say.circuitCannotBeDriven(view.obstacles[0].message)}{' '}
        <Link className="underline" to="/circuit">
          Open the circuit
        </Link>
      </p>
    );
  }
  return (
    <p className="panel px-4 py-5 text-dim" role="status">
      Computing the session …
    </p>
  );
}
