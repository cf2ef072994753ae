import { useState } from 'react';
import { Link } from 'react-router';
import { demoProject } from '../../../demo/project';
import { type Project, writeProject } from '../../model';
import { say } from '../../text/en/say/shell';
import { Notice } from '../shared/Notices';
import { backupDue, remindLater } from '../state/backup';
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
      <BackupReminder />
      {save.kind === 'failed' && <NotSaved reason={save.reason} project={history.value} />}
    </>
  );
}

/** Says when what the browser alone has is older than its last backup by a month. */
function BackupReminder() {
  const [days, setDays] = useState(backupDue);
  const { history } = useProjectState();
  if (days === null || history.value === demoProject) return null;
  return (
    <div className="mb-3 print:hidden" data-testid="backup-reminder">
      <Notice grave={false}>
        <span>{say.backupOld(days)}</span>
        <span className="flex gap-2">
          <Link className="btn btn-main" to="/library#backup">
            Back up
          </Link>
          <button
            type="button"
            className="btn"
            onClick={() => {
              remindLater();
              setDays(null);
            }}
          >
            Later
          </button>
        </span>
      </Notice>
    </div>
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
