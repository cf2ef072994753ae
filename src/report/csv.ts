import Papa from 'papaparse';
import { type DayResult, RECORDED_PARTS, speedAt } from '../core';
import { fromSi, METRIC, type Quantity, type Setup, toShown, type UnitChoice, unitOf } from '../model';
import { celsius, PART_NAMES } from '../text/en';
import { namedWheels, nine } from './results';
import { FORCE_COLUMNS, finite, WHEEL_COLUMNS, ZONE_COLUMNS, zoneRows } from './zoneRows';

const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
const heading = (title: string, quantity: Quantity, units: UnitChoice) => {
  const { label } = unitOf(quantity, units);
  return label ? `${title} (${label})` : title;
};

/**
 * A table as CSV. Text that a spreadsheet would take for a formula gets a quote before it, also where it has more lines
 * than one, which the library's own rule leaves out.
 */
export const csvText = (
  fields: readonly string[],
  data: readonly (readonly (string | number | null)[])[],
): string =>
  Papa.unparse(
    { fields: [...fields], data: data.map((row) => [...row]) },
    { newline: '\n', escapeFormulae: /^[=+\-@\t\r]/ },
  );

/** Every braking zone of every lap as CSV, units in the header. */
export function zonesCsv(setup: Setup, result: DayResult, units: UnitChoice = METRIC): string {
  const wheels = namedWheels(result);
  const fields = [
    'session',
    'lap',
    'kind',
    'braking zone',
    'place',
    ...[...ZONE_COLUMNS, ...FORCE_COLUMNS].map(([, title, quantity]) => heading(title, quantity, units)),
    'car stops',
    'nearer to locking',
    'limited by',
    ...wheels.flatMap(([, words]) =>
      WHEEL_COLUMNS.map(([, title, quantity]) => heading(`${capital(words)} ${title}`, quantity, units)),
    ),
  ];
  const shown = (value: number | null, quantity: Quantity) =>
    value === null ? null : nine(toShown(value, unitOf(quantity, units)));
  const data = result.laps.flatMap((lap) =>
    zoneRows(setup, result, lap.number).map((row) => [
      row.session,
      row.lap,
      row.kind,
      row.zone,
      row.name,
      ...[...ZONE_COLUMNS, ...FORCE_COLUMNS].map(([key, , quantity]) => shown(row[key], quantity)),
      row.stops ? 'yes' : 'no',
      row.locksFirst,
      row.limit,
      ...wheels.flatMap(([wheel]) =>
        WHEEL_COLUMNS.map(([key, , quantity]) => shown(row.wheels[wheel][key], quantity)),
      ),
    ]),
  );
  return csvText(fields, data);
}

/** Series of what the foot feels: heading and quantity. */
const TRACE_FORCES: readonly (readonly [keyof DayResult['record']['force'], string, Quantity])[] = [
  ['pedal', 'pedal force', 'force'],
  ['frontPressure', 'front line pressure', 'pressure'],
  ['rearPressure', 'rear line pressure', 'pressure'],
  ['travel', 'pedal travel', 'smallLength'],
  ['share', 'front brake balance', 'percent'],
  ['ideal', 'ideal balance', 'percent'],
];

/** Speed at a sample, m/s: of the lap it lies in, 0 standing. */
const speedOf = ({ record, laps }: DayResult, i: number): number =>
  record.lap[i] < 0 ? 0 : speedAt(laps[record.lap[i]].trace, record.distance[i]);

/** Every computed sample of the day as CSV, units in the header. */
export function tracesCsv(setup: Setup, result: DayResult, units: UnitChoice = METRIC): string {
  const degree = unitOf('temperature', units);
  const length = unitOf('distance', units);
  const { record, legs } = result;
  const wheels = namedWheels(result);
  const fields = [
    'time (s)',
    'session',
    'lap',
    `distance in the lap (${length.label})`,
    'braking zone',
    heading('speed', 'speed', units),
    ...TRACE_FORCES.map(([, title, quantity]) => heading(title, quantity, units)),
    ...wheels.flatMap(([, words]) =>
      RECORDED_PARTS.map((part) => `${words} ${PART_NAMES[part].name} (${degree.label})`),
    ),
  ];
  const data = Array.from(record.time, (time, i) => {
    const leg = legs[record.leg[i]];
    return [
      nine(time),
      setup.plan.sessions[leg.session]?.name ?? '',
      record.lap[i] >= 0 ? record.lap[i] + 1 : leg.kind,
      nine(toShown(record.distance[i], length)),
      record.zone[i] < 0 ? '' : record.zone[i] + 1,
      nine(toShown(fromSi(speedOf(result, i), 'speed'), unitOf('speed', units))),
      ...TRACE_FORCES.map(([key, , quantity]) => {
        const value = finite(record.force[key][i]);
        return value === null ? null : nine(toShown(fromSi(value, quantity), unitOf(quantity, units)));
      }),
      ...wheels.flatMap(([wheel]) =>
        RECORDED_PARTS.map((part) => nine(toShown(celsius(record.wheels[wheel][part][i]), degree))),
      ),
    ];
  });
  return csvText(fields, data);
}
