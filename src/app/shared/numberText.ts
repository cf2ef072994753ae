import {
  type FieldInfo,
  type FieldLimits,
  formatQuantity,
  readTyped,
  toShown,
  type UnitChoice,
  unitsOf,
} from '../../model';
import { say } from '../../text/en/say/shared';

/** A stored number as the text of its field: short, without rounding away what was typed. @param mark before decimals */
export function fieldText(value: number, scale: number, offset: number, mark: string): string {
  const shown = value * scale + offset;
  return String(Number(shown.toPrecision(scale === 1 && offset === 0 ? 12 : 7))).replace('.', mark);
}

/** What is wrong with a number by itself, in the units it is typed in. */
export function limitProblem(
  stored: number,
  info: FieldInfo & FieldLimits,
  units: UnitChoice,
): string | null {
  const text = (v: number) => formatQuantity(v, info.quantity, units, decimalsFor(v));
  if (info.integer && !Number.isInteger(stored)) return say.wholeNumberNeeded;
  // A hundred-millionth of slack, because units change by factors that are not round.
  const slack = 1e-8 * Math.max(Math.abs(info.min), Math.abs(info.max));
  if (stored < info.min - slack) return say.mustLeast(text(info.min));
  if (stored > info.max + slack) return say.mustMost(text(info.max));
  return null;
}

/** What a typed number comes to: what is stored, or what is wrong with it and how else it may be meant. */
export type Understood =
  | { readonly stored: number }
  | { readonly error: string; readonly instead: readonly string[] };

/** Reads what was typed into a field: its unit may stand behind it, and a comma that may be either is asked about. */
export function understood(text: string, info: FieldInfo & FieldLimits, units: UnitChoice): Understood {
  const no = (error: string, instead: readonly string[] = []) => ({ error, instead });
  const typed = readTyped(text, info.quantity, units);
  switch (typed.kind) {
    case 'none':
      return no(text.trim() === '' ? say.numberNeeded : say.notNumber);
    case 'unit':
      return no(say.otherUnit(typed.written, unitsOf(info.quantity)));
    case 'value': {
      const problem = limitProblem(typed.stored, info, units);
      return problem === null ? { stored: typed.stored } : no(problem);
    }
    case 'either': {
      const possible = typed.readings.filter(({ stored }) => limitProblem(stored, info, units) === null);
      const [first] = typed.readings;
      if (possible.length === 0) return no(limitProblem(first.stored, info, units) ?? say.notNumber);
      const plain = possible.map((reading) => reading.plain);
      return no(say.eitherNumber(text.trim(), plain), plain);
    }
  }
}

/** As many as tell the value from its neighbours. */
export function decimalsFor(value: number): number {
  return Number.isInteger(value) ? 0 : 2;
}

/** A usual range in the unit it is typed in, three digits. @param mark before decimals */
export function rangeText(
  [low, high]: readonly [number, number],
  unit: { scale: number; offset: number; label: string },
  mark: string,
): string {
  const u = { ...unit, decimals: 0 };
  const text = (v: number) =>
    String(Number(toShown(v, u).toPrecision(3)))
      .replace('-', '−')
      .replace('.', mark);
  return `${text(low)} to ${text(high)}${unit.label ? ` ${unit.label}` : ''}`;
}
