import { AXLES, type SummaryZone } from '../core';
import { fromSi, METRIC, type Quantity, toShown, type UnitChoice, unitOf } from '../model';
import type { Assessed } from '../services';
import { celsius } from '../text/en';
import { csvText } from './csv';

/** A setup of a comparison, as far as a table of its braking zones needs it. */
interface Named {
  readonly name: string;
  readonly assessed: Assessed;
}

const TEMPERATURES: readonly (readonly [keyof SummaryZone['front'], string])[] = [
  ['faceBefore', 'rotor surface before'],
  ['facePeak', 'rotor surface hottest'],
  ['bulkAfter', 'rotor core (bulk) after'],
  ['padFaceBefore', 'pad surface at first bite'],
  ['fluidAfter', 'fluid after'],
];
const SPEEDS: readonly (readonly [string, Quantity, (zone: SummaryZone) => number])[] = [
  ['from', 'speed', (zone) => fromSi(zone.entrySpeed, 'speed')],
  ['to', 'speed', (zone) => fromSi(zone.exitSpeed, 'speed')],
  ['heat into the brakes', 'energy', (zone) => fromSi(zone.energy, 'energy')],
];

/** Braking zones of each setup's hottest lap as CSV, one a row, units in the header. */
export function comparisonCsv(compared: readonly Named[], units: UnitChoice = METRIC): string {
  const heading = (title: string, quantity: Quantity) => `${title} (${unitOf(quantity, units).label})`;
  const shown = (value: number, quantity: Quantity) =>
    Number(toShown(value, unitOf(quantity, units)).toPrecision(9));
  const fields = [
    'setup',
    'lap',
    'braking zone',
    'place',
    ...SPEEDS.map(([title, quantity]) => heading(title, quantity)),
    ...AXLES.flatMap((axle) => TEMPERATURES.map(([, title]) => heading(`${axle} ${title}`, 'temperature'))),
  ];
  const data = compared.flatMap(({ name, assessed: { summary } }) =>
    summary.zones.map((zone, k) => [
      name,
      summary.zonesOfLap,
      k + 1,
      zone.name,
      ...SPEEDS.map(([, quantity, of]) => shown(of(zone), quantity)),
      ...AXLES.flatMap((axle) => TEMPERATURES.map(([key]) => shown(celsius(zone[axle][key]), 'temperature'))),
    ]),
  );
  return csvText(fields, data);
}
