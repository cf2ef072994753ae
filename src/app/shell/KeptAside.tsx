import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { Dialog } from 'radix-ui';
import { browserStore, deleteKept, keptTexts } from '../../storage';
import { say } from '../../text/en/say/shell';
import { useReturnFocus } from '../ui/useReturnFocus';
import { download } from './files';

const KEY = ['kept aside'];

/** Texts that the store held and nothing could read: seen, exported, deleted. */
export function KeptAside({ open, onClose }: { open: boolean; onClose: () => void }) {
  const queries = useQueryClient();
  const { onCloseAutoFocus } = useReturnFocus();
  const kept = useQuery({
    queryKey: KEY,
    queryFn: () => keptTexts(browserStore()),
    enabled: open,
    staleTime: 0,
  });
  const remove = useMutation({
    mutationFn: (key: string) => deleteKept(browserStore(), key),
    onSettled: () => queries.invalidateQueries({ queryKey: KEY }),
  });
  const trouble = kept.error ?? remove.error;
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          className="panel fixed top-1/2 left-1/2 z-50 w-[min(640px,92vw)] -translate-x-1/2 -translate-y-1/2 p-5"
          onCloseAutoFocus={onCloseAutoFocus}
        >
          <Dialog.Title className="text-[18px] font-[650]">Texts kept aside</Dialog.Title>
          <Dialog.Description className="mt-1 text-dim">{say.whatBrowserSStorage}</Dialog.Description>
          {trouble && (
            <p className="mt-3" role="alert">
              The browser’s storage answers: {trouble.message}
            </p>
          )}
          {kept.data?.length === 0 && <p className="mt-3">{say.nothingKeptAside}</p>}
          <ul className="mt-3 grid max-h-[50vh] gap-2 overflow-auto" data-testid="kept-aside">
            {kept.data?.map(({ key, at, text, why }) => (
              <li key={key} className="flex flex-wrap items-start gap-2 border-t border-rule/60 pt-2">
                <div className="min-w-0 flex-1 basis-[260px]">
                  <p>
                    {dateText(at)}, {Math.max(1, Math.round(text.length / 1000))} kB
                  </p>
                  {why && <p className="caption break-words">{why}</p>}
                </div>
                <button
                  type="button"
                  className="btn"
                  onClick={() => download('project', `kept aside ${at.slice(0, 10)}`, text)}
                >
                  Export
                </button>
                <button
                  type="button"
                  className="btn"
                  disabled={remove.isPending}
                  onClick={() => remove.mutate(key)}
                >
                  Delete
                </button>
              </li>
            ))}
          </ul>
          <div className="mt-4 flex justify-end">
            <Dialog.Close asChild>
              <button type="button" className="btn btn-main">
                Close
              </button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function dateText(iso: string): string {
  const at = new Date(iso);
  return Number.isNaN(at.getTime()) ? iso : format(at, 'd MMMM yyyy, HH:mm');
}
