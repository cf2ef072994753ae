import { RadioGroup } from 'radix-ui';
import { memo } from 'react';
import type { BrakingZone } from '../../../core';
import { Tip } from '../../ui/Tip';

interface Placed {
  readonly left: number;
  readonly row: number;
}

/** Places numbers over their braking zones and moves one to the next row where it would cover the one before. */
export function placeNumbers(centres: readonly number[], width: number, rows: number): Placed[] {
  const ends = Array<number>(rows).fill(Number.NEGATIVE_INFINITY);
  return centres.map((left) => {
    const free = ends.findIndex((end) => left - end >= width);
    const row = free >= 0 ? free : ends.indexOf(Math.min(...ends));
    ends[row] = left;
    return { left, row };
  });
}

/** The numbered braking zones over the lap: one of them is picked, by mouse or with the arrow keys. */
export function ZoneButtons({
  zones,
  placed,
  selected,
  onSelect,
}: {
  zones: readonly BrakingZone[];
  placed: readonly Placed[];
  selected: number;
  onSelect: (zone: number) => void;
}) {
  return (
    <RadioGroup.Root
      aria-label="Braking zones of the lap"
      value={String(selected)}
      onValueChange={(value) => onSelect(Number(value))}
    >
      {zones.map(({ name }, k) => (
        <ZoneButton
          // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its number, wherever it begins
          key={k}
          k={k}
          name={name}
          chosen={k === selected}
          // In whole pixels: what is moved by less is not drawn anew.
          left={Math.round(placed[k].left)}
          top={placed[k].row * 21}
          onSelect={onSelect}
        />
      ))}
    </RadioGroup.Root>
  );
}

const ZoneButton = memo(function ZoneButton({
  k,
  name,
  chosen,
  left,
  top,
  onSelect,
}: {
  k: number;
  name: string;
  chosen: boolean;
  left: number;
  top: number;
  onSelect: (zone: number) => void;
}) {
  return (
    <Tip text={name}>
      <RadioGroup.Item
        value={String(k)}
        aria-label={`Braking zone ${k + 1}${name ? `, ${name}` : ''}`}
        // The primitive picks on arrow keys only; Home and End move the focus.
        onFocus={() => onSelect(k)}
        className={`absolute grid h-[19px] w-[19px] -translate-x-1/2 place-items-center rounded-[4px] text-[11.5px] font-[640] narrow ${
          chosen ? 'bg-ink text-panel' : 'bg-sunk text-ink hover:bg-rule'
        }`}
        style={{ left, top }}
      >
        {k + 1}
      </RadioGroup.Item>
    </Tip>
  );
});
