import type { TestStop } from '../../../core';
import { siText } from '../../../model';
import type { TestAnswer } from '../../../services';
import { HELD_BY_TEXT, TEST_PHASE_TEXT } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { Disclosure } from '../../ui/Disclosure';
import { ForceTable } from '../../ui/WideTable';

/** Stop by stop, as predicted. */
export function PredictedStops({ answer }: { readonly answer: TestAnswer }) {
  const units = useUnits();
  const kelvin = (value: number) => siText(value, 'temperature', units);
  return (
    <Disclosure
      className="mt-2"
      open={answer.stops.length <= 8}
      summary={<>Stop by stop ({answer.stops.length})</>}
    >
      <ForceTable<TestStop>
        caption="Stop by stop, predicted"
        first="Stop"
        rows={answer.stops}
        nameOf={(stop, i) =>
          `${i + 1}${stop.phase === 'test' ? '' : ` ${TEST_PHASE_TEXT[stop.phase]}`}: ${siText(stop.from, 'speed', units)} to ${siText(stop.to, 'speed', units)}`
        }
        columns={[
          {
            head: 'distance',
            means: 'From first touch of the pedal',
            cell: (s) => <strong className="font-[620]">{siText(s.distance, 'distance', units, 1)}</strong>,
          },
          { head: 'time', means: 'From first touch', cell: (s) => `${s.time.toFixed(2)} s` },
          {
            head: 'mean fully developed',
            means: 'Deceleration between 80 and 10 % of the speed',
            cell: (s) => siText(s.meanDeceleration, 'deceleration', units, 2),
          },
          { head: 'pedal', means: 'Greatest pedal force', cell: (s) => siText(s.pedal, 'force', units) },
          {
            head: 'travel',
            means: 'Greatest pedal travel',
            cell: (s) => siText(s.travel, 'smallLength', units),
          },
          {
            head: 'front pads',
            means: 'Highest of the pad surface',
            cell: (s) => kelvin(s.padPeak.front),
          },
          { head: 'rear pads', means: 'Highest of the pad surface ', cell: (s) => kelvin(s.padPeak.rear) },
          {
            head: 'front rotor before',
            means: 'Mean over the ring',
            cell: (s) => kelvin(s.before.front),
          },
          { head: 'fluid, front', means: 'In the bores', cell: (s) => kelvin(s.fluid.front) },
          { head: 'limited by', means: 'What limited the stop', cell: (s) => HELD_BY_TEXT[s.heldBy] },
        ]}
      />
    </Disclosure>
  );
}
