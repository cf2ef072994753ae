import { Search } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { say } from '../../text/en/say/shell';
import { IconButton } from '../ui/IconButton';
import type { PageGroup } from './PageNav';

const PaletteDialog = lazy(() => import('./PaletteDialog').then((m) => ({ default: m.PaletteDialog })));

/** Everything there is to go to, to do and to fill in, found by typing a part of its name. */
export function Palette({ groups }: { groups: readonly PageGroup[] }) {
  // Not there before it is asked for; afterwards it stays, so that it can hand the focus back.
  const [open, setOpen] = useState<boolean | null>(null);
  useHotkeys('mod+k', () => setOpen((is) => !is), { preventDefault: true, enableOnFormTags: true });
  return (
    <>
      <span className="hidden sm:inline-flex">
        <IconButton icon={Search} name="Find" title={say.paletteFinds} onClick={() => setOpen(true)} />
      </span>
      {open !== null && (
        <Suspense fallback={null}>
          <PaletteDialog groups={groups} open={open} onOpenChange={setOpen} />
        </Suspense>
      )}
    </>
  );
}
