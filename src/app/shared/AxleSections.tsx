import { rotorGeometry } from '../../core';
import {
  CALIPER_BODIES,
  type Car,
  choices,
  coldBite,
  cornerOf,
  formatQuantity,
  isBuiltIn,
  MATERIAL_IDS,
  MOUNTINGS,
  nominalFriction,
  PISTONS,
  PLATES,
  padOf,
  ROTOR_MATERIALS,
  SHIMS,
  STARTER_DRUM,
  SURFACES,
  siText,
  type UnitChoice,
  VANES,
} from '../../model';
import { padTradesText } from '../../text/en';
import { say } from '../../text/en/say/shared';
import { useProject } from '../state/context';
import { useUnits } from '../state/preferences';
import type { Editing } from '../state/useItem';
import { SelectField } from '../ui/SelectField';
import { OriginMark } from './OriginMark';
import { Field, Section } from './Section';

type Axle = 'front' | 'rear';
interface AxleProps {
  readonly editing: Editing<'cars'>;
  readonly axle: Axle;
}

const names = <T extends string>(entries: Readonly<Record<T, { name: string }>>) =>
  (Object.keys(entries) as T[]).map((id) => [id, entries[id].name] as const);
const materials = MATERIAL_IDS.map((id) => [id, ROTOR_MATERIALS[id].name] as const);

/** Everything of one axle's brakes. */
export function AxleSections({ editing, axle }: AxleProps) {
  const { drum } = editing.item[axle];
  return (
    <>
      {drum ? <DrumSection editing={editing} axle={axle} /> : <RotorSection editing={editing} axle={axle} />}
      <PadSection editing={editing} axle={axle} />
      <CoolingSection editing={editing} axle={axle} />
    </>
  );
}

const title = (axle: Axle) => (axle === 'front' ? 'Front' : 'Rear');
const fieldsOf =
  ({ editing, axle }: AxleProps) =>
  (...path: string[]) => <Field key={path.join('.')} shelf="cars" editing={editing} path={[axle, ...path]} />;

/** How a choice of the axle is known, and its address. */
const told = (editing: Editing<'cars'>, axle: Axle, path: string) => ({
  place: `${axle}.${path}`,
  mark: <OriginMark shelf="cars" editing={editing} path={[axle, ...path.split('.')]} />,
});

/** Disc or drum. */
export function BrakeKind({ editing, axle }: AxleProps) {
  const brakes = editing.item[axle];
  return (
    <SelectField
      label="Kind"
      value={brakes.drum ? 'drum' : 'disc'}
      options={[
        ['disc', 'Discs'],
        ['drum', 'Drums'],
      ]}
      onChange={(kind) =>
        editing.set([axle, 'drum'], kind === 'disc' ? null : STARTER_DRUM, `${title(axle)} brakes`)
      }
      note={say.drumsDiscSMeasures}
    />
  );
}

function materialNote(id: keyof typeof ROTOR_MATERIALS, units: UnitChoice): string {
  const { material, source } = ROTOR_MATERIALS[id];
  return say.valuesCoreUpSurface(
    source,
    siText(material.bulkLimit, 'temperature', units),
    siText(material.faceLimit, 'temperature', units),
  );
}

function RotorSection({ editing, axle }: AxleProps) {
  const units = useUnits();
  const field = fieldsOf({ editing, axle });
  const { rotor } = editing.item[axle];
  const set = (key: string, label: string) => (value: string) =>
    editing.set([axle, 'rotor', key], value, `${title(axle)} rotor ${label}`);
  return (
    <Section title={`${title(axle)} rotors`} note={<RotorMass car={editing.item} axle={axle} />}>
      <BrakeKind editing={editing} axle={axle} />
      <SelectField
        label="Material"
        {...told(editing, axle, 'rotor.material')}
        value={rotor.material}
        options={materials}
        onChange={set('material', 'material')}
        note={materialNote(rotor.material, units)}
      />
      <SelectField
        label="Mounting"
        {...told(editing, axle, 'rotor.mounting')}
        value={rotor.mounting}
        options={names(MOUNTINGS)}
        onChange={set('mounting', 'mounting')}
        note={say.floatingRingPassesLittle}
      />
      {['outerDiameterMm', 'innerDiameterMm', 'thicknessMm', 'vaneGapMm'].map((key) => field('rotor', key))}
      {rotor.vaneGapMm > 0 && (
        <SelectField
          label="Vanes are"
          {...told(editing, axle, 'rotor.vaneType')}
          value={rotor.vaneType}
          options={names(VANES)}
          onChange={set('vaneType', 'vanes')}
          note={say.curvedVanesPumpOnly}
        />
      )}
      {rotor.vaneGapMm > 0 && field('rotor', 'vaneCount')}
      {rotor.vaneGapMm > 0 && field('rotor', 'vaneThicknessMm')}
      <SelectField
        label="Surface"
        {...told(editing, axle, 'rotor.surface')}
        value={rotor.surface}
        options={names(SURFACES)}
        onChange={set('surface', 'surface')}
        note={rotor.surface === 'drilled' ? say.stressHoleTwiceAround : say.slotsHolesTakeMass}
      />
      {rotor.surface === 'drilled' && ['holeCount', 'holeDiameterMm'].map((key) => field('rotor', key))}
      {rotor.surface === 'slotted' &&
        ['slotCount', 'slotWidthMm', 'slotDepthMm'].map((key) => field('rotor', key))}
      {rotor.mounting === 'one-piece' &&
        ['neckLengthMm', 'neckThicknessMm', 'depthMm'].map((key) => field('rotor', key))}
      {['hatMassKg', 'weighedKg'].map((key) => field('rotor', key))}
    </Section>
  );
}

function DrumSection({ editing, axle }: AxleProps) {
  const units = useUnits();
  const field = fieldsOf({ editing, axle });
  const { drum } = editing.item[axle];
  if (!drum) return null;
  return (
    <Section title={`${title(axle)} drums`} note={say.twoShoesInsideLittle}>
      <BrakeKind editing={editing} axle={axle} />
      <SelectField
        label="Material"
        {...told(editing, axle, 'drum.material')}
        value={drum.material}
        options={materials}
        onChange={(value) => editing.set([axle, 'drum', 'material'], value, `${title(axle)} drum material`)}
        note={materialNote(drum.material, units)}
      />
      {['innerDiameterMm', 'widthMm', 'rimThicknessMm', 'ribFactor', 'webMassKg', 'shoeMassKg'].map((key) =>
        field('drum', key),
      )}
    </Section>
  );
}

function PadSection({ editing, axle }: AxleProps) {
  const field = fieldsOf({ editing, axle });
  const brakes = editing.item[axle];
  const { parts } = useProject();
  const pad = padOf(brakes.pad, parts);
  const set = (path: string[], label: string) => (value: string) =>
    editing.set([axle, ...path], value, `${title(axle)} ${label}`);
  return (
    <Section title={`${title(axle)} ${brakes.drum ? 'linings and wheel cylinders' : 'pads and calipers'}`}>
      <SelectField
        label={brakes.drum ? 'Lining' : 'Pad'}
        {...told(editing, axle, 'pad')}
        value={brakes.pad}
        options={choices('pad', parts)}
        onChange={set(['pad'], 'pad')}
        note={say.windowCSurfaceFades(
          pad.note,
          pad.window[0],
          pad.window[1],
          pad.limit,
          nominalFriction(pad),
          coldBite(pad).toFixed(2),
          isBuiltIn(brakes.pad) ? say.typicalValuesMemoryTake : say.partYourOwn,
          padTradesText(pad),
        )}
      />
      {field('padAreaCm2')}
      {field('padThicknessMm')}
      {field('newPadMm')}
      {!brakes.drum && field('plateThicknessMm')}
      <SelectField
        label="Kind of pad backing plate"
        {...told(editing, axle, 'plateKind')}
        value={brakes.plateKind}
        options={names(PLATES)}
        onChange={set(['plateKind'], 'pad backing plate')}
        note={say.plateKinds}
      />
      <SelectField
        label="Shim or cap"
        {...told(editing, axle, 'shim')}
        value={brakes.shim}
        options={names(SHIMS)}
        onChange={set(['shim'], 'shim')}
        note={say.insulatingLayerBehindBacking}
      />
      <SelectField
        label={brakes.drum ? 'Cylinder body' : 'Caliper body'}
        {...told(editing, axle, 'caliper.body')}
        value={brakes.caliper.body}
        options={names(CALIPER_BODIES)}
        onChange={set(['caliper', 'body'], 'caliper body')}
      />
      <SelectField
        label="Pistons"
        {...told(editing, axle, 'caliper.pistons')}
        value={brakes.caliper.pistons}
        options={names(PISTONS)}
        onChange={set(['caliper', 'pistons'], 'pistons')}
        note={say.pathBackingPlateFluid}
      />
      {['pistonWallMm', 'massKg', 'wettedAreaCm2', 'fluidKg', 'sealLimitC'].map((key) =>
        field('caliper', key),
      )}
    </Section>
  );
}

function CoolingSection({ editing, axle }: AxleProps) {
  const field = fieldsOf({ editing, axle });
  const { drum } = editing.item[axle];
  const ducts = [
    'ductAreaCm2',
    'rightDuctAreaCm2',
    'ductCoefficientPercent',
    'blankedOffPercent',
    'toCaliperPercent',
  ];
  const around = ['shieldPercent', 'wheelOpenAreaPercent', 'recirculationPercent'];
  const factors = ['coolingFactor', 'leftFactor', 'rightFactor'];
  return (
    <Section title={`${title(axle)} cooling`}>
      {!drum && (
        <SelectField
          label="Inner and outer side"
          value={editing.item[axle].sides}
          options={[
            ['together', 'As one'],
            ['apart', 'Each on its own'],
          ]}
          onChange={(sides) => editing.set([axle, 'sides'], sides, 'Inner and outer side')}
          note={say.sidesOnTheirOwn}
        />
      )}
      {[...ducts, ...(drum ? around.slice(1, 2) : around), ...factors].map((key) => field(key))}
    </Section>
  );
}

function RotorMass({ car, axle }: { car: Car; axle: Axle }) {
  const units = useUnits();
  const { rotor } = cornerOf(car[axle]);
  const ring = rotorGeometry(rotor);
  const whole = ring.measuredMass + rotor.hatMass;
  const weighed = rotor.weighedMass;
  const apart = weighed === null ? 0 : weighed / whole - 1;
  const kg = (mass: number) => formatQuantity(mass, 'mass', units);
  return (
    <>
      {say.measuresRotorWeighsRing(
        kg(whole),
        kg(ring.measuredMass),
        kg(rotor.hatMass),
        weighed === null
          ? say.weighYoursCheck
          : say.scalesWeighedMassUsed(
              kg(weighed),
              Math.abs(100 * apart).toFixed(0),
              apart < 0 ? 'less' : 'more',
              Math.abs(apart) > 0.12 ? say.checkTheMeasures : '',
            ),
      )}
    </>
  );
}
