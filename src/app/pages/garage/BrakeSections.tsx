import { type Axle, fitPart, type PartKind, shelfOf } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { BrakeKind } from '../../shared/RotorSections';
import { Field, Section } from '../../shared/Section';
import { useProject } from '../../state/context';
import { SelectField } from '../../ui/SelectField';
import { PistonsField } from './PistonsField';
import type { TabProps } from './tabProps';

const title = (axle: Axle) => (axle === 'front' ? 'Front' : 'Rear');

/** Calipers, rotors and pads of an axle, or its drums. */
export function BrakeSections({ editing, axle }: TabProps & { axle: Axle }) {
  const brakes = editing.item[axle];
  const field = (...path: string[]) => (
    <Field key={path.join('.')} shelf="cars" editing={editing} path={[axle, ...path]} />
  );
  return (
    <div id={axle} className="scroll-mt-16">
      <Section
        title={`${title(axle)} brakes`}
        note={brakes.drum ? say.leadingShoePressesItself : say.materialsCoolingHeatCar}
      >
        <BrakeKind editing={editing} axle={axle} />
        {brakes.drum ? (
          <>
            <SelectField
              label="Shoes"
              value={brakes.drum.shoes}
              options={[
                ['leading-trailing', 'Leading and trailing'],
                ['duplex', 'Duplex: two leading'],
              ]}
              onChange={(shoes) => editing.set([axle, 'drum', 'shoes'], shoes, `${title(axle)} shoes`)}
            />
            {field('drum', 'cylinderMm')}
            {field('drum', 'innerDiameterMm')}
            <FitPart editing={editing} kind="rotor" axle={axle} label="Fit a rotor instead" />
          </>
        ) : (
          <>
            <FitPart editing={editing} kind="caliper" axle={axle} label="Fit a caliper" />
            <SelectField
              label="Caliper"
              value={brakes.caliper.kind}
              options={[
                ['fixed', 'Fixed: pistons on both sides'],
                ['sliding', 'Sliding: pistons on one side'],
              ]}
              onChange={(kind) => editing.set([axle, 'caliper', 'kind'], kind, `${title(axle)} caliper`)}
            />
            <PistonsField editing={editing} axle={axle} />
            {field('caliper', 'stiffnessKnMm')}
            {field('caliper', 'clearanceMm')}
            {field('caliper', 'knockBackMm')}
            <FitPart editing={editing} kind="rotor" axle={axle} label="Fit a rotor" />
            {field('effectiveRadiusMm')}
          </>
        )}
        <FitPart editing={editing} kind="pad" axle={axle} label={brakes.drum ? 'Fit linings' : 'Fit pads'} />
        {field('padAreaCm2')}
        {field('padThicknessMm')}
      </Section>
    </div>
  );
}

/** Takes a part from the shelf; its values are copied, and can be changed afterwards. */
export function FitPart({
  editing,
  kind,
  axle,
  label,
}: TabProps & { kind: PartKind; axle: Axle; label: string }) {
  const { parts } = useProject();
  const car = editing.item;
  const named = kind === 'pad' ? car[axle].pad : kind === 'fluid' ? car.fluid.kind : '';
  const shelf = shelfOf(kind, parts);
  return (
    <SelectField
      label={label}
      value={named}
      options={[
        ...(named ? [] : [['', 'choose from the shelf …'] as const]),
        ...shelf.map((part) => [part.id, part.name] as const),
      ]}
      onChange={(id) => {
        const part = shelf.find((p) => p.id === id);
        if (part) editing.replace(fitPart(car, part, axle), `Fitted ${part.name}`);
      }}
      note={named ? undefined : say.valuesGoIntoFields}
    />
  );
}
