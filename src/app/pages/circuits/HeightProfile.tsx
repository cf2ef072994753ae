import {
  Area,
  AreaChart,
  CartesianGrid,
  ReferenceArea,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { toShown, unitOf } from '../../../model';
import { useUnits } from '../../state/preferences';
import { AXIS, TOOLTIP } from '../../ui/charts/chartStyle';

/** Height along the lap, with its braking zones shaded. */
export function HeightProfile({
  line,
  base,
  zones,
  picked,
}: {
  line: { readonly distance: Float64Array; readonly height: Float64Array; readonly length: number };
  /** Height of the start line, m */
  base: number;
  zones: readonly { readonly from: number; readonly to: number }[];
  picked: number | null;
}) {
  const units = useUnits();
  const unit = unitOf('distance', units);
  const every = Math.ceil(line.distance.length / 400);
  const data = Array.from(line.distance, (d, i) => ({
    at: toShown(d, unit),
    height: toShown(base + line.height[i], unit),
  })).filter((_, i) => i % every === 0);
  const range =
    line.height.reduce((most, h) => Math.max(most, h), 0) - line.height.reduce((l, h) => Math.min(l, h), 0);
  return (
    <div className="mt-3">
      <h2 className="text-[15px]">
        Height
        {range < 0.5
          ? ': the line is level'
          : `: ${Math.round(toShown(range, unit))} ${unit.label} between lowest and highest`}
      </h2>
      <div className="mt-1 h-[150px]">
        <ResponsiveContainer width="100%" height="100%">
          <AreaChart data={data} margin={{ top: 6, right: 12, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={[0, toShown(line.length, unit)]}
              tickFormatter={(v) => `${Math.round(v)} ${unit.label}`}
              {...AXIS}
            />
            <YAxis
              width={62}
              domain={[(low: number) => Math.floor(low - 2), (high: number) => Math.ceil(high + 2)]}
              allowDecimals={false}
              tickFormatter={(v) => `${Math.round(v)} ${unit.label}`}
              {...AXIS}
            />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(v) => `${Math.round(Number(v))} ${unit.label} from the start`}
              formatter={(v) => [`${Number(v).toFixed(1)} ${unit.label}`, 'Height']}
            />
            {zones.map((s, k) => (
              <ReferenceArea
                key={s.from}
                x1={toShown(s.from, unit)}
                x2={toShown(Math.min(s.to, line.length), unit)}
                fill={k === picked ? 'var(--act)' : 'var(--dim)'}
                fillOpacity={k === picked ? 0.5 : 0.22}
                label={{ value: k + 1, position: 'insideTop', fontSize: 11, fill: 'var(--ink)' }}
              />
            ))}
            <Area
              dataKey="height"
              stroke="var(--ink)"
              strokeWidth={1.6}
              fill="var(--sunk)"
              isAnimationActive={false}
            />
          </AreaChart>
        </ResponsiveContainer>
      </div>
    </div>
  );
}
