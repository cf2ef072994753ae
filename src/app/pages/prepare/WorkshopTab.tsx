import { WHEELS, type WheelName } from '../../../core';
import { type AxleWorkshop, BLEED_SCREWS, PARKING_BRAKES, type Workshop } from '../../../model';
import { WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { Field } from '../../shared/Section';
import { type Editing, useItem } from '../../state/useItem';
import { CheckField } from '../../ui/CheckField';
import { SelectField } from '../../ui/SelectField';
import type { PrepareTabProps } from './tabProps';

type NumberKey =
  | 'reservoirCm3'
  | 'filledPercent'
  | 'lineBoreMm'
  | 'hoseBoreMm'
  | 'unitCm3'
  | 'makerPressureBar';
const CAR: readonly NumberKey[] = [
  'reservoirCm3',
  'filledPercent',
  'lineBoreMm',
  'hoseBoreMm',
  'unitCm3',
  'makerPressureBar',
];
const AXLE = ['leftLineMm', 'rightLineMm', 'rotorMinimumMm', 'padMinimumMm'] as const;
const AXLE_FLAGS = [
  'padsFromTop',
  'padSensor',
  'setScrews',
  'lineBracket',
  'aluminiumUpright',
] as const satisfies readonly (keyof AxleWorkshop)[];
const CAR_FLAGS = [
  'clutchOnReservoir',
  'unitNeedsTool',
  'oldCylinder',
] as const satisfies readonly (keyof Workshop)[];

/** What handwork on this car must know: lines, reservoir, screws, the maker's figures. */
export function WorkshopTab({ prepared }: PrepareTabProps) {
  const editing = useItem('cars', prepared.car.id);
  if (!editing) return null;
  const { workshop } = editing.item;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <p className="panel px-4 py-3">{say.workshopLead}</p>
      <section className="panel px-4 py-3">
        <h2 className="text-[15px]">Fluid and lines</h2>
        <div className="mt-1.5 grid gap-x-4 gap-y-2.5 sm:grid-cols-3 lg:grid-cols-6">
          {CAR.map((key) => (
            <Field key={key} shelf="cars" editing={editing} path={['workshop', key]} />
          ))}
        </div>
        <div className="mt-2.5 grid gap-1.5 sm:grid-cols-3">
          {CAR_FLAGS.map((key) => (
            <CheckField
              key={key}
              checked={workshop[key]}
              onChange={(on) => editing.set(['workshop', key], on, say.flags[key])}
            >
              {say.flags[key]}
            </CheckField>
          ))}
        </div>
        <Order editing={editing} workshop={workshop} />
      </section>
      {(['front', 'rear'] as const).map((axle) => (
        <AxleSection key={axle} axle={axle} editing={editing} own={workshop[axle]} />
      ))}
    </div>
  );
}

const PLACES = ['First wheel', 'Second wheel', 'Third wheel', 'Fourth wheel'];

/** The maker's order of wheels, one after the other; or the farthest first. */
function Order({ editing, workshop }: { readonly editing: Editing<'cars'>; readonly workshop: Workshop }) {
  const { bleedOrder, firstScrew } = workshop;
  const place = (i: number, wheel: WheelName) => {
    if (!bleedOrder) return;
    // The wheel that stood there goes where the chosen one was.
    const next = bleedOrder.map((own, k) => (k === i ? wheel : own === wheel ? bleedOrder[i] : own));
    editing.set(['workshop', 'bleedOrder'], next, 'Order of bleeding');
  };
  return (
    <div className="mt-2.5 flex flex-wrap items-end gap-x-4 gap-y-2">
      <div className="w-[220px]">
        <SelectField
          label="Order of bleeding"
          value={bleedOrder ? 'maker' : 'farthest'}
          options={[
            ['farthest', 'farthest wheel first'],
            ['maker', 'as the maker says'],
          ]}
          onChange={(next) =>
            editing.set(
              ['workshop', 'bleedOrder'],
              next === 'maker' ? ['rearRight', 'rearLeft', 'frontRight', 'frontLeft'] : null,
              'Order of bleeding',
            )
          }
        />
      </div>
      {bleedOrder &&
        PLACES.map((name, i) => (
          <div key={name} className="w-[140px]">
            <SelectField
              label={name}
              value={bleedOrder[i]}
              options={WHEELS.map((own) => [own, WHEEL_NAMES[own]] as const)}
              onChange={(next) => place(i, next)}
            />
          </div>
        ))}
      <div className="w-[190px]">
        <SelectField
          label="First of two screws"
          value={firstScrew}
          options={[
            ['outer', 'outer'],
            ['inner', 'inner'],
          ]}
          onChange={(next) => editing.set(['workshop', 'firstScrew'], next, 'First of two screws')}
        />
      </div>
    </div>
  );
}

function AxleSection({
  axle,
  editing,
  own,
}: {
  readonly axle: 'front' | 'rear';
  readonly editing: Editing<'cars'>;
  readonly own: AxleWorkshop;
}) {
  const choose = (key: 'screws' | 'parkingBrake', label: string) => (next: string) => {
    editing.set(['workshop', axle, key], next, label);
  };
  return (
    <section className="panel px-4 py-3" aria-label={axle === 'front' ? 'Front' : 'Rear'}>
      <h2 className="text-[15px]">{axle === 'front' ? 'Front' : 'Rear'}</h2>
      <div className="mt-1.5 grid gap-x-4 gap-y-2.5 sm:grid-cols-3 lg:grid-cols-6">
        {AXLE.map((key) => (
          <Field key={key} shelf="cars" editing={editing} path={['workshop', axle, key]} />
        ))}
        <SelectField
          label="Bleed screws a caliper"
          value={own.screws}
          options={BLEED_SCREWS.map((id) => [id, id] as const)}
          onChange={choose('screws', 'Bleed screws')}
        />
        <SelectField
          label="Parking brake"
          value={own.parkingBrake}
          options={PARKING_BRAKES.map((id) => [id, say.parkingBrakes[id]] as const)}
          onChange={choose('parkingBrake', 'Parking brake')}
        />
      </div>
      <div className="mt-2.5 grid gap-1.5 sm:grid-cols-2 lg:grid-cols-3">
        {AXLE_FLAGS.map((key) => (
          <CheckField
            key={key}
            checked={own[key]}
            onChange={(on) => editing.set(['workshop', axle, key], on, say.flags[key])}
          >
            {say.flags[key]}
          </CheckField>
        ))}
      </div>
    </section>
  );
}
