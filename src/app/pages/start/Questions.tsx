import type { ReactNode } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import {
  CAR_KINDS,
  type CarKind,
  FLUID_ANSWER_IDS,
  fluidOf,
  formatQuantity,
  type Quantity,
} from '../../../model';
import { say } from '../../../text/en/say/start';
import { FormRadio, FormSelect } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { Glossed } from '../../shared/Glossed';
import { HowToMeasure } from '../../shared/measure/HowToMeasure';
import { useUnits } from '../../state/preferences';
import { PISTON_COUNTS, type CarTyped as Typed } from './carForm';

const unknown = ['', say.unknown] as const;

/** One question with where to read its answer. */
function Question({
  title,
  where,
  measure,
  children,
}: {
  readonly title: string;
  readonly where: string;
  /** Address of the value whose measuring is drawn */
  readonly measure?: string;
  readonly children: ReactNode;
}) {
  return (
    <fieldset className="panel min-w-0 px-3.5 py-2.5">
      <legend className="float-left flex w-full items-center justify-between gap-2 font-[600]">
        {title}
        {measure && <HowToMeasure place={measure} title={title} />}
      </legend>
      <div className="clear-left grid gap-1.5 pt-1">{children}</div>
      <p className="caption mt-1.5">
        <Glossed>{where}</Glossed>
      </p>
    </fieldset>
  );
}

/** The questions, each a field or two; what is left open is typical for the kind. */
export function Questions() {
  const { control } = useFormContext<Typed>();
  const kind = CAR_KINDS[useWatch({ control, name: 'kind' })];
  const units = useUnits();
  const typical: Typical = (value, quantity) => {
    // Whole millimetres, but no whole inches.
    const decimals = quantity === 'smallLength' && units.smallLength === 'us' ? 2 : 0;
    return `typical ${formatQuantity(value, quantity, units, decimals)}`;
  };
  const rear = useWatch({ control, name: 'rear' }) || (kind.rear.drum ? 'drum' : 'disc');
  return (
    <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
      <Question title="Mass with the driver" where={say.massWhere} measure="massKg">
        <FormNumber<Typed>
          hidden
          name="massKg"
          label="Mass with the driver"
          quantity="mass"
          placeholder={typical(kind.massKg, 'mass')}
        />
      </Question>
      <Question title="Power" where={say.powerWhere}>
        <FormNumber<Typed>
          hidden
          name="powerKw"
          label="Power, from the papers"
          quantity="power"
          placeholder={typical(kind.powerKw, 'power')}
        />
      </Question>
      <Question title="Driven wheels" where={say.drivenWhere}>
        <FormRadio<Typed>
          name="driven"
          label="Driven wheels"
          options={[['front', 'Front'], ['rear', 'Rear'], ['all', 'All'], unknown]}
        />
      </Question>
      <Question title="Tyres" where={say.tyresWhere}>
        <FormRadio<Typed>
          name="tyres"
          label="Tyres"
          options={[
            ['road', 'Road'],
            ['sport', 'Sport road'],
            ['track', 'Track'],
            ['slick', 'Slick'],
            unknown,
          ]}
        />
      </Question>
      <FrontQuestions kind={kind} typical={typical} />
      <Question title="Rear brakes" where={say.rearWhere}>
        <FormRadio<Typed>
          name="rear"
          label="Rear brakes"
          options={[['disc', 'Discs'], ['drum', 'Drums'], unknown]}
        />
        <FormNumber<Typed>
          name="rearDiameterMm"
          label={rear === 'drum' ? 'Drum diameter' : 'Disc diameter'}
          quantity="smallLength"
          placeholder={typical(kind.rear.diameterMm, 'smallLength')}
        />
      </Question>
      <Question title="Pads" where={say.padsWhere}>
        {kind.carbon ? (
          <p className="text-dim">Carbon, with the discs</p>
        ) : (
          <FormSelect<Typed> name="pads" label="Pads" options={[unknown, ...PADS]} />
        )}
      </Question>
      <Question title="Brake fluid" where={say.fluidWhere}>
        <FormSelect<Typed>
          name="fluid"
          label="Fluid"
          options={[unknown, ...FLUID_ANSWER_IDS.map((id) => [id, fluidOf(id, []).name] as const)]}
        />
        <FormNumber<Typed>
          name="fluidMonths"
          label="Age"
          quantity="months"
          placeholder={typical(kind.fluidMonths, 'months')}
        />
      </Question>
    </div>
  );
}

const PADS = [
  ['road', 'Standard road'],
  ['road-sport', 'Road sport'],
  ['track-day', 'Track day'],
  ['endurance', 'Endurance race'],
  ['sprint', 'Sprint race'],
] as const;

type Typical = (value: number, quantity: Quantity) => string;

function FrontQuestions({ kind, typical }: { readonly kind: CarKind; readonly typical: Typical }) {
  return (
    <>
      <Question title="Front disc, size" where={say.rotorWhere} measure="rotor.thicknessMm">
        <div className="grid grid-cols-2 gap-2">
          <FormNumber<Typed>
            name="frontDiameterMm"
            label="Diameter"
            quantity="smallLength"
            placeholder={typical(kind.front.diameterMm, 'smallLength')}
          />
          <FormNumber<Typed>
            name="frontThicknessMm"
            label="Thickness"
            quantity="smallLength"
            placeholder={typical(kind.front.thicknessMm, 'smallLength')}
          />
        </div>
      </Question>
      <Question title="Front disc, vented or solid" where={say.ventedWhere} measure="rotor.vaneGapMm">
        <FormRadio<Typed>
          name="frontVented"
          label="Front disc, vented or solid"
          options={[['vented', 'Vented'], ['solid', 'Solid'], unknown]}
        />
      </Question>
      <Question title="Front disc, mounting" where={say.mountingWhere}>
        <FormRadio<Typed>
          name="frontMounting"
          label="Front disc, mounting"
          options={[['one-piece', 'One piece'], ['floating', 'Floating'], unknown]}
        />
      </Question>
      <Question title="Front caliper" where={say.caliperWhere} measure="caliper.pistonsMm">
        <FormRadio<Typed>
          name="frontCaliper"
          label="Front caliper"
          options={[['sliding', 'Sliding'], ['fixed', 'Fixed'], unknown]}
        />
        <FormRadio<Typed>
          name="frontPistons"
          label="Pistons of a front caliper"
          options={[...PISTON_COUNTS.map((count) => [count, count] as const), unknown]}
        />
      </Question>
    </>
  );
}
