import { addVariant, type Change, MOST_SETUPS, type Setup, type SetupVariant } from '../../model';
import { say } from '../../text/en/say/state';
import { undoToast } from '../ui/undoToast';
import type { ProjectStore } from './projectStore';

/** Lays a setup beside the plan's own; says so when there is no room for it. */
export function addSetup(
  store: ProjectStore,
  setup: Setup,
  name: string,
  changes: readonly Change[],
): string | null {
  if (setup.plan.compare.setups.length >= MOST_SETUPS) {
    return say.setupsComparedAlreadyRemove(MOST_SETUPS + 1);
  }
  const variant: SetupVariant = {
    id: crypto.randomUUID(),
    name: name.slice(0, 80),
    carId: setup.car.id,
    changes: [...changes],
    otherCost: 0,
  };
  const edited = store.edit('Setup to compare', (project) => addVariant(project, setup.plan.id, variant));
  if (!edited.made) return edited.message;
  undoToast(`“${variant.name}” is among the setups to compare`, edited.undo);
  return null;
}
