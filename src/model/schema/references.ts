import type * as z from 'zod/mini';
import { BUILT_IN } from '../catalogue/builtIn';
import { FLUIDS } from '../catalogue/fluids';
import { PADS } from '../catalogue/pads';
import type { Part } from './part';
import type { Project } from './wholeProject';

function uniqueIds(list: readonly { id: string }[], path: string, issues: z.core.$ZodRawIssue[]) {
  const seen = new Set<string>();
  list.forEach((item, i) => {
    if (seen.has(item.id)) {
      issues.push({
        code: 'custom',
        input: item.id,
        path: [path, i, 'id'],
        message: `is used twice: ${item.id}`,
      });
    }
    seen.add(item.id);
  });
}

/** Names that must be unique, and names that must name something. */
export function referenceIssues(value: Project, issues: z.core.$ZodRawIssue[]): void {
  const { cars, circuits, plans, parts, states, drives, calibrations, preparations } = value;
  const { bottles, tests, prices } = value;
  const { sets, seasons, entries } = value;
  const { selectedPlanId } = value;
  uniqueIds(cars, 'cars', issues);
  uniqueIds(circuits, 'circuits', issues);
  uniqueIds(plans, 'plans', issues);
  uniqueIds(parts, 'parts', issues);
  uniqueIds(states, 'states', issues);
  uniqueIds(drives, 'drives', issues);
  uniqueIds(calibrations, 'calibrations', issues);
  uniqueIds(preparations, 'preparations', issues);
  uniqueIds(bottles, 'bottles', issues);
  uniqueIds(tests, 'tests', issues);
  uniqueIds(sets, 'sets', issues);
  uniqueIds(seasons, 'seasons', issues);
  uniqueIds(entries, 'entries', issues);
  drives.forEach(({ observations }, i) => {
    const found: z.core.$ZodRawIssue[] = [];
    uniqueIds(observations, 'observations', found);
    issues.push(...found.map((issue) => ({ ...issue, path: ['drives', i, ...(issue.path ?? [])] })));
  });
  prices.forEach(({ key }, i) => {
    if (prices.findIndex((p) => p.key === key) < i) {
      issues.push({
        code: 'custom',
        input: key,
        path: ['prices', i, 'key'],
        message: `is priced twice: ${key}`,
      });
    }
  });
  const missing = (path: (string | number)[], id: string, what: string) =>
    issues.push({
      code: 'custom',
      input: id,
      path,
      message: `names no ${what} of this project: ${id}`,
    });
  const known = (kind: Part['kind'], id: string) =>
    Object.hasOwn(kind === 'pad' ? PADS : FLUIDS, id) ||
    parts.some((part) => part.kind === kind && part.id === id);
  const onShelf = (id: string) =>
    BUILT_IN.some((part) => part.id === id) || parts.some((part) => part.id === id);
  cars.forEach((car, i) => {
    for (const axle of ['front', 'rear'] as const) {
      const { pad } = car[axle];
      if (!known('pad', pad)) missing(['cars', i, axle, 'pad'], pad, 'pad');
    }
    if (!known('fluid', car.fluid.kind)) missing(['cars', i, 'fluid', 'kind'], car.fluid.kind, 'fluid');
  });
  plans.forEach((plan, i) => {
    if (!cars.some((c) => c.id === plan.carId)) missing(['plans', i, 'carId'], plan.carId, 'car');
    if (!circuits.some((c) => c.id === plan.circuitId)) {
      missing(['plans', i, 'circuitId'], plan.circuitId, 'circuit');
    }
    const { start } = plan;
    if (start.kind === 'state') {
      const at = ['plans', i, 'start', 'stateId'];
      const state = states.find(({ id }) => id === start.stateId);
      if (!state) missing(at, start.stateId, 'kept state');
      else if (state.carId !== plan.carId) {
        issues.push({
          code: 'custom',
          input: start.stateId,
          path: at,
          message: `is a kept state of another car: ${start.stateId}`,
        });
      }
    }
    const { setups, referenceId } = plan.compare;
    setups.forEach((setup, k) => {
      const at = ['plans', i, 'compare', 'setups', k];
      if (!cars.some((c) => c.id === setup.carId)) missing([...at, 'carId'], setup.carId, 'car');
      setup.changes.forEach((change, n) => {
        if (change.kind !== 'part' || onShelf(change.part)) return;
        missing([...at, 'changes', n, 'part'], change.part, 'part');
      });
    });
    if (referenceId !== null && !setups.some((setup) => setup.id === referenceId)) {
      missing(['plans', i, 'compare', 'referenceId'], referenceId, 'setup');
    }
  });
  states.forEach((state, i) => {
    if (!cars.some((c) => c.id === state.carId)) missing(['states', i, 'carId'], state.carId, 'car');
  });
  calibrations.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['calibrations', i, 'carId'], carId, 'car');
  });
  preparations.forEach(({ carId, changes }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['preparations', i, 'carId'], carId, 'car');
    changes.forEach((change, n) => {
      if (change.kind !== 'part' || onShelf(change.part)) return;
      missing(['preparations', i, 'changes', n, 'part'], change.part, 'part');
    });
  });
  tests.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['tests', i, 'carId'], carId, 'car');
  });
  bottles.forEach(({ fluid }, i) => {
    if (!known('fluid', fluid)) missing(['bottles', i, 'fluid'], fluid, 'fluid');
  });
  sets.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['sets', i, 'carId'], carId, 'car');
  });
  // What seasons and entries name besides may be gone: a plan of the year, the record of what was driven, stay.
  seasons.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['seasons', i, 'carId'], carId, 'car');
  });
  entries.forEach(({ carId }, i) => {
    if (!cars.some((c) => c.id === carId)) missing(['entries', i, 'carId'], carId, 'car');
  });
  if (!plans.some((p) => p.id === selectedPlanId)) missing(['selectedPlanId'], selectedPlanId, 'plan');
}
