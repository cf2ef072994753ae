import { FLUID_LEVELS } from '../../../model';
import { WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { useUnits } from '../../state/preferences';
import { CheckField } from '../../ui/CheckField';
import { TextField } from '../../ui/TextField';
import type { AfterPartProps } from './AfterDriven';
import { WHEEL_IDS } from './afterForm';
import { Keys } from './Keys';
import { Reading } from './Reading';
import { Stepper } from './Stepper';

/** What was read and seen after parking: discs, pads, fluid. */
export function AfterReadings({ values, set }: AfterPartProps) {
  const units = useUnits();
  return (
    <section className="panel px-4 py-3" aria-label="Readings after parking">
      <h2 className="text-[15px]">Readings after parking</h2>
      <p className="caption mt-0.5 max-w-[80ch]">{say.readingsMean}</p>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3">
        <Stepper
          label="Seconds after stopping"
          value={values.secondsAfter}
          min={0}
          max={3600}
          step={15}
          onChange={(secondsAfter) => set({ secondsAfter })}
        />
        {WHEEL_IDS.map((wheel) => (
          <Reading
            key={wheel}
            label={`${WHEEL_NAMES[wheel]} disc`}
            quantity="temperature"
            value={values.discC[wheel]}
            from={150}
            step={10}
            min={0}
            max={900}
            units={units}
            onChange={(value) => set({ discC: { ...values.discC, [wheel]: value } })}
          />
        ))}
      </div>
      <h3 className="mt-3 text-[14px]">Thinnest pad</h3>
      <div className="mt-1 flex flex-wrap gap-x-6 gap-y-3">
        {WHEEL_IDS.map((wheel) => (
          <Reading
            key={wheel}
            label={`${WHEEL_NAMES[wheel]} pad`}
            quantity="smallLength"
            value={values.padMm[wheel]}
            from={8}
            step={0.5}
            min={0}
            max={30}
            units={units}
            onChange={(value) => set({ padMm: { ...values.padMm, [wheel]: value } })}
          />
        ))}
      </div>
      <div className="mt-3 grid gap-3">
        <Keys
          label="Fluid level"
          value={values.level}
          options={FLUID_LEVELS}
          onChange={(level) => set({ level })}
        />
        <CheckField checked={values.boiled} onChange={(boiled) => set({ boiled })}>
          {say.boiled}
        </CheckField>
        <CheckField checked={values.incident} onChange={(incident) => set({ incident })}>
          Incident
        </CheckField>
        <TextField
          label="Note"
          value={values.note}
          longest={600}
          required={false}
          onCommit={(note) => set({ note })}
        />
      </div>
    </section>
  );
}
