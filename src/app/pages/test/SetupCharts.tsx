import { useMemo } from 'react';
import type { TestStop } from '../../../core';
import { type Quantity, siShown, unitOf } from '../../../model';
import { useUnits } from '../../state/preferences';
import { Keys } from '../../ui/charts/Keys';
import { type ChartLine, LineChart } from '../../ui/charts/LineChart';
import type { TestedSetup } from './testedSetup';

const LOOKS = [
  ['var(--ink)', undefined],
  ['var(--act)', '7 3'],
  ['var(--over)', '2 3'],
  ['var(--close)', '9 3 2 3'],
  ['var(--dim)', '4 4'],
  ['var(--act)', '1 4'],
] as const;

import { stopPlaces } from './stopTicks';

/** Force and distance by stop, a line a setup. */
export function SetupCharts({ rows }: { readonly rows: readonly TestedSetup[] }) {
  const units = useUnits();
  const charts = useMemo(() => {
    const lines = (pick: (stop: TestStop) => number, quantity: Quantity): ChartLine[] =>
      rows.map(({ name, result }, k) => {
        const stops = result.answer.stops.filter(({ phase }) => phase !== 'heating');
        const [color, dash] = LOOKS[k % LOOKS.length];
        return {
          name,
          color,
          ...(dash && { dash }),
          x: stops.map((_, i) => i + 1),
          y: stops.map((stop) => siShown(pick(stop), quantity, units)),
        };
      });
    return [
      { title: 'Pedal force', unit: unitOf('force', units).label, lines: lines((s) => s.pedal, 'force') },
      {
        title: 'Distance',
        unit: unitOf('distance', units).label,
        lines: lines((s) => s.distance, 'distance'),
      },
    ];
  }, [rows, units]);
  return (
    <>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
        {charts.map(({ title, unit, lines }) => (
          <LineChart
            key={title}
            label={`${title} by stop and setup`}
            height={200}
            unit={`${unit}, ${title.toLowerCase()}`}
            lines={lines}
            dots
            {...stopPlaces}
          />
        ))}
      </div>
      <Keys lines={charts[0].lines} />
    </>
  );
}
