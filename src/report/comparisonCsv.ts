import { AXLES, type SummaryStop } from '../core';
import { fromSi, METRIC, type Quantity, toShown, type UnitChoice, unitOf } from '../model';
import type { Assessed } from '../services';
import { celsius } from '../text/en';
import { csvText } from './csv';

/** A setup of a comparison, as far as a table of its stops needs it. */
interface Named {
  readonly name: string;
  readonly assessed: Assessed;
}

const TEMPERATURES: readonly (readonly [keyof SummaryStop['front'], string])[] = [
  ['faceBefore', 'rotor surface before'],
  ['facePeak', 'rotor surface hottest'],
  ['bulkAfter', 'rotor core (bulk) after'],
  ['padFaceBefore', 'pad surface at first bite'],
  ['fluidAfter', 'fluid after'],
];
const SPEEDS: readonly (readonly [string, Quantity, (stop: SummaryStop) => number])[] = [
  ['from', 'speed', (stop) => fromSi(stop.entrySpeed, 'speed')],
  ['to', 'speed', (stop) => fromSi(stop.exitSpeed, 'speed')],
  ['heat into the brakes', 'energy', (stop) => fromSi(stop.energy, 'energy')],
];

/** Stops of each setup's hottest lap as CSV, one a row, units in the header. */
export function comparisonCsv(compared: readonly Named[], units: UnitChoice = METRIC): string {
  const heading = (title: string, quantity: Quantity) => `${title} (${unitOf(quantity, units).label})`;
  const shown = (value: number, quantity: Quantity) =>
    Number(toShown(value, unitOf(quantity, units)).toPrecision(9));
  const fields = [
    'setup',
    'lap',
    'stop',
    'place',
    ...SPEEDS.map(([title, quantity]) => heading(title, quantity)),
    ...AXLES.flatMap((axle) => TEMPERATURES.map(([, title]) => heading(`${axle} ${title}`, 'temperature'))),
  ];
  const data = compared.flatMap(({ name, assessed: { summary } }) =>
    summary.stops.map((stop, k) => [
      name,
      summary.stopsOfLap,
      k + 1,
      stop.name,
      ...SPEEDS.map(([, quantity, of]) => shown(of(stop), quantity)),
      ...AXLES.flatMap((axle) => TEMPERATURES.map(([key]) => shown(celsius(stop[axle][key]), 'temperature'))),
    ]),
  );
  return csvText(fields, data);
}
