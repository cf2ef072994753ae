import { Popover } from 'radix-ui';
import type { Term } from '../../text/en';

/** A word with its meaning open beside it. */
export function Meaning({
  entry,
  className,
  children,
}: {
  readonly entry: Term;
  readonly className: string;
  readonly children: string;
}) {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger className={className}>{children}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="menu max-w-[320px]" sideOffset={4} collisionPadding={8}>
          <p className="px-1.5 py-1">
            <strong className="font-[650]">{entry.term}.</strong> {entry.meaning}
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
