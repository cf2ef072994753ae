import { type ReactNode, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { say } from '../../text/en/say/ui';
import { toast } from './toast';

/** What is fetched as it is wanted and takes no place until it is there; says so where it does not come. */
export const Come = ({ children }: { children: ReactNode }) => (
  <ErrorBoundary fallback={null} onError={() => toast.error(say.partDidNotCome)}>
    <Suspense>{children}</Suspense>
  </ErrorBoundary>
);
