import { scaleLinear } from 'd3-scale';
import { memo, useMemo } from 'react';
import { celsius, toShown, type UnitChoice, unitOf } from '../../project';
import { PlaceAxis, ValueAxis } from '../charts/Axis';
import { densePath } from '../charts/paths';
import { useWidth } from '../charts/useSize';
import { useUnits } from '../state/preferences';
import { topTemperature } from './lapSlice';
import type { ChartProps, Computed } from './useSession';

const LEFT = 44;
const RIGHT = 10;
const HOT = [30, 206] as const;
const WET = [240, 356] as const;
const HEIGHT = 380;

/** The whole session over time: laps, cool-down and paddock, rotors above, fluid and calipers below. */
export const SessionChart = memo(function SessionChart({ computed, ghost, selection, onSelect }: ChartProps) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(560);
  const { result } = computed;
  const end = result.record.time[result.record.time.length - 1];
  const longest = Math.max(end, ghost ? ghost.result.record.time[ghost.result.record.time.length - 1] : 0);
  const x = useMemo(
    () =>
      scaleLinear()
        .domain([0, longest])
        .range([LEFT, width - RIGHT]),
    [longest, width],
  );
  const drawing = useMemo(() => draw(computed, ghost, x, units), [computed, ghost, x, units]);
  const shadow = useMemo(() => (ghost ? draw(ghost, computed, x, units) : null), [ghost, computed, x, units]);
  const degree = unitOf('temperature', units).label;
  const narrow = result.laps.length > 0 && x(result.laps[0].lapTime) - x(0) < 18;
  return (
    <figure className="panel px-2 pt-2 pb-1" aria-label="Session over time">
      <div className="caption flex flex-wrap gap-x-4 px-1" aria-hidden="true">
        <span>above: rotor bulk, and face at its peaks (pale)</span>
        <span>below: fluid thick, caliper thin; rear dashed</span>
      </div>
      <div ref={ref}>
        <svg
          width={width}
          height={HEIGHT}
          className="block"
          role="img"
          aria-label="Temperatures over the session, lap by lap; the margins beside it have the peaks"
        >
          {result.laps.map((lap) => {
            const from = x(lap.startTime);
            const wide = x(lap.startTime + lap.lapTime) - from;
            const chosen = lap.number === selection.lap;
            return (
              // biome-ignore lint/a11y/noStaticElementInteractions: the lap stepper above is the keyboard's way
              <g
                key={lap.number}
                className="cursor-pointer"
                onClick={() => onSelect({ ...selection, lap: lap.number })}
              >
                <title>{`Lap ${lap.number}, ${lap.kind === 'hot' ? 'hot' : lap.kind === 'out' ? 'out lap' : 'cool-down lap'}`}</title>
                <rect
                  x={from}
                  y={8}
                  width={wide}
                  height={WET[1] - 8}
                  fill={chosen ? 'var(--act)' : 'transparent'}
                  opacity={0.14}
                />
                <line x1={from} x2={from} y1={8} y2={WET[1]} stroke="var(--rule)" strokeWidth={0.7} />
                {(!narrow || lap.number % 5 === 0 || chosen) && (
                  <text
                    x={from + wide / 2}
                    y={19}
                    textAnchor="middle"
                    fontSize={11}
                    fontWeight={chosen ? 700 : 450}
                    fill={chosen ? 'var(--ink)' : 'var(--dim)'}
                    className="narrow"
                  >
                    {lap.kind === 'out' ? 'out' : lap.kind === 'cool' ? 'cool' : lap.number}
                  </text>
                )}
              </g>
            );
          })}
          {end > result.drivingTime && (
            <g>
              <rect
                x={x(result.drivingTime)}
                y={8}
                width={x(end) - x(result.drivingTime)}
                height={WET[1] - 8}
                fill="var(--sunk)"
                opacity={0.7}
              />
              <text x={x(result.drivingTime) + 6} y={19} fontSize={11} fill="var(--dim)" className="narrow">
                paddock
              </text>
            </g>
          )}
          <g pointerEvents="none">
            <ValueAxis left={LEFT} right={width - RIGHT} scale={drawing.hot} ticks={4} unit={degree} />
            <ValueAxis left={LEFT} right={width - RIGHT} scale={drawing.wet} ticks={4} unit={degree} />
            <PlaceAxis
              scale={scaleLinear()
                .domain([0, longest / 60])
                .range([LEFT, width - RIGHT])}
              y={WET[1]}
              ticks={Math.max(3, Math.round(width / 80))}
              format={(t) => `${t} min`}
            />
            {shadow && (
              <g fill="none" stroke="var(--ghost)" strokeWidth={1.4}>
                <path d={shadow.frontBulk} />
                <path d={shadow.rearBulk} strokeDasharray="5 4" />
                <path d={shadow.frontFluid} />
                <path d={shadow.rearFluid} strokeDasharray="5 4" />
              </g>
            )}
            <g fill="none">
              <path d={drawing.frontFace} stroke="var(--front)" strokeWidth={0.8} opacity={0.45} />
              <path d={drawing.rearBulk} stroke="var(--rear)" strokeWidth={1.5} strokeDasharray="7 3" />
              <path d={drawing.frontBulk} stroke="var(--front)" strokeWidth={1.6} />
              <path d={drawing.rearCaliper} stroke="var(--rear)" strokeWidth={1} strokeDasharray="5 3" />
              <path d={drawing.rearFluid} stroke="var(--rear)" strokeWidth={2.2} strokeDasharray="7 3" />
              <path d={drawing.frontCaliper} stroke="var(--front)" strokeWidth={1} />
              <path d={drawing.frontFluid} stroke="var(--front)" strokeWidth={2.2} />
            </g>
            <line
              x1={LEFT}
              x2={width - RIGHT}
              y1={drawing.boil}
              y2={drawing.boil}
              stroke="var(--over)"
              strokeWidth={1.2}
              strokeDasharray="2 3"
            />
            <text
              x={width - RIGHT}
              y={drawing.boil - 4}
              textAnchor="end"
              fontSize={11}
              fill="var(--over)"
              className="narrow halo"
            >
              fluid boils
            </text>
          </g>
        </svg>
      </div>
    </figure>
  );
});

function draw(computed: Computed, other: Computed | null, x: (v: number) => number, units: UnitChoice) {
  const { record, margins } = computed.result;
  const degree = unitOf('temperature', units);
  const boil = margins.find((m) => m.part === 'fluid')?.limit ?? 500;
  const wettest = (c: Computed | null) =>
    c
      ? Math.max(
          c.result.peaks.front.fluid,
          c.result.peaks.rear.fluid,
          c.result.peaks.front.caliper,
          c.result.peaks.rear.caliper,
          c.result.margins.find((m) => m.part === 'fluid')?.limit ?? 0,
        )
      : 0;
  const shown = (value: number) => toShown(value, degree);
  const hot = scaleLinear()
    .domain([0, shown(Math.ceil((topTemperature([computed.result, other?.result]) + 20) / 50) * 50)])
    .range([HOT[1], HOT[0]]);
  const wet = scaleLinear()
    .domain([0, shown(Math.ceil((celsius(Math.max(wettest(computed), wettest(other))) + 15) / 25) * 25)])
    .range([WET[1], WET[0]]);
  const line = (values: Float64Array, scale: (v: number) => number) =>
    densePath(record.time, values, x, (kelvin) => scale(shown(celsius(kelvin))));
  return {
    hot,
    wet,
    boil: wet(shown(celsius(boil))),
    frontFace: line(record.front.rotorFace, hot),
    frontBulk: line(record.front.rotorBulk, hot),
    rearBulk: line(record.rear.rotorBulk, hot),
    frontFluid: line(record.front.fluid, wet),
    frontCaliper: line(record.front.caliper, wet),
    rearFluid: line(record.rear.fluid, wet),
    rearCaliper: line(record.rear.caliper, wet),
  };
}
