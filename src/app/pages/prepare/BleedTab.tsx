import { useMemo } from 'react';
import { METRIC, siText, type UnitChoice } from '../../../model';
import { type BleedPlan, bleedPlan } from '../../../services';
import { explainBleeding, fluidText, TROUBLE_TEXT, WAY_STEPS, WAY_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { BottleShelf } from '../../shared/BottleShelf';
import { How } from '../../shared/How';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { SelectField } from '../../ui/SelectField';
import { BleedAfter } from './BleedAfter';
import { BleedScrews } from './BleedScrews';
import type { PrepareTabProps } from './tabProps';

const WANTED = [
  ['all', 'whole system'],
  ['fronts', 'front calipers, between sessions'],
  ['none', 'nothing is bled'],
] as const;
const COLOURS = ['clear', 'amber', 'brown', 'black', 'blue', 'green'] as const;
const WAYS = ['pedal', 'pressure', 'vacuum', 'gravity'] as const;

/** How this car is bled: which way, which screw, how much. */
export function BleedTab({ prepared }: PrepareTabProps) {
  const { bottles } = useProject();
  const { preparation, editing, work } = prepared;
  const { bleed } = preparation;
  const plan = useMemo(
    () => bleedPlan(work.before, work.car, preparation, work.parts, bottles),
    [work, preparation, bottles],
  );
  const set = (key: keyof typeof bleed) => (value: string) => {
    editing.set(['bleed', key], value, 'Bleeding');
  };
  const colours = COLOURS.map((colour) => [colour, colour] as const);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel grid gap-x-4 gap-y-2.5 px-4 py-3 sm:grid-cols-2 lg:grid-cols-4">
        <SelectField label="What is bled" value={bleed.wanted} options={WANTED} onChange={set('wanted')} />
        <SelectField
          label="Way"
          value={bleed.way}
          options={WAYS.map((way) => [way, WAY_TEXT[way]] as const)}
          onChange={set('way')}
        />
        <SelectField
          label="Old fluid is"
          value={bleed.oldColour}
          options={colours}
          onChange={set('oldColour')}
        />
        <SelectField
          label="New fluid is"
          value={bleed.newColour}
          options={colours}
          onChange={set('newColour')}
        />
      </section>
      {plan ? (
        <>
          <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_380px]">
            <BleedScrews prepared={prepared} plan={plan} />
            <Way prepared={prepared} plan={plan} />
          </div>
          <BleedAfter prepared={prepared} plan={plan} />
        </>
      ) : (
        <p className="panel px-4 py-5 text-dim">{say.nothingBled}</p>
      )}
      <BottleShelf fluid={work.car.fluid.kind} date={preparation.date} />
    </div>
  );
}

/** The way's steps, its risk, when not; and what stands against it on this car. */
function Way({ prepared, plan }: PrepareTabProps & { readonly plan: BleedPlan }) {
  const units = useUnits();
  const { bleed } = prepared.preparation;
  const told = WAY_STEPS[bleed.way](factsOf(plan, bleed.way, units));
  return (
    <section className="panel px-4 py-3" aria-label="How it is bled">
      <h2 className="text-[15px]">Bleeding: {WAY_TEXT[bleed.way]}</h2>
      {plan.troubles.length > 0 && (
        <div className="mt-1" role="alert">
          {plan.troubles.map((trouble) => (
            <p key={trouble} className="border-l-4 border-close pl-2">
              {TROUBLE_TEXT[trouble]}
            </p>
          ))}
        </div>
      )}
      <ol className="mt-1.5 list-decimal pl-5">
        {told.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="mt-1.5">
        <span className="caption">Risk</span> {told.risk}
      </p>
      <p>
        <span className="caption">When not</span> {told.notWhen}
      </p>
      {bleed.oldColour === bleed.newColour && <p className="mt-1.5">{say.sameColour}</p>}
      <p className="mt-1.5">
        {fluidText(plan)} <How name="the volumes" told={() => explainBleeding(plan, prepared.work, units)} />
      </p>
      <p className="caption mt-1">{say.volumesAre}</p>
    </section>
  );
}

/** Common practice: 15 to 20 inHg below the air, Pa. */
const VACUUM = [50_800, 67_700] as const;

function factsOf(plan: BleedPlan, way: string, units: UnitChoice) {
  const bar = (pascal: number) => siText(pascal, 'pressure', units);
  const volume = siText(plan.refillAfter, 'volume', METRIC, 0);
  return {
    pressure: say.pressureOf(bar(plan.pressure)),
    vacuum: say.vacuumOf(bar(VACUUM[0]), bar(VACUUM[1])),
    refill: way === 'pedal' ? say.strokesOr(plan.refillStrokes, volume) : volume,
  };
}
