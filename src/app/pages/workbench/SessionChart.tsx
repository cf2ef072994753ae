import { scaleLinear } from 'd3-scale';
import { memo, useMemo, useState } from 'react';
import { type DayResult, type LapResult, type LegResult, WHEELS } from '../../../core';
import { toShown, type UnitChoice, unitOf } from '../../../model';
import { celsius } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { type Selection, type ShownSide, shownRecords } from '../../state/selection';
import type { ChartProps, Computed } from '../../state/useSession';
import { PlaceAxis, ValueAxis } from '../../ui/charts/Axis';
import { densePath } from '../../ui/charts/paths';
import { useWidth } from '../../ui/charts/useSize';
import { topTemperature } from './lapSlice';

const LEFT = 44;
const RIGHT = 10;
const HOT = [30, 206] as const;
const WET = [240, 356] as const;
const HEIGHT = 380;

/** The whole session over time: laps, cool-down and paddock, rotors above, fluid and calipers below. */
export const SessionChart = memo(function SessionChart({ computed, ghost, selection, onSelect }: ChartProps) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(560);
  const { result, setup } = computed;
  const [wholeDay, setWholeDay] = useState(false);
  const { side } = selection;
  const session = wholeDay ? null : result.laps[selection.lap - 1].session;
  const [start, end] = spanOf(result, session);
  const longest = Math.max(end, ghost ? spanOf(ghost.result, session)[1] : 0);
  const x = useMemo(
    () =>
      scaleLinear()
        .domain([start, longest])
        .range([LEFT, width - RIGHT]),
    [start, longest, width],
  );
  const drawing = useMemo(
    () => draw(computed, ghost, [start, end], side, x, units),
    [computed, ghost, start, end, side, x, units],
  );
  const shadow = useMemo(
    () => (ghost ? draw(ghost, computed, spanOf(ghost.result, session), side, x, units) : null),
    [ghost, computed, session, side, x, units],
  );
  const laps = result.laps.filter((lap) => session === null || lap.session === session);
  const stands = result.legs.filter(
    (leg) => (leg.kind === 'pit' || leg.kind === 'paddock') && (session === null || leg.session === session),
  );
  const degree = unitOf('temperature', units).label;
  const narrow = laps.length > 0 && x(laps[0].startTime + laps[0].lapTime) - x(laps[0].startTime) < 18;
  return (
    <figure className="panel px-2 pt-2 pb-1" aria-label="Session over time">
      <div className="caption flex flex-wrap gap-x-4 px-1">
        <span>above: rotor core (bulk), and surface at its peaks (pale)</span>
        <span>below: fluid thick, caliper thin; rear dashed</span>
        {setup.plan.sessions.length > 1 && (
          <button type="button" className="ml-auto underline" onClick={() => setWholeDay(!wholeDay)}>
            {wholeDay ? 'Show one session' : 'Show the whole day'}
          </button>
        )}
      </div>
      <div ref={ref}>
        <svg
          width={width}
          height={HEIGHT}
          className="block"
          role="img"
          aria-label="Temperatures over the session, lap by lap; the margins beside it have the peaks"
        >
          {laps.map((lap) => {
            const from = x(lap.startTime);
            const wide = x(lap.startTime + lap.lapTime) - from;
            const chosen = lap.number === selection.lap;
            return (
              <LapBand
                key={lap.number}
                lap={lap}
                onSelect={onSelect}
                selection={selection}
                from={from}
                wide={wide}
                chosen={chosen}
                narrow={narrow}
              />
            );
          })}
          {stands.map((leg) => (
            <Standing key={leg.startTime} leg={leg} x={x} />
          ))}
          <g pointerEvents="none">
            <ValueAxis left={LEFT} right={width - RIGHT} scale={drawing.hot} ticks={4} unit={degree} />
            <ValueAxis left={LEFT} right={width - RIGHT} scale={drawing.wet} ticks={4} unit={degree} />
            <PlaceAxis
              scale={scaleLinear()
                .domain([0, (longest - start) / 60])
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
            <Curves drawing={drawing} />
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

/** A lap of the session: a band that is picked by click, with its number where there is room. */
function LapBand({
  lap,
  onSelect,
  selection,
  from,
  wide,
  chosen,
  narrow,
}: {
  lap: LapResult;
  onSelect: (selection: Selection) => void;
  selection: Selection;
  from: number;
  wide: number;
  chosen: boolean;
  narrow: boolean;
}) {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the lap stepper above is the keyboard's way
    <g className="cursor-pointer" onClick={() => onSelect({ ...selection, lap: lap.number })}>
      <title>{`Lap ${lap.numberInSession}, ${lap.kind === 'hot' ? 'hot' : lap.kind === 'out' ? 'out lap' : 'cool-down lap'}`}</title>
      <rect
        x={from}
        y={8}
        width={wide}
        height={WET[1] - 8}
        fill={chosen ? 'var(--act)' : 'transparent'}
        opacity={0.14}
      />
      <line x1={from} x2={from} y1={8} y2={WET[1]} stroke="var(--rule)" strokeWidth={0.7} />
      {(lap.kind === 'hot' ? !narrow || lap.numberInSession % 5 === 0 || chosen : wide > 24) && (
        <text
          x={from + wide / 2}
          y={19}
          textAnchor="middle"
          fontSize={11}
          fontWeight={chosen ? 700 : 450}
          fill={chosen ? 'var(--ink)' : 'var(--dim)'}
          className="narrow"
        >
          {lap.kind === 'out' ? 'out' : lap.kind === 'cool' ? 'cool' : lap.numberInSession}
        </text>
      )}
    </g>
  );
}

/** A stand in the pit or the paddock. */
function Standing({ leg, x }: { leg: LegResult; x: (time: number) => number }) {
  return (
    <g>
      <rect
        x={x(leg.startTime)}
        y={8}
        width={x(leg.endTime) - x(leg.startTime)}
        height={WET[1] - 8}
        fill="var(--sunk)"
        opacity={0.7}
      />
      {x(leg.endTime) - x(leg.startTime) > 44 && (
        <text x={x(leg.startTime) + 6} y={19} fontSize={11} fill="var(--dim)" className="narrow">
          {leg.kind}
        </text>
      )}
    </g>
  );
}

/** Front and rear: core and surface above, fluid and caliper below. */
function Curves({ drawing }: { drawing: ReturnType<typeof draw> }) {
  return (
    <g fill="none">
      <path d={drawing.frontFace} stroke="var(--front)" strokeWidth={0.8} opacity={0.45} />
      <path d={drawing.rearBulk} stroke="var(--rear)" strokeWidth={1.5} strokeDasharray="7 3" />
      <path d={drawing.frontBulk} stroke="var(--front)" strokeWidth={1.6} />
      <path d={drawing.rearCaliper} stroke="var(--rear)" strokeWidth={1} strokeDasharray="5 3" />
      <path d={drawing.rearFluid} stroke="var(--rear)" strokeWidth={2.2} strokeDasharray="7 3" />
      <path d={drawing.frontCaliper} stroke="var(--front)" strokeWidth={1} />
      <path d={drawing.frontFluid} stroke="var(--front)" strokeWidth={2.2} />
    </g>
  );
}

/** Start and end of a session, or of the whole day, s. */
function spanOf(result: DayResult, session: number | null): readonly [number, number] {
  const legs = result.legs.filter((leg) => session === null || leg.session === session);
  return legs.length === 0 ? [0, 0] : [legs[0].startTime, legs[legs.length - 1].endTime];
}

function draw(
  { result }: Computed,
  other: Computed | null,
  [start, end]: readonly [number, number],
  side: ShownSide,
  x: (v: number) => number,
  units: UnitChoice,
) {
  const { time } = result.record;
  const { front, rear } = shownRecords(result, side);
  const degree = unitOf('temperature', units);
  const boil = boilingPoint(result) ?? 500;
  const wettest = (r: DayResult | undefined) =>
    r
      ? Math.max(
          ...WHEELS.map((wheel) => Math.max(r.peaks[wheel].fluid, r.peaks[wheel].caliper)),
          boilingPoint(r) ?? 0,
        )
      : 0;
  const shown = (value: number) => toShown(value, degree);
  const hot = scaleLinear()
    .domain([0, shown(Math.ceil((topTemperature([result, other?.result]) + 20) / 50) * 50)])
    .range([HOT[1], HOT[0]]);
  const wet = scaleLinear()
    .domain([
      0,
      shown(Math.ceil((celsius(Math.max(wettest(result), wettest(other?.result))) + 15) / 25) * 25),
    ])
    .range([WET[1], WET[0]]);
  let from = 0;
  while (from < time.length - 1 && time[from + 1] <= start) from++;
  let to = from;
  while (to < time.length && time[to] <= end + 1e-6) to++;
  const at = time.subarray(from, to);
  const line = (values: Float64Array, scale: (v: number) => number) =>
    densePath(at, values.subarray(from, to), x, (kelvin) => scale(shown(celsius(kelvin))));
  return {
    hot,
    wet,
    boil: wet(shown(celsius(boil))),
    frontFace: line(front.rotorFace, hot),
    frontBulk: line(front.rotorBulk, hot),
    rearBulk: line(rear.rotorBulk, hot),
    frontFluid: line(front.fluid, wet),
    frontCaliper: line(front.caliper, wet),
    rearFluid: line(rear.fluid, wet),
    rearCaliper: line(rear.caliper, wet),
  };
}

const boilingPoint = (result: DayResult) => result.margins.find((m) => m.part === 'fluid')?.limit;
