import { MapPin, Square } from 'lucide-react';
import { useState } from 'react';
import type { PhoneAnswer } from '../../../compute';
import { type PhoneStop, WORST_ACCURACY } from '../../../core';
import { fromSi, putStop, siText, type TestStopStored } from '../../../model';
import { say } from '../../../text/en/say/test';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import type { TestTabProps } from './tabProps';
import { type PhoneReadings, usePhone } from './usePhone';
import type { OpenRun } from './useRun';

const round = (value: number, digits: number) => Number(value.toFixed(digits));
const stopOf = (found: PhoneStop): Omit<TestStopStored, 'n'> => ({
  fromKmh: round(fromSi(found.from, 'speed'), 2),
  toKmh: 0,
  distanceM: round(found.distance, 2),
  marksM: [],
  timeS: round(found.time, 2),
  pedalN: null,
  abs: null,
  meanMs2: null,
  temperatureC: null,
  atS: null,
  errorM: round(found.error, 2),
  source: 'phone',
  note: '',
});

/** A stop measured by the phone in the car: its position, its speed, and what it feels. */
export function FromPhone({ tested, open }: TestTabProps & { readonly open: OpenRun }) {
  const units = useUnits();
  const edit = useEdit();
  const phone = usePhone();
  const { decide } = useBackground();
  const [found, setFound] = useState<PhoneStop | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const { design } = tested.test;
  const metres = (value: number, decimals = 1) => siText(value, 'distance', units, decimals);
  const read = async ({ fixes, motion }: PhoneReadings) => {
    setFound(null);
    setWrong(null);
    try {
      const result = await decide.call((remote) => remote.phoneStop(fixes, motion) as Promise<PhoneAnswer>);
      if (result.ok) setFound(result.stop);
      else
        setWrong(
          say.phoneTells[result.code](
            result.code === 'too few' ? String(result.fact) : metres(result.fact, 0),
          ),
        );
    } catch (error) {
      setWrong((error as Error).message);
    }
  };
  const take = () => {
    if (!found) return;
    const id = crypto.randomUUID();
    edit('A stop by phone', (p) => putStop(p, tested.test.id, open.id, id, stopOf(found)), {
      done: say.stopsTaken(1),
    });
    setFound(null);
  };
  return (
    <div className="mt-2 grid gap-2">
      <p className="max-w-[92ch]">{say.phoneMeans}</p>
      <div className="flex flex-wrap items-center gap-2">
        {phone.listening ? (
          <button
            type="button"
            className="btn btn-main min-h-[48px]"
            onClick={() => void read(phone.finish())}
          >
            <Square size={16} aria-hidden="true" /> Standing again
          </button>
        ) : (
          <button type="button" className="btn btn-main min-h-[48px]" onClick={phone.listen}>
            <MapPin size={16} aria-hidden="true" /> Listen to this phone
          </button>
        )}
        <button
          type="button"
          className="btn min-h-[48px]"
          disabled={phone.listening}
          onClick={() => void phone.simulate(design.fromKmh).then((readings) => readings && read(readings))}
        >
          Practise with a simulated phone
        </button>
      </div>
      {phone.listening && (
        <p role="status" data-testid="phone">
          {phone.accuracy === null
            ? say.phoneWaits
            : say.phoneSays(
                metres(phone.accuracy, 0),
                phone.accuracy > WORST_ACCURACY,
                phone.speed === null ? null : siText(phone.speed, 'speed', units),
                phone.fixes,
                phone.felt,
              )}
        </p>
      )}
      {phone.trouble && <p role="alert">{say.phoneTrouble[phone.trouble]}</p>}
      {wrong && <p role="alert">{wrong}</p>}
      {found && (
        <div className="flex flex-wrap items-center gap-3" data-testid="phone-stop">
          <p>
            {say.phoneFound(
              siText(found.from, 'speed', units, 1),
              metres(found.distance),
              metres(found.range[0]),
              metres(found.range[1]),
              metres(found.accuracy, 0),
              found.felt,
            )}
          </p>
          <button type="button" className="btn btn-main" onClick={take}>
            Take it
          </button>
        </div>
      )}
    </div>
  );
}
