import { AlertDialog } from 'radix-ui';
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react';
import { demoProject } from '../../../demo/project';
import { type Project, writeProject } from '../../model';
import { say } from '../../text/en/say/shell';
import { useStore } from '../state/context';
import { useEdit } from '../state/useEdit';
import { useProjects } from '../state/useProjects';
import { useReturnFocus } from '../ui/useReturnFocus';
import { download } from './files';

/** A project that is to take the place of the one that is open. */
interface Replacement {
  readonly project: Project;
  /** What the edit is called in the undo menu */
  readonly label: string;
  /** What is said when it is done */
  readonly done: string;
}

const ReplaceContext = createContext<(replacement: Replacement) => void>(() => {});

/** Opens another project in place of this one; asks first, unless nothing of the user's own is in it. */
export const useReplaceProject = () => useContext(ReplaceContext);

export function ReplaceProject({ children }: { children: ReactNode }) {
  const store = useStore();
  const edit = useEdit();
  const [asked, setAsked] = useState<Replacement | null>(null);
  const { remember, onCloseAutoFocus } = useReturnFocus();
  const replace = useCallback(
    ({ project, label, done }: Replacement) => edit(label, () => project, { done }),
    [edit],
  );
  const ask = useCallback(
    (replacement: Replacement) => {
      const now = store.getState().history.value;
      // Which plan is picked is nothing to lose.
      const untouched =
        JSON.stringify({ ...now, selectedPlanId: '' }) ===
        JSON.stringify({ ...demoProject, selectedPlanId: '' });
      if (untouched) {
        replace(replacement);
        return;
      }
      remember();
      setAsked(replacement);
    },
    [store, replace, remember],
  );
  const { beside } = useProjects();
  const own = store.getState().history.value;
  return (
    <ReplaceContext value={ask}>
      {children}
      <AlertDialog.Root open={asked !== null} onOpenChange={(open) => !open && setAsked(null)}>
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
              “{asked?.project.name}
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
                <button type="button" className="btn" onClick={() => asked && replace(asked)}>
                  Replace it
                </button>
              </AlertDialog.Action>
              <AlertDialog.Action asChild>
                <button type="button" className="btn btn-main" onClick={() => asked && beside(asked.project)}>
                  Open it beside mine
                </button>
              </AlertDialog.Action>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </ReplaceContext>
  );
}
