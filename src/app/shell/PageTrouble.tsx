import { type ReactNode, useEffect } from 'react';
import { say } from '../../text/en/say/shell';
import { useProjectState, useStore } from '../state/context';
import { PageTitle } from '../ui/PageTitle';

/** What browsers say when a piece of the program cannot be fetched. */
const NOT_FETCHED =
  /dynamically imported module|importing a module script failed|failed to fetch|loading chunk|networkerror|unable to preload/i;

/** A page that is not there: its piece of the program did not come, or it broke. What to do, and the ways on. */
export function PageTrouble({
  error,
  onAgain,
  children,
}: {
  error: unknown;
  /** Draws it again; not offered where its piece did not come */
  onAgain: () => void;
  children: ReactNode;
}) {
  const store = useStore();
  const { save } = useProjectState();
  const message = error instanceof Error ? error.message : String(error);
  const missing = NOT_FETCHED.test(message);
  // Whatever comes next may be a reload.
  useEffect(() => void store.saveNow(), [store]);
  return (
    <div className="panel px-4 py-6" role="alert">
      <PageTitle names={[missing ? 'Page not loaded' : 'Page stopped']} />
      <h1 className="text-[18px]">{missing ? 'This page could not be loaded' : 'This page stopped'}</h1>
      <p className="mt-1 max-w-[70ch]">{missing ? say.programSServerDoes : message}</p>
      <p className="mt-1">{save.kind === 'failed' ? say.yourLastEditsNot : say.yourProjectSafeBrowser}</p>
      <p className="mt-3 flex flex-wrap gap-2">
        {missing ? (
          <button type="button" className="btn btn-main" onClick={() => window.location.reload()}>
            Reload
          </button>
        ) : (
          <button type="button" className="btn" onClick={onAgain}>
            Try the page again
          </button>
        )}
        {children}
      </p>
    </div>
  );
}
