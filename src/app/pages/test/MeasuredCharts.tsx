import { useMemo } from 'react';
import type { TestStop } from '../../../core';
import { type Quantity, siShown, unitOf } from '../../../model';
import type { RunReport, StopRow } from '../../../services';
import { useUnits } from '../../state/preferences';
import { Keys } from '../../ui/charts/Keys';
import { type ChartLine, LineChart } from '../../ui/charts/LineChart';

const COLORS = ['var(--act)', 'var(--over)', 'var(--close)', 'var(--ink)', 'var(--dim)'];

import { stopPlaces } from './stopTicks';

/** Strokes tell setups apart without colour. */
const DASHES = [undefined, '7 3', '2 3', '9 3 2 3', '4 4'];

/** Distance and pedal force by stop: every run, the open one's prediction beside it. */
export function MeasuredCharts({
  reports,
  open,
  predicted,
}: {
  readonly reports: readonly RunReport[];
  readonly open: string;
  readonly predicted: readonly TestStop[];
}) {
  const units = useUnits();
  const charts = useMemo(() => {
    const setups = [...new Set(reports.map(({ run }) => run.setup))];
    const linesOf = (
      pick: (row: StopRow) => number | null,
      own: (stop: TestStop) => number,
      quantity: Quantity,
    ): ChartLine[] => {
      const measured = reports.flatMap((report): ChartLine[] => {
        const found = report.rows.flatMap((row) => {
          const value = pick(row);
          return value === null ? [] : [{ n: row.stop.n, value: siShown(value, quantity, units) }];
        });
        if (found.length === 0) return [];
        const k = setups.indexOf(report.run.setup) % COLORS.length;
        const dash = DASHES[k];
        return [
          {
            name: report.run.name,
            color: COLORS[k],
            ...(dash && { dash }),
            x: found.map(({ n }) => n),
            y: found.map(({ value }) => value),
          },
        ];
      });
      if (measured.length === 0) return [];
      const name = reports.find(({ id }) => id === open)?.run.name ?? '';
      return [
        ...measured,
        ...(predicted.length > 1
          ? [
              {
                name: `${name}, predicted`,
                color: 'var(--dim)',
                dash: '1 4',
                x: predicted.map((_, i) => i + 1),
                y: predicted.map((stop) => siShown(own(stop), quantity, units)),
              },
            ]
          : []),
      ];
    };
    return [
      {
        title: 'Corrected distance by stop',
        unit: unitOf('distance', units).label,
        lines: linesOf(
          ({ corrected }) => corrected?.distance ?? null,
          (stop) => stop.distance,
          'distance',
        ),
      },
      {
        title: 'Pedal force by stop',
        unit: unitOf('force', units).label,
        lines: linesOf(
          ({ stop }) => stop.pedalN,
          (stop) => stop.pedal,
          'force',
        ),
      },
    ].filter(({ lines }) => lines.some(({ x }) => x.length > 1));
  }, [reports, open, predicted, units]);
  if (charts.length === 0) return null;
  return (
    <>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-3 lg:grid-cols-2">
        {charts.map(({ title, unit, lines }) => (
          <LineChart
            key={title}
            label={title}
            height={190}
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
