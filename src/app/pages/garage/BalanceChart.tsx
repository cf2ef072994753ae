import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { formatQuantity, type UnitChoice } from '../../../model';
import { AXIS, TOOLTIP } from '../../ui/charts/chartStyle';
import { Key } from '../../ui/charts/Key';

/** Every fifth of g within the points. */
const ticksOf = (points: readonly { z: number }[]) =>
  Array.from({ length: 60 }, (_, k) => 0.2 * (k + 1)).filter((z) => z <= points[points.length - 1].z);

/** Brake balance over deceleration: of the parts and of the tyres. */
export function BalanceChart({
  points,
  units,
}: {
  points: readonly { z: number; actual: number | null; ideal: number }[];
  units: UnitChoice;
}) {
  const text = (z: number) => formatQuantity(z * 9.80665, 'deceleration', units);
  return (
    <>
      <div className="mt-2 h-[220px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={[...points]} margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} />
            <XAxis
              dataKey="z"
              type="number"
              domain={['dataMin', 'dataMax']}
              ticks={ticksOf(points)}
              tickFormatter={text}
              {...AXIS}
            />
            <YAxis
              domain={['auto', 'auto']}
              width={46}
              tickFormatter={(v) => `${Math.round(v)} %`}
              {...AXIS}
            />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(z) => text(Number(z))}
              formatter={(value) => `${Number(value).toFixed(1)} %`}
            />
            <Line
              dataKey="actual"
              name="As the parts share"
              stroke="var(--front)"
              strokeWidth={2.4}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="ideal"
              name="Ideal balance"
              stroke="var(--ink)"
              strokeWidth={1.8}
              strokeDasharray="6 4"
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <p className="caption flex gap-4">
        <Key color="var(--front)">as the parts share</Key>
        <Key color="var(--ink)" dashed>
          ideal balance
        </Key>
      </p>
    </>
  );
}
