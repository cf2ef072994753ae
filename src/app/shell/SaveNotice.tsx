import { writeProject } from '../../project';
import { useProjectState, useStore } from '../state/context';
import { Notice } from '../workbench/Notices';
import { download, fileName } from './files';

/** Says when what is on the screen is not in the browser's storage, with ways to keep it. */
export function SaveNotice() {
  const store = useStore();
  const { save, history } = useProjectState();
  if (save.kind !== 'failed') return null;
  return (
    <div className="mb-3">
      <Notice grave>
        <span>
          Not saved: {save.reason}. Your work is on this page only; export it, or make room and try again.
        </span>
        <span className="flex gap-2">
          <button
            type="button"
            className="btn btn-main"
            onClick={() =>
              download(fileName(history.value.name, '.json'), writeProject(history.value), 'application/json')
            }
          >
            Export the project
          </button>
          <button type="button" className="btn" onClick={() => void store.saveNow()}>
            Try again
          </button>
        </span>
      </Notice>
    </div>
  );
}
