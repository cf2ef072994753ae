import { type Clearance, wheelClearances } from '../../../core';
import { type Axle, siText, taperOf, wheelFit } from '../../../model';
import { Field, Section } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { FitDrawing } from './FitDrawing';
import type { TabProps } from './tabProps';

const WORDS: Record<Clearance['what'], string> = {
  barrel: 'Caliper to the wheel’s barrel',
  'spokes-new': 'Caliper to the spokes, new pads',
  'spokes-worn': 'Caliper to the spokes, pads as they are',
  pads: 'New pads into the caliper',
};

/** Whether rotor, caliper and pads go into the wheel, and how evenly the pads will wear. */
export function FitTab({ editing }: TabProps) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-2">
      <AxleFit editing={editing} axle="front" />
      <AxleFit editing={editing} axle="rear" />
      <p className="caption xl:col-span-2">
        A simple check of measures, 3 mm wanted to a turning wheel (common practice). Turn the wheel by hand
        with the car lifted, steering at both ends, before driving. Thicker pads push a sliding caliper
        outwards; spacers need longer studs and load the bearing. Fit and torque to the maker’s data, by
        someone qualified.
      </p>
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
        <p className="mt-1 text-dim">
          A drum stands inside its wheel’s barrel; there is no caliper to clear.
        </p>
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
          Pads press {taper.leadingEdge.toFixed(2)} of the mean at the leading edge and{' '}
          {taper.trailingEdge.toFixed(2)} at the trailing one:{' '}
          {Math.abs(taper.leadingEdge - 1) < 0.12
            ? 'they should wear about evenly along their length.'
            : taper.leadingEdge > 1
              ? 'the leading end wears sooner; smaller pistons there take it back.'
              : 'the trailing end wears sooner; the leading pistons are smaller than they need to be.'}
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
