import { useEffect } from 'react';
import { Link, useLocation, useRouteError } from 'react-router';
import { PageTitle } from '../components/PageTitle';
import { useStore } from '../state/context';

/** What browsers say when a piece of the program cannot be fetched. */
const NOT_FETCHED =
  /dynamically imported module|importing a module script failed|failed to fetch|loading chunk|networkerror|unable to preload/i;

/** A page that could not be opened: its piece of the program did not come, or it broke before it was drawn. */
export function RouteError() {
  const error = useRouteError();
  const store = useStore();
  const { pathname } = useLocation();
  const message = error instanceof Error ? error.message : String(error);
  const missing = NOT_FETCHED.test(message);
  // Whatever comes next may be a reload.
  useEffect(() => void store.saveNow(), [store]);
  return (
    <div className="panel px-4 py-6" role="alert">
      <PageTitle names={['Page not loaded']} />
      <h1 className="text-[18px]">{missing ? 'This page could not be loaded' : 'This page stopped'}</h1>
      <p className="mt-1 max-w-[70ch]">
        {missing
          ? 'The program’s server does not answer, or the program was updated while this page was open. Start the server again if it is off, then reload.'
          : message}
      </p>
      <p className="mt-1">Your project is safe in the browser’s storage.</p>
      <p className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" onClick={() => window.location.reload()}>
          Reload
        </button>
        {pathname !== '/' && (
          <Link className="btn" to="/">
            Back to the workbench
          </Link>
        )}
      </p>
    </div>
  );
}
