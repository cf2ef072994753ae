import { useParams } from 'react-router';
import { rotorGeometry } from '../../core';
import {
  CALIPER_BODIES,
  type Car,
  cornerOf,
  FLUID_IDS,
  FLUIDS,
  fluidBoilingPointC,
  fluidWater,
  formatQuantity,
  MATERIAL_IDS,
  MOUNTINGS,
  PAD_IDS,
  PADS,
  PISTONS,
  ROTOR_MATERIALS,
} from '../../project';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { useSetup } from '../state/context';
import { useUnits } from '../state/preferences';
import { Missing, PageHead } from './PageHead';
import { Field, Section } from './Section';
import { type Editing, useItem } from './useItem';

const names = <T extends string>(entries: Readonly<Record<T, { name: string }>>) =>
  (Object.keys(entries) as T[]).map((id) => [id, entries[id].name] as const);

/** A car and its brakes. */
export function CarPage() {
  const setup = useSetup();
  const { id = setup.car.id } = useParams();
  const editing = useItem('cars', id);
  if (!editing) return <Missing what="car" id={id} />;
  return <CarForm key={id} editing={editing} />;
}

function CarForm({ editing }: { editing: Editing<'cars'> }) {
  const { item: car } = editing;
  const units = useUnits();
  const field = (...path: string[]) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={path} />
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageHead shelf="cars" item={car} />
      <Section title="The car as driven">
        <TextField
          label="Name"
          value={car.name}
          longest={80}
          required
          onCommit={(name) => editing.set(['name'], name, 'Name of the car')}
        />
        {field('massKg')}
        {field('powerKw')}
        {field('drivenSharePercent')}
        {field('dragAreaM2')}
        {field('downforceAreaM2')}
        {field('rollingResistancePercent')}
        {field('rotatingInertia')}
        {field('engineBrakingN')}
      </Section>
      <Section title="Tyres">
        {[
          'lateralGrip',
          'longitudinalGrip',
          'loadSensitivityPercent',
          'slipSharePercent',
          'rollingRadiusMm',
        ].map((key) => field('tyres', key))}
      </Section>
      <Section title="Braking">
        {field('frontSharePercent')}
        <SelectField
          label="Energy recovery"
          value={car.recovery ? car.recovery.axle : 'none'}
          options={[
            ['none', 'None'],
            ['front', 'At the front'],
            ['rear', 'At the rear'],
          ]}
          onChange={(axle) =>
            editing.set(
              ['recovery'],
              axle === 'none' ? null : { powerKw: 60, lowestSpeedKmh: 12, ...car.recovery, axle },
              'Energy recovery',
            )
          }
          note="An electric motor that brakes one axle and spares its friction brakes."
        />
        {car.recovery && field('recovery', 'powerKw')}
        {car.recovery && field('recovery', 'lowestSpeedKmh')}
      </Section>
      <Section title="Brake fluid">
        <SelectField
          label="Fluid"
          value={car.fluid.kind}
          options={FLUID_IDS.map((id) => [id, `${FLUIDS[id].name} (${FLUIDS[id].class})`] as const)}
          onChange={(kind) => editing.set(['fluid', 'kind'], kind, 'Brake fluid')}
          note={
            <>
              {FLUIDS[car.fluid.kind].note} Today {fluidWater(car).toFixed(1)} % water: boils at{' '}
              {formatQuantity(fluidBoilingPointC(car), 'temperature', units)}. Source of dry and wet point:{' '}
              {FLUIDS[car.fluid.kind].source}. Never mix glycol and silicone.
            </>
          }
        />
        {field('fluid', 'ageMonths')}
        {field('fluid', 'waterFirstYearPercent')}
      </Section>
      <AxleSections editing={editing} axle="front" />
      <AxleSections editing={editing} axle="rear" />
    </div>
  );
}

function AxleSections({ editing, axle }: { editing: Editing<'cars'>; axle: 'front' | 'rear' }) {
  const { item: car } = editing;
  const brakes = car[axle];
  const name = axle === 'front' ? 'Front' : 'Rear';
  const field = (...path: string[]) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={[axle, ...path]} />
  );
  const pad = PADS[brakes.pad];
  const material = ROTOR_MATERIALS[brakes.rotor.material];
  return (
    <>
      <Section title={`${name} rotors`} note={<RotorMass car={car} axle={axle} />}>
        <SelectField
          label="Material"
          value={brakes.rotor.material}
          options={MATERIAL_IDS.map((id) => [id, ROTOR_MATERIALS[id].name] as const)}
          onChange={(value) => editing.set([axle, 'rotor', 'material'], value, `${name} rotor material`)}
          note={`Values ${material.source}. Bulk up to ${Math.round(material.material.bulkLimit - 273.15)} °C, face up to ${Math.round(material.material.faceLimit - 273.15)} °C.`}
        />
        <SelectField
          label="Mounting"
          value={brakes.rotor.mounting}
          options={names(MOUNTINGS)}
          onChange={(value) => editing.set([axle, 'rotor', 'mounting'], value, `${name} rotor mounting`)}
          note="A floating ring passes little heat to hat and hub."
        />
        {[
          'outerDiameterMm',
          'innerDiameterMm',
          'thicknessMm',
          'vaneGapMm',
          'vaneCount',
          'vaneThicknessMm',
          'hatMassKg',
        ].map((key) => field('rotor', key))}
      </Section>
      <Section title={`${name} pads and calipers`}>
        <SelectField
          label="Pad"
          value={brakes.pad}
          options={PAD_IDS.map((id) => [id, `${PADS[id].name} (${PADS[id].family})`] as const)}
          onChange={(value) => editing.set([axle, 'pad'], value, `${name} pad`)}
          note={`${pad.note} Window ${pad.window[0]} to ${pad.window[1]} °C at the face, fades over ${pad.limit} °C, µ ${pad.friction}. Typical values (from memory); take the maker’s.`}
        />
        {field('padAreaCm2')}
        {field('padThicknessMm')}
        {field('plateThicknessMm')}
        <SelectField
          label="Caliper body"
          value={brakes.caliper.body}
          options={names(CALIPER_BODIES)}
          onChange={(value) => editing.set([axle, 'caliper', 'body'], value, `${name} caliper body`)}
        />
        <SelectField
          label="Pistons"
          value={brakes.caliper.pistons}
          options={names(PISTONS)}
          onChange={(value) => editing.set([axle, 'caliper', 'pistons'], value, `${name} pistons`)}
          note="The path from plate to fluid: titanium and caps keep heat out of it."
        />
        {['massKg', 'wettedAreaCm2', 'fluidKg', 'sealLimitC'].map((key) => field('caliper', key))}
      </Section>
      <Section title={`${name} cooling`}>
        {['ductAreaCm2', 'ductCoefficientPercent', 'recirculationPercent', 'coolingFactor'].map((key) =>
          field(key),
        )}
      </Section>
    </>
  );
}

function RotorMass({ car, axle }: { car: Car; axle: 'front' | 'rear' }) {
  const units = useUnits();
  const { rotor } = cornerOf(car[axle]);
  const ring = rotorGeometry(rotor);
  const mass = ring.cheekMass + ring.vaneMass;
  return (
    <>
      From its measures the ring weighs {formatQuantity(mass, 'mass', units)}
      {rotor.vaneGap > 0 ? ` (${formatQuantity(ring.vaneMass, 'mass', units)} of it vanes)` : ''}; weigh yours
      to check. Right and left vaned rotors differ: curved vanes pump only one way round.
    </>
  );
}
