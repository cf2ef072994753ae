import { say } from '../../text/en/say/model';
import { BUILT_IN } from '../catalogue/builtIn';
import type { Part } from '../schema/part';
import type { Shelf } from '../schema/paths';
import type { Project } from '../schema/project';

export type ItemOf<S extends Shelf> = Project[S][number];

const NOUNS: Record<Shelf, string> = {
  cars: 'car',
  circuits: 'circuit',
  plans: 'plan',
  parts: 'part',
  states: 'kept state',
  drives: 'drive',
  calibrations: 'calibration',
  preparations: 'preparation',
  bottles: 'bottle',
  tests: 'test',
  sets: 'set',
  seasons: 'season',
  entries: 'entry',
};

/** What nothing else of a project names. */
const ALONE: readonly Shelf[] = [
  'drives',
  'calibrations',
  'preparations',
  'bottles',
  'tests',
  'sets',
  'seasons',
  'entries',
];

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
  const list = project[shelf] as ItemOf<Shelf>[];
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
  const list = project[shelf] as ItemOf<Shelf>[];
  return { ...project, [shelf]: list.map((item) => (item.id === id ? { ...item, name } : item)) };
}

/** Why a part that setups are compared with cannot be deleted; null when none is. */
function comparedIn(project: Project, id: string): string | null {
  const plans = project.plans.filter(({ compare }) =>
    compare.setups.some(({ changes }) => changes.some((c) => c.kind === 'part' && c.part === id)),
  );
  if (plans.length === 0) return null;
  return say.comparedTakeOutSetups(plans.map((plan) => `“${plan.name}”`).join(', '));
}

/** Why a part that is to be fitted, or stands in a bottle, cannot be deleted; null when it is neither. */
function preparedWith(project: Project, id: string): string | null {
  const using = [
    ...project.preparations.filter(({ changes }) => changes.some((c) => c.kind === 'part' && c.part === id)),
    ...project.bottles.filter(({ fluid }) => fluid === id),
  ];
  if (using.length === 0) return null;
  return say.preparedTakeOutFirst(using.map(({ name }) => `“${name}”`).join(', '));
}

/** Why an item cannot be deleted, in words; null when it can. */
export function deletionObstacle(project: Project, shelf: Shelf, id: string): string | null {
  if (shelf === 'parts') {
    const fitted = project.cars.filter((car) => [car.front.pad, car.rear.pad, car.fluid.kind].includes(id));
    if (fitted.length === 0) return comparedIn(project, id) ?? preparedWith(project, id);
    return say.fittedFitAnotherPart(fitted.map((car) => `“${car.name}”`).join(', '));
  }
  if (ALONE.includes(shelf)) return null;
  if (shelf === 'states') {
    const begun = project.plans.filter(({ start }) => start.kind === 'state' && start.stateId === id);
    if (begun.length === 0) return null;
    return say.beginsChooseAnotherStart(begun.map((plan) => `“${plan.name}”`).join(', '));
  }
  const list = project[shelf] as readonly { id: string }[];
  if (list.length === 1) return say.projectKeepsLeastOne(NOUNS[shelf]);
  if (shelf === 'plans') return null;
  const users = project.plans.filter((plan) =>
    shelf === 'cars'
      ? plan.carId === id || plan.compare.setups.some((setup) => setup.carId === id)
      : plan.circuitId === id,
  );
  if (users.length === 0) return null;
  return say.usedChangeDeleteFirst(
    users.map((plan) => `“${plan.name}”`).join(', '),
    users.length === 1 ? 'that plan' : 'those plans',
  );
}

/** The project without an item. @throws RangeError when `deletionObstacle` names one */
export function deleteItem(project: Project, shelf: Shelf, id: string): Project {
  const obstacle = deletionObstacle(project, shelf, id);
  if (obstacle) throw new RangeError(obstacle);
  const list = (project[shelf] as readonly { id: string }[]).filter((item) => item.id !== id);
  const next = { ...project, [shelf]: list } as Project;
  // Brakes and what was measured of them go with their car; what was driven stays, it has its own copy.
  if (shelf === 'cars') {
    return {
      ...next,
      states: next.states.filter(({ carId }) => carId !== id),
      calibrations: next.calibrations.filter(({ carId }) => carId !== id),
      preparations: next.preparations.filter(({ carId }) => carId !== id),
      tests: next.tests.filter(({ carId }) => carId !== id),
      sets: next.sets.filter(({ carId }) => carId !== id),
      seasons: next.seasons.filter(({ carId }) => carId !== id),
      entries: next.entries.filter(({ carId }) => carId !== id),
    };
  }
  if (shelf === 'plans' && project.selectedPlanId === id)
    return { ...next, selectedPlanId: next.plans[0].id };
  return next;
}

/**
 * A project with parts added to its own. Whatever id is taken gets another, so that nothing is overwritten.
 * @param newId ids that are not in use
 */
export function addParts(project: Project, parts: readonly Part[], newId: () => string): Project {
  const taken = new Set([...project.parts.map((part) => part.id), ...BUILT_IN.map((part) => part.id)]);
  const added = parts.map((part) => {
    const id = taken.has(part.id) ? newId() : part.id;
    taken.add(id);
    return { ...part, id };
  });
  return { ...project, parts: [...project.parts, ...added] };
}

/** A project with one item replaced by another of the same id. */
export function replaceItem<S extends Shelf>(project: Project, shelf: S, item: ItemOf<S>): Project {
  const list = project[shelf] as ItemOf<S>[];
  return { ...project, [shelf]: list.map((old) => (old.id === item.id ? item : old)) };
}
