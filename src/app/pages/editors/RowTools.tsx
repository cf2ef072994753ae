import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react';
import { useStore } from '../../state/context';
import { DragHandle } from '../../ui/Sortable';
import { undoToast } from '../../ui/undoToast';
import { inserted, moved } from './listEdits';

/** Moves, copies and removes a row of a list that is edited as a whole. */
export function RowTools<T>({
  name,
  rows,
  index,
  least,
  onPut,
}: {
  name: string;
  rows: readonly T[];
  index: number;
  /** Fewest rows the list may have */
  least: number;
  onPut: (rows: readonly T[], label: string) => void;
}) {
  const store = useStore();
  const move = (by: 1 | -1) => onPut(moved(rows, index, index + by), `Moved ${name}`);
  const remove = () => {
    onPut(
      rows.filter((_, k) => k !== index),
      `Removed ${name}`,
    );
    undoToast(`Removed ${name}`, store.undoLast());
  };
  const tool = 'grid h-[28px] w-[26px] place-items-center rounded hover:bg-sunk disabled:opacity-30';
  return (
    <span className="flex">
      <DragHandle name={name} />
      <button
        type="button"
        className={tool}
        aria-label={`Move ${name} up`}
        disabled={index === 0}
        onClick={() => move(-1)}
      >
        <ArrowUp size={14} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={tool}
        aria-label={`Move ${name} down`}
        disabled={index === rows.length - 1}
        onClick={() => move(1)}
      >
        <ArrowDown size={14} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={tool}
        aria-label={`Copy ${name}`}
        onClick={() => onPut(inserted(rows, index + 1, rows[index]), `Copied ${name}`)}
      >
        <Copy size={14} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={tool}
        aria-label={`Remove ${name}`}
        disabled={rows.length <= least}
        onClick={remove}
      >
        <Trash2 size={14} aria-hidden="true" />
      </button>
    </span>
  );
}
