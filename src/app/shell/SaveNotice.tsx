import { type Project, writeProject } from '../../model';
import { say } from '../../text/en/say/shell';
import { Notice } from '../shared/Notices';
import { useProjectState, useStore } from '../state/context';
import { download } from './files';

/** Says what joining with another page left open, and when what is on the screen is not in the browser's storage. */
export function SaveNotice() {
  const store = useStore();
  const { save, history, notice } = useProjectState();
  return (
    <>
      {notice && (
        <div className="mb-3">
          <Notice grave={false}>
            <span>{notice}</span>
            <button type="button" className="btn" onClick={() => store.dismiss()}>
              Understood
            </button>
          </Notice>
        </div>
      )}
      {save.kind === 'failed' && <NotSaved reason={save.reason} project={history.value} />}
    </>
  );
}

function NotSaved({ reason, project }: { reason: string; project: Project }) {
  const store = useStore();
  return (
    <div className="mb-3">
      <Notice grave>
        <span>{say.notSavedYourWork(reason)}</span>
        <span className="flex gap-2">
          <button
            type="button"
            className="btn btn-main"
            onClick={() => download('project', project.name, writeProject(project))}
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
