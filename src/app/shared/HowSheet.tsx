import { Dialog } from 'radix-ui';
import { type ReactElement, useState } from 'react';
import type { Explanation } from '../../text/en';
import { Tip } from '../ui/Tip';

/** How a result was reached, opened as it comes. @param button what opens it again @param tip about that */
export function HowSheet({
  told,
  button,
  tip,
}: {
  told: () => Explanation;
  button: ReactElement;
  tip: string;
}) {
  const [open, setOpen] = useState(true);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Tip quiet text={tip}>
        <Dialog.Trigger asChild>{button}</Dialog.Trigger>
      </Tip>
      {open && <Sheet {...told()} />}
    </Dialog.Root>
  );
}

function Sheet({ title, relation, inputs, source, limits }: Explanation) {
  return (
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
      <Dialog.Content className="panel fixed top-1/2 left-1/2 z-50 max-h-[86vh] w-[min(600px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5">
        <Dialog.Title className="text-[18px] font-[650]">{title}</Dialog.Title>
        <Dialog.Description className="mt-1.5">{relation}</Dialog.Description>
        {inputs.length > 0 && (
          <dl className="mt-3 grid grid-cols-[minmax(0,auto)_minmax(0,1fr)] gap-x-4 gap-y-1 border-t border-rule pt-2">
            {inputs.map(([name, value]) => (
              <div key={name} className="contents">
                <dt className="text-dim">{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
          </dl>
        )}
        <p className="mt-3 border-t border-rule pt-2">
          <strong className="font-[620]">Source.</strong> {source}
        </p>
        <p className="mt-1.5">
          <strong className="font-[620]">Limits.</strong> {limits}
        </p>
        <div className="mt-4 text-right">
          <Dialog.Close className="btn btn-main">Close</Dialog.Close>
        </div>
      </Dialog.Content>
    </Dialog.Portal>
  );
}
