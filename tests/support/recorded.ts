import type { Channel, RawLog } from '../../src/core';
import { streamColumns } from '../../src/io/logs/streamColumns';
import {
  LOGGER_COLUMNS,
  type LoggerOptions,
  type LoggerRow,
  simulatedLog,
} from '../../src/server/standIns/logger';

/** A recording of the simulated logger as a log, so many seconds of it. */
export function recorded(options: Partial<LoggerOptions>, seconds = Number.POSITIVE_INFINITY): RawLog {
  const rate = options.rate ?? 20;
  const log = simulatedLog({ planId: 'plan-tarn-anvil', laps: 3, rate, noise: 1, seed: 1, ...options });
  const rows: LoggerRow[] = [];
  for (const row of log.rows()) {
    if (Number(row[0]) > seconds) break;
    rows.push(row);
  }
  const channels: Partial<Record<Channel, Float64Array>> = {};
  let time = new Float64Array(0);
  streamColumns(LOGGER_COLUMNS).forEach((column, k) => {
    if (!column || column.as === 'east' || column.as === 'north') return;
    const values = Float64Array.from(rows, (row) => {
      const v = row[k];
      return v === null ? Number.NaN : v * column.scale + column.offset;
    });
    if (column.as === 'time') time = values;
    else channels[column.as] = values;
  });
  return { time, channels };
}

/** The same laps driven slower all over: as far as before, with so much of the speed. */
export function slower({ time, channels }: RawLog, share: number): RawLog {
  return {
    time: time.map((t) => t / share),
    channels: { ...channels, ...(channels.speed && { speed: channels.speed.map((v) => v * share) }) },
  };
}
