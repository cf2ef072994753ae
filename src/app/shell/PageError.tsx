import type { FallbackProps } from 'react-error-boundary';
import { Link, useLocation } from 'react-router';
import { PageTitle } from '../ui/PageTitle';
import { PageTrouble } from './PageTrouble';

/** A page that broke: what broke it, and ways on. The project itself is not touched. */
export function PageError({ error, resetErrorBoundary }: FallbackProps) {
  const { pathname } = useLocation();
  return (
    <PageTrouble error={error} onAgain={resetErrorBoundary}>
      {pathname !== '/' && (
        <Link className="btn" to="/" onClick={resetErrorBoundary}>
          Back to the workbench
        </Link>
      )}
      {pathname !== '/library' && (
        <Link className="btn" to="/library" onClick={resetErrorBoundary}>
          Open the library
        </Link>
      )}
    </PageTrouble>
  );
}

export function NotFound() {
  return (
    <div className="panel px-4 py-6" role="alert">
      <PageTitle names={['No such page']} />
      <h1 className="text-[18px]">There is no such page</h1>
      <p className="mt-3">
        <Link className="btn btn-main" to="/">
          Back to the workbench
        </Link>
      </p>
    </div>
  );
}
