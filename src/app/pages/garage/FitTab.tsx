import { type Clearance, wheelClearances } from '../../../core';
import { type Axle, siText, taperOf, wheelFit } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { Field, Section } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { FitDrawing } from './FitDrawing';
import type { TabProps } from './tabProps';

const WORDS: Record<Clearance['what'], string> = {
  barrel: 'Caliper to the wheel’s barrel',
  'spokes-new': 'Caliper to the spokes, new pads',
  'spokes-worn': say.caliperSpokesPadsThey,
  pads: 'New pads into the caliper',
};

/** Whether rotor, caliper and pads go into the wheel, and how evenly the pads will wear. */
export function FitTab({ editing }: TabProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-2">
      <AxleFit editing={editing} axle="front" />
      <AxleFit editing={editing} axle="rear" />
      <p className="caption xl:col-span-2">{say.simpleCheckMeasuresMm}</p>
    </div>
  );
}

function AxleFit({ editing, axle }: TabProps & { axle: Axle }) {
  const units = useUnits();
  const { parts } = useProject();
  const brakes = editing.item[axle];
  const name = axle === 'front' ? 'Front' : 'Rear';
  if (brakes.drum) {
    return (
      <section className="panel px-4 py-3">
        <h2 className="text-[15px]">{name}</h2>
        <p className="mt-1 text-dim">{say.drumStandsInsideWheel}</p>
      </section>
    );
  }
  const clearances = wheelClearances(wheelFit(brakes));
  const taper = taperOf(brakes, parts);
  const mm = (metres: number) => siText(metres, 'smallLength', units);
  const field = (...path: string[]) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={[axle, ...path]} />
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3">
      <section className="panel px-4 py-3" aria-label={`${name} clearances`}>
        <h2 className="text-[15px]">{name} wheel</h2>
        <FitDrawing brakes={brakes} />
        <ul className="mt-1">
          {clearances.map(({ what, clearance, wanted }) => {
            const state = clearance < 0 ? 'over-limit' : clearance < wanted ? 'close' : 'within-limits';
            return (
              <li key={what} className="flex items-center gap-2 border-t border-rule/60 py-1">
                <StateMark kind={state} className="h-[14px] w-[14px]" />
                <span className="flex-1">{WORDS[what]}</span>
                <span className="font-[620]">
                  {clearance < 0 ? `${mm(-clearance)} too little` : `${mm(clearance)} free`}
                </span>
              </li>
            );
          })}
        </ul>
        <p className="mt-2">
          {say.padsPressMeanLeading(
            taper.leadingEdge.toFixed(2),
            taper.trailingEdge.toFixed(2),
            Math.abs(taper.leadingEdge - 1) < 0.12
              ? say.theyShouldWearAbout
              : taper.leadingEdge > 1
                ? say.leadingEndWearsSooner
                : say.trailingEndWearsSooner,
          )}
        </p>
      </section>
      <Section title={`${name} measures`}>
        {[
          ['wheel', 'barrelMm'],
          ['wheel', 'spokesMm'],
          ['wheel', 'spacerMm'],
          ['rotor', 'depthMm'],
          ['caliper', 'bridgeMm'],
          ['caliper', 'outerBodyMm'],
          ['caliper', 'openingMm'],
          ['newPadMm'],
          ['padThicknessMm'],
          ['plateThicknessMm'],
        ].map((path) => field(...path))}
      </Section>
    </div>
  );
}
