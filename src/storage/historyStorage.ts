import { type Project, SHELVES, type Shelf } from '../model';
import type { KeyValueStore } from './keyValueStore';

const KEY = 'history';
/** Steps kept: enough for an evening's second thoughts. */
const KEPT = 100;

type Item = Project[Shelf][number];

/** A step back: what of the project was otherwise before it. */
interface StepBack {
  readonly label: string;
  /** Names, currency, prices and the plan on the workbench, as far as they were otherwise */
  readonly names: Partial<Omit<Project, Shelf>>;
  /** Of each list that was otherwise: its ids in their order, and the items that were otherwise or are gone since */
  readonly lists: Partial<
    Record<Shelf, { readonly ids: readonly string[]; readonly items: readonly Item[] }>
  >;
}

interface Kept {
  /** Revision of the stored project that the steps lead back from */
  readonly revision: number;
  /** The oldest first */
  readonly steps: readonly StepBack[];
}

/** A value with the label of the edit that came after it. */
export interface PastStep {
  readonly value: Project;
  readonly label: string;
}

/** Steps are the same objects from one saving to the next: each is compared once. */
const compared = new WeakMap<PastStep, { readonly now: Project; readonly back: StepBack }>();

function stepBack(step: PastStep, now: Project): StepBack {
  const known = compared.get(step);
  if (known?.now === now) return known.back;
  const { value: before, label } = step;
  const lists = Object.fromEntries(
    SHELVES.filter((shelf) => before[shelf] !== now[shelf]).map((shelf) => {
      const later = new Set<Item>(now[shelf]);
      const items = (before[shelf] as readonly Item[]).filter((item) => !later.has(item));
      return [shelf, { ids: before[shelf].map(({ id }) => id), items }];
    }),
  );
  const {
    cars: _cars,
    circuits: _circuits,
    plans: _plans,
    parts: _parts,
    states: _states,
    ...names
  } = before;
  const changed = Object.entries(names).filter(([name, value]) => now[name as keyof typeof names] !== value);
  const back: StepBack = { label, names: Object.fromEntries(changed), lists };
  compared.set(step, { now, back });
  return back;
}

function before(now: Project, { names, lists }: StepBack): Project {
  const changed = SHELVES.flatMap((shelf) => {
    const list = lists[shelf];
    if (!list) return [];
    const items = new Map<string, Item>(
      [...(now[shelf] as readonly Item[]), ...list.items].map((i) => [i.id, i]),
    );
    return [[shelf, list.ids.map((id) => items.get(id))] as const];
  });
  if (changed.some(([, list]) => list.includes(undefined)))
    throw new RangeError('an item of a step is missing');
  return { ...now, ...names, ...Object.fromEntries(changed) } as Project;
}

/** Keeps the way back from what was stored as a revision. Never throws: without it there is only nothing to undo. */
export async function keepHistory(
  store: KeyValueStore,
  revision: number,
  now: Project,
  past: readonly PastStep[],
): Promise<void> {
  try {
    const latest = past.slice(-KEPT);
    const steps = latest.map((step, i) => stepBack(step, latest[i + 1]?.value ?? now));
    await store.setItem(KEY, { revision, steps } satisfies Kept);
  } catch {
    // A full store has room for the project first.
  }
}

/** The way back that was kept for a revision, oldest step first; empty where there is none that fits. */
export async function openHistory(store: KeyValueStore, revision: number, now: Project): Promise<PastStep[]> {
  try {
    const kept = (await store.getItem(KEY)) as Kept | null;
    if (kept?.revision !== revision) return [];
    const past: PastStep[] = [];
    let value = now;
    for (const step of [...kept.steps].reverse()) {
      value = before(value, step);
      past.unshift({ value, label: String(step.label) });
    }
    return past;
  } catch {
    return [];
  }
}
