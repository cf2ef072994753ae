import { Link } from 'react-router';
import type { WhatIf } from '../../model';
import { verdictText } from '../../text/en';
import { say } from '../../text/en/say/shared';
import { useSetup } from '../state/context';
import { useUnits } from '../state/preferences';
import { type SessionView, useSession } from '../state/useSession';
import { StateMark } from './StateMark';

const NOTHING: WhatIf = {};

/** The selected plan's verdict beside what is being edited, following each change. */
export function VerdictStrip() {
  const setup = useSetup();
  const units = useUnits();
  const view = useSession(setup, NOTHING);
  const text = view.shown && verdictText(view.shown.result, units);
  const blocked = view.obstacles.some((o) => o.severity === 'error');
  return (
    <div
      className="panel flex max-w-[660px] items-start gap-2 px-3 py-1.5"
      aria-live="polite"
      aria-busy={view.behind}
    >
      {view.shown && text ? (
        <>
          <StateMark kind={view.shown.result.verdict.kind} className="mt-[1px]" />
          <p className={view.behind || blocked ? 'opacity-70' : ''}>
            {blocked && 'Last good result: '}
            <strong className="font-[640]">{text.state}.</strong> {text.sentence}{' '}
            <Link className="underline" to="/">
              Workbench
            </Link>
          </p>
        </>
      ) : (
        <p className="text-dim">{waiting(view)}</p>
      )}
    </div>
  );
}

function waiting(view: SessionView): string {
  if (view.error) return view.error.message;
  return view.obstacles.some((o) => o.severity === 'error') ? say.cannotComputedLike : 'Computing …';
}
