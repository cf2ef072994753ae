import { type ReactElement, type ReactNode, Suspense } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { say } from '../../text/en/say/ui';
import { toast } from './toast';

/** What is fetched once it is asked for; until it is there its button stands in its place, and where it does not come. */
export function Asked({
  button,
  onAsk = () => {},
  children,
}: {
  button: (onClick: () => void) => ReactElement;
  onAsk?: () => void;
  children: ReactNode;
}) {
  return (
    <ErrorBoundary
      fallback={button(() => toast.error(say.partDidNotCome))}
      onError={() => toast.error(say.partDidNotCome)}
    >
      <Suspense fallback={button(onAsk)}>{children}</Suspense>
    </ErrorBoundary>
  );
}
