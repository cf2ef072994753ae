import { QUANTITIES, type Quantity, toStored, type UnitChoice, unitOf } from './units';

/** How a unit may be written behind a number, and what it is of the stored unit: stored = (typed − offset) / scale. */
interface Spelling {
  readonly scale: number;
  readonly offset: number;
}

const times = (factor: number): Spelling => ({ scale: 1 / factor, offset: 0 });
const LENGTH_MM = { mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4, inches: 25.4, '"': 25.4, '”': 25.4 };
const LENGTH_M = { m: 1, cm: 0.01, km: 1000, ft: 0.3048, feet: 0.3048, yd: 0.9144, mi: 1609.344 };

/** Units by their names in small letters without blanks, as multiples of the stored one; exact by definition but hp, PS. */
const MULTIPLES: Readonly<Partial<Record<Quantity, Readonly<Record<string, number>>>>> = {
  mass: { kg: 1, g: 0.001, t: 1000, lb: 0.45359237, lbs: 0.45359237, pounds: 0.45359237, oz: 0.028349523125 },
  smallLength: LENGTH_MM,
  distance: LENGTH_M,
  longDistance: { km: 1, m: 0.001, mi: 1.609344, miles: 1.609344 },
  speed: { 'km/h': 1, kmh: 1, kph: 1, mph: 1.609344, 'm/s': 3.6, kn: 1.852 },
  power: { kw: 1, w: 0.001, hp: 0.745699872, bhp: 0.745699872, ps: 0.73549875, cv: 0.73549875 },
  energy: { kj: 1, j: 0.001, mj: 1000, btu: 1.05505585262 },
  batteryEnergy: { kwh: 1, wh: 0.001 },
  area: {
    'cm²': 1,
    cm2: 1,
    'mm²': 0.01,
    mm2: 0.01,
    'm²': 1e4,
    m2: 1e4,
    'in²': 6.4516,
    in2: 6.4516,
    sqin: 6.4516,
  },
  bigArea: { 'm²': 1, m2: 1, 'ft²': 0.09290304, ft2: 0.09290304, sqft: 0.09290304 },
  force: { n: 1, kn: 1000, lbf: 4.4482216152605, lb: 4.4482216152605, kgf: 9.80665, dan: 10 },
  pressure: { bar: 1, psi: 1 / 14.503773773, kpa: 0.01, mpa: 10 },
  airPressure: { hpa: 1, mbar: 1, kpa: 10, bar: 1000, inhg: 33.8638866667, mmhg: 1.33322387415 },
  torque: {
    n·m: 1,
    nm: 1,
    'n*m': 1,
    lbf·ft: 1.3558179483314,
    'lb-ft': 1.3558179483314,
    lbft: 1.3558179483314,
    'ft-lb': 1.3558179483314,
    ftlb: 1.3558179483314,
  },
  deceleration: { 'm/s²': 1, 'm/s2': 1, g: 9.80665 },
  volume: { 'cm³': 1, cm3: 1, cc: 1, ml: 1, l: 1000, litres: 1000, liters: 1000 },
  seconds: { s: 1, sec: 1, min: 60 },
  minutes: { min: 1, s: 1 / 60, h: 60 },
  months: { months: 1, month: 1, years: 12, year: 12, weeks: 12 / 52.1775 },
  rotation: { 'rev/min': 1, rpm: 1 },
  percent: { '%': 1, percent: 1 },
  angle: { '°': 1, deg: 1, degrees: 1 },
  laps: { laps: 1, lap: 1 },
  stress: { mpa: 1 },
  stiffness: { 'kn/mm': 1 },
  inertia: { 'kg·m²': 1, kgm2: 1 },
};
const CELSIUS: Readonly<Record<string, Spelling>> = {
  '°c': { scale: 1, offset: 0 },
  c: { scale: 1, offset: 0 },
  '°f': { scale: 1.8, offset: 32 },
  f: { scale: 1.8, offset: 32 },
  k: { scale: 1, offset: 273.15 },
};

function spelling(quantity: Quantity, written: string): Spelling | null {
  const name = written.toLowerCase().replace(/\s/g, '');
  if (quantity === 'temperature') return CELSIUS[name] ?? null;
  if (quantity === 'difference') {
    const own = name === 'k' ? CELSIUS.c : CELSIUS[name];
    return own ? { ...own, offset: 0 } : null;
  }
  const factor = MULTIPLES[quantity]?.[name];
  if (factor !== undefined) return times(factor);
  const own = QUANTITIES[quantity].find(({ label }) => label !== '' && label.toLowerCase() === name);
  return own ?? null;
}

/** What was typed into a field of a number. */
type Typed =
  | { readonly kind: 'value'; readonly stored: number }
  /** "1,200" is twelve hundred to some and one and a fifth to others: both, stored, with how each is written plainly */
  | {
      readonly kind: 'either';
      readonly readings: readonly { readonly plain: string; readonly stored: number }[];
    }
  | { readonly kind: 'unit'; readonly written: string }
  | { readonly kind: 'none' };

const SPLIT = /^([+-]?[\d\s.,'’]*\d(?:[.,])?(?:e[+-]?\d+)?|[+-]?[.,]\d+(?:e[+-]?\d+)?)\s*(.*)$/i;
/** One comma and three figures behind it: thousands in one half of the world, a decimal in the other. */
const EITHER = /^[+-]?[1-9]\d{0,2},\d{3}$/;
const THOUSANDS = /^[+-]?\d{1,3}(,\d{3}){2,}(\.\d+)?$|^[+-]?\d{1,3}(,\d{3})+\.\d+$/;
const POINTED = /^[+-]?\d{1,3}(\.\d{3}){2,}(,\d+)?$|^[+-]?\d{1,3}(\.\d{3})+,\d+$/;

function plainNumber(text: string): number | null {
  const bare = text.replace(/[\s'’](?=\d{3})/g, '');
  const plain = THOUSANDS.test(bare)
    ? bare.replaceAll(',', '')
    : POINTED.test(bare)
      ? bare.replaceAll('.', '').replace(',', '.')
      : bare.replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain)) return null;
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}

/**
 * Reads a number as people type it: decimal comma or point, thousands set apart, a unit behind it that is one of its
 * quantity, whether or not it is the one shown.
 */
export function readTyped(text: string, quantity: Quantity, choice: UnitChoice): Typed {
  const found = SPLIT.exec(text.trim().replace(/−/g, '-'));
  if (!found) return { kind: 'none' };
  const [, number, written] = found;
  const unit = written === '' ? unitOf(quantity, choice) : spelling(quantity, written);
  if (!unit) return /\d/.test(written) ? { kind: 'none' } : { kind: 'unit', written: written.trim() };
  const stored = (value: number) => Number(toStored(value, unit).toPrecision(12));
  if (EITHER.test(number)) {
    const behind = written === '' ? '' : ` ${written}`;
    const readings = [number.replace(',', ''), number.replace(',', '.')].map((plain) => ({
      plain: `${plain}${behind}`,
      stored: stored(Number(plain)),
    }));
    return { kind: 'either', readings };
  }
  const value = plainNumber(number);
  return value === null ? { kind: 'none' } : { kind: 'value', stored: stored(value) };
}

/** How the units of a quantity may be written: “kg, lb”. */
export const unitsOf = (quantity: Quantity): string =>
  QUANTITIES[quantity]
    .map(({ label }) => label)
    .filter((label) => label !== '')
    .join(', ');
