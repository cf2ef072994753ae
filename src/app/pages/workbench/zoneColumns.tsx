import {
  type ColumnDef,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_basic,
  tableFeatures,
} from '@tanstack/react-table';
import type { AxleName, WheelName } from '../../../core';
import { formatValue, type Quantity, type UnitChoice, unitOf } from '../../../model';
import { FORCE_COLUMNS, WHEEL_COLUMNS, ZONE_COLUMNS, type ZoneRow } from '../../../report';
import { LIMIT_WORDS } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { Tip } from '../../ui/Tip';

export const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { basic: sortFn_basic },
});

/** Short heads that fit over their numbers; the long ones are in the title and the CSV. */
const SHORT: Readonly<Record<string, string>> = {
  entryKmh: 'in',
  exitKmh: 'out',
  decelerationMs2: 'decel.',
  timeS: 'time',
  lengthM: 'dist.',
  energyKj: 'energy',
  peakPowerKw: 'peak',
  frontSharePercent: 'front',
  rearSharePercent: 'rear',
  recoveredKj: 'recov.',
  airTimeS: 'time',
  airDistanceM: 'dist.',
  faceBeforeC: 'surface',
  facePeakC: 'peak',
  bandPeakC: 'hottest band',
  faceAfterC: 'after',
  bulkBeforeC: 'core',
  bulkAfterC: 'after',
  fluidC: 'fluid',
  biteFriction: 'bite',
  leastFriction: 'least',
  pedalN: 'pedal',
  pedalBiteN: 'bite',
  pedalStayN: 'stays',
  frontBar: 'front line',
  rearBar: 'rear line',
  travelMm: 'travel',
  knockBackMm: 'knock-back',
  shareStartPercent: 'balance start',
  idealStartPercent: 'ideal start',
  shareEndPercent: 'balance end',
  idealEndPercent: 'ideal end',
  fadeMarginPercent: 'brake reserve',
  extraM: 'overshoots by',
};
const DECIMALS: Partial<Record<keyof ZoneRow, number>> = {
  frontSharePercent: 0,
  rearSharePercent: 0,
  frontBar: 0,
  rearBar: 0,
  fadeMarginPercent: 0,
};
/** Car columns that stand in both views. */
const ALWAYS: ReadonlySet<string> = new Set(['entryKmh', 'exitKmh', 'decelerationMs2', 'timeS', 'lengthM']);
export const VIEWS = [
  ['heat', 'Heat'],
  ['force', 'Pedal and balance'],
] as const;
export type View = (typeof VIEWS)[number][0];
type Column = ColumnDef<typeof features, ZoneRow>;

const WORD_COLUMNS: Column[] = [
  {
    id: 'locksFirst',
    accessorFn: (row) => row.locksFirst,
    sortFn: 'basic',
    header: () => (
      <Tip text={say.axleNearerLockingHardest}>
        <span>nearer to locking</span>
      </Tip>
    ),
    cell: (cell) => String(cell.getValue()),
  },
  {
    id: 'limit',
    accessorFn: (row) => LIMIT_WORDS[row.limit],
    sortFn: 'basic',
    header: () => (
      <Tip text={say.whatWouldHaveGive}>
        <span>limited by</span>
      </Tip>
    ),
    cell: (cell) => String(cell.getValue()),
  },
];

/** Columns of the car, of the shown front and rear wheel, and of the cooling after the braking zone. */
export function columnsFor(
  view: View,
  units: UnitChoice,
  recovery: boolean,
  wheels: Readonly<Record<AxleName, WheelName>>,
) {
  const column = (
    id: string,
    key: string,
    title: string,
    quantity: Quantity,
    value: (row: ZoneRow) => number | null,
  ): Column => {
    const unit = unitOf(quantity, units);
    const shown = quantity === 'friction' ? 'µ' : quantity === 'temperature' ? '' : unit.label;
    return {
      id,
      accessorFn: value,
      sortFn: 'basic',
      header: () => (
        <Tip text={unit.label ? `${title}, ${unit.label}` : title}>
          <span>
            {SHORT[key]}
            {shown && (
              <>
                <br />
                <span className="font-normal text-dim">{shown}</span>
              </>
            )}
          </span>
        </Tip>
      ),
      cell: (cell) => {
        const shown = cell.getValue() as number | null;
        if (shown === null) return key === 'extraM' ? 'does not stop' : 'out of reach';
        return formatValue(shown, unit, DECIMALS[key as keyof ZoneRow]);
      },
    };
  };
  const car = ZONE_COLUMNS.filter(([key]) => recovery || key !== 'recoveredKj').map(
    ([key, title, quantity]) => column(key, key, title, quantity, (row) => row[key]),
  );
  const ofWheel = (axle: AxleName) =>
    WHEEL_COLUMNS.map(([key, title, quantity]) =>
      column(`${axle} ${key}`, key, `${axle} ${title}`, quantity, (row) => row.wheels[wheels[axle]][key]),
    );
  const force = FORCE_COLUMNS.map(([key, title, quantity]) =>
    column(key, key, title, quantity, (row) => row[key]),
  );
  const fade = force.filter((c) => c.id === 'fadeMarginPercent');
  if (view === 'force') return [...car.filter((c) => ALWAYS.has(String(c.id))), ...force, ...WORD_COLUMNS];
  return [...car.slice(0, -2), ...fade, ...ofWheel('front'), ...ofWheel('rear'), ...car.slice(-2)];
}

/** Columns that begin the groups named over the heads. */
export const GROUP_STARTS = new Set(['front surfaceBeforeC', 'rear surfaceBeforeC', 'airTimeS']);
