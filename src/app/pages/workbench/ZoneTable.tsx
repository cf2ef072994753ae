import { flexRender, type Header, type Row, type SortingState, useTable } from '@tanstack/react-table';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { RadioGroup } from 'radix-ui';
import { memo, useMemo, useState } from 'react';
import { axleOf, distinctWheels, sideOf, type WheelName } from '../../../core';
import { unitOf } from '../../../model';
import { WHEEL_COLUMNS, type ZoneRow, zoneRows } from '../../../report';
import { wheelWords } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { useUnits } from '../../state/preferences';
import { shownWheel } from '../../state/selection';
import type { ChartProps } from '../../state/useSession';
import { Tip } from '../../ui/Tip';
import { HowResult } from './HowResult';
import { columnsFor, features, GROUP_STARTS, VIEWS, type View } from './zoneColumns';

type Features = typeof features;

/** The braking zones of the picked lap, one a row; a row is picked by click, or with the arrow keys once one has the focus. */
export const ZoneTable = memo(function ZoneTable({
  computed,
  selection,
  onSelect,
}: Omit<ChartProps, 'ghost'>) {
  const units = useUnits();
  const [sorting, setSorting] = useState<SortingState>([]);
  const { result, setup } = computed;
  const data = useMemo(() => zoneRows(setup, result, selection.lap), [setup, result, selection.lap]);
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
    return <p className="panel px-4 py-6 text-dim">{say.noBrakingZoneLap}</p>;
  }
  return (
    <section className="panel relative overflow-x-auto" aria-label="Braking zone list">
      <Explanations view={view} setView={setView} computed={computed} />
      {pastLimit(result, selection.lap) && <p className="px-2 pt-1 text-over">{say.lapAfterLimit}</p>}
      <table className="w-full border-collapse text-right text-[13px] narrow">
        <caption className="sr-only">{say.brakingZonesLapTemperatures(selection.lap)}</caption>
        <thead>
          {view === 'heat' && (
            <GroupHeads
              before={table.getAllLeafColumns().length - 2 * WHEEL_COLUMNS.length}
              names={[`${named(front)} brake, ${degree}`, `${named(rear)} brake, ${degree}`]}
            />
          )}
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="border-b border-rule align-bottom">
              <th className="sticky left-0 z-10 bg-panel px-2 py-1.5 text-left font-[600]" colSpan={2}>
                Braking zone
              </th>
              {group.headers.map((header) => (
                <SortHead key={header.id} header={header} />
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row, position, rows) => (
            <BodyRow
              key={row.id}
              row={row}
              chosen={row.original.zone - 1 === selection.zone}
              beside={[rows[position - 1], rows[position + 1]].map((next) => next?.original.zone)}
              onPick={(zone) => onSelect({ ...selection, zone: zone - 1 })}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
});

/** Whether a lap begins after the verdict's limit was passed, in the session it is passed in. */
function pastLimit({ verdict, laps }: ChartProps['computed']['result'], number: number): boolean {
  const { passed } = verdict.margin;
  const lap = laps[number - 1];
  return passed !== null && lap.startTime > passed.time && lap.session === passed.session;
}

/** Which columns are shown, and how their figures are reached. */
function Explanations({
  view,
  setView,
  computed,
}: {
  view: View;
  setView: (view: View) => void;
  computed: ChartProps['computed'];
}) {
  return (
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
            Brake balance (% front) <HowResult topic="balance" computed={computed} name="the brake balance" />
          </span>
        </>
      )}
      <span>
        {say.frictionFirstBiteInitial}
        <HowResult topic="friction" computed={computed} name="the friction" />
      </span>
    </p>
  );
}

/** Names over the columns of each wheel, after those of the car. */
function GroupHeads({ before, names }: { before: number; names: readonly string[] }) {
  return (
    <tr className="text-[12px] text-dim">
      <td colSpan={before} />
      {[...names.map((name) => [name, WHEEL_COLUMNS.length] as const), ['cooling time', 2] as const].map(
        ([name, span]) => (
          <th
            key={name}
            className="border-l border-rule px-1.5 pt-1 text-left font-[520]"
            colSpan={span}
            scope="colgroup"
          >
            {name}
          </th>
        ),
      )}
    </tr>
  );
}

/** The head of a column: a click sorts by it. */
function SortHead({ header }: { header: Header<Features, ZoneRow, unknown> }) {
  const sorted = header.column.getIsSorted();
  return (
    <th
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
}

/** A braking zone; picked by click, its neighbours by the arrow keys. */
function BodyRow({
  row,
  chosen,
  beside,
  onPick,
}: {
  row: Row<Features, ZoneRow>;
  chosen: boolean;
  /** Numbers of the braking zones in the rows above and below */
  beside: readonly (number | undefined)[];
  onPick: (zone: number) => void;
}) {
  return (
    <tr
      aria-selected={chosen}
      tabIndex={chosen ? 0 : -1}
      onClick={() => onPick(row.original.zone)}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        const next = beside[by === 1 ? 1 : 0];
        if (by === 0 || next === undefined) return;
        event.preventDefault();
        onPick(next);
        const sibling =
          by === 1 ? event.currentTarget.nextElementSibling : event.currentTarget.previousElementSibling;
        (sibling as HTMLElement | null)?.focus();
      }}
      className={`cursor-pointer border-b border-rule/60 last:border-0 ${chosen ? 'bg-act/15' : 'hover:bg-sunk'}`}
    >
      <td
        className={`sticky left-0 w-7 px-2 py-1 text-left font-[640] ${chosen ? 'bg-act text-act-ink' : 'bg-panel'}`}
      >
        {row.original.zone}
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
}
