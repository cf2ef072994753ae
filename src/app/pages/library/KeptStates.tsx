import { format, parseISO } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { deleteItem, deletionObstacle, formatQuantity, type Project, renameItem } from '../../../model';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { TextField } from '../../ui/TextField';
import { toast } from '../../ui/toast';

/** States of brakes that plans can begin from. */
export function KeptStates() {
  const project = useProject();
  const edit = useEdit();
  const units = useUnits();
  if (project.states.length === 0) return null;
  const about = ({ carId, keptAt, brakes }: Project['states'][number]) => {
    const car = project.cars.find(({ id }) => id === carId)?.name ?? carId;
    const hottest = Math.max(...Object.values(brakes).flatMap((b) => Object.values(b.temperaturesC)));
    return `${car}, kept on ${format(parseISO(keptAt), 'd MMMM yyyy, HH:mm')}; hottest part ${formatQuantity(hottest, 'temperature', units)}`;
  };
  return (
    <section className="panel px-3 py-2.5 lg:max-w-[640px]" aria-label="Kept states of brakes">
      <h2 className="text-[16px]">Kept states of brakes</h2>
      <ul className="mt-1">
        {project.states.map((state) => {
          const obstacle = deletionObstacle(project, 'states', state.id);
          return (
            <li key={state.id} className="flex items-start gap-1 border-t border-rule/60 py-2">
              <div className="min-w-0 flex-1">
                <TextField
                  compact
                  label={`Name of kept state ${state.name}`}
                  value={state.name}
                  longest={80}
                  required
                  onCommit={(name) =>
                    edit('Renamed a kept state', (p) => renameItem(p, 'states', state.id, name), {
                      key: `${state.id}/name`,
                    })
                  }
                />
                <p className="caption mt-1">{about(state)}</p>
              </div>
              <IconButton
                icon={Trash2}
                name={`Delete ${state.name}`}
                title={obstacle ?? 'Delete'}
                onClick={() => {
                  if (obstacle) toast.error(obstacle);
                  else {
                    edit('Deleted a kept state', (p) => deleteItem(p, 'states', state.id), {
                      done: `Deleted “${state.name}”`,
                    });
                  }
                }}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}
