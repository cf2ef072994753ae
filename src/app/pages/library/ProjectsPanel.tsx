import { Trash2 } from 'lucide-react';
import { demoProject } from '../../../../demo/project';
import { say } from '../../../text/en/say/library';
import { useProject } from '../../state/context';
import { useProjects } from '../../state/useProjects';
import { ConfirmButton } from '../../ui/ConfirmButton';

/** Every project of this browser: opened, begun, duplicated, deleted. */
export function ProjectsPanel() {
  const project = useProject();
  const { list, current, open, begin, beside, remove } = useProjects();
  return (
    <section className="panel px-3 py-2.5" aria-label="Projects">
      <h2 className="text-[16px]">Projects in this browser</h2>
      <ul className="mt-1">
        {list.map(({ slot, name }) => (
          <li key={slot} className="flex items-center gap-2 border-t border-rule/60 py-1.5">
            <span className="min-w-0 flex-1 truncate">{slot === current ? project.name : name}</span>
            {slot === current ? (
              <span className="caption">open</span>
            ) : (
              <>
                <button type="button" className="btn" onClick={() => open(slot)} aria-label={`Open ${name}`}>
                  Open
                </button>
                <ConfirmButton
                  label={`Delete the project ${name}`}
                  title={`Delete “${name}”?`}
                  warning={say.textStaysAside}
                  confirm="Delete it"
                  onConfirm={() => remove(slot)}
                >
                  <Trash2 size={15} aria-hidden="true" />
                </ConfirmButton>
              </>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap gap-2 border-t border-rule/60 pt-2.5">
        <button type="button" className="btn" onClick={() => begin(list)}>
          New project
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => beside({ ...project, name: `${project.name.slice(0, 72)} (copy)` })}
        >
          Duplicate this one
        </button>
        <button type="button" className="btn" onClick={() => beside(demoProject)}>
          Open the demo beside it
        </button>
      </div>
    </section>
  );
}
