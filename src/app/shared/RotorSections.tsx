import { rotorGeometry } from '../../core';
import {
  type Car,
  cornerOf,
  formatQuantity,
  MATERIAL_IDS,
  MOUNTINGS,
  ROTOR_MATERIALS,
  STARTER_DRUM,
  SURFACES,
  siText,
  type UnitChoice,
  VANES,
} from '../../model';
import { say } from '../../text/en/say/shared';
import { useUnits } from '../state/preferences';
import { SelectField } from '../ui/SelectField';
import { type Axle, type AxleProps, fieldsOf, names, title, told } from './axleFields';
import { Field, Section } from './Section';
import { useFrictionPartners } from './useFrictionPartners';

/** What the two cheeks of a vented disc have at least together, and a solid disc, mm. */
const LEAST_CHEEKS = 4;
const LEAST_SOLID = 4;
const materials = MATERIAL_IDS.map((id) => [id, ROTOR_MATERIALS[id].name] as const);

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

/** Discs of an axle. */
export function RotorSection({ editing, axle }: AxleProps) {
  const units = useUnits();
  const field = fieldsOf({ editing, axle });
  const { rotor } = editing.item[axle];
  const partners = useFrictionPartners({ editing, axle });
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
        onChange={partners.chooseMaterial}
        refusal={partners.refusal('material')}
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
      {['outerDiameterMm', 'innerDiameterMm'].map((key) => field('rotor', key))}
      {(['thicknessMm', 'vaneGapMm'] as const).map((key) => (
        <Field
          key={key}
          shelf="cars"
          editing={editing}
          path={[axle, 'rotor', key]}
          wayOut={(typed) => {
            const thicknessMm = key === 'thicknessMm' ? typed : rotor.thicknessMm;
            const gapMm = key === 'vaneGapMm' ? typed : rotor.vaneGapMm;
            // Thick enough for a disc, too thin for two cheeks and a gap.
            if (gapMm <= 0 || gapMm <= thicknessMm - LEAST_CHEEKS || thicknessMm < LEAST_SOLID) return null;
            return {
              name: say.solidDisc(formatQuantity(thicknessMm, 'smallLength', units)),
              take: () => {
                const solid = { ...rotor, thicknessMm, vaneGapMm: 0 };
                editing.set([axle, 'rotor'], solid, `${title(axle)} rotor solid`);
              },
            };
          }}
        />
      ))}
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

/** Drums of an axle. */
export function DrumSection({ editing, axle }: AxleProps) {
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
