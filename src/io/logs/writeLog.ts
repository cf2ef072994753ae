import Papa from 'papaparse';
import type { Channel, RawLog } from '../../core';
import { LOG_COLUMN_NAMES, LOG_UNITS } from './logUnits';

/** A kept log as CSV, in the usual units, to be read back by `readLog`. */
export function writeLog({ time, channels }: RawLog): string {
  const names = Object.keys(channels) as Channel[];
  const unit = (name: Channel) => LOG_UNITS[name][0];
  const head = [
    'Time (s)',
    ...names.map((name) => `${LOG_COLUMN_NAMES[name]}${unit(name).label ? ` (${unit(name).label})` : ''}`),
  ];
  const start = time[0] ?? 0;
  const digits = (name: Channel) => (name === 'latitude' || name === 'longitude' ? 1e7 : 1e4);
  const cell = (name: Channel, i: number) => {
    const value = channels[name]?.[i] ?? Number.NaN;
    if (!Number.isFinite(value)) return '';
    const { scale, offset } = unit(name);
    return String(Math.round(((value - offset) / scale) * digits(name)) / digits(name));
  };
  const lines = [Papa.unparse([head])];
  for (let i = 0; i < time.length; i++) {
    lines.push(`${Number((time[i] - start).toFixed(4))},${names.map((name) => cell(name, i)).join(',')}`);
  }
  return `${lines.join('\n')}\n`;
}
