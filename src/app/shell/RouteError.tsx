import { Link, useLocation, useRouteError } from 'react-router';
import { PageTrouble } from './PageTrouble';

/** A route that could not be opened. */
export function RouteError() {
  const error = useRouteError();
  const { pathname } = useLocation();
  return (
    <PageTrouble error={error}>
      {pathname !== '/' && (
        <Link className="btn" to="/">
          Back to the workbench
        </Link>
      )}
    </PageTrouble>
  );
}
