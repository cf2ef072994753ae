import {
  type ColumnDef,
  createSortedRowModel,
  flexRender,
  rowSortingFeature,
  type SortingState,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { RadioGroup } from 'radix-ui';
import { memo, useMemo, useState } from 'react';
import { type AxleName, axleOf, distinctWheels, sideOf, type WheelName } from '../../../core';
import { formatValue, type Quantity, type UnitChoice, unitOf } from '../../../model';
import { FORCE_COLUMNS, STOP_COLUMNS, type StopRow, stopRows, WHEEL_COLUMNS } from '../../../report';
import { LIMIT_WORDS, wheelWords } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { shownWheel } from '../../state/selection';
import type { ChartProps } from '../../state/useSession';
import { Tip } from '../../ui/Tip';
import { HowResult } from './HowResult';

const features = tableFeatures({
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
  shareStartPercent: 'balance start',
  idealStartPercent: 'ideal start',
  shareEndPercent: 'balance end',
  idealEndPercent: 'ideal end',
  fadeMarginPercent: 'brake reserve',
  extraM: 'overshoots by',
};
const DECIMALS: Partial<Record<keyof StopRow, number>> = {
  frontSharePercent: 0,
  rearSharePercent: 0,
  frontBar: 0,
  rearBar: 0,
  fadeMarginPercent: 0,
};
/** Car columns that stand in both views. */
const ALWAYS: ReadonlySet<string> = new Set(['entryKmh', 'exitKmh', 'decelerationMs2', 'timeS', 'lengthM']);
const VIEWS = [
  ['heat', 'Heat'],
  ['force', 'Pedal and balance'],
] as const;
type View = (typeof VIEWS)[number][0];
type Column = ColumnDef<typeof features, StopRow>;

const WORD_COLUMNS: Column[] = [
  {
    id: 'locksFirst',
    accessorFn: (row) => row.locksFirst,
    sortFn: 'basic',
    header: () => (
      <Tip text="Axle that is nearer to locking at the hardest instant">
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
      <Tip text="What would have to give more for a shorter stop">
        <span>limited by</span>
      </Tip>
    ),
    cell: (cell) => String(cell.getValue()),
  },
];

/** Columns of the car, of the shown front and rear wheel, and of the cooling time the stop. */
function columnsFor(
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
    value: (row: StopRow) => number | null,
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
        return formatValue(shown, unit, DECIMALS[key as keyof StopRow]);
      },
    };
  };
  const car = STOP_COLUMNS.filter(([key]) => recovery || key !== 'recoveredKj').map(
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
const GROUP_STARTS = new Set(['front surfaceBeforeC', 'rear surfaceBeforeC', 'airTimeS']);

/** The stops of the picked lap, one a row; a row is picked by click, or with the arrow keys once one has the focus. */
export const StopTable = memo(function StopTable({
  computed,
  selection,
  onSelect,
}: Omit<ChartProps, 'ghost'>) {
  const units = useUnits();
  const [sorting, setSorting] = useState<SortingState>([]);
  const { result, setup } = computed;
  const data = useMemo(() => stopRows(setup, result, selection.lap), [setup, result, selection.lap]);
  const degree = unitOf('temperature', units).label;
  const recovery = setup.car.recovery !== null;
  const front = shownWheel(result, 'front', selection.side);
  const rear = shownWheel(result, 'rear', selection.side);
  const [view, setView] = useState<View>('heat');
  const columns = useMemo(
    () => columnsFor(view, units, recovery, { front, rear }),
    [view, units, recovery, front, rear],
  );
  const apart = distinctWheels(result.record.wheels).length > 2;
  const named = (wheel: WheelName) => wheelWords(axleOf(wheel), apart ? sideOf(wheel) : 'both');
  const table = useTable({
    features,
    columns,
    data,
    state: { sorting },
    onSortingChange: setSorting,
  });
  if (data.length === 0) {
    return (
      <p className="panel px-4 py-6 text-dim">
        No braking zone on this lap: nothing is braked for more than 7 km/h.
      </p>
    );
  }
  return (
    <section className="panel relative overflow-x-auto" aria-label="Braking zone list">
      <p className="caption flex flex-wrap items-center gap-x-3 px-2 pt-1">
        <RadioGroup.Root
          asChild
          aria-label="Columns of the braking zone list"
          value={view}
          onValueChange={(next) => setView(next as View)}
        >
          <span className="flex gap-0.5">
            {VIEWS.map(([id, name]) => (
              <RadioGroup.Item
                key={id}
                value={id}
                className={`btn min-h-[24px]! px-2 ${view === id ? 'bg-ink! text-ground!' : ''}`}
              >
                {name}
              </RadioGroup.Item>
            ))}
          </span>
        </RadioGroup.Root>
        <span>
          Energy and power <HowResult topic="energy" computed={computed} name="energy and power" />
        </span>
        <span>
          Shares <HowResult topic="shares" computed={computed} name="the shares" />
        </span>
        <span>
          Temperatures <HowResult topic="rotorFace" computed={computed} name="the surface temperatures" />
        </span>
        <span>
          Brake reserve <HowResult topic="fade" computed={computed} name="the brake reserve" />
        </span>
        {view === 'force' && (
          <>
            <span>
              Pedal <HowResult topic="pedal" computed={computed} name="the pedal force" />
            </span>
            <span>
              Travel <HowResult topic="travel" computed={computed} name="the pedal travel" />
            </span>
            <span>
              Brake balance (% front){' '}
              <HowResult topic="balance" computed={computed} name="the brake balance" />
            </span>
          </>
        )}
        <span>
          Friction µ at first bite (initial friction) and at its least{' '}
          <HowResult topic="friction" computed={computed} name="the friction" />
        </span>
      </p>
      <table className="w-full border-collapse text-right text-[13px] narrow">
        <caption className="sr-only">
          Braking zones of lap {selection.lap}, with temperatures of one wheel of each axle
        </caption>
        <thead>
          {view === 'heat' && (
            <tr className="text-[12px] text-dim">
              <td colSpan={table.getAllLeafColumns().length - 2 * WHEEL_COLUMNS.length} />
              <th
                className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
                colSpan={WHEEL_COLUMNS.length}
                scope="colgroup"
              >
                {named(front)} brake, {degree}
              </th>
              <th
                className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
                colSpan={WHEEL_COLUMNS.length}
                scope="colgroup"
              >
                {named(rear)} brake, {degree}
              </th>
              <th
                className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
                colSpan={2}
                scope="colgroup"
              >
                cooling time
              </th>
            </tr>
          )}
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-rule align-bottom">
              <th className="sticky left-0 z-10 bg-panel px-2 py-1.5 text-left font-[600]" colSpan={2}>
                Braking zone
              </th>
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    className={`px-1 py-1.5 font-[600] leading-tight ${GROUP_STARTS.has(header.id) ? 'border-l border-rule' : ''}`}
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                  >
                    <button
                      type="button"
                      onClick={header.column.getToggleSortingHandler()}
                      className="text-right hover:underline"
                    >
                      {flexRender(header.column.columnDef.header, header.getContext())}
                      {sorted === 'asc' && <ArrowUp size={11} className="inline" aria-hidden="true" />}
                      {sorted === 'desc' && <ArrowDown size={11} className="inline" aria-hidden="true" />}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row, position, rows) => {
            const stop = row.original.stop - 1;
            const chosen = stop === selection.stop;
            return (
              <tr
                key={row.id}
                aria-selected={chosen}
                tabIndex={chosen ? 0 : -1}
                onClick={() => onSelect({ ...selection, stop })}
                onKeyDown={(event) => {
                  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
                  const next = rows[position + by];
                  if (by === 0 || !next) return;
                  event.preventDefault();
                  onSelect({ ...selection, stop: next.original.stop - 1 });
                  const sibling =
                    by === 1
                      ? event.currentTarget.nextElementSibling
                      : event.currentTarget.previousElementSibling;
                  (sibling as HTMLElement | null)?.focus();
                }}
                className={`cursor-pointer border-b border-rule/60 last:border-0 ${chosen ? 'bg-act/15' : 'hover:bg-sunk'}`}
              >
                <td
                  className={`sticky left-0 w-7 px-2 py-1 text-left font-[640] ${chosen ? 'bg-act text-act-ink' : 'bg-panel'}`}
                >
                  {row.original.stop}
                </td>
                <Tip text={row.original.name}>
                  <td className="max-w-[118px] truncate px-1.5 text-left">{row.original.name || '—'}</td>
                </Tip>
                {row.getAllCells().map((cell) => (
                  <td
                    key={cell.id}
                    className={`px-1 py-1 ${GROUP_STARTS.has(cell.column.id) ? 'border-l border-rule' : ''}`}
                  >
                    {flexRender(cell.column.columnDef.cell, cell.getContext())}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
});
