import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { lapTime, speedAt } from '../../../core';
import { fromSi, toShown, unitOf } from '../../../model';
import type { ListedPiece, LogAnalysis } from '../../../services';
import { lapText } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { AXIS, TOOLTIP } from '../../ui/charts/chartStyle';
import { Key } from '../../ui/charts/Key';

const POINTS = 420;

/** Speed of a logged lap over that of the solved one. */
export function SpeedChart({ analysis, piece }: { analysis: LogAnalysis; piece: ListedPiece }) {
  const units = useUnits();
  const speed = unitOf('speed', units);
  const distance = unitOf('distance', units);
  const logged = analysis.day.laps[piece.lap].trace;
  const { solved } = analysis;
  const [first, last] = [logged.distance[0], logged.distance[logged.distance.length - 1]];
  const data = Array.from({ length: POINTS }, (_, i) => {
    const s = first + ((last - first) * i) / (POINTS - 1);
    return {
      at: toShown(s, distance),
      logged: Number(toShown(fromSi(speedAt(logged, s), 'speed'), speed).toFixed(1)),
      solved: piece.whole ? Number(toShown(fromSi(speedAt(solved, s), 'speed'), speed).toFixed(1)) : null,
    };
  });
  const apart = piece.to - piece.from - lapTime(solved);
  return (
    <section className="panel px-3 py-2" aria-label="Speed along the lap">
      <p className="caption flex flex-wrap gap-4">
        <Key color="var(--act)">logged, {lapText(piece.to - piece.from)}</Key>
        {piece.whole && (
          <Key color="var(--ink)" dashed>
            solved, {lapText(lapTime(solved))}: the log is {Math.abs(apart).toFixed(2)} s{' '}
            {apart > 0 ? 'slower' : 'faster'}
          </Key>
        )}
      </p>
      <div className="mt-1 h-[210px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data} margin={{ top: 6, right: 10, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(v) => `${Math.round(v)} ${distance.label}`}
              {...AXIS}
            />
            <YAxis width={66} tickFormatter={(v) => `${v} ${speed.label}`} {...AXIS} />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(v) => `${Math.round(Number(v))} ${distance.label}`}
              formatter={(v) => `${v} ${speed.label}`}
            />
            <Line
              dataKey="logged"
              name="Logged"
              stroke="var(--act)"
              strokeWidth={3}
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="solved"
              name="Solved"
              stroke="var(--ink)"
              strokeWidth={1.2}
              strokeDasharray="5 3"
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
    </section>
  );
}
