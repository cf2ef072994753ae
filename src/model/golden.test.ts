import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoNumbers } from '../../tests/support/goldenDays';

/** Procedures now begin in the day's own air instead of air at 80 °C, and failures halve to another step. */
const ROUGHLY: Readonly<Record<string, number>> = { 'hot stop': 2e-3, failures: 1e-7 };

describe('the demo before and after a move of the code', () => {
  const before = JSON.parse(readFileSync('tests/golden/days.json', 'utf8')) as ReturnType<typeof demoNumbers>;
  const now = demoNumbers();

  it.each(Object.keys(before))('%s comes to the same numbers, to nine digits', (plan) => {
    expect(Object.keys(now[plan]).sort()).toEqual(Object.keys(before[plan]).sort());
    for (const [name, list] of Object.entries(before[plan])) {
      expect(now[plan][name], name).toHaveLength(list.length);
      const moved = list.findIndex((value, i) => {
        const other = now[plan][name][i];
        return Math.abs(other - value) > (ROUGHLY[name] ?? 2e-9) * Math.abs(value) + 1e-12;
      });
      expect(moved, `${name}: ${list[moved]} has become ${now[plan][name][moved]}`).toBe(-1);
    }
  });
});
