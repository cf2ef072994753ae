import { useState } from 'react';
import { STANDARD_GRAVITY } from '../../../core';
import {
  type Axle,
  formatQuantity,
  fromSi,
  nominalFriction,
  type Pedal,
  padOf,
  toSi,
  vehicleOf,
} from '../../../model';
import { lengthText } from '../../../text/en';
import { Field, Section } from '../../shared/Section';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { SelectField } from '../../ui/SelectField';
import { SliderField } from '../../ui/SliderField';
import { BrakeSections, FitPart } from './BrakeSections';
import { ChainDrawing } from './ChainDrawing';
import { chainValues } from './chainValues';
import type { TabProps } from './tabProps';

type PadState = 'best' | 'cold' | 'faded';
const PAD_STATES = [
  ['best', 'Pads at their best'],
  ['cold', 'Pads cold, at 20 °C'],
  ['faded', 'Pads 100 °C over their limit'],
] as const satisfies readonly (readonly [PadState, string])[];

/** Friction of a pad's table at a temperature, °C: linear between its points. */
function frictionOf(points: readonly (readonly [number, number])[], celsius: number): number {
  const after = points.findIndex(([t]) => t >= celsius);
  if (after === 0) return points[0][1];
  if (after < 0) return points[points.length - 1][1];
  const [[t0, a], [t1, b]] = [points[after - 1], points[after]];
  return a + ((b - a) * (celsius - t0)) / (t1 - t0);
}

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
    return frictionOf(pad.friction, pads === 'cold' ? 20 : pad.limit + 100);
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
            <SelectField label="Pads" value={pads} options={PAD_STATES} onChange={setPads} />
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
      Brake balance (% front) <strong className="font-[640]">{share} %</strong>, ideal {ideal} %: the {first}{' '}
      axle is nearer to locking and asks {use.toFixed(2)} of its tyres
      {use > grip ? `, more than the ${grip} they have before downforce and load` : ''}.{' '}
      {values.pedal > limit && (
        <strong className="font-[620] text-over">
          More than the driver’s {formatQuantity(limit, 'force', units)}.{' '}
        </strong>
      )}
      {floor && (
        <strong className="font-[620] text-over">
          The pedal reaches the floor: its {lengthText(fromSi(values.longestTravel, 'smallLength'), units)}{' '}
          are spent before there is pressure enough.
        </strong>
      )}
    </>
  );
}

const TANDEM: Extract<Pedal['cylinders'], { boreMm: number }> = {
  kind: 'tandem',
  boreMm: 22.2,
  strokeMm: 36,
  split: 'front-rear',
};

/** The cylinders of another kind, keeping what both have. */
function cylindersAs(kind: Pedal['cylinders']['kind'], now: Pedal['cylinders']): Pedal['cylinders'] {
  if (kind === now.kind) return now;
  const { strokeMm } = now;
  if (kind === 'pair') {
    return { kind, frontBoreMm: 17.8, rearBoreMm: 19.1, strokeMm, frontPushPercent: 50, clickPercent: 0.5 };
  }
  return { ...(now.kind === 'pair' ? TANDEM : now), kind, strokeMm };
}

function PedalSections({ editing }: TabProps) {
  const { pedal } = editing.item;
  const { cylinders, valve, booster } = pedal;
  const field = (...path: string[]) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={['pedal', ...path]} />
  );
  return (
    <>
      <div id="pedal" className="scroll-mt-16">
        <Section title="Pedal and driver">
          {['ratio', 'efficiencyPercent', 'limitN', 'travelMm', 'freeTravelMm'].map((key) => field(key))}
        </Section>
      </div>
      <div id="booster" className="scroll-mt-16">
        <Section title="Booster">
          <SelectField
            label="Booster"
            value={booster ? 'yes' : 'none'}
            options={[
              ['none', 'None'],
              ['yes', 'With a booster'],
            ]}
            onChange={(value) =>
              editing.set(['pedal', 'booster'], value === 'none' ? null : { gain: 5, kneeN: 1100 }, 'Booster')
            }
            note="Helps up to its knee; beyond, the foot is alone."
          />
          {booster && field('booster', 'gain')}
          {booster && field('booster', 'kneeN')}
        </Section>
      </div>
      <div id="cylinders" className="scroll-mt-16">
        <Section title="Master cylinders">
          <SelectField
            label="Kind"
            value={cylinders.kind}
            options={[
              ['tandem', 'Tandem: two circuits in one bore'],
              ['pair', 'Two with a balance bar'],
              ['single', 'One circuit only'],
            ]}
            onChange={(kind) =>
              editing.set(['pedal', 'cylinders'], cylindersAs(kind, cylinders), 'Master cylinders')
            }
            note={
              cylinders.kind === 'single' ? 'With one circuit a leak leaves no brakes at all.' : undefined
            }
          />
          {cylinders.kind === 'tandem' && (
            <SelectField
              label="Circuits"
              value={cylinders.split}
              options={[
                ['front-rear', 'Front and rear'],
                ['diagonal', 'Diagonal'],
              ]}
              onChange={(split) => editing.set(['pedal', 'cylinders', 'split'], split, 'Circuits')}
            />
          )}
          {cylinders.kind === 'pair'
            ? ['frontBoreMm', 'rearBoreMm', 'strokeMm', 'frontPushPercent', 'clickPercent'].map((key) =>
                field('cylinders', key),
              )
            : ['boreMm', 'strokeMm'].map((key) => field('cylinders', key))}
          {cylinders.kind === 'pair' ? (
            <>
              <FitPart editing={editing} kind="cylinder" axle="front" label="Fit a front cylinder" />
              <FitPart editing={editing} kind="cylinder" axle="rear" label="Fit a rear cylinder" />
            </>
          ) : (
            <FitPart editing={editing} kind="cylinder" axle="front" label="Fit a cylinder" />
          )}
          <Field shelf="cars" editing={editing} path={['frontSharePercent']} />
        </Section>
      </div>
      <div id="valve" className="scroll-mt-16">
        <Section title="Proportioning valve">
          <SelectField
            label="Valve"
            value={valve?.kind ?? 'none'}
            options={[
              ['none', 'None'],
              ['fixed', 'Fixed knee point'],
              ['load', 'Senses the rear load'],
            ]}
            onChange={(kind) =>
              editing.set(
                ['pedal', 'valve'],
                kind === 'none'
                  ? null
                  : kind === 'fixed'
                    ? { kind, kneeBar: valve?.kneeBar ?? 30, slopePercent: valve?.slopePercent ?? 35 }
                    : {
                        kind,
                        kneeBar: valve?.kneeBar ?? 30,
                        slopePercent: valve?.slopePercent ?? 35,
                        barPerKn: 8,
                        missedKn: 0,
                      },
                'Proportioning valve',
              )
            }
            note="A taller or stiffer rear spring blinds a load valve: set what it misses."
          />
          {valve && ['kneeBar', 'slopePercent'].map((key) => field('valve', key))}
          {valve?.kind === 'load' && ['barPerKn', 'missedKn'].map((key) => field('valve', key))}
        </Section>
      </div>
      <div id="lines" className="scroll-mt-16">
        <Section title="Lines, fluid and recovery">
          {field('hoseLengthMm')}
          {field('hoseGrowthMm3BarM')}
          <FitPart editing={editing} kind="line" axle="front" label="Fit hoses" />
          <FitPart editing={editing} kind="fluid" axle="front" label="Fill another fluid" />
          <Recovery editing={editing} />
        </Section>
      </div>
    </>
  );
}

function Recovery({ editing }: TabProps) {
  const { recovery } = editing.item;
  return (
    <>
      <SelectField
        label="Energy recovery"
        value={recovery ? recovery.axle : 'none'}
        options={[
          ['none', 'None'],
          ['front', 'At the front'],
          ['rear', 'At the rear'],
        ]}
        onChange={(axle) =>
          editing.set(
            ['recovery'],
            axle === 'none'
              ? null
              : { powerKw: 60, lowestSpeedKmh: 12, blending: 'blended', ...recovery, axle },
            'Energy recovery',
          )
        }
      />
      {recovery && (
        <SelectField
          label="With the friction brakes"
          value={recovery.blending}
          options={[
            ['blended', 'They give way by as much'],
            ['added', 'On top of them'],
          ]}
          onChange={(blending) => editing.set(['recovery', 'blending'], blending, 'Blending')}
          note="On top, the pedal is lighter and the balance moves to the motor’s axle while it brakes."
        />
      )}
      {recovery &&
        ['powerKw', 'lowestSpeedKmh'].map((key) => (
          <Field key={key} shelf="cars" editing={editing} path={['recovery', key]} />
        ))}
    </>
  );
}
