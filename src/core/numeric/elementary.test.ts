import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cos, cubeRoot, exp, log, power, sin } from './elementary';

const within = (ours: number, theirs: number, digits: number) =>
  expect(Math.abs(ours - theirs)).toBeLessThanOrEqual(10 ** -digits * Math.max(1e-300, Math.abs(theirs)));

describe('elementary functions', () => {
  it('agree with the language’s own to 15 digits', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -600, max: 600, noNaN: true }),
        fc.double({ min: 1e-9, max: 1e9, noNaN: true }),
        fc.double({ min: -2.5, max: 2.5, noNaN: true }),
        (x, positive, exponent) => {
          within(exp(x), Math.exp(x), 15);
          if (Math.abs(positive - 1) > 1e-3) within(log(positive), Math.log(positive), 15);
          within(cubeRoot(positive), Math.cbrt(positive), 15);
          within(power(positive, exponent), positive ** exponent, 13);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('turn with the circle, far round too', () => {
    fc.assert(
      fc.property(fc.double({ min: -700, max: 700, noNaN: true }), (angle) => {
        expect(Math.abs(sin(angle) - Math.sin(angle))).toBeLessThan(3e-14);
        expect(Math.abs(cos(angle) - Math.cos(angle))).toBeLessThan(3e-14);
        expect(Math.abs(sin(angle) ** 2 + cos(angle) ** 2 - 1)).toBeLessThan(1e-15 * 4);
      }),
      { numRuns: 2000 },
    );
    expect([sin(0), cos(0)]).toEqual([0, 1]);
  });

  it('know their ends', () => {
    expect([exp(0), exp(-1e4), exp(1e4), log(1), log(0)]).toEqual([1, 0, Infinity, 0, -Infinity]);
    expect(log(-1)).toBeNaN();
    expect(exp(Number.NaN)).toBeNaN();
    expect([power(0, 0.3), cubeRoot(0), cubeRoot(27)]).toEqual([0, 0, 3]);
    within(log(5e-310), Math.log(5e-310), 14);
  });
});

describe('the core', () => {
  it('uses none of the functions whose last digit each engine chooses for itself', () => {
    const files = readdirSync('src/core', { recursive: true, encoding: 'utf8' }).filter(
      (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
    );
    expect(files.length).toBeGreaterThan(40);
    const engine =
      /Math\.(exp|expm1|log|log1p|log2|log10|pow|cbrt|sin|cos|tan|asin|acos|atan2?|sinh|cosh|tanh|hypot)\b/;
    for (const file of files) {
      const code = readFileSync(join('src/core', file), 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, '');
      expect(engine.exec(code)?.[0], file).toBeUndefined();
      // Squares are exact products everywhere; other powers are not.
      for (const [, exponent] of code.matchAll(/\*\*=?\s*([^\s,;)]+)/g)) expect(exponent, file).toBe('2');
    }
  });
});
