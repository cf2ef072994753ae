import type { Project } from '../schema/project';

/** What a blank project begins with. */
export const CAR = 'car-placeholder';
export const CIRCUIT = 'circuit-placeholder';
export const PLAN = 'plan-placeholder';

/** Whether a project still stands where it began. */
export const isPlaceholder = (id: string): boolean => [CAR, CIRCUIT, PLAN].includes(id);

/** A project without the placeholders that nothing uses any more. */
export function withoutPlaceholders(project: Project): Project {
  const plans = project.plans.filter(({ id }) => id !== PLAN || project.plans.length === 1);
  const used = (id: string) =>
    plans.some(
      (plan) => plan.carId === id || plan.circuitId === id || plan.compare.setups.some((s) => s.carId === id),
    );
  const kept = <T extends { readonly id: string }>(list: T[]) =>
    list.filter(({ id }) => !isPlaceholder(id) || used(id));
  return { ...project, plans, cars: kept(project.cars), circuits: kept(project.circuits) };
}
