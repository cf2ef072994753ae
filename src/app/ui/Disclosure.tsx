import { ChevronRight } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { type ReactNode, useState } from 'react';

/** What is shown when asked for, under a line that says what it is. */
export function Disclosure({
  summary,
  open = false,
  className = '',
  quiet = false,
  children,
}: {
  summary: ReactNode;
  /** Whether it is open at first, and again when this changes */
  open?: boolean;
  className?: string;
  /** A line in small print */
  quiet?: boolean;
  children: ReactNode;
}) {
  const [state, setState] = useState({ given: open, open });
  if (state.given !== open) setState({ given: open, open });
  return (
    <Collapsible.Root
      className={className}
      open={state.open}
      onOpenChange={(next) => setState({ given: open, open: next })}
    >
      <Collapsible.Trigger
        className={`group flex min-h-[24px] max-w-full items-center gap-1 text-left ${quiet ? 'caption' : ''}`}
      >
        <ChevronRight
          size={14}
          aria-hidden="true"
          className="shrink-0 group-data-[state=open]:rotate-90 print:hidden"
        />
        <span className="min-w-0">{summary}</span>
      </Collapsible.Trigger>
      {/* Fields of a form stay with it while they are folded away. */}
      <Collapsible.Content forceMount className="data-[state=closed]:hidden">
        {children}
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
