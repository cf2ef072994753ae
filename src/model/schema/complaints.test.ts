import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as z from 'zod/mini';
import { demoProject } from '../../../demo/project';
import { speakPlainly } from './complaints';
import { getAt, type Path, SCHEMAS, SHELVES, setAt } from './paths';

speakPlainly();

/** Every path into a value, itself left out. */
function pathsIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => {
    const at = [...path, Array.isArray(value) ? Number(key) : key];
    return [at, ...pathsIn(inner, at)];
  });
}

describe('what a schema says of a value it refuses', () => {
  it('is in words of our own, whatever stands wherever in an item of any shelf', () => {
    let refused = 0;
    for (const shelf of SHELVES) {
      const [item] = demoProject[shelf] as readonly object[];
      if (!item) continue;
      const paths = pathsIn(item);
      fc.assert(
        fc.property(fc.constantFrom(...paths), fc.anything({ withNullPrototype: false }), (path, odd) => {
          const read = SCHEMAS[shelf].safeParse(setAt(item, path, odd));
          for (const { code, message } of read.error?.issues ?? []) {
            refused += 1;
            // What an item is checked for as a whole has words where it is checked.
            const ours = code === 'custom' ? /^(?!Invalid)./ : /^(must |has keys nobody knows: )./;
            expect(message, `${shelf} ${path.join('.')}`).toMatch(ours);
          }
          // What is as it was is taken as it was.
          expect(SCHEMAS[shelf].safeParse(setAt(item, path, getAt(item, path))).success).toBe(true);
        }),
        { numRuns: 60 },
      );
    }
    expect(refused).toBeGreaterThan(200);
  });

  it('names what was wanted and what is there', () => {
    const said = (schema: z.ZodMiniType, value: unknown) =>
      schema.safeParse(value).error?.issues.map(({ message }) => message);
    expect(said(z.number(), '3')).toEqual(['must be a number, and is a string']);
    expect(said(z.int(), 3.5)).toEqual(['must be a whole number, and is a number']);
    expect(said(z.number().check(z.gte(2), z.lte(4)), 9)).toEqual(['must be at most 4']);
    expect(said(z.string().check(z.minLength(1)), '')).toEqual(['must not be empty']);
    expect(said(z.array(z.number()).check(z.maxLength(2)), [1, 2, 3])).toEqual(['must have at most 2']);
    expect(said(z.enum(['left', 'right']), 'up')).toEqual(['must be one of "left", "right"']);
    const kinds = z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('out') }),
      z.strictObject({ kind: z.literal('in') }),
    ]);
    expect(said(kinds, { kind: 'up' })).toEqual(['must be one of "out", "in"']);
    expect(said(kinds, { kind: 'in', by: 3 })).toEqual(['has keys nobody knows: "by"']);
    expect(said(z.strictObject({ a: z.number() }), {})).toEqual(['must be a number, and is missing']);
    expect(said(z.string().check(z.regex(/^a/, 'must begin with a')), 'b')).toEqual(['must begin with a']);
  });
});
