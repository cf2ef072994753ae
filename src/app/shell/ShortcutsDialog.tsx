import { Dialog } from 'radix-ui';
import { Link } from 'react-router';
import { ShortcutList } from '../shared/ShortcutList';

/** The list of keys. @param onClose when it is left @param onCloseAutoFocus gives the focus back */
export function ShortcutsDialog({
  onClose,
  onCloseAutoFocus,
}: {
  onClose: () => void;
  onCloseAutoFocus: (event: Event) => void;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          className="panel fixed top-1/3 left-1/2 z-50 w-[min(440px,92vw)] -translate-x-1/2 -translate-y-1/3 px-5 py-4"
          onCloseAutoFocus={onCloseAutoFocus}
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-[17px]">Keys</Dialog.Title>
          <ShortcutList />
          <div className="mt-3 flex justify-end gap-2">
            <Link className="btn" to="/help" onClick={onClose}>
              Help
            </Link>
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
