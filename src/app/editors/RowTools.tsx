import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react';

/** Moves, copies and removes a row of a list. */
export function RowTools({
  name,
  index,
  count,
  least,
  onMove,
  onCopy,
  onRemove,
}: {
  name: string;
  index: number;
  count: number;
  /** Fewest rows the list may have */
  least: number;
  onMove: (by: 1 | -1) => void;
  onCopy: () => void;
  onRemove: () => void;
}) {
  const tool = 'grid h-[28px] w-[26px] place-items-center rounded hover:bg-sunk disabled:opacity-30';
  return (
    <span className="flex">
      <button
        type="button"
        className={tool}
        aria-label={`Move ${name} up`}
        disabled={index === 0}
        onClick={() => onMove(-1)}
      >
        <ArrowUp size={14} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={tool}
        aria-label={`Move ${name} down`}
        disabled={index === count - 1}
        onClick={() => onMove(1)}
      >
        <ArrowDown size={14} aria-hidden="true" />
      </button>
      <button type="button" className={tool} aria-label={`Copy ${name}`} onClick={onCopy}>
        <Copy size={14} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={tool}
        aria-label={`Remove ${name}`}
        disabled={count <= least}
        onClick={onRemove}
      >
        <Trash2 size={14} aria-hidden="true" />
      </button>
    </span>
  );
}
