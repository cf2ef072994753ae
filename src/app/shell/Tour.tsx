import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { say } from '../../text/en/say/shell';
import { goToStop, useTourStop } from '../state/tour';

/** What is shown at each stop, on the workbench. */
const STOPS: readonly { readonly target: string; readonly text: string }[] = [
  { target: '[aria-label="Verdict"]', text: say.tourVerdict },
  { target: '[aria-label="What if"]', text: say.tourWhatIf },
  { target: '[data-tour="lap"]', text: say.tourLap },
  { target: '[data-tour="first"]', text: say.tourFirst },
  { target: '#plan', text: say.tourPlan },
  { target: 'nav[aria-label="Pages"]', text: say.tourPages },
];

/** A short way round the workbench, at the reader's own pace; it can be left at any stop. */
export function Tour() {
  const stop = useTourStop();
  const navigate = useNavigate();
  const next = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (stop === null) return;
    if (stop === 0) navigate('/');
    next.current?.focus({ preventScroll: true });
    let marked: Element | null = null;
    // The workbench may still be computing what is to be shown.
    const timer = setInterval(() => {
      marked =
        [...document.querySelectorAll(STOPS[stop].target)].find((e) => e.getClientRects().length > 0) ?? null;
      if (!marked) return;
      clearInterval(timer);
      marked.setAttribute('data-toured', '');
      marked.scrollIntoView({ block: 'nearest' });
    }, 60);
    return () => {
      clearInterval(timer);
      marked?.removeAttribute('data-toured');
    };
  }, [stop, navigate]);
  if (stop === null) return null;
  const last = stop === STOPS.length - 1;
  return (
    <section
      aria-label="Tour"
      className="panel fixed right-3 bottom-[70px] z-50 w-[min(380px,94vw)] border-act! px-4 py-3 shadow-xl sm:bottom-4"
      onKeyDown={(event) => event.key === 'Escape' && goToStop(null)}
    >
      <p aria-live="polite">{STOPS[stop].text}</p>
      <div className="mt-2 flex items-center gap-2">
        <span className="caption mr-auto">
          {stop + 1} of {STOPS.length}
        </span>
        <button type="button" className="btn" onClick={() => goToStop(null)}>
          {last ? 'Done' : 'Skip the tour'}
        </button>
        {stop > 0 && (
          <button type="button" className="btn" onClick={() => goToStop(stop - 1)}>
            Back
          </button>
        )}
        <button
          ref={next}
          type="button"
          className={`btn btn-main ${last ? 'hidden' : ''}`}
          onClick={() => goToStop(stop + 1)}
        >
          Next
        </button>
      </div>
    </section>
  );
}
