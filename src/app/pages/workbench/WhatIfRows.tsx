import { RotateCcw } from 'lucide-react';
import { Slider } from 'radix-ui';
import { memo, useId } from 'react';
import {
  formatQuantity,
  type MovableId,
  movable,
  notchAt,
  sliderEnds,
  type UnitChoice,
  type WhatIfValues,
} from '../../../model';
import { Choice, type Options } from '../../ui/Choice';
import { Tip } from '../../ui/Tip';

export const SliderRow = memo(function SliderRow({
  id: movableId,
  value,
  saved,
  bounds,
  units,
  off,
  onChange,
}: {
  id: MovableId;
  value: number;
  saved: number;
  /** How far it may be moved at all */
  bounds: readonly [number, number];
  units: UnitChoice;
  /** Why it can do nothing here; null where it can */
  off: string | null;
  onChange: Setter;
}) {
  const id = useId();
  const control = movable(movableId);
  const ends = sliderEnds(movableId, saved, bounds);
  const [low, high] = ends;
  const changed = value !== saved;
  const text = (v: number) => formatQuantity(v, control.quantity, units, control.decimals);
  return (
    <div>
      <div className="flex items-baseline justify-between gap-2 leading-tight">
        <label id={id} htmlFor={`${id}-thumb`} className="narrow">
          {control.title}
        </label>
        <span className={changed ? 'font-[660]' : 'text-dim'}>{text(value)}</span>
      </div>
      {off && (
        <p id={`${id}-off`} className="caption">
          {off}
        </p>
      )}
      <div className="flex items-center gap-1.5">
        <Slider.Root
          className="relative flex h-[16px] flex-1 touch-none items-center"
          value={[value]}
          disabled={off !== null}
          min={low}
          max={high}
          step={control.step}
          onValueChange={([v]) => onChange(movableId, notchAt(movableId, ends, v))}
        >
          <Slider.Track className="relative h-[5px] flex-1 rounded-full bg-sunk">
            <Slider.Range className="absolute h-full rounded-full bg-act/55" />
            <span
              className="absolute -top-[4px] h-[13px] w-[2px] bg-ghost"
              style={{ left: `${((saved - low) / Math.max(1e-9, high - low)) * 100}%` }}
              aria-hidden="true"
            />
          </Slider.Track>
          <Slider.Thumb
            id={`${id}-thumb`}
            aria-labelledby={id}
            aria-valuetext={text(value)}
            aria-describedby={off ? `${id}-off` : undefined}
            className="block h-[16px] w-[10px] rounded-[3px] border border-panel bg-ink data-[disabled]:bg-ghost"
          />
        </Slider.Root>
        <ResetOne name={control.title} shown={changed} onClick={() => onChange(movableId, saved)} />
      </div>
    </div>
  );
});

/** A part that may be another. */
type PartKey = 'frontPad' | 'rearPad' | 'fluid';

export const ChoiceRow = memo(function ChoiceRow({
  of,
  name,
  value,
  saved,
  options,
  onChange,
}: {
  of: PartKey;
  name: string;
  value: string;
  saved: string;
  options: Options<string>;
  onChange: Setter;
}) {
  const id = useId();
  const set = (next: string) => onChange(of, next as WhatIfValues[PartKey]);
  return (
    <div className="flex items-center gap-1.5">
      <label htmlFor={id} className="narrow w-[58px] shrink-0">
        {name}
      </label>
      <div className="flex min-w-0 flex-1 items-center gap-1.5">
        <Choice id={id} className="narrow" value={value} options={options} onChange={set} />
        {value !== saved && <ResetOne name={name} shown onClick={() => set(saved)} />}
      </div>
    </div>
  );
});

export function ResetOne({ name, shown, onClick }: { name: string; shown: boolean; onClick: () => void }) {
  return (
    <Tip text={`Reset ${name}`}>
      <button
        type="button"
        className={`grid h-[22px] w-[22px] place-items-center rounded hover:bg-sunk ${shown ? '' : 'invisible'}`}
        aria-label={`Reset ${name}`}
        onClick={onClick}
      >
        <RotateCcw size={13} aria-hidden="true" />
      </button>
    </Tip>
  );
}

export type Setter = <K extends keyof WhatIfValues>(key: K, value: WhatIfValues[K]) => void;
