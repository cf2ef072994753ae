import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link } from 'react-router';
import { ShortcutList } from '../shared/ShortcutList';
import { useReturnFocus } from '../ui/useReturnFocus';

/** The list of keys, opened by one of them. */
export function Shortcuts() {
  const [open, setOpen] = useState(false);
  const { remember, onCloseAutoFocus } = useReturnFocus();
  useHotkeys(
    '?',
    () => {
      remember();
      setOpen(true);
    },
    { useKey: true },
  );
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
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
            <Link className="btn" to="/help" onClick={() => setOpen(false)}>
              Help
            </Link>
            <Dialog.Close className="btn">Close</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
