import * as z from 'zod/mini';

/** What a schema says of a value it refuses, where it has no words of its own. */
function complaint(issue: z.core.$ZodRawIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `must be ${EXPECTED[issue.expected] ?? `a ${issue.expected}`}, and is ${kindOf(issue.input)}`;
    case 'too_small':
      return issue.origin === 'array' || issue.origin === 'string'
        ? issue.origin === 'string'
          ? 'must not be empty'
          : `must have at least ${issue.minimum}`
        : `must be at least ${issue.minimum}`;
    case 'too_big':
      return issue.origin === 'array' || issue.origin === 'string'
        ? `must have at most ${issue.maximum}${issue.origin === 'string' ? ' characters' : ''}`
        : `must be at most ${issue.maximum}`;
    case 'invalid_value':
      return oneOf(issue.values);
    case 'invalid_union':
      // A choice by a kind, which is none of those there are.
      return Array.isArray(issue.options) ? oneOf(issue.options) : 'must be written otherwise';
    case 'unrecognized_keys':
      return `has keys nobody knows: ${issue.keys
        .slice(0, 5)
        .map((k) => `"${k.slice(0, 40)}"`)
        .join(', ')}${issue.keys.length > 5 ? ` and ${issue.keys.length - 5} more` : ''}`;
    case 'invalid_key':
      return 'must have a name that is known here';
    default:
      return 'must be written otherwise';
  }
}

const oneOf = (values: readonly unknown[]): string =>
  `must be one of ${values.map((value) => `"${String(value)}"`).join(', ')}`;

/** What a schema wants, as a reader says it. */
const EXPECTED: Readonly<Record<string, string>> = {
  int: 'a whole number',
  array: 'a list',
  object: 'an object',
};

function kindOf(input: unknown): string {
  if (input === undefined) return 'missing';
  if (input === null) return 'null';
  if (typeof input === 'number' && !Number.isFinite(input)) return 'not a number';
  if (typeof input === 'object') return Array.isArray(input) ? 'a list' : 'an object';
  return `a ${typeof input}`;
}

/** Gives schemas those words: the small form of Zod brings none along. To be called where schemas begin. */
export function speakPlainly(): void {
  z.config({ localeError: complaint });
}
