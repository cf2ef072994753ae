import { memo, useMemo, useState } from 'react';
import type { LapResult, LegResult } from '../../../core';
import { unitOf } from '../../../model';
import { say } from '../../../text/en/say/workbench';
import { useUnits } from '../../state/preferences';
import type { Selection, ShownSide } from '../../state/selection';
import type { ChartProps } from '../../state/useSession';
import { PlaceAxis, ValueAxis } from '../../ui/charts/Axis';
import { linearScale } from '../../ui/charts/linearScale';
import { useWidth } from '../../ui/charts/useSize';
import { draw, spanOf, WET } from './sessionDrawing';

const LEFT = 44;
const RIGHT = 10;
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
  const { x, drawing, shadow } = useDrawing({ computed, ghost }, session, [start, end], longest, width, side);
  const passed = result.verdict.margin.passed?.time ?? -1;
  const pastFrom = passed >= start && passed < end ? passed : null;
  const laps = result.laps.filter((lap) => session === null || lap.session === session);
  const stands = result.legs.filter(
    (leg) => (leg.kind === 'pit' || leg.kind === 'paddock') && (session === null || leg.session === session),
  );
  const degree = unitOf('temperature', units).label;
  const narrow = laps.length > 0 && x(laps[0].startTime + laps[0].lapTime) - x(laps[0].startTime) < 18;
  return (
    <figure className="panel px-2 pt-2 pb-1" aria-label="Session over time">
      <Legend wholeDay={setup.plan.sessions.length > 1 ? wholeDay : null} onWholeDay={setWholeDay} />
      <div ref={ref}>
        <svg
          width={width}
          height={HEIGHT}
          className="block"
          role="img"
          aria-label={say.temperaturesOverSessionLap}
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
              scale={linearScale([0, (longest - start) / 60], [LEFT, width - RIGHT])}
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
            <PastLimit from={pastFrom === null ? null : x(pastFrom)} width={width} />
            <Curves drawing={drawing} />
            <BoilingLine y={drawing.boil} width={width} />
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

/** The session of the state and of its ghost, over one axis of time. */
function useDrawing(
  { computed, ghost }: Pick<ChartProps, 'computed' | 'ghost'>,
  session: number | null,
  [start, end]: readonly [number, number],
  longest: number,
  width: number,
  side: ShownSide,
) {
  const units = useUnits();
  const x = useMemo(() => linearScale([start, longest], [LEFT, width - RIGHT]), [start, longest, width]);
  const drawing = useMemo(
    () => draw(computed, ghost, [start, end], side, x, units),
    [computed, ghost, start, end, side, x, units],
  );
  const shadow = useMemo(
    () => (ghost ? draw(ghost, computed, spanOf(ghost.result, session), side, x, units) : null),
    [ghost, computed, session, side, x, units],
  );
  return { x, drawing, shadow };
}

/** From the moment the verdict's limit is passed nothing is a prediction any more. */
function PastLimit({ from, width }: { from: number | null; width: number }) {
  if (from === null) return null;
  return (
    <g>
      <rect
        x={from}
        y={8}
        width={width - RIGHT - from}
        height={WET[1] - 8}
        fill="var(--over)"
        opacity={0.07}
      />
      <line x1={from} x2={from} y1={8} y2={WET[1]} stroke="var(--over)" strokeWidth={1} />
      {width - RIGHT - from > 130 && (
        <text x={from + 5} y={WET[1] - 6} fontSize={11} fill="var(--over)" className="narrow halo">
          {say.asIfItHeld}
        </text>
      )}
    </g>
  );
}

/** Where the fluid boils. */
function BoilingLine({ y, width }: { y: number; width: number }) {
  return (
    <>
      <line
        x1={LEFT}
        x2={width - RIGHT}
        y1={y}
        y2={y}
        stroke="var(--over)"
        strokeWidth={1.2}
        strokeDasharray="2 3"
      />
      <text
        x={width - RIGHT}
        y={y - 4}
        textAnchor="end"
        fontSize={11}
        fill="var(--over)"
        className="narrow halo"
      >
        fluid boils
      </text>
    </>
  );
}

/** What the lines mean, and whether one session or the whole day is shown. */
function Legend({
  wholeDay,
  onWholeDay,
}: {
  /** Null where the day has one session */
  wholeDay: boolean | null;
  onWholeDay: (wholeDay: boolean) => void;
}) {
  return (
    <div className="caption flex flex-wrap gap-x-4 px-1">
      <span>{say.aboveRotorCoreBulk}</span>
      <span>{say.belowFluidThickCaliper}</span>
      {wholeDay !== null && (
        <button type="button" className="ml-auto underline" onClick={() => onWholeDay(!wholeDay)}>
          {wholeDay ? 'Show one session' : 'Show the whole day'}
        </button>
      )}
    </div>
  );
}
