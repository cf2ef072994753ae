import { useState } from 'react';
import { pointTable, pointTableAt, STANDARD_GRAVITY } from '../../../core';
import {
  type Axle,
  formatQuantity,
  fromSi,
  nominalFriction,
  padOf,
  toSi,
  type UnitChoice,
  vehicleOf,
} from '../../../model';
import { lengthText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { Field, Section } from '../../shared/Section';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { SelectField } from '../../ui/SelectField';
import { SliderField } from '../../ui/SliderField';
import { BrakeSections } from './BrakeSections';
import { ChainDrawing } from './ChainDrawing';
import { chainValues } from './chainValues';
import { PedalSections } from './PedalSections';
import type { TabProps } from './tabProps';

type PadState = 'best' | 'cold' | 'faded';
const padStates = (units: UnitChoice): readonly (readonly [PadState, string])[] => [
  ['best', 'Pads at their best'],
  ['cold', `Pads cold, at ${formatQuantity(20, 'temperature', units)}`],
  ['faded', `Pads ${formatQuantity(100, 'difference', units)} over their limit`],
];

/** The drawn chain, what it carries at a dragged deceleration, and every field of it. */
export function ChainTab({ editing }: TabProps) {
  const { item: car } = editing;
  const { parts } = useProject();
  const units = useUnits();
  const [deceleration, setDeceleration] = useState(9);
  const [speed, setSpeed] = useState(120);
  const [pads, setPads] = useState<PadState>('best');
  const friction = (axle: Axle) => {
    const pad = padOf(car[axle].pad, parts);
    if (pads === 'best') return nominalFriction(pad);
    return pointTableAt(pointTable(pad.friction), pads === 'cold' ? 20 : pad.limit + 100);
  };
  const values = chainValues(vehicleOf(car, parts), {
    deceleration,
    speed: toSi(speed, 'speed'),
    front: friction('front'),
    rear: friction('rear'),
  });
  // What the tyres could take at 250 km/h, and a little more.
  const pressed = (0.6 * car.downforceAreaM2 * toSi(250, 'speed') ** 2) / (car.massKg * STANDARD_GRAVITY);
  const most = Math.ceil(car.tyres.longitudinalGrip * (1 + Math.max(0, pressed)) * 1.1 * STANDARD_GRAVITY);
  return (
    <>
      <section className="panel px-4 py-3" aria-label="Chain from foot to tyre">
        <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
          <SliderField
            label="Deceleration"
            value={deceleration}
            min={0.5}
            max={most}
            step={0.1}
            text={formatQuantity(deceleration, 'deceleration', units)}
            onChange={setDeceleration}
          />
          <SliderField
            label="Speed"
            value={speed}
            min={10}
            max={320}
            step={5}
            text={formatQuantity(speed, 'speed', units)}
            onChange={setSpeed}
          />
          <div className="min-w-[190px]">
            <SelectField label="Pads" value={pads} options={padStates(units)} onChange={setPads} />
          </div>
        </div>
        <p className="mt-2" aria-live="polite">
          <Said values={values} limit={car.pedal.limitN} grip={car.tyres.longitudinalGrip} />
        </p>
        <ChainDrawing car={car} values={values} units={units} />
      </section>
      <PedalSections editing={editing} />
      <BrakeSections editing={editing} axle="front" />
      <BrakeSections editing={editing} axle="rear" />
      <div id="tyres" className="scroll-mt-16">
        <Section title="Tyres">
          {['longitudinalGrip', 'loadSensitivityPercent', 'rollingRadiusMm'].map((key) => (
            <Field key={key} shelf="cars" editing={editing} path={['tyres', key]} />
          ))}
        </Section>
      </div>
    </>
  );
}

function Said({
  values,
  limit,
  grip,
}: {
  values: ReturnType<typeof chainValues>;
  limit: number;
  grip: number;
}) {
  const units = useUnits();
  const share = (100 * values.share).toFixed(1);
  const ideal = (100 * values.ideal).toFixed(1);
  const first = values.front.use >= values.rear.use ? 'front' : 'rear';
  const use = Math.max(values.front.use, values.rear.use);
  const floor = values.travel > values.longestTravel;
  return (
    <>
      {say.brakeBalanceFront}
      <strong className="font-[640]">{share} %</strong>
      {say.idealAxleNearerLocking(ideal, first, use.toFixed(2), use > grip ? say.moreThanTheyHave(grip) : '')}
      {values.pedal > limit && (
        <strong className="font-[620] text-over">
          {say.moreThanDriver(formatQuantity(limit, 'force', units))}{' '}
        </strong>
      )}
      {floor && (
        <strong className="font-[620] text-over">
          {say.pedalReachesFloorSpent(lengthText(fromSi(values.longestTravel, 'smallLength'), units))}
        </strong>
      )}
    </>
  );
}
