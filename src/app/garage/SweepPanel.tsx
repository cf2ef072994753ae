import { useQuery } from '@tanstack/react-query';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { BalanceSweep } from '../../core';
import { dayInput, formatQuantity, PART_WORDS, toShown, type UnitChoice, unitOf } from '../../project';
import { useBackground } from '../state/context';
import { useUnits } from '../state/preferences';
import type { Computed } from '../workbench/useSession';
import { useSettled } from '../workbench/useSettled';
import { AXIS, TOOLTIP } from './chartStyle';

/** Temperature margin of both axles over the front share, against what the tyres would want. */
export function SweepPanel({ computed }: { computed: Computed }) {
  const { outlook: background } = useBackground();
  const units = useUnits();
  const settled = useSettled(computed, 600);
  const query = useQuery({
    queryKey: ['balance', settled ? JSON.stringify(settled.setup) : null],
    enabled: settled !== null,
    queryFn: ({ signal }) =>
      background.call((remote) => remote.balanceSweep(dayInput((settled as Computed).setup)), signal),
  });
  return (
    <section className="panel px-4 py-3" aria-label="Balance sweep">
      <h2 className="text-[15px]">What another balance would do to temperature</h2>
      {query.isError ? (
        <p className="mt-1 text-dim" role="alert">
          It could not be computed. {query.error.message}{' '}
          <button type="button" className="underline" onClick={() => void query.refetch()}>
            Compute again
          </button>
        </p>
      ) : query.data ? (
        <Swept sweep={query.data} units={units} />
      ) : (
        <p className="mt-1 text-dim" role="status">
          Driving the day with nine balances …
        </p>
      )}
    </section>
  );
}

function Swept({ sweep, units }: { sweep: BalanceSweep; units: UnitChoice }) {
  const degree = unitOf('difference', units);
  const kelvin = (k: number) => Number(toShown(k, degree).toFixed(1));
  const data = sweep.points.map((p) => ({
    share: 100 * p.share,
    front: kelvin(p.margin.front.kelvin),
    rear: kelvin(p.margin.rear.kelvin),
    fade: p.fade === null ? null : Number((100 * p.fade).toFixed(1)),
  }));
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  return (
    <>
      <p className="mt-1 max-w-[92ch]">
        Now {percent(sweep.now)} with warm pads; the tyres would want{' '}
        <strong className="font-[640]">{percent(sweep.ideal)}</strong> over the hot laps.{' '}
        {sweep.even === null
          ? 'In this range the front and the rear never keep alike: one axle is always the nearer to its limits.'
          : `Both axles keep the same share of their rise at ${percent(sweep.even)}.`}{' '}
        What is best for temperature is not what is best for grip: a rear that locks first turns the car
        round.
      </p>
      <div className="mt-2 h-[240px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 18, right: 20, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} />
            <XAxis
              dataKey="share"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(v) => `${Math.round(v)} %`}
              {...AXIS}
            />
            <YAxis width={58} tickFormatter={(v) => `${v} ${degree.label}`} {...AXIS} />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(v) => `Front share ${Number(v).toFixed(1)} %`}
              formatter={(value) => `${value} ${degree.label}`}
            />
            <ReferenceLine y={0} stroke="var(--over)" strokeWidth={1.5} />
            <ReferenceLine
              x={100 * sweep.ideal}
              stroke="var(--ink)"
              strokeDasharray="6 4"
              label={{ value: 'tyres', position: 'insideBottomRight', fontSize: 11, fill: 'var(--ink)' }}
            />
            <ReferenceLine
              x={100 * sweep.now}
              stroke="var(--act)"
              label={{ value: 'now', position: 'top', fontSize: 11, fill: 'var(--act)' }}
            />
            <Line
              dataKey="front"
              name="Front, least margin"
              stroke="var(--front)"
              strokeWidth={2.4}
              isAnimationActive={false}
            />
            <Line
              dataKey="rear"
              name="Rear, least margin"
              stroke="var(--rear)"
              strokeWidth={2.4}
              strokeDasharray="8 3"
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <details className="mt-1">
        <summary className="caption">The same as a table</summary>
        <table className="mt-1 text-right text-[13px]">
          <thead>
            <tr className="caption">
              <th className="px-2 font-normal">Front share</th>
              <th className="px-2 font-normal">Front margin</th>
              <th className="px-2 text-left font-normal">of the</th>
              <th className="px-2 font-normal">Rear margin</th>
              <th className="px-2 text-left font-normal">of the</th>
              <th className="px-2 font-normal">Fade margin</th>
            </tr>
          </thead>
          <tbody>
            {sweep.points.map((p) => (
              <tr key={p.share} className="border-t border-rule/60">
                <td className="px-2">{percent(p.share)}</td>
                <td className="px-2">{formatQuantity(p.margin.front.kelvin, 'difference', units)}</td>
                <td className="px-2 text-left">{PART_WORDS[p.margin.front.part].name}</td>
                <td className="px-2">{formatQuantity(p.margin.rear.kelvin, 'difference', units)}</td>
                <td className="px-2 text-left">{PART_WORDS[p.margin.rear.part].name}</td>
                <td className="px-2">{p.fade === null ? '—' : `${(100 * p.fade).toFixed(0)} %`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  );
}
