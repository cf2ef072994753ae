import { Collapsible } from 'radix-ui';
import { lazy, memo, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { say } from '../../../text/en/say/workbench';

const FirstSteps = lazy(() => import('../../shared/FirstSteps').then((m) => ({ default: m.FirstSteps })));

/** The driver's next questions, at the verdict: what first, and what is worth finding out. */
export const FirstPanel = memo(function FirstPanel() {
  const [open, setOpen] = useState(false);
  return (
    <Collapsible.Root open={open} onOpenChange={setOpen} data-tour="first" className="panel px-4 py-2">
      <div className="flex flex-wrap items-center gap-2">
        <Collapsible.Trigger className="btn" aria-expanded={open}>
          {say.whatFirst}
        </Collapsible.Trigger>
        <Link className="btn btn-bare" to="/decide/find-out">
          {say.guessesMatter}
        </Link>
        <Link className="btn btn-bare" to="/decide/next">
          What to buy next
        </Link>
        <Link className="btn btn-bare" to="/happened">
          What happened?
        </Link>
      </div>
      <Collapsible.Content className="mt-2 border-t border-rule/60 pt-2">
        <Suspense fallback={<div className="h-24" role="status" aria-label="Loading" />}>
          <FirstSteps />
        </Suspense>
      </Collapsible.Content>
    </Collapsible.Root>
  );
});
