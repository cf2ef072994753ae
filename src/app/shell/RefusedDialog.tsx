import { Dialog } from 'radix-ui';
import type { Problem } from '../../model';
import { say } from '../../text/en/say/shell';
import { problemLines } from './files';

/** What is wrong with a file that was refused. @param onCloseAutoFocus gives the focus back */
export function RefusedDialog({
  name,
  problems,
  onClose,
  onAgain,
  onCloseAutoFocus,
}: {
  name: string;
  problems: readonly Problem[];
  onClose: () => void;
  /** Another file is to be chosen */
  onAgain: () => void;
  onCloseAutoFocus: (event: Event) => void;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          className="panel fixed top-1/2 left-1/2 z-50 w-[min(560px,92vw)] -translate-x-1/2 -translate-y-1/2 p-5"
          onCloseAutoFocus={onCloseAutoFocus}
        >
          <Dialog.Title className="text-[18px] font-[650]">The file was not opened</Dialog.Title>
          <Dialog.Description className="mt-1 break-words text-dim">
            {name}
            {say.nothingWasChangedYour}
          </Dialog.Description>
          <ul className="mt-3 grid max-h-[50vh] gap-1.5 overflow-auto" data-testid="import-problems">
            {problemLines(problems).map((line) => (
              <li key={line} className="border-l-2 border-over pl-2.5 break-words">
                {line}
              </li>
            ))}
          </ul>
          <div className="mt-4 flex justify-end gap-2">
            <Dialog.Close asChild>
              <button type="button" className="btn">
                Close
              </button>
            </Dialog.Close>
            <button
              type="button"
              className="btn btn-main"
              onClick={() => {
                onClose();
                onAgain();
              }}
            >
              Choose another file
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
