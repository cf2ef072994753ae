import fc from 'fast-check';
import * as z from 'zod/mini';
import { demoProject } from '../../demo/project';
import { fieldInfo, type Project } from '../../src/model';
import { projectSchema } from '../../src/model/schema/project';
import { oneSession } from './sessions';

type Loose = Record<string | number, unknown>;
interface Leaf {
  readonly path: readonly (string | number)[];
  readonly min: number;
  readonly max: number;
  readonly integer: boolean;
}

/** Numbers of a value that a schema bounds, with their bounds. */
function leavesOf(schema: z.ZodMiniType, value: unknown, path: readonly (string | number)[] = []): Leaf[] {
  if (schema instanceof z.ZodMiniNullable)
    return value === null ? [] : leavesOf(schema.def.innerType as z.ZodMiniType, value, path);
  if (schema instanceof z.ZodMiniArray) {
    return (value as unknown[]).flatMap((item, i) =>
      leavesOf(schema.def.element as z.ZodMiniType, item, [...path, i]),
    );
  }
  if (schema instanceof z.ZodMiniObject) {
    const shape = schema.shape as Record<string, z.ZodMiniType>;
    return Object.keys(shape).flatMap((key) => leavesOf(shape[key], (value as Loose)[key], [...path, key]));
  }
  if (schema instanceof z.ZodMiniDiscriminatedUnion) {
    const option = (schema.def.options as z.ZodMiniType[]).find((o) => o.safeParse(value).success);
    return option ? leavesOf(option, value, path) : [];
  }
  try {
    const { min, max, integer } = fieldInfo(schema);
    return [{ path, min, max, integer: integer === true }];
  } catch {
    return [];
  }
}

function withValue(value: unknown, path: readonly (string | number)[], next: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return next;
  const copy = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Loose;
  copy[key] = withValue(copy[key], rest, next);
  return copy;
}

/** Left alone: what only makes a run long, and what opens the circuit. */
const LEFT_ALONE = new Set(['laps', 'minutes', 'runs', 'lengthM', 'toNextM', 'angleDeg', 'radiusM']);

/** The demo with one short plan selected. */
export function shortPlan(planId: string): Project {
  const plan = demoProject.plans.find((p) => p.id === planId) as Project['plans'][number];
  const short = oneSession(plan, { hotLaps: 2, coolDownLaps: 1, paddockMin: 2 });
  return {
    ...demoProject,
    cars: demoProject.cars.filter((car) => car.id === plan.carId),
    circuits: demoProject.circuits.filter((circuit) => circuit.id === plan.circuitId),
    plans: [{ ...short, compare: { setups: [], referenceId: null } }],
    preparations: [],
    tests: [],
    sets: [],
    seasons: [],
    entries: [],
    selectedPlanId: plan.id,
  };
}

/**
 * Valid projects with one short plan, whose numbers lie anywhere their schema allows.
 * @param most numbers moved at once
 * @param planId of the demo's plans; any where it is left out
 */
export function anyProject(most = 14, planId?: string): fc.Arbitrary<Project> {
  const planIds = planId ? [planId] : demoProject.plans.map((plan) => plan.id);
  return fc.constantFrom(...planIds).chain((id) => {
    const project = shortPlan(id);
    const leaves = leavesOf(projectSchema, project).filter(
      ({ path }) => !LEFT_ALONE.has(String(path.at(-1))),
    );
    const move = fc.record({
      leaf: fc.constantFrom(...leaves),
      // Ends are where things break.
      share: fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0, max: 1, noNaN: true })),
    });
    return fc.array(move, { minLength: 1, maxLength: most }).map((moves) =>
      moves.reduce<Project>((now, { leaf, share }) => {
        const exact = leaf.min + share * (leaf.max - leaf.min);
        const next = withValue(now, leaf.path, leaf.integer ? Math.round(exact) : exact);
        const checked = projectSchema.safeParse(next);
        return checked.success ? checked.data : now;
      }, project),
    );
  });
}
