import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { dayKey } from '../../../compute/question';
import type { AxleNeed } from '../../../core';
import { dayInput, METRIC, type Setup, setupOf, US } from '../../../model';
import {
  marginWords,
  moneyText,
  noDuctWords,
  signedKelvin,
  signedSeconds,
} from '../../../text/en/decisionWords';

type NoDuct = NonNullable<AxleNeed['reason']>;
type Path = readonly (string | number)[];

/** Paths to every value in an object that is not an object itself. */
function leaves(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, child]) =>
    leaves(child, [...path, Array.isArray(value) ? Number(key) : key]),
  );
}
/** A copy with the value at a path turned into another of its kind. */
function turned<T>(whole: T, path: Path): T {
  const copy = structuredClone(whole);
  let at = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  const last = path[path.length - 1];
  const value = at[last];
  at[last] =
    typeof value === 'number'
      ? value * 1.01 + 0.013
      : typeof value === 'boolean'
        ? !value
        : value === null
          ? 1
          : value;
  return copy;
}
/** The day of a setup as text; null where it cannot be one. */
function dayText(setup: Setup): string | null {
  try {
    return JSON.stringify(dayInput(setup));
  } catch {
    return null;
  }
}

describe('what a question depends on', () => {
  it.each(demoProject.plans.map((plan) => [plan.name, plan.id] as const))(
    'is everything that changes the day: %s',
    (_, id) => {
      const setup = setupOf(demoProject, id);
      const before = { key: dayKey(setup), day: dayText(setup) };
      let changing = 0;
      for (const part of ['car', 'circuit', 'plan'] as const) {
        for (const path of leaves(setup[part])) {
          const other = turned(setup, [part, ...path]);
          const day = dayText(other);
          if (day === null || day === before.day) continue;
          changing += 1;
          expect(dayKey(other), `${part}.${path.join('.')}`).not.toBe(before.key);
        }
      }
      // It is no empty check: most of what is typed about a car changes its day.
      expect(changing).toBeGreaterThan(100);
    },
  );

  it('is nothing that does not: names, wishes, comparisons, ranges, what is near the brakes', () => {
    const setup = setupOf(demoProject, 'plan-tarn-anvil');
    const key = dayKey(setup);
    const { car, plan } = setup;
    const same: Setup[] = [
      { ...setup, car: { ...car, name: 'Another name', driverSide: 'left', exposed: [] } },
      { ...setup, car: { ...car, driverSide: 'right' } },
      { ...setup, plan: { ...plan, name: 'Renamed', targetMarginK: 99, minutes: 61 } },
      { ...setup, plan: { ...plan, uncertain: { ...plan.uncertain, seed: 77, runs: 300 } } },
      {
        ...setup,
        plan: {
          ...plan,
          compare: {
            setups: [{ id: 'a', name: 'A', carId: car.id, changes: [], otherCost: 5 }],
            referenceId: 'a',
          },
        },
      },
    ];
    for (const other of same) expect(dayKey(other)).toBe(key);
  });

  it('does not depend on the order its keys are stored in', () => {
    const backwards = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(backwards)
        : typeof value === 'object' && value !== null
          ? Object.fromEntries(
              Object.entries(value)
                .reverse()
                .map(([key, child]) => [key, backwards(child)]),
            )
          : value;
    for (const plan of demoProject.plans) {
      const setup = setupOf(demoProject, plan.id);
      const turnedRound = backwards(setup) as Setup;
      expect(Object.keys(turnedRound.car)[0]).not.toBe(Object.keys(setup.car)[0]);
      expect(dayKey(turnedRound)).toBe(dayKey(setup));
    }
  });
});

describe('words of a decision', () => {
  const reason: NoDuct = { kind: 'saturated', part: 'padFace', best: -14, gain: 31, rise: 210 };
  const axle = (with_: Partial<NoDuct>): AxleNeed => ({
    kind: 'impossible',
    area: 0.03,
    at: {
      area: 0.03,
      part: 'padFace',
      margin: -14,
      guessed: { part: 'hub', margin: 40 },
      rotorFace: 900,
      rotorBulk: 850,
      padFace: 980,
      fluid: 420,
      bite: 12,
    },
    reason: { ...reason, ...with_ },
    curve: [],
  });

  it('say why no duct does it, each reason its own, with its figures in the reader’s units', () => {
    const kinds = ['wish', 'single-stop', 'no-effect', 'other-way', 'saturated'] as const;
    const said = kinds.map((kind) => noDuctWords(axle({ kind }), 40, METRIC));
    expect(new Set(said).size).toBe(kinds.length);
    expect(said[0]).toContain('less than 40 °C over the air');
    expect(said[1]).toContain('One braking alone heats the surfaces by 210 °C');
    for (const text of said.slice(2)) {
      expect(text).toContain('300 cm² to each wheel');
      expect(text).toContain('gains 31 °C');
      expect(text).toContain('leaves the pads 14 °C over their limit');
    }
    const left = noDuctWords(axle({ best: 12 }), 40, METRIC);
    expect(left).toContain('leaves the pads 12 °C');
    expect(left).not.toContain('over their limit');
    const american = noDuctWords(axle({}), 40, US);
    expect(american).toContain('gains 56 °F');
    expect(american).not.toMatch(/ °C|cm²/);
    expect(noDuctWords({ ...axle({}), kind: 'found', reason: null }, 40, METRIC)).toBe('');
  });

  it('give every margin its side of the limit', () => {
    const at = (part: 'fluid' | 'bite', margin: number, units = METRIC) =>
      marginWords({ axle: 'rear', part, margin }, units);
    expect(at('fluid', 12.4)).toBe('rear brake fluid, 12 °C below limit');
    expect(at('fluid', -12.4)).toBe('rear brake fluid, 12 °C over limit');
    expect(at('bite', 30)).toBe('rear cold bite, 30 °C above working temperature');
    expect(at('bite', -30)).toBe('rear cold bite, 30 °C below working temperature');
    expect(at('fluid', -10, US)).toBe('rear brake fluid, 18 °F over limit');
  });

  it('keep sign and size of differences', () => {
    fc.assert(
      fc.property(fc.double({ min: -900, max: 900, noNaN: true }), (kelvin) => {
        const text = signedKelvin(kelvin, METRIC);
        const number = Number(text.replace('−', '-').replace(' °C', ''));
        expect(Math.abs(number - kelvin)).toBeLessThanOrEqual(0.5 + 1e-9);
        if (Math.abs(kelvin) >= 0.5) expect(text).toMatch(kelvin > 0 ? /^\+/ : /^−/);
        else expect(text).toBe('0 °C');
      }),
    );
    fc.assert(
      fc.property(fc.double({ min: -7200, max: 7200, noNaN: true }), (seconds) => {
        const text = signedSeconds(seconds);
        const [, sign, minutes, rest] = /^([+−]?)(?:(\d+):)?([\d.]+) (?:s|min)$/.exec(text) ?? [];
        const size = 60 * Number(minutes ?? 0) + Number(rest);
        expect(Math.abs(size - Math.abs(seconds))).toBeLessThanOrEqual(
          Math.abs(seconds) < 9.99 ? 0.00501 : 0.501,
        );
        expect(Number(rest)).toBeLessThan(minutes === undefined ? 90 : 60);
        if (size > 0) expect(sign).toBe(seconds > 0 ? '+' : '−');
      }),
    );
  });

  it('write money with its sign before and its letters after, and nothing as free', () => {
    expect(moneyText(0, '€')).toBe('free');
    expect(moneyText(1234.4, '€')).toBe('€1,234');
    expect(moneyText(12.5, 'CHF')).toBe('12.50 CHF');
    expect(moneyText(70, 'kr')).toBe('70 kr');
  });
});
