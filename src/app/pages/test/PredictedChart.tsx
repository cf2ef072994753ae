import { useMemo } from 'react';
import { siShown, unitOf } from '../../../model';
import type { TestAnswer } from '../../../services';
import { useUnits } from '../../state/preferences';
import { LineChart } from '../../ui/charts/LineChart';
import { stopPlaces } from './stopTicks';

/** Distance and pedal force, and the pads' temperature, over the number of the stop. */
export function PredictedChart({ answer }: { readonly answer: TestAnswer }) {
  const units = useUnits();
  const lines = useMemo(() => {
    const counted = answer.stops
      .map((stop, i) => ({ stop, n: i + 1 }))
      .filter(({ stop }) => stop.phase !== 'heating');
    const x = counted.map(({ n }) => n);
    const all = answer.stops.map((_, i) => i + 1);
    const of = (
      pick: (stop: (typeof answer.stops)[number]) => number,
      quantity: Parameters<typeof siShown>[1],
    ) => counted.map(({ stop }) => siShown(pick(stop), quantity, units));
    return {
      force: [{ name: 'pedal force', color: 'var(--act)', x, y: of((s) => s.pedal, 'force') }],
      distance: [{ name: 'distance', color: 'var(--ink)', x, y: of((s) => s.distance, 'distance') }],
      heat: (['front', 'rear'] as const).map((axle, k) => ({
        name: `${axle} pads`,
        color: k === 0 ? 'var(--over)' : 'var(--dim)',
        ...(k === 1 && { dash: '5 3' }),
        x: all,
        y: answer.stops.map((stop) => siShown(stop.padPeak[axle], 'temperature', units)),
      })),
    };
  }, [answer, units]);
  if (answer.stops.length < 2) return null;
  const unit = (quantity: 'force' | 'distance' | 'temperature') => unitOf(quantity, units).label;
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-3">
      <LineChart
        label="Pedal force by stop"
        height={170}
        unit={`${unit('force')}, pedal`}
        lines={lines.force}
        dots
        {...stopPlaces}
      />
      <LineChart
        label="Distance by stop"
        height={170}
        unit={`${unit('distance')}, distance`}
        lines={lines.distance}
        dots
        {...stopPlaces}
      />
      <LineChart
        label="Pad temperatures by stop"
        height={170}
        unit={`${unit('temperature')}, pads`}
        lines={lines.heat}
        {...stopPlaces}
      />
    </div>
  );
}
