import { type ReactNode, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { say } from '../../text/en/say/ui';
import { toast } from './toast';

/**
 * What is fetched as it is wanted and takes no place until it is there; says so where it does not come.
 * @param onMissed then, so that nobody waits for it, and what it would have said is said otherwise
 */
export function Come({ onMissed, children }: { onMissed: () => void; children: ReactNode }) {
  const missed = () => {
    toast.error(say.partDidNotCome);
    onMissed();
  };
  return (
    <ErrorBoundary fallback={null} onError={missed}>
      <Suspense>{children}</Suspense>
    </ErrorBoundary>
  );
}
