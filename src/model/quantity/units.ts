import { ZERO_CELSIUS } from '../../core';

/** A way of writing a quantity: shown = stored · scale + offset. */
export interface Unit {
  readonly label: string;
  readonly scale: number;
  readonly offset: number;
  /** Decimals usual for results */
  readonly decimals: number;
}

const unit = (label: string, scale = 1, decimals = 1, offset = 0): Unit => ({
  label,
  scale,
  offset,
  decimals,
});

/**
 * Quantities of the project file and of what is shown. The first unit is the one stored and the metric one, the second,
 * where there is one, the US one. Factors are exact by definition (inch, pound, mile) except hp (745.699872 W).
 */
export const QUANTITIES = {
  temperature: [unit('°C', 1, 0), unit('°F', 1.8, 0, 32)],
  difference: [unit('°C', 1, 0), unit('°F', 1.8, 0)],
  speed: [unit('km/h', 1, 0), unit('mph', 1 / 1.609344, 0)],
  mass: [unit('kg', 1, 1), unit('lb', 1 / 0.45359237, 1)],
  distance: [unit('m', 1, 0), unit('ft', 1 / 0.3048, 0)],
  longDistance: [unit('km', 1, 1), unit('mi', 1 / 1.609344, 1)],
  smallLength: [unit('mm', 1, 1), unit('in', 1 / 25.4, 3)],
  area: [unit('cm²', 1, 1), unit('in²', 1 / 6.4516, 2)],
  bigArea: [unit('m²', 1, 2), unit('ft²', 1 / 0.09290304, 1)],
  power: [unit('kW', 1, 0), unit('hp', 1 / 0.745699872, 0)],
  energy: [unit('kJ', 1, 0), unit('BTU', 1 / 1.05505585262, 0)],
  largeEnergy: [unit('MJ', 1, 0), unit('BTU', 1000 / 1.05505585262, 0)],
  heatFlow: [unit('W', 1, 0), unit('BTU/h', 3600 / 1055.05585262, 0)],
  batteryEnergy: [unit('kWh', 1, 2)],
  deceleration: [unit('m/s²', 1, 1), unit('g', 1 / 9.80665, 2)],
  force: [unit('N', 1, 0), unit('lbf', 1 / 4.4482216152605, 0)],
  pressure: [unit('bar', 1, 1), unit('psi', 14.503773773, 0)],
  airPressure: [unit('hPa', 1, 0), unit('inHg', 1 / 33.8638866667, 2)],
  hoseExpansion: [unit('mm³/(bar·m)', 1, 1)],
  stiffness: [unit('kN/mm', 1, 0)],
  stress: [unit('MPa', 1, 0)],
  volume: [unit('cm³', 1, 2)],
  torque: [unit('N·m', 1, 0), unit('lbf·ft', 1 / 1.3558179483314, 0)],
  density: [unit('kg/m³', 1, 3)],
  inertia: [unit('kg·m²', 1, 1)],
  rotation: [unit('rev/min', 1, 0)],
  conductance: [unit('W/K', 1, 2)],
  seconds: [unit('s', 1, 1)],
  minutes: [unit('min', 1, 0)],
  months: [unit('months', 1, 0)],
  laps: [unit('laps', 1, 0)],
  percent: [unit('%', 1, 1)],
  angle: [unit('°', 1, 1)],
  count: [unit('', 1, 0)],
  factor: [unit('', 1, 3)],
  friction: [unit('', 1, 2)],
} as const satisfies Record<string, readonly [Unit] | readonly [Unit, Unit]>;

export type Quantity = keyof typeof QUANTITIES;

/**
 * From SI to the unit stored: stored = SI · times / over + offset. Results stay SI until a quantity shows them, and what
 * is typed becomes SI where it is handed to the core; no other place knows these factors.
 */
const SI: Readonly<
  Record<Quantity, { readonly times?: number; readonly over?: number; readonly offset?: number }>
> = {
  temperature: { offset: -ZERO_CELSIUS },
  difference: {},
  speed: { times: 3.6 },
  mass: {},
  distance: {},
  longDistance: { over: 1000 },
  smallLength: { times: 1000 },
  area: { times: 1e4 },
  bigArea: {},
  power: { over: 1000 },
  energy: { over: 1000 },
  largeEnergy: { over: 1e6 },
  heatFlow: {},
  batteryEnergy: { over: 3.6e6 },
  deceleration: {},
  force: {},
  pressure: { over: 1e5 },
  airPressure: { over: 100 },
  hoseExpansion: { times: 1e9 * 1e5 },
  stiffness: { over: 1e6 },
  stress: { over: 1e6 },
  volume: { times: 1e6 },
  torque: {},
  density: {},
  inertia: {},
  rotation: { times: 30, over: Math.PI },
  conductance: {},
  seconds: {},
  minutes: { over: 60 },
  months: { over: (365.25 * 86400) / 12 },
  laps: {},
  percent: { times: 100 },
  angle: {},
  count: {},
  factor: {},
  friction: {},
};

/** A value in SI as its quantity is stored. */
export function fromSi(value: number, quantity: Quantity): number {
  const { times = 1, over = 1, offset = 0 } = SI[quantity];
  return (value * times) / over + offset;
}

/** A stored value in SI. */
export function toSi(value: number, quantity: Quantity): number {
  const { times = 1, over = 1, offset = 0 } = SI[quantity];
  return ((value - offset) * over) / times;
}

/** Quantities whose unit goes with another's. */
const FOLLOWS = {
  longDistance: 'distance',
  largeEnergy: 'energy',
  heatFlow: 'energy',
} as const satisfies Partial<Record<Quantity, Quantity>>;
const leaderOf = (quantity: Quantity): Quantity =>
  (FOLLOWS as Partial<Record<Quantity, Quantity>>)[quantity] ?? quantity;

/** Quantities that can be switched: those with two units that follow no other. */
export type Switchable = Exclude<
  { [Q in Quantity]: (typeof QUANTITIES)[Q] extends readonly [Unit, Unit] ? Q : never }[Quantity],
  keyof typeof FOLLOWS
>;

/** The same, in the order they are listed. */
export const SWITCHABLE = (Object.keys(QUANTITIES) as Quantity[]).filter(
  (q): q is Switchable => QUANTITIES[q].length > 1 && !(q in FOLLOWS),
);

/** Which quantities are shown in US units. */
export type UnitChoice = Readonly<Partial<Record<Quantity, 'us'>>>;
export const METRIC: UnitChoice = {};
export const US: UnitChoice = Object.fromEntries(SWITCHABLE.map((q) => [q, 'us']));

/** The unit a quantity is shown in. */
export function unitOf(quantity: Quantity, choice: UnitChoice): Unit {
  const units: readonly Unit[] = QUANTITIES[quantity];
  return choice[leaderOf(quantity)] === 'us' && units.length > 1 ? units[1] : units[0];
}

export function toShown(value: number, unit: Unit): number {
  return value * unit.scale + unit.offset;
}

export function toStored(shown: number, unit: Pick<Unit, 'scale' | 'offset'>): number {
  return (shown - unit.offset) / unit.scale;
}

/** A stored value as text without its unit. */
export function formatValue(value: number, unit: Unit, decimals = unit.decimals): string {
  const text = toShown(value, unit).toFixed(decimals);
  // A rounded small negative number must not read as "-0".
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/** A stored value as text with its unit. */
export function formatQuantity(
  value: number,
  quantity: Quantity,
  choice: UnitChoice,
  decimals?: number,
): string {
  const u = unitOf(quantity, choice);
  const text = formatValue(value, u, decimals ?? u.decimals);
  if (u.label === '') return text;
  if (text === '1' && (quantity === 'months' || quantity === 'laps')) return `1 ${u.label.slice(0, -1)}`;
  return u.label === '°' ? `${text}${u.label}` : `${text} ${u.label}`;
}

/** A value in SI as a number in the unit that is shown. */
export const siShown = (value: number, quantity: Quantity, choice: UnitChoice): number =>
  toShown(fromSi(value, quantity), unitOf(quantity, choice));

/** A value in SI as text with its unit. */
export const siText = (value: number, quantity: Quantity, choice: UnitChoice, decimals?: number): string =>
  formatQuantity(fromSi(value, quantity), quantity, choice, decimals);
