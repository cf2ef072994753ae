import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A button that asks before it acts, and says what may come of it. */
export function ConfirmButton({
  label,
  title,
  warning,
  confirm,
  onConfirm,
  children,
}: {
  /** For screen readers */
  readonly label: string;
  readonly title: string;
  readonly warning: string;
  /** What the button that acts says */
  readonly confirm: string;
  readonly onConfirm: () => void;
  readonly children: ReactNode;
}) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>
        <button type="button" className="btn" aria-label={label}>
          {children}
        </button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <AlertDialog.Content className="panel fixed left-1/2 top-1/3 z-50 w-[min(440px,92vw)] -translate-x-1/2 -translate-y-1/3 px-5 py-4 shadow-xl">
          <AlertDialog.Title className="text-[17px]">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2">{warning}</AlertDialog.Description>
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <button type="button" className="btn">
                Cancel
              </button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <button type="button" className="btn" onClick={onConfirm}>
                {confirm}
              </button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
