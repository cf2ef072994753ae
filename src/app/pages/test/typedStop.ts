import {
  formatValue,
  type Quantity,
  type TestDesign,
  type TestStopStored,
  type UnitChoice,
  unitOf,
} from '../../../model';

/** A stop as its form has it: texts in the units that are shown. */
export interface TypedStop {
  fromKmh: string;
  toKmh: string;
  distance: string;
  timeS: string;
  pedalN: string;
  abs: '' | 'yes' | 'no';
  temperatureC: string;
  note: string;
}

/** What the form begins with: a stop that is mended, or the test's own speeds. */
export function typedStop(
  stop: TestStopStored | null,
  { fromKmh, toKmh }: Pick<TestDesign, 'fromKmh' | 'toKmh'>,
  units: UnitChoice,
): TypedStop {
  const text = (value: number | null, quantity: Quantity, decimals: number) =>
    value === null
      ? ''
      : String(Number(formatValue(value, unitOf(quantity, units), decimals).replace('−', '-')));
  const lengths = stop ? (stop.distanceM === null ? stop.marksM : [stop.distanceM]) : [];
  return {
    fromKmh: text(stop?.fromKmh ?? fromKmh, 'speed', 2),
    toKmh: text(stop?.toKmh ?? toKmh, 'speed', 2),
    distance: lengths.map((length) => text(length, 'distance', 2)).join(' + '),
    timeS: text(stop?.timeS ?? null, 'seconds', 2),
    pedalN: text(stop?.pedalN ?? null, 'force', 1),
    abs: stop?.abs === true ? 'yes' : stop?.abs === false ? 'no' : '',
    temperatureC: text(stop?.temperatureC ?? null, 'temperature', 1),
    note: stop?.note ?? '',
  };
}
