import type * as z from 'zod/mini';
import type { Problem } from '../check/problem';
import { issueProblem } from '../file/readProject';
import { SCHEMAS, SHELVES, titleAt } from '../schema/paths';
import { frameSchema, type Project } from '../schema/project';
import { withOrigins } from './origins';

export type Attempt =
  | { readonly ok: true; readonly project: Project }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Items that a schema has accepted; an edit shares what it does not change, so that each is read once. */
const accepted = new WeakSet<object>();

/**
 * Makes an edit if what comes of it can be written and read back.
 * @param change a project from a project; a RangeError it throws refuses the edit
 * @returns the project as reading it back would give it, or everything that is wrong, with paths from its root
 */
export function attemptEdit(project: Project, change: (project: Project) => Project): Attempt {
  let next: Project;
  try {
    next = change(project);
    if (next !== project) next = withOrigins(project, next);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ok: false, problems: [{ path: '', message: error.message, severity: 'error' }] };
  }
  if (next === project) return { ok: true, project };
  const problems: Problem[] = [];
  const lists = Object.fromEntries(
    SHELVES.map((shelf) => [
      shelf,
      // What lies past the most a project holds is refused as a whole, not one by one.
      next[shelf] === project[shelf] ? next[shelf] : readItems(next[shelf], shelf, problems),
    ]),
  );
  const whole = { ...next, ...lists };
  const frame = frameSchema.safeParse(whole, { reportInput: true });
  if (!frame.success) problems.push(...frame.error.issues.map(issueProblem));
  return problems.length > 0 ? { ok: false, problems } : { ok: true, project: frame.data as Project };
}

function readItems(items: readonly object[], shelf: keyof typeof SCHEMAS, problems: Problem[]): object[] {
  return items.map((item, i) => {
    if (accepted.has(item)) return item;
    const read = (SCHEMAS[shelf] as z.ZodMiniType<object>).safeParse(item, { reportInput: true });
    if (!read.success) {
      problems.push(
        ...read.error.issues.map((issue) => {
          const { path, ...rest } = issueProblem(issue);
          return { ...rest, path: `${shelf}[${i}]${path && !path.startsWith('[') ? '.' : ''}${path}` };
        }),
      );
      return item;
    }
    accepted.add(read.data);
    return read.data;
  });
}

/** A path that is a whole list, and one that is an item of it or within it. */
const LIST = new RegExp(`^(${SHELVES.join('|')}|prices)$`);
const ITEM = new RegExp(`^(${SHELVES.join('|')})\\[(\\d+)\\](?:\\.(.*))?$`);

/**
 * The first of an edit's problems as a sentence: what of which item must be how.
 * @param named whether the item is named; beside its own fields that goes without saying
 */
export function refusalText(project: Project, problems: readonly Problem[], named = true): string {
  const [{ path, message }] = problems;
  const more = problems.length > 1 ? ` (and ${problems.length - 1} more)` : '';
  const list = LIST.exec(path);
  if (list) return sentence(`${message.replace(/^must have/, 'a project has')} ${list[1]}${more}`);
  const at = ITEM.exec(path);
  if (!at) return sentence(`${path} ${message}${more}`);
  const [, shelf, index, rest = ''] = at as unknown as [string, keyof typeof SCHEMAS, string, string?];
  const name = named ? project[shelf][Number(index)]?.name : undefined;
  const title = rest && (titleAt(SCHEMAS[shelf], rest) ?? rest);
  return sentence(`${title}${name ? ` of “${name}”` : ''} ${message}${more}`);
}

function sentence(text: string): string {
  const plain = text.trim();
  return `${plain.charAt(0).toUpperCase()}${plain.slice(1)}${/[.!?]$/.test(plain) ? '' : '.'}`;
}
