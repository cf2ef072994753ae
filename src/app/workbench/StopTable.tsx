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
import { memo, useMemo, useState } from 'react';
import { formatValue, STOP_COLUMNS, type StopRow, stopRows, type UnitChoice, unitOf } from '../../project';
import { useUnits } from '../state/preferences';
import type { Selection } from './selection';
import type { Computed } from './useSession';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { basic: sortFn_basic },
});

/** Short heads that fit over their numbers; the long ones are in the title and the CSV. */
const SHORT: Partial<Record<keyof StopRow, string>> = {
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
  frontFaceBeforeC: 'face',
  frontFacePeakC: 'peak',
  frontFaceAfterC: 'after',
  frontBulkBeforeC: 'bulk',
  frontBulkAfterC: 'after',
  frontFluidC: 'fluid',
  rearFaceBeforeC: 'face',
  rearFacePeakC: 'peak',
  rearFaceAfterC: 'after',
  rearBulkBeforeC: 'bulk',
  rearBulkAfterC: 'after',
  rearFluidC: 'fluid',
  airTimeS: 'time',
  airDistanceM: 'dist.',
};
/** Columns that begin the groups named over the heads: six of each axle's temperatures, two of air. */
const GROUP_STARTS = new Set(['frontFaceBeforeC', 'rearFaceBeforeC', 'airTimeS']);
const DECIMALS: Partial<Record<keyof StopRow, number>> = { frontSharePercent: 0, rearSharePercent: 0 };

function columnsFor(units: UnitChoice, recovery: boolean): ColumnDef<typeof features, StopRow>[] {
  return STOP_COLUMNS.filter(([key]) => recovery || key !== 'recoveredKj').map(([key, title, quantity]) => {
    const unit = unitOf(quantity, units);
    return {
      id: key,
      accessorFn: (row) => row[key] as number,
      sortFn: 'basic',
      header: () => (
        <span title={`${title}, ${unit.label}`}>
          {SHORT[key]}
          {quantity !== 'temperature' && (
            <>
              <br />
              <span className="font-normal text-dim">{unit.label}</span>
            </>
          )}
        </span>
      ),
      cell: (cell) => formatValue(cell.getValue() as number, unit, DECIMALS[key]),
    };
  });
}

/** The stops of the picked lap, one a row; a row is picked by click, or with the arrow keys once one has the focus. */
export const StopTable = memo(function StopTable({
  computed,
  selection,
  onSelect,
}: {
  computed: Computed;
  selection: Selection;
  onSelect: (selection: Selection) => void;
}) {
  const units = useUnits();
  const [sorting, setSorting] = useState<SortingState>([]);
  const data = useMemo(() => stopRows(computed.result, selection.lap), [computed, selection.lap]);
  const degree = unitOf('temperature', units).label;
  const recovery = computed.setup.car.recovery !== null;
  const columns = useMemo(() => columnsFor(units, recovery), [units, recovery]);
  const table = useTable({
    features,
    columns,
    data,
    state: { sorting },
    onSortingChange: setSorting,
  });
  if (data.length === 0) {
    return (
      <p className="panel px-4 py-6 text-dim">No stop on this lap: nothing is braked for more than 7 km/h.</p>
    );
  }
  return (
    <section className="panel relative overflow-x-auto" aria-label="Stop list">
      <table className="w-full border-collapse text-right text-[13px] narrow">
        <caption className="sr-only">
          Stops of lap {selection.lap}, with temperatures of one wheel of each axle
        </caption>
        <thead>
          <tr className="text-[12px] text-dim">
            <td colSpan={2 + table.getAllLeafColumns().length - 14} />
            <th
              className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
              colSpan={6}
              scope="colgroup"
            >
              front brake, {degree}
            </th>
            <th
              className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
              colSpan={6}
              scope="colgroup"
            >
              rear brake, {degree}
            </th>
            <th
              className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
              colSpan={2}
              scope="colgroup"
            >
              air after
            </th>
          </tr>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-rule align-bottom">
              <th className="sticky left-0 z-10 bg-panel px-2 py-1.5 text-left font-[600]" colSpan={2}>
                Stop
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
                <td className="max-w-[118px] truncate px-1.5 text-left" title={row.original.name}>
                  {row.original.name || '—'}
                </td>
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
