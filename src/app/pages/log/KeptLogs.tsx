import { Download, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { type LogEntry, relistLog, renameLog, unlistLog } from '../../../storage';
import { clockText, noteText } from '../../../text/en';
import { say } from '../../../text/en/say/log';
import { download } from '../../shell/files';
import { useBackground } from '../../state/context';
import { logStore, useLogs, useRefreshLogs } from '../../state/useLogs';
import { Disclosure } from '../../ui/Disclosure';
import { TextField } from '../../ui/TextField';
import { Tip } from '../../ui/Tip';
import { toast } from '../../ui/toast';
import { undoToast } from '../../ui/undoToast';

/** Logs kept in this browser: to open, name, export, remove. */
export function KeptLogs({
  again,
}: {
  /** Opens the columns of a log anew whose file is still at hand; null where it is not */
  readonly again: (id: string) => (() => void) | null;
}) {
  const { files } = useBackground();
  const logs = useLogs();
  const refresh = useRefreshLogs();
  if (logs.error) {
    return (
      <p className="panel px-4 py-4" role="alert">
        {say.logsKeptBrowserCannot(logs.error.message)}
      </p>
    );
  }
  if (!logs.data) return <div className="panel h-32" role="status" aria-label="Looking for logs" />;
  if (logs.data.length === 0) return <p className="panel px-4 py-6 text-dim">{say.noLogsKeptBrowser}</p>;
  const save = async (entry: LogEntry) => {
    try {
      download('log', entry.name, await files.call((remote) => remote.exportLog(entry.id)));
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const remove = async (entry: LogEntry) => {
    const gone = await unlistLog(logStore, entry.id);
    await refresh();
    undoToast(`Removed the log “${entry.name}”`, () => {
      if (gone) void relistLog(logStore, gone).then(refresh);
      return gone !== null;
    });
  };
  return (
    <section className="panel relative overflow-x-auto px-4 py-3" aria-label="Kept logs">
      <h2 className="text-[15px]">Kept in this browser</h2>
      <table className="mt-1.5 w-full min-w-[760px] text-left">
        <thead>
          <tr className="caption">
            <th className="py-1 font-normal">Name</th>
            <th className="px-2 font-normal">From</th>
            <th className="px-2 text-right font-normal">Duration</th>
            <th className="px-2 text-right font-normal">Samples</th>
            <th className="px-2 font-normal">Added</th>
            <th className="font-normal">
              <span className="sr-only">Tools</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {logs.data.map((entry) => {
            const notes = [...entry.notes, ...entry.found.map((note) => noteText(note, entry.lineOf))];
            return (
              <LogRow
                key={entry.id}
                entry={entry}
                refresh={refresh}
                notes={notes}
                save={save}
                remove={remove}
                again={again(entry.id)}
              />
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** A log that is kept. */
function LogRow({
  entry,
  refresh,
  notes,
  save,
  remove,
  again,
}: {
  entry: LogEntry;
  refresh: () => Promise<void>;
  notes: string[];
  save: (entry: LogEntry) => Promise<void>;
  remove: (entry: LogEntry) => Promise<void>;
  again: (() => void) | null;
}) {
  return (
    <tr className="border-t border-rule/60 align-top">
      <td className="w-[240px] py-1">
        <TextField
          compact
          label={`Name of the log ${entry.name}`}
          value={entry.name}
          longest={80}
          required
          onCommit={(name) => void renameLog(logStore, entry.id, name).then(refresh)}
        />
        {notes.length > 0 && (
          <Disclosure
            className="mt-1"
            quiet
            summary={
              <>
                {notes.length} note{notes.length === 1 ? '' : 's'}
              </>
            }
          >
            <ul className="mt-0.5 grid gap-0.5">
              {notes.map((note) => (
                <li key={note}>{note}</li>
              ))}
            </ul>
          </Disclosure>
        )}
      </td>
      <Tip text={entry.source}>
        <td className="max-w-[200px] truncate px-2 py-1.5">{entry.source}</td>
      </Tip>
      <td className="px-2 py-1.5 text-right">{clockText(entry.duration)}</td>
      <td className="px-2 py-1.5 text-right">{entry.samples}</td>
      <td className="px-2 py-1.5 whitespace-nowrap">{entry.added.slice(0, 16).replace('T', ' ')}</td>
      <td className="py-1 text-right whitespace-nowrap">
        <Link className="btn px-2 py-0.5" to={`/log/laps?log=${entry.id}`}>
          Open
        </Link>{' '}
        {again && (
          <button
            type="button"
            className="btn px-2 py-0.5"
            aria-label={`Columns of ${entry.name}`}
            onClick={again}
          >
            Columns
          </button>
        )}{' '}
        <button
          type="button"
          className="btn px-2 py-0.5"
          aria-label={`Export ${entry.name}`}
          onClick={() => void save(entry)}
        >
          <Download size={14} aria-hidden="true" />
        </button>{' '}
        <button
          type="button"
          className="btn px-2 py-0.5"
          aria-label={`Remove ${entry.name}`}
          onClick={() => void remove(entry)}
        >
          <Trash2 size={14} aria-hidden="true" />
        </button>
      </td>
    </tr>
  );
}
