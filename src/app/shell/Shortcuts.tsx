import { lazy, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Come } from '../ui/Come';
import { useReturnFocus } from '../ui/useReturnFocus';

const ShortcutsDialog = lazy(async () => ({ default: (await import('./ShortcutsDialog')).ShortcutsDialog }));

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
  if (!open) return null;
  return (
    <Come onMissed={() => setOpen(false)}>
      <ShortcutsDialog onClose={() => setOpen(false)} onCloseAutoFocus={onCloseAutoFocus} />
    </Come>
  );
}
