import type { Channel } from '../../core';

/** A unit a logger may write in: SI = written · scale + offset. */
interface LogUnit {
  readonly label: string;
  readonly scale: number;
  readonly offset: number;
  /** Other ways it is written, in small letters without blanks */
  readonly also: readonly string[];
}

const unit = (label: string, scale: number, also: readonly string[] = [], offset = 0): LogUnit => ({
  label,
  scale,
  offset,
  also,
});

const LENGTH = [
  unit('m', 1, ['meter', 'metre', 'meters', 'metres']),
  unit('km', 1000),
  unit('ft', 0.3048, ['feet']),
  unit('yd', 0.9144, ['yds', 'yard', 'yards']),
  unit('mi', 1609.344, ['mile', 'miles']),
];
const TEMPERATURE = [
  unit('°C', 1, ['c', 'degc', 'deg c', 'celsius', 'ºc'], 273.15),
  unit('°F', 5 / 9, ['f', 'degf', 'fahrenheit', 'ºf'], 273.15 - (32 * 5) / 9),
  unit('K', 1, ['kelvin']),
];
const PRESSURE = [
  unit('bar', 1e5),
  unit('psi', 6894.757293168, ['lbf/in2']),
  unit('kPa', 1000),
  unit('MPa', 1e6),
  unit('Pa', 1),
];
const COUNT = [unit('', 1)];

/** Units each kind of column may come in, the usual first. */
export const LOG_UNITS: Readonly<Record<Channel | 'time' | 'east' | 'north', readonly LogUnit[]>> = {
  time: [
    unit('s', 1, ['sec', 'second', 'seconds']),
    unit('ms', 0.001, ['msec', 'milliseconds']),
    unit('min', 60),
    unit('clock', 1, ['hh:mm:ss', 'h:m:s', 'utc', 'iso']),
  ],
  east: LENGTH,
  north: LENGTH,
  distance: LENGTH,
  speed: [
    unit('km/h', 1 / 3.6, ['kmh', 'kph', 'kmph']),
    unit('m/s', 1, ['ms-1', 'mps']),
    unit('mph', 0.44704),
    unit('kn', 1852 / 3600, ['knots', 'kt', 'kts']),
  ],
  latitude: [unit('°', 1, ['deg', 'degrees', 'degree'])],
  longitude: [unit('°', 1, ['deg', 'degrees', 'degree'])],
  height: LENGTH,
  frontPressure: PRESSURE,
  rearPressure: PRESSURE,
  pedalForce: [unit('N', 1), unit('lbf', 4.4482216152605, ['lb', 'lbs']), unit('kgf', 9.80665, ['kg'])],
  pedalPosition: [unit('%', 1, ['percent']), unit('mm', 1)],
  rotorFrontLeft: TEMPERATURE,
  rotorFrontRight: TEMPERATURE,
  rotorRearLeft: TEMPERATURE,
  rotorRearRight: TEMPERATURE,
  caliperFrontLeft: TEMPERATURE,
  caliperFrontRight: TEMPERATURE,
  caliperRearLeft: TEMPERATURE,
  caliperRearRight: TEMPERATURE,
  fluidFront: TEMPERATURE,
  fluidRear: TEMPERATURE,
  ambient: TEMPERATURE,
  lap: COUNT,
};
export type LogColumn = keyof typeof LOG_UNITS;

/** What each kind of column is called. */
export const LOG_COLUMN_NAMES: Readonly<Record<LogColumn, string>> = {
  time: 'Time',
  east: 'East',
  north: 'North',
  distance: 'Distance',
  speed: 'Speed',
  latitude: 'Latitude',
  longitude: 'Longitude',
  height: 'Height',
  frontPressure: 'Line pressure, front',
  rearPressure: 'Line pressure, rear',
  pedalForce: 'Pedal force',
  pedalPosition: 'Pedal position',
  rotorFrontLeft: 'Rotor, front left',
  rotorFrontRight: 'Rotor, front right',
  rotorRearLeft: 'Rotor, rear left',
  rotorRearRight: 'Rotor, rear right',
  caliperFrontLeft: 'Caliper, front left',
  caliperFrontRight: 'Caliper, front right',
  caliperRearLeft: 'Caliper, rear left',
  caliperRearRight: 'Caliper, rear right',
  fluidFront: 'Fluid, front',
  fluidRear: 'Fluid, rear',
  ambient: 'Air temperature',
  lap: 'Lap number',
};
export const LOG_COLUMNS = Object.keys(LOG_UNITS) as LogColumn[];

/** The unit meant by what a file writes, or null. */
export function unitNamed(column: LogColumn, written: string): LogUnit | null {
  const plain = written.toLowerCase().replace(/\s+/g, '');
  if (plain === '') return null;
  return LOG_UNITS[column].find((u) => u.label.toLowerCase() === plain || u.also.includes(plain)) ?? null;
}

/** The unit with a label, the column's usual one where there is none such. */
export const unitLabelled = (column: LogColumn, label: string): LogUnit =>
  LOG_UNITS[column].find((u) => u.label === label) ?? LOG_UNITS[column][0];
