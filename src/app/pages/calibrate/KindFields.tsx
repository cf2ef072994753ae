import { Minus, Plus } from 'lucide-react';
import { useFormContext } from 'react-hook-form';
import { INSTRUMENTS, LIGHTS, PAINT_PLACES, type Quantity, SPOT_PLACES } from '../../../model';
import { INSTRUMENT_NAMES, LIGHT_NAMES, PLACE_NAMES, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/calibrate';
import { FormRadio } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { Disclosure } from '../../ui/Disclosure';
import { parseNumber } from '../../ui/parseNumber';
import type { TypedKind, TypedObservation } from './observationForm';

const WHEELS = Object.entries(WHEEL_NAMES);
const AXLES = [
  ['front', 'Front'],
  ['rear', 'Rear'],
] as const;

/** The fields of a kind of observation. @param watched seconds that the stopwatch fills in; null where it does not run */
export function KindFields({ kind, watched }: { readonly kind: TypedKind; readonly watched: number | null }) {
  switch (kind) {
    case 'spot':
      return (
        <>
          <WheelRadio />
          <FormRadio<TypedObservation>
            keys="row"
            name="spotPlace"
            label="Where"
            options={SPOT_PLACES.map((place) => [place, PLACE_NAMES[place]] as const)}
          />
          <Stepped name="valueC" label="Reading" quantity="temperature" by={10} />
          {watched === null && (
            <Stepped name="afterS" label="Seconds after the car stopped" quantity="seconds" by={10} />
          )}
          <Stepped name="stopLap" label="Stopped after lap" quantity="count" by={1} />
          <FormRadio<TypedObservation>
            keys="row"
            name="instrument"
            label="Instrument"
            options={INSTRUMENTS.map((own) => [own, INSTRUMENT_NAMES[own]] as const)}
          />
          <Disclosure quiet summary="Error and emissivity">
            <div className="mt-1.5 grid grid-cols-2 gap-2">
              <FormNumber<TypedObservation>
                name="errorK"
                label="Usual error, if known"
                quantity="difference"
              />
              <FormNumber<TypedObservation>
                name="emissivity"
                label="Emissivity set"
                quantity="factor"
                placeholder="0.95"
              />
            </div>
          </Disclosure>
        </>
      );
    case 'paint':
      return (
        <>
          <WheelRadio />
          <FormRadio<TypedObservation>
            keys="row"
            name="paintPlace"
            label="Where"
            options={PAINT_PLACES.map((place) => [place, PLACE_NAMES[place]] as const)}
          />
          <Stepped name="thresholdC" label="Turns at" quantity="temperature" by={10} />
          <FormRadio<TypedObservation>
            keys="row"
            name="turned"
            label="Turned"
            options={[
              ['yes', 'turned'],
              ['no', 'did not turn'],
            ]}
          />
        </>
      );
    case 'boiled':
      return (
        <>
          <FormRadio<TypedObservation> keys="row" name="axle" label="Axle" options={AXLES} />
          <FormRadio<TypedObservation>
            keys="row"
            name="sign"
            label="Sign"
            options={[
              ['long pedal', 'pedal went long'],
              ['boiled', 'bubbles were seen'],
            ]}
          />
          <Stepped name="lap" label="On lap" quantity="count" by={1} />
          <p className="caption">{say.emptyFirm}</p>
        </>
      );
    case 'faded':
      return (
        <>
          <FormRadio<TypedObservation> keys="row" name="axle" label="Axle" options={AXLES} />
          <Stepped name="lap" label="On lap" quantity="count" by={1} />
          <p className="caption">{say.emptyNot}</p>
        </>
      );
    case 'glow':
      return (
        <>
          <WheelRadio />
          <FormRadio<TypedObservation>
            keys="row"
            name="light"
            label="Light"
            options={LIGHTS.map((own) => [own, LIGHT_NAMES[own]] as const)}
          />
          <Stepped name="lap" label="First seen on lap" quantity="count" by={1} />
          <p className="caption">{say.emptyNot}</p>
        </>
      );
    case 'worn':
      return (
        <>
          <WheelRadio />
          <Stepped name="padMm" label="Pad lost over the drive" quantity="smallLength" by={0.1} />
        </>
      );
  }
}

/** Wheels as they stand seen from above, front at the top. */
function WheelRadio() {
  return <FormRadio<TypedObservation> keys="wheels" name="wheel" label="Wheel" options={WHEELS} />;
}

/** A number with keys that a glove can hit. */
function Stepped({
  name,
  label,
  quantity,
  by,
}: {
  readonly name: keyof TypedObservation;
  readonly label: string;
  readonly quantity: Quantity;
  readonly by: number;
}) {
  const { getValues, setValue } = useFormContext<TypedObservation>();
  const step = (sign: 1 | -1) => {
    const now = parseNumber(String(getValues(name))) ?? 0;
    const next = Math.max(0, Number((now + sign * by).toFixed(3)));
    setValue(name, String(next) as never, { shouldValidate: true, shouldDirty: true });
  };
  return (
    <div className="flex items-end gap-1.5">
      <FormNumber<TypedObservation>
        name={name}
        label={label}
        quantity={quantity}
        className="big-field flex-1"
      />
      {([-1, 1] as const).map((sign) => (
        <button
          key={sign}
          type="button"
          className="btn grid h-[44px] w-[48px] shrink-0 place-items-center px-0"
          aria-label={`${label}: ${sign < 0 ? 'less' : 'more'}`}
          onClick={() => step(sign)}
        >
          {sign < 0 ? <Minus size={18} aria-hidden="true" /> : <Plus size={18} aria-hidden="true" />}
        </button>
      ))}
    </div>
  );
}
