import {
  type ColumnDef,
  columnFilteringFeature,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  sortFn_basic,
  tableFeatures,
} from '@tanstack/react-table';
import type { LogEntry, Project, UnitChoice } from '../../../model';
import { plannedOf } from '../../../services';
import { ENTRY_KIND_TEXT, entrySummary } from '../../../text/en';
import type { Kept } from '../../shared/useKept';

export const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns: { basic: sortFn_basic },
  filterFns: { includesString: filterFn_includesString },
});

/** A line of the logbook as the table has it. */
export interface EntryRow {
  readonly entry: LogEntry;
  /** Number of its place in the order of time */
  readonly order: number;
  readonly day: string;
  readonly kind: string;
  readonly name: string;
  readonly summary: string;
  readonly sets: string;
  readonly note: string;
  readonly by: string;
}

export const rowsOf = (
  project: Project,
  entries: readonly LogEntry[],
  { loads, byLog }: Pick<Kept, 'loads' | 'byLog'>,
  units: UnitChoice,
): EntryRow[] =>
  entries.map((entry, order) => ({
    entry,
    order,
    day: `${entry.date}${entry.time ? ` ${entry.time}` : ''}`,
    kind: ENTRY_KIND_TEXT[entry.kind],
    name: entry.name,
    summary: entrySummary(entry, units, {
      load: loads.get(entry.id) ?? (entry.kind === 'session' ? entry.load : null),
      byLog: byLog.has(entry.id) || (entry.kind === 'session' && entry.loadBy === 'log'),
      planned: plannedOf(project, entry)?.session ?? null,
    }),
    sets:
      'sets' in entry
        ? Object.values(entry.sets)
            .flatMap((id) => project.sets.find((set) => set.id === id)?.name ?? [])
            .join(', ')
        : '',
    note: entry.note,
    by: entry.by,
  }));

const column = (key: keyof EntryRow & string, header: string): ColumnDef<typeof features, EntryRow> => ({
  id: key,
  accessorKey: key,
  header,
  sortFn: 'basic',
});

export const COLUMNS: ColumnDef<typeof features, EntryRow>[] = [
  { ...column('order', 'Day'), id: 'order' },
  column('kind', 'Kind'),
  column('name', 'What'),
  column('summary', 'In short'),
  column('sets', 'Sets'),
  column('note', 'Note'),
  column('by', 'By'),
];
