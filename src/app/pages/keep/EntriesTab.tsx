import { type SortingState, useTable } from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Printer, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { deleteItem, ENTRY_KINDS, type EntryKind, keepLoads } from '../../../model';
import { doubtsOfEntry, entriesOfSet } from '../../../services';
import { ENTRY_KIND_TEXT, entryDoubtText } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { BundlePanel } from './BundlePanel';
import { COLUMNS, type EntryRow, features, rowsOf } from './entryColumns';
import { NoteForm } from './NoteForm';
import { Photos } from './Photos';
import type { KeepTabProps } from './tabProps';

type Wanted = EntryKind | 'all';

/** Every line of the logbook: by car and by part, searched, filtered, printed, handed on. */
export function EntriesTab({ kept }: KeepTabProps) {
  const project = useProject();
  const edit = useEdit();
  const units = useUnits();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'order', desc: true }]);
  const [search, setSearch] = useState('');
  const [kind, setKind] = useState<Wanted>('all');
  const [part, setPart] = useState('');
  const [open, setOpen] = useState<string | null>(null);
  const sets = useMemo(
    () => project.sets.filter(({ carId }) => carId === kept.car.id),
    [project.sets, kept.car.id],
  );
  const rows = useMemo(() => {
    const own = part === '' ? kept.entries : entriesOfSet(kept.entries, part);
    return rowsOf(project, own, kept, units).filter(({ entry }) => kind === 'all' || entry.kind === kind);
  }, [project, kept, part, kind, units]);
  const table = useTable({
    features,
    columns: COLUMNS,
    data: rows,
    state: { sorting, globalFilter: search },
    onSortingChange: setSorting,
    onGlobalFilterChange: setSearch,
    globalFilterFn: 'includesString',
  });
  const shown = table.getRowModel().rows;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <NoteForm kept={kept} />
      <ScrollPanel label="Logbook">
        <h2 className="mb-2 hidden text-[17px] print:block">{say.logbookOf(kept.car.name)}</h2>
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2 print:hidden">
          <div className="w-[220px] max-w-full">
            <TextField label="Search" value={search} longest={60} required={false} onCommit={setSearch} />
          </div>
          <div className="w-[170px]">
            <SelectField
              label="Kind"
              value={kind}
              options={[
                ['all', 'everything'],
                ...ENTRY_KINDS.map((own) => [own, ENTRY_KIND_TEXT[own]] as const),
              ]}
              onChange={setKind}
            />
          </div>
          <div className="w-[170px]">
            <SelectField
              label="Part"
              value={part}
              options={[['', 'the whole car'], ...sets.map(({ id, name }) => [id, name] as const)]}
              onChange={setPart}
            />
          </div>
          <p className="caption pb-1.5" role="status">
            {say.linesShown(shown.length, kept.entries.length)}
          </p>
          <button type="button" className="btn ml-auto" onClick={() => window.print()}>
            <Printer size={15} aria-hidden="true" /> Print
          </button>
        </div>
        <table className="mt-2 w-full text-left text-[13px]">
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} className="border-b border-rule align-bottom">
                {group.headers.map(({ column }) => (
                  <th
                    key={column.id}
                    className="px-1.5 py-1 font-[600]"
                    aria-sort={
                      column.getIsSorted() === 'asc'
                        ? 'ascending'
                        : column.getIsSorted() === 'desc'
                          ? 'descending'
                          : 'none'
                    }
                  >
                    <button
                      type="button"
                      className="inline-flex min-h-[24px] items-center gap-1"
                      onClick={column.getToggleSortingHandler()}
                    >
                      {String(column.columnDef.header)}
                      {column.getIsSorted() === 'asc' && <ArrowUp size={12} aria-hidden="true" />}
                      {column.getIsSorted() === 'desc' && <ArrowDown size={12} aria-hidden="true" />}
                    </button>
                  </th>
                ))}
                <th className="print:hidden">
                  <span className="sr-only">Delete</span>
                </th>
              </tr>
            ))}
          </thead>
          <tbody>
            {shown.map(({ original }) => (
              <Line
                key={original.entry.id}
                row={original}
                open={open === original.entry.id}
                onOpen={() => setOpen((now) => (now === original.entry.id ? null : original.entry.id))}
                doubts={doubtsOfEntry(project, original.entry).map((doubt) => entryDoubtText(doubt, units))}
                onDelete={() =>
                  edit('Deleted a line of the logbook', (p) => deleteItem(p, 'entries', original.entry.id), {
                    done: say.deletedLine(original.name),
                  })
                }
              />
            ))}
          </tbody>
        </table>
        {kept.entries.length === 0 && (
          <p className="py-4">
            {say.nothingWritten}{' '}
            <Link className="underline" to="/logbook/after">
              After a session
            </Link>
          </p>
        )}
        {kept.entries.length > 0 && shown.length === 0 && <p className="py-4 text-dim">{say.nothingFound}</p>}
      </ScrollPanel>
      {kept.loads.size > 0 && (
        <p className="panel flex flex-wrap items-center gap-3 px-4 py-2.5 print:hidden">
          {say.computedNow(kept.loads.size)}
          <button
            type="button"
            className="btn"
            onClick={() =>
              edit('Kept what sessions took', (p) => keepLoads(p, kept.loads, kept.byLog), {
                done: say.loadsKept(kept.loads.size),
              })
            }
          >
            Keep these figures
          </button>
        </p>
      )}
      <BundlePanel kept={kept} />
    </div>
  );
}

function Line({
  row,
  open,
  doubts,
  onOpen,
  onDelete,
}: {
  readonly row: EntryRow;
  readonly open: boolean;
  readonly doubts: readonly string[];
  readonly onOpen: () => void;
  readonly onDelete: () => void;
}) {
  const { entry } = row;
  const photos = entry.photos.length;
  return (
    <>
      <tr className="border-b border-rule/60 align-top">
        <td className="whitespace-nowrap px-1.5 py-1">{row.day}</td>
        <td className="px-1.5 py-1">{row.kind}</td>
        <th className="px-1.5 py-1 font-[540]" scope="row">
          <button
            type="button"
            className="min-h-[24px] text-left underline"
            aria-expanded={open}
            onClick={onOpen}
          >
            {row.name}
          </button>
          {photos > 0 && <span className="caption"> {say.photoCount(photos)}</span>}
        </th>
        <td className="px-1.5 py-1">{row.summary}</td>
        <td className="px-1.5 py-1">
          {row.sets.split(', ').map((name) => (
            <span key={name} className="mr-1.5 inline-block whitespace-nowrap">
              {name}
            </span>
          ))}
        </td>
        <td className="max-w-[320px] px-1.5 py-1">
          {row.note}
          {doubts.map((doubt) => (
            <p key={doubt} className="text-close" role="alert">
              {doubt}
            </p>
          ))}
        </td>
        <td className="px-1.5 py-1">{row.by}</td>
        <td className="print:hidden">
          <IconButton
            icon={Trash2}
            name={`Delete ${row.name} of ${row.day}`}
            title="Delete"
            onClick={onDelete}
          />
        </td>
      </tr>
      {open && (
        <tr className="border-b border-rule/60">
          <td colSpan={8} className="px-1.5 py-2">
            <Photos entry={entry} />
          </td>
        </tr>
      )}
    </>
  );
}
