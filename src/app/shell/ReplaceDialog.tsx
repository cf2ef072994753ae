import { AlertDialog } from 'radix-ui';
import { type Project, writeProject } from '../../model';
import { say } from '../../text/en/say/shell';
import { useStore } from '../state/context';
import { useProjects } from '../state/useProjects';
import { download } from './files';

/** A project that is to take the place of the one that is open. */
export interface Replacement {
  readonly project: Project;
  /** What the edit is called in the undo menu */
  readonly label: string;
  /** What is said when it is done */
  readonly done: string;
}

/** Asks what becomes of the project that is open. @param onCloseAutoFocus gives the focus back */
export function ReplaceDialog({
  asked,
  onReplace,
  onClose,
  onCloseAutoFocus,
}: {
  asked: Replacement;
  onReplace: () => void;
  onClose: () => void;
  onCloseAutoFocus: (event: Event) => void;
}) {
  const { beside } = useProjects();
  const own = useStore().getState().history.value;
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onClose()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <AlertDialog.Content
          className="panel fixed top-1/2 left-1/2 z-50 w-[min(520px,92vw)] -translate-x-1/2 -translate-y-1/2 p-5"
          onCloseAutoFocus={onCloseAutoFocus}
        >
          <AlertDialog.Title className="text-[18px] font-[650] break-words">
            Replace “{own.name}”?
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-1 break-words">
            “{asked.project.name}
            {say.takesPlaceAllCars}
          </AlertDialog.Description>
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <button
              type="button"
              className="btn mr-auto"
              onClick={() => download('project', own.name, writeProject(own))}
            >
              Export mine first
            </button>
            <AlertDialog.Cancel asChild>
              <button type="button" className="btn">
                Keep mine
              </button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <button type="button" className="btn" onClick={onReplace}>
                Replace it
              </button>
            </AlertDialog.Action>
            <AlertDialog.Action asChild>
              <button type="button" className="btn btn-main" onClick={() => beside(asked.project)}>
                Open it beside mine
              </button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
