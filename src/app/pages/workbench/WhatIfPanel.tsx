import { memo, useCallback, useMemo, useState } from 'react';
import {
  applyWhatIf,
  boilingThereC,
  changesOfWhatIf,
  fluidOf,
  fluidWater,
  formatQuantity,
  MOVABLE_IDS,
  movable,
  type Setup,
  savedValues,
  shelfOf,
  type UnitChoice,
  type WhatIf,
  type WhatIfValues,
  whatIfBounds,
} from '../../../model';
import { say } from '../../../text/en/say/workbench';
import { addSetup } from '../../state/addSetup';
import { useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { toast } from '../../ui/toast';
import { useLatest } from '../../ui/useLatest';
import { ChoiceRow, type Setter, SliderRow } from './WhatIfRows';

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
  const saved = useMemo(() => savedValues(setup), [setup]);
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
        <Controls values={values} saved={saved} bounds={bounds} units={units} set={set} setup={setup} />
        <p className="caption mt-2">
          {fluid.silicone && `${fluid.note} `}
          {say.boilsWater(
            formatQuantity(boilingThereC({ ...setup, car }), 'temperature', units),
            fluidWater(car, setup.parts).toFixed(1),
          )}
        </p>
        <Foot moved={moved} onChange={onChange} onKeep={onKeep} />
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

/** Resets all, or keeps what is moved as saved. */
function Foot({
  moved,
  onChange,
  onKeep,
}: {
  moved: number;
  onChange: (whatIf: WhatIf) => void;
  onKeep: () => void;
}) {
  return (
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
  );
}

const PARTS = [
  ['frontPad', 'Front pad'],
  ['rearPad', 'Rear pad'],
  ['fluid', 'Fluid'],
] as const;

/** The sliders and choices. */
function Controls({
  values,
  saved,
  bounds,
  units,
  set,
  setup,
}: {
  values: WhatIfValues;
  saved: WhatIfValues;
  bounds: ReturnType<typeof whatIfBounds>;
  units: UnitChoice;
  set: Setter;
  setup: Setup;
}) {
  const [pads, fluids] = useMemo(
    () =>
      (['pad', 'fluid'] as const).map((kind) =>
        shelfOf(kind, setup.parts).map(({ id, name }) => [id, name] as const),
      ),
    [setup.parts],
  );
  return (
    <div className="mt-1.5 grid gap-x-5 gap-y-1.5 sm:grid-cols-2 xl:grid-cols-1">
      {MOVABLE_IDS.filter((id) => id !== 'fluidAgeMonths').map((id) => (
        <SliderRow
          key={id}
          id={id}
          value={values[id]}
          saved={saved[id]}
          bounds={bounds[id]}
          units={units}
          off={movable(id).needsLine && setup.circuit.layout.kind === 'zones' ? say.typedListFixed : null}
          onChange={set}
        />
      ))}
      {PARTS.map(([of, name]) => (
        <ChoiceRow
          key={of}
          of={of}
          name={name}
          value={values[of]}
          saved={saved[of]}
          options={of === 'fluid' ? fluids : pads}
          onChange={set}
        />
      ))}
      <SliderRow
        id="fluidAgeMonths"
        value={values.fluidAgeMonths}
        saved={saved.fluidAgeMonths}
        bounds={bounds.fluidAgeMonths}
        units={units}
        off={null}
        onChange={set}
      />
    </div>
  );
}
