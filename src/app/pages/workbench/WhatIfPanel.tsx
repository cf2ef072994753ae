import { RotateCcw } from 'lucide-react';
import { Slider } from 'radix-ui';
import { memo, useCallback, useId, useMemo, useState } from 'react';
import { toast } from 'sonner';
import {
  applyWhatIf,
  changesOfWhatIf,
  fluidBoilingPointC,
  fluidOf,
  fluidWater,
  formatQuantity,
  MOVABLE_IDS,
  type MovableId,
  movable,
  type Setup,
  savedValues,
  shelfOf,
  type UnitChoice,
  type WhatIf,
  type WhatIfValues,
  whatIfBounds,
} from '../../../model';
import { addSetup } from '../../state/addSetup';
import { useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { Choice, type Options } from '../../ui/Choice';
import { Tip } from '../../ui/Tip';
import { useLatest } from '../../ui/useLatest';

type Setter = <K extends keyof WhatIfValues>(key: K, value: WhatIfValues[K]) => void;

/** Controls that compute the whole session again while they move; the saved state stays behind as a ghost. */
export const WhatIfPanel = memo(function WhatIfPanel({
  setup,
  whatIf,
  onChange,
  onKeep,
}: {
  setup: Setup;
  whatIf: WhatIf;
  onChange: (whatIf: WhatIf) => void;
  onKeep: () => void;
}) {
  const units = useUnits();
  const store = useStore();
  // Where the controls stand above the charts instead of beside them, they begin folded.
  const [open, setOpen] = useState(() => window.innerWidth >= 1280);
  const saved = savedValues(setup);
  const bounds = useMemo(() => whatIfBounds(setup), [setup]);
  const values = { ...saved, ...whatIf };
  const moved = Object.keys(whatIf).length;
  // One setter for the panel's life, so that a moving control renders itself and no other.
  const latest = useLatest({ whatIf, saved, onChange });
  const set = useCallback<Setter>(
    (key, value) => {
      const now = latest.current;
      const { [key]: _, ...rest } = now.whatIf;
      now.onChange(value === now.saved[key] ? rest : { ...rest, [key]: value });
    },
    [latest],
  );
  const car = applyWhatIf(setup, whatIf).car;
  const fluid = fluidOf(car.fluid.kind, setup.parts);
  const changes = changesOfWhatIf(whatIf);
  return (
    <section className="panel px-3 py-2.5" aria-label="What if">
      <header className="flex items-baseline gap-2">
        <h2 className="text-[15px]">What if</h2>
        <span className="caption">{moved === 0 ? 'nothing moved' : `${moved} moved`}</span>
        <button
          type="button"
          className="btn ml-auto xl:hidden"
          aria-expanded={open}
          aria-controls="what-if-controls"
          onClick={() => setOpen(!open)}
        >
          {open ? 'Fold' : 'Adjust'}
        </button>
      </header>
      <div id="what-if-controls" className={open ? '' : 'hidden xl:block'}>
        <div className="mt-1.5 grid gap-x-5 gap-y-1.5 sm:grid-cols-2 xl:grid-cols-1">
          {MOVABLE_IDS.filter((id) => id !== 'fluidAgeMonths').map((id) => (
            <SliderRow
              key={id}
              id={id}
              value={values[id]}
              saved={saved[id]}
              bounds={bounds[id]}
              units={units}
              onChange={set}
            />
          ))}
          <ChoiceRow
            name="Front pad"
            value={values.frontPad}
            saved={saved.frontPad}
            options={shelfOf('pad', setup.parts).map((part) => [part.id, part.name])}
            onChange={(v) => set('frontPad', v)}
          />
          <ChoiceRow
            name="Rear pad"
            value={values.rearPad}
            saved={saved.rearPad}
            options={shelfOf('pad', setup.parts).map((part) => [part.id, part.name])}
            onChange={(v) => set('rearPad', v)}
          />
          <ChoiceRow
            name="Fluid"
            value={values.fluid}
            saved={saved.fluid}
            options={shelfOf('fluid', setup.parts).map((part) => [part.id, part.name])}
            onChange={(v) => set('fluid', v)}
          />
          <SliderRow
            id="fluidAgeMonths"
            value={values.fluidAgeMonths}
            saved={saved.fluidAgeMonths}
            bounds={bounds.fluidAgeMonths}
            units={units}
            onChange={set}
          />
        </div>
        <p className="caption mt-2">
          {fluid.silicone
            ? fluid.note
            : `Boils at ${formatQuantity(fluidBoilingPointC(car, setup.parts), 'temperature', units)} with ${fluidWater(car).toFixed(1)} % water.`}
        </p>
        <footer className="mt-2 flex gap-2">
          <button
            type="button"
            className="btn flex-1 justify-center"
            disabled={moved === 0}
            onClick={() => onChange({})}
          >
            Reset all
          </button>
          <button
            type="button"
            className="btn btn-main flex-1 justify-center"
            disabled={moved === 0}
            onClick={onKeep}
          >
            Keep as saved
          </button>
        </footer>
        {changes.length > 0 && (
          <button
            type="button"
            className="btn mt-2 w-full justify-center"
            onClick={() => {
              const problem = addSetup(store, setup, 'What-if from the workbench', changes);
              if (problem) toast.error(problem);
            }}
          >
            Compare the car’s changes as a setup
          </button>
        )}
      </div>
    </section>
  );
});

const SliderRow = memo(function SliderRow({
  id: movableId,
  value,
  saved,
  bounds: [least, most],
  units,
  onChange,
}: {
  id: MovableId;
  value: number;
  saved: number;
  /** How far it may be moved at all */
  bounds: readonly [number, number];
  units: UnitChoice;
  onChange: Setter;
}) {
  const id = useId();
  const control = movable(movableId);
  const range = control.range(saved);
  const [low, high] = [Math.max(least, range[0]), Math.min(most, range[1])];
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
      <div className="flex items-center gap-1.5">
        <Slider.Root
          className="relative flex h-[16px] flex-1 touch-none items-center"
          value={[value]}
          min={low}
          max={high}
          step={control.step}
          onValueChange={([v]) =>
            onChange(movableId, Math.min(high, Math.max(low, Math.round(v / control.step) * control.step)))
          }
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
            className="block h-[16px] w-[10px] rounded-[3px] border border-panel bg-ink"
          />
        </Slider.Root>
        <ResetOne name={control.title} shown={changed} onClick={() => onChange(movableId, saved)} />
      </div>
    </div>
  );
});

function ChoiceRow<T extends string>({
  name,
  value,
  saved,
  options,
  onChange,
}: {
  name: string;
  value: T;
  saved: T;
  options: Options<T>;
  onChange: (value: T) => void;
}) {
  const id = useId();
  return (
    <div className="flex items-center gap-1.5">
      <label htmlFor={id} className="narrow w-[58px] shrink-0">
        {name}
      </label>
      <div className="flex min-w-0 flex-1 items-center gap-1.5">
        <Choice id={id} className="narrow" value={value} options={options} onChange={onChange} />
        {value !== saved && <ResetOne name={name} shown onClick={() => onChange(saved)} />}
      </div>
    </div>
  );
}

function ResetOne({ name, shown, onClick }: { name: string; shown: boolean; onClick: () => void }) {
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
