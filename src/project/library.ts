import type { Car } from './carSchema';
import type { Circuit } from './circuitSchema';
import type { Plan, Project } from './projectSchema';

/** The three lists of a project. */
export type Shelf = 'cars' | 'circuits' | 'plans';
export type ItemOf<S extends Shelf> = Project[S][number];

const NOUNS: Record<Shelf, string> = { cars: 'car', circuits: 'circuit', plans: 'plan' };

function freshName(name: string, taken: readonly string[]): string {
  const base = name.replace(/ \(copy(?: \d+)?\)$/, '').slice(0, 66);
  for (let n = 1; ; n++) {
    const candidate = n === 1 ? `${base} (copy)` : `${base} (copy ${n})`;
    if (!taken.includes(candidate)) return candidate;
  }
}

/**
 * A copy of an item under a new name, right after it.
 * @param newId an id that is not in use
 */
export function copyItem(project: Project, shelf: Shelf, id: string, newId: string): Project {
  const list = project[shelf] as (Car | Circuit | Plan)[];
  const index = list.findIndex((item) => item.id === id);
  if (index < 0) return project;
  const copy = {
    ...list[index],
    id: newId,
    name: freshName(
      list[index].name,
      list.map((item) => item.name),
    ),
  };
  return { ...project, [shelf]: [...list.slice(0, index + 1), copy, ...list.slice(index + 1)] };
}

export function renameItem(project: Project, shelf: Shelf, id: string, name: string): Project {
  const list = project[shelf] as (Car | Circuit | Plan)[];
  return { ...project, [shelf]: list.map((item) => (item.id === id ? { ...item, name } : item)) };
}

/** Why an item cannot be deleted, in words; null when it can. */
export function deletionObstacle(project: Project, shelf: Shelf, id: string): string | null {
  const list = project[shelf] as readonly { id: string }[];
  if (list.length === 1) return `A project keeps at least one ${NOUNS[shelf]}.`;
  if (shelf === 'plans') return null;
  const users = project.plans.filter((plan) => (shelf === 'cars' ? plan.carId : plan.circuitId) === id);
  if (users.length === 0) return null;
  return `Used by ${users.map((plan) => `“${plan.name}”`).join(', ')}: change or delete ${users.length === 1 ? 'that plan' : 'those plans'} first.`;
}

/** The project without an item. @throws RangeError when `deletionObstacle` names one */
export function deleteItem(project: Project, shelf: Shelf, id: string): Project {
  const obstacle = deletionObstacle(project, shelf, id);
  if (obstacle) throw new RangeError(obstacle);
  const list = (project[shelf] as readonly { id: string }[]).filter((item) => item.id !== id);
  const next = { ...project, [shelf]: list } as Project;
  if (shelf === 'plans' && project.selectedPlanId === id)
    return { ...next, selectedPlanId: next.plans[0].id };
  return next;
}

/** A project with one item replaced by another of the same id. */
export function replaceItem<S extends Shelf>(project: Project, shelf: S, item: ItemOf<S>): Project {
  const list = project[shelf] as ItemOf<S>[];
  return { ...project, [shelf]: list.map((old) => (old.id === item.id ? item : old)) };
}
