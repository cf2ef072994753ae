import {
  CALIPER_BODIES,
  choices,
  coldBite,
  formatQuantity,
  isBuiltIn,
  nominalFriction,
  PISTONS,
  PLATES,
  padOf,
  SHIMS,
} from '../../model';
import { padTradesText } from '../../text/en';
import { say } from '../../text/en/say/shared';
import { useProject } from '../state/context';
import { useUnits } from '../state/preferences';
import { SelectField } from '../ui/SelectField';
import { type AxleProps, fieldsOf, names, title, told } from './axleFields';
import { DrumSection, RotorSection } from './RotorSections';
import { Section } from './Section';
import { useFrictionPartners } from './useFrictionPartners';

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

function PadSection({ editing, axle }: AxleProps) {
  const field = fieldsOf({ editing, axle });
  const brakes = editing.item[axle];
  const { parts } = useProject();
  const pad = padOf(brakes.pad, parts);
  const units = useUnits();
  const degrees = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  const partners = useFrictionPartners({ editing, axle });
  const set = (path: string[], label: string) => (value: string) =>
    editing.set([axle, ...path], value, `${title(axle)} ${label}`);
  return (
    <Section title={`${title(axle)} ${brakes.drum ? 'linings and wheel cylinders' : 'pads and calipers'}`}>
      <SelectField
        label={brakes.drum ? 'Lining' : 'Pad'}
        {...told(editing, axle, 'pad')}
        value={brakes.pad}
        options={choices('pad', parts)}
        onChange={partners.choosePad}
        refusal={partners.refusal('pad')}
        note={say.windowCSurfaceFades(
          pad.note,
          degrees(pad.window[0]),
          degrees(pad.window[1]),
          degrees(pad.limit),
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
