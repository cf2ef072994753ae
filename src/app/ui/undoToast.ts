import { say } from '../../text/en/say/ui';
import { toast } from './toast';

/** Says what was done and offers to take it back. @param undo answers false when other edits have come after it */
export function undoToast(message: string, undo: () => boolean): void {
  toast(message, {
    duration: 10_000,
    action: {
      label: 'Undo',
      onClick: () => {
        if (!undo()) toast(say.otherEditsHaveCome);
      },
    },
  });
}
