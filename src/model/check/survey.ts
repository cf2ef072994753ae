import { say } from '../../text/en/say/model';
import { MOST_ITEMS } from '../schema/project';
import { type Problem, pathText } from './problem';

const POISONED = new Set(['__proto__', 'constructor', 'prototype']);
/** Longest list inside an item, and most values in a whole document: more than any project can use. */
const LONGEST_LIST = 600;
const MOST_VALUES = 4_000_000;

interface Place {
  readonly parent: Place | null;
  readonly key: string | number;
}

/**
 * Looks a document over before anything else does, so that what only costs time is refused at once: keys that are not
 * allowed, lists longer than any that is read. It walks with a list of its own and no recursion.
 */
export function survey(value: unknown): Problem | null {
  const at = (place: Place | null): string => {
    const path: (string | number)[] = [];
    for (let p = place; p; p = p.parent) path.unshift(p.key);
    return pathText(path);
  };
  const fail = (place: Place | null, message: string): Problem => ({
    path: at(place),
    message,
    severity: 'error',
  });
  const open: Open[] = [{ value, place: null }];
  let seen = 0;
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: own, place } = next;
    if (typeof own !== 'object' || own === null) continue;
    if (Array.isArray(own) && own.length > mostOf(place)) {
      return fail(place, `must have at most ${mostOf(place)}`);
    }
    const inner = Object.keys(own);
    seen += inner.length;
    if (seen > MOST_VALUES) return fail(null, say.documentHoldsMoreThan(MOST_VALUES));
    for (const name of inner) {
      const here = { parent: place, key: Array.isArray(own) ? Number(name) : name };
      if (POISONED.has(name)) return fail(here, say.keyNotAllowedFile);
      open.push({ value: (own as Readonly<Record<string, unknown>>)[name], place: here });
    }
  }
  return null;
}

interface Open {
  readonly value: unknown;
  readonly place: Place | null;
}

/** Most items a list may have: of the document's own lists what a project holds, else what the longest list has. */
function mostOf(place: Place | null): number {
  if (place && place.parent === null && Object.hasOwn(MOST_ITEMS, place.key)) {
    return MOST_ITEMS[place.key as keyof typeof MOST_ITEMS];
  }
  return LONGEST_LIST;
}
