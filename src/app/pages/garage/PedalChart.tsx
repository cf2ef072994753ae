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
import { formatQuantity, toShown, type UnitChoice, unitOf } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { AXIS, TOOLTIP } from '../../ui/charts/chartStyle';
import { Key } from '../../ui/charts/Key';

interface Point {
  readonly at: number;
  readonly name: string;
  readonly pedal: number;
  readonly bite: number;
  readonly travel: number;
}

/** Pedal force and travel of every braking zone of a day in driving order. */
const SERIES = [
  {
    yAxisId: 'force',
    dataKey: 'pedal',
    name: 'Most in the braking zone',
    stroke: 'var(--front)',
    strokeWidth: 2.2,
  },
  {
    yAxisId: 'force',
    dataKey: 'bite',
    name: 'Initial friction',
    stroke: 'var(--ink)',
    strokeWidth: 1.4,
    strokeDasharray: '4 3',
  },
  { yAxisId: 'travel', dataKey: 'travel', name: 'Travel', stroke: 'var(--rear)', strokeWidth: 1.6 },
] as const;

const valueText = (value: number, { label }: { label: string }) =>
  `${value.toFixed(label === 'in' ? 2 : 0)} ${label}`;

export function PedalChart({
  points,
  limit,
  units,
}: {
  points: readonly Point[];
  /** N */
  limit: number;
  units: UnitChoice;
}) {
  const force = unitOf('force', units);
  const length = unitOf('smallLength', units);
  const most = 2.2 * limit;
  const data = points.map((p) => ({
    ...p,
    pedal: toShown(Math.min(p.pedal, most), force),
    bite: toShown(Math.min(p.bite, most), force),
    travel: toShown(p.travel, length),
  }));
  const laps = Math.ceil(points[points.length - 1].at);
  return (
    <>
      <div className="mt-2 h-[260px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={[1, laps]}
              ticks={Array.from({ length: laps }, (_, k) => k + 1)}
              tickFormatter={(lap) => `lap ${lap}`}
              {...AXIS}
            />
            <YAxis
              yAxisId="force"
              width={62}
              domain={[
                0,
                (high: number) => 100 * Math.ceil(Math.max(high, toShown(1.08 * limit, force)) / 100),
              ]}
              tickFormatter={(v) => `${Math.round(v)} ${force.label}`}
              {...AXIS}
            />
            <YAxis
              yAxisId="travel"
              orientation="right"
              width={58}
              domain={[0, (high: number) => 1.6 * high]}
              tickFormatter={(v) => `${Number(v).toFixed(length.label === 'in' ? 1 : 0)} ${length.label}`}
              {...AXIS}
            />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(_, items) => items?.[0]?.payload?.name ?? ''}
              formatter={(value, name) => valueText(Number(value), name === 'Travel' ? length : force)}
            />
            <ReferenceLine
              yAxisId="force"
              y={toShown(limit, force)}
              stroke="var(--over)"
              strokeWidth={1.5}
              label={{
                value: `driver’s limit ${formatQuantity(limit, 'force', units)}`,
                position: 'insideTopLeft',
                fontSize: 11,
                fill: 'var(--over)',
              }}
            />
            {SERIES.map((series) => (
              <Line key={series.dataKey} {...series} dot={false} isAnimationActive={false} />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <Legend />
    </>
  );
}

const Legend = () => (
  <p className="caption flex flex-wrap gap-4">
    <Key color="var(--front)">most force in the braking zone</Key>
    <Key color="var(--ink)" dashed>
      {say.forceFirstBiteBraking}
    </Key>
    <Key color="var(--rear)">pedal travel, right scale</Key>
  </p>
);
