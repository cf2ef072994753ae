import { createContext, lazy, type ReactNode, useCallback, useContext, useState } from 'react';
import { demoProject } from '../../../demo/project';
import { useStore } from '../state/context';
import { useEdit } from '../state/useEdit';
import { Come } from '../ui/Come';
import { useReturnFocus } from '../ui/useReturnFocus';
import type { Replacement } from './ReplaceDialog';

const ReplaceDialog = lazy(async () => ({ default: (await import('./ReplaceDialog')).ReplaceDialog }));

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
  return (
    <ReplaceContext value={ask}>
      {children}
      {asked && (
        <Come onMissed={() => setAsked(null)}>
          <ReplaceDialog
            asked={asked}
            onReplace={() => replace(asked)}
            onClose={() => setAsked(null)}
            onCloseAutoFocus={onCloseAutoFocus}
          />
        </Come>
      )}
    </ReplaceContext>
  );
}
