import { CircleHelp } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Explanation } from '../../text/en';
import { Tip } from '../ui/Tip';

/** Opens how a result was reached: the relation, what went into it here, the source and the limits. */
export function How({
  told,
  name,
}: {
  /** Asked when opened */
  told: () => Explanation;
  /** What is explained, for screen readers */
  name: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Tip quiet text={`How this is calculated: ${name}`}>
        <Dialog.Trigger
          className="inline-grid h-[20px] w-[20px] place-items-center rounded align-middle text-dim hover:bg-sunk hover:text-ink print:hidden"
          aria-label={`How this is calculated: ${name}`}
        >
          <CircleHelp size={14} aria-hidden="true" />
        </Dialog.Trigger>
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
