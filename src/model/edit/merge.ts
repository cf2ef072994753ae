import { alike } from '../../core';
import { say } from '../../text/en/say/model';
import { pathText } from '../check/problem';
import { SCHEMAS, SHELVES, titleAt } from '../schema/paths';
import type { Project } from '../schema/project';
import { attemptEdit } from './attempt';

/** A value that two pages changed differently; the one of this page was kept. */
export interface Conflict {
  /** "Mass of “Tarn Two club car”" */
  readonly what: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface Merged {
  readonly project: Project;
  readonly conflicts: readonly Conflict[];
  /** False where both together make no project: then `project` is this page's, whole */
  readonly whole: boolean;
}

/** A project or a part of one: only what was changed, with what it was before. */
export type Sparse = Partial<Omit<Project, List>> & {
  readonly [K in List]?: Project[K];
};

const LISTS = [...SHELVES, 'prices'] as const;
type List = (typeof LISTS)[number];
type Item = Project[List][number];
type Loose = Readonly<Record<string, unknown>>;

const keyOf = (item: Item): string => ('key' in item ? item.key : item.id);
const isRecord = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What of two projects differs: items and names that are not alike, as each has them. */
export function differing(before: Project, now: Project): { readonly before: Sparse; readonly now: Sparse } {
  const [a, b]: [Record<string, unknown>, Record<string, unknown>] = [{}, {}];
  for (const name of ['name', 'currency', 'selectedPlanId'] as const) {
    if (before[name] === now[name]) continue;
    a[name] = before[name];
    b[name] = now[name];
  }
  for (const shelf of LISTS) {
    if (before[shelf] === now[shelf]) continue;
    const [old, own]: [readonly Item[], readonly Item[]] = [before[shelf], now[shelf]];
    a[shelf] = unlike(old, own);
    b[shelf] = unlike(own, old);
  }
  return { before: a as Sparse, now: b as Sparse };
}

/** The items that are otherwise, or not at all, among others. */
function unlike(items: readonly Item[], others: readonly Item[]): Item[] {
  const byKey = new Map(others.map((other) => [keyOf(other), other]));
  return items.filter((item) => !alike(byKey.get(keyOf(item)), item));
}

/**
 * Joins what two pages made of one project, item by item and field by field. What only one of them changed is taken
 * from it; what both changed differently stays as this page has it, and is said.
 * @param base as both began; it may hold only what `mine` changed
 * @param mine as this page has it, in full or only what it changed
 * @param theirs as it is stored now
 * @param fallback this page's whole project, taken where both together make none
 */
export function mergeProjects(base: Sparse, mine: Sparse, theirs: Project, fallback: Project): Merged {
  const conflicts: Conflict[] = [];
  const lists = Object.fromEntries(
    LISTS.map((shelf) => [
      shelf,
      mergeList(shelf, base[shelf] ?? [], mine[shelf] ?? base[shelf] ?? [], theirs[shelf], conflicts),
    ]),
  );
  const text = (name: 'name' | 'currency', what: string) =>
    mergeValue(base[name], mine[name] ?? base[name], theirs[name], () => what, conflicts);
  const merged = {
    ...theirs,
    ...lists,
    name: text('name', 'the project’s name'),
    currency: text('currency', 'the currency'),
  } as Project;
  // Which plan is on the workbench is each page's own.
  const own = mine.selectedPlanId;
  const selectedPlanId =
    own !== undefined && merged.plans.some((plan) => plan.id === own) ? own : theirs.selectedPlanId;
  const attempt = attemptEdit(theirs, () => ({ ...merged, selectedPlanId }));
  return attempt.ok
    ? { project: attempt.project, conflicts, whole: true }
    : { project: fallback, conflicts, whole: false };
}

function mergeList(
  shelf: List,
  base: readonly Item[],
  mine: readonly Item[],
  theirs: readonly Item[],
  conflicts: Conflict[],
): Item[] {
  const find = (list: readonly Item[], key: string) => list.find((item) => keyOf(item) === key);
  const merged = theirs.flatMap((their): Item[] => {
    const key = keyOf(their);
    const [old, own] = [find(base, key), find(mine, key)];
    if (!own) {
      // Deleted here, unless it was never here; an item they changed meanwhile stays.
      return old && alike(old, their) ? [] : [their];
    }
    return [mergeItem(shelf, old, own, their, conflicts)];
  });
  mine.forEach((own, i) => {
    const key = keyOf(own);
    if (find(merged, key)) return;
    const old = find(base, key);
    // Deleted there and not changed here.
    if (old && alike(old, own)) return;
    const before = i > 0 ? merged.findIndex((item) => keyOf(item) === keyOf(mine[i - 1])) : -1;
    merged.splice(before >= 0 ? before + 1 : merged.length, 0, own);
  });
  return merged;
}

function mergeItem(shelf: List, old: Item | undefined, own: Item, their: Item, conflicts: Conflict[]): Item {
  if (!old) return own;
  const found: Conflict[] = [];
  const name = 'name' in own ? `“${own.name}”` : own.key;
  const what = (path: readonly string[]): string => {
    const at = pathText(path.map((part) => (/^\d+$/.test(part) ? Number(part) : part)));
    const title = shelf === 'prices' ? null : titleAt(SCHEMAS[shelf], at);
    return `${title ?? (path.length > 0 ? at : shelf)} of ${name}`;
  };
  const merged = mergeValue(old, own, their, what, found) as Item;
  const valid = shelf === 'prices' || SCHEMAS[shelf].safeParse(merged).success;
  if (valid) {
    conflicts.push(...found);
    return merged;
  }
  conflicts.push({ what: name, mine: own, theirs: their });
  return own;
}

function mergeValue(
  old: unknown,
  own: unknown,
  their: unknown,
  what: (path: readonly string[]) => string,
  conflicts: Conflict[],
  path: readonly string[] = [],
): unknown {
  if (alike(own, their) || alike(old, their)) return own;
  if (alike(old, own)) return their;
  const mergeable = isRecord(old) && isRecord(own) && isRecord(their) && own.kind === their.kind;
  if (!mergeable) {
    conflicts.push({ what: what(path), mine: own, theirs: their });
    return own;
  }
  const entries = Object.keys({ ...their, ...own }).map((key) => [
    key,
    mergeValue(old[key], own[key], their[key], what, conflicts, [...path, key]),
  ]);
  // What one of them took away, a tick or a figure, is gone.
  return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
}

/** What two pages changed differently, as a sentence; '' for nothing. */
export function conflictText(conflicts: readonly Conflict[]): string {
  if (conflicts.length === 0) return '';
  const shown = conflicts.slice(0, 3).map(({ what, mine, theirs }) => {
    const plain = [mine, theirs].every((v) => typeof v === 'number' || typeof v === 'string');
    return plain ? `${what} (${String(mine)} here, ${String(theirs)} there)` : what;
  });
  const more = conflicts.length > 3 ? ` and ${conflicts.length - 3} more` : '';
  return say.changedHereAnotherPage(shown.join(', '), more);
}
