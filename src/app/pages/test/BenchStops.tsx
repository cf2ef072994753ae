import { useMemo } from 'react';
import { type Quantity, type StoredBench, siShown, siText, unitOf } from '../../../model';
import type { BenchPlan } from '../../../services';
import { DEVIATION_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { useUnits } from '../../state/preferences';
import { Keys } from '../../ui/charts/Keys';
import { LineChart } from '../../ui/charts/LineChart';
import { Disclosure } from '../../ui/Disclosure';
import { ForceTable } from '../../ui/WideTable';

type Stop = BenchPlan['programme']['stops'][number];

import { stopPlaces } from './stopTicks';

/** The programme stop by stop, and the core of the rotor on the bench over that in the car. */
export function BenchStops({ plan, bench }: { readonly plan: BenchPlan; readonly bench: StoredBench }) {
  const units = useUnits();
  const { programme, predicted, car } = plan;
  const lines = useMemo(() => {
    const shown = (kelvin: number) => siShown(kelvin, 'temperature', units);
    const own = predicted.stops.map((stop, i) => ({ n: i + 1, t: shown(stop.after) }));
    const there = car.flatMap((stop, i) => (stop ? [{ n: i + 1, t: shown(stop.after) }] : []));
    return [
      { name: 'on the bench', color: 'var(--act)', x: own.map(({ n }) => n), y: own.map(({ t }) => t) },
      {
        name: 'in the car',
        color: 'var(--ink)',
        dash: '5 3',
        x: there.map(({ n }) => n),
        y: there.map(({ t }) => t),
      },
    ];
  }, [predicted, car, units]);
  const text = (value: number | null, quantity: Quantity, decimals?: number) =>
    value === null ? '' : siText(value, quantity, units, decimals);
  const held = (stop: Stop) =>
    bench.control === 'torque'
      ? text(stop.torque, 'torque')
      : bench.control === 'pressure'
        ? text(stop.pressure, 'pressure')
        : `${text(stop.deceleration, 'rotation')}/s`;
  return (
    <>
      <div className="mt-2">
        <LineChart
          label="Rotor core after each stop"
          height={200}
          unit={`${unitOf('temperature', units).label}, rotor core after the stop`}
          lines={lines}
          {...stopPlaces}
        />
        <Keys lines={lines} />
      </div>
      <Disclosure className="mt-2" summary={say.benchStops(programme.stops.length)}>
        <ForceTable<Stop>
          caption="Programme, stop by stop"
          first="Stop"
          rows={programme.stops}
          nameOf={(stop, i) => `${i + 1} ${stop.phase === 'programme' ? stop.name : stop.phase}`}
          columns={[
            { head: 'lap', means: 'Lap it stands for', cell: (s) => s.lap || '' },
            { head: 'from', means: 'Speed of the disc', cell: (s) => text(s.from, 'rotation') },
            { head: 'to', means: say.means.speedOfTheDiscAt, cell: (s) => text(s.to, 'rotation') },
            { head: 'time', means: 'Of the braking', cell: (s) => `${s.duration.toFixed(1)} s` },
            { head: `held at (${say.controls[bench.control]})`, means: 'What is held', cell: held },
            { head: 'work', means: 'Of the brake', cell: (s) => text(s.energy, 'energy') },
            {
              head: 'starts at',
              means: 'Core of the rotor before it',
              cell: (s) => text(s.startsAt, 'temperature'),
            },
            {
              head: 'pause',
              means: 'Until the next stop',
              cell: (s) => `${s.pause.toFixed(1)} s`,
            },
            { head: 'air', means: 'Cooling air', cell: (s) => text(s.air, 'speed') },
            {
              head: 'not as in the car',
              means: 'What the bench does otherwise',
              cell: (s) => s.deviations.map((own) => DEVIATION_TEXT[own]).join('; '),
            },
          ]}
        />
      </Disclosure>
    </>
  );
}
