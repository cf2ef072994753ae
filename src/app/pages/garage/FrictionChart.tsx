import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { formatQuantity } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { useUnits } from '../../state/preferences';
import { AXIS } from '../../ui/charts/chartStyle';

/** A pad's friction over its face temperature. */
export function FrictionChart({ points }: { points: readonly { celsius: number; mu: number }[] }) {
  const units = useUnits();
  return (
    <div className="h-[230px]" role="img" aria-label={say.frictionOverSurfaceTemperature}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={[...points]} margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
          <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} />
          <XAxis
            dataKey="celsius"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={(t) => formatQuantity(t, 'temperature', units)}
            {...AXIS}
          />
          <YAxis width={40} domain={[0, 'auto']} tickFormatter={(v) => Number(v).toFixed(2)} {...AXIS} />
          <Line dataKey="mu" stroke="var(--front)" strokeWidth={2.2} isAnimationActive={false} />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
