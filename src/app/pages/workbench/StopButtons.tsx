import type { KeyboardEvent } from 'react';
import type { Stop } from '../../../core';

interface Placed {
  readonly left: number;
  readonly row: number;
}

/** Places numbers over their stops and moves one to the next row where it would cover the one before. */
export function placeNumbers(centres: readonly number[], width: number, rows: number): Placed[] {
  const ends = Array<number>(rows).fill(Number.NEGATIVE_INFINITY);
  return centres.map((left) => {
    const free = ends.findIndex((end) => left - end >= width);
    const row = free >= 0 ? free : ends.indexOf(Math.min(...ends));
    ends[row] = left;
    return { left, row };
  });
}

/** The numbered stops over the lap: one of them is picked, by mouse or with the arrow keys. */
export function StopButtons({
  stops,
  placed,
  selected,
  onSelect,
}: {
  stops: readonly Stop[];
  placed: readonly Placed[];
  selected: number;
  onSelect: (stop: number) => void;
}) {
  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    const end = { Home: 0, End: stops.length - 1 }[event.key];
    if (by === undefined && end === undefined) return;
    event.preventDefault();
    const next = end ?? (selected + (by as number) + stops.length) % stops.length;
    onSelect(next);
    event.currentTarget.querySelectorAll('button')[next]?.focus();
  };
  return (
    <div role="radiogroup" aria-label="Braking zones of the lap" onKeyDown={onKeyDown}>
      {stops.map((stop, k) => (
        // biome-ignore lint/a11y/useSemanticElements: a radio input cannot carry the number it shows
        <button
          key={stop.startIndex}
          type="button"
          role="radio"
          aria-checked={k === selected}
          aria-label={`Braking zone ${k + 1}${stop.name ? `, ${stop.name}` : ''}`}
          tabIndex={k === selected ? 0 : -1}
          onClick={() => onSelect(k)}
          title={stop.name}
          className={`absolute grid h-[19px] w-[19px] -translate-x-1/2 place-items-center rounded-[4px] text-[11.5px] font-[640] narrow ${
            k === selected ? 'bg-ink text-panel' : 'bg-sunk text-ink hover:bg-rule'
          }`}
          style={{ left: placed[k].left, top: placed[k].row * 21 }}
        >
          {k + 1}
        </button>
      ))}
    </div>
  );
}
