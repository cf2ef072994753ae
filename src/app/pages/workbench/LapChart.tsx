import { memo, type PointerEvent, useMemo, useState } from 'react';
import type { LapTrace } from '../../../core';
import { formatQuantity, siText, toShown, type UnitChoice, unitOf } from '../../../model';
import { zoneText } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { useUnits } from '../../state/preferences';
import { type Selection, shownRecords } from '../../state/selection';
import type { ChartProps, Computed } from '../../state/useSession';
import { PlaceAxis, ValueAxis } from '../../ui/charts/Axis';
import { linearScale } from '../../ui/charts/linearScale';
import { useWidth } from '../../ui/charts/useSize';
import { LapStepper } from './LapStepper';
import { drawLap, ends, HEAT } from './lapDrawing';
import { lapSamples } from './lapSlice';
import { SideChoice } from './SideChoice';
import { placeNumbers, ZoneButtons } from './ZoneButtons';

const LEFT = 44;
const RIGHT = 10;
const HEIGHT = 392;

/** The lap unrolled over distance: speed, braking power and temperatures above each other on one axis. */
export const LapChart = memo(function LapChart({ computed, ghost, selection, onSelect }: ChartProps) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(880);
  const [pointed, setPointed] = useState<number | null>(null);
  const { result } = computed;
  const lap = result.laps[selection.lap - 1];
  const [first, last] = ends(lap.trace.distance);

  const { x, drawing, shadow } = useDrawing({ computed, ghost, selection }, [first, last], width);
  const middles = lap.trace.zones.map((s) =>
    x(0.5 * (lap.trace.distance[s.startIndex] + lap.trace.distance[s.endIndex])),
  );
  const placed = placeNumbers(middles, 21, 2);
  const rows = placed.some((p) => p.row > 0) ? 2 : 1;
  const zone = lap.trace.zones[selection.zone];

  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = x.invert(event.clientX - box.left);
    setPointed(at >= first && at <= last ? at : null);
  };
  return (
    <figure className="panel px-2 pt-2 pb-1" aria-label={`Lap ${selection.lap} over distance`}>
      <div className="flex flex-wrap items-center justify-between gap-x-3 pb-1">
        <Legend ghost={ghost !== null} />
        <span className="flex flex-wrap items-center gap-2">
          <SideChoice result={result} selection={selection} onSelect={onSelect} />
          <LapStepper computed={computed} selection={selection} onSelect={onSelect} />
        </span>
      </div>
      <div ref={ref} className="relative">
        <div className="relative mb-1" style={{ height: rows * 21 }}>
          <ZoneButtons
            zones={lap.trace.zones}
            placed={placed}
            selected={selection.zone}
            onSelect={(k) => onSelect({ ...selection, zone: k })}
          />
        </div>
        {/* biome-ignore lint/a11y/useKeyWithClickEvents: the numbered buttons above are the keyboard's way */}
        <svg
          width={width}
          height={HEIGHT}
          className="block touch-pan-y"
          onPointerMove={onPointer}
          onPointerLeave={() => setPointed(null)}
          onClick={() => {
            if (pointed === null || lap.trace.zones.length === 0) return;
            onSelect({ ...selection, zone: nearestZone(lap.trace, pointed) });
          }}
          role="img"
          aria-label={say.speedBrakingPowerTemperatures}
        >
          <ZoneBands trace={lap.trace} chosen={selection.zone} x={x} />
          <Axes drawing={drawing} width={width} ends={[first, last]} />
          {shadow && (
            <g fill="none" stroke="var(--ghost)" strokeWidth={1.2}>
              <path d={shadow.speedPath} />
              <path d={shadow.frontBulk} strokeWidth={1.8} />
              <path d={shadow.rearBulk} strokeWidth={1.8} strokeDasharray="5 4" />
            </g>
          )}
          <path d={drawing.bothPower} fill="var(--rear)" />
          <path d={drawing.frontPower} fill="var(--front)" stroke="var(--panel)" strokeWidth={0.6} />
          <Curves drawing={drawing} />
          {drawing.limit && <LimitLine width={width} limit={drawing.limit} />}
          {pointed !== null && <Cursor x={x(pointed)} />}
        </svg>
      </div>
      <figcaption className="caption min-h-[1.5em] px-1 pb-1">
        {pointed !== null
          ? pointText(computed, selection, pointed, units)
          : zone &&
            `At ${zoneText(selection.zone, zone.name)}: ${siText(zone.entrySpeed, 'speed', units)} to ${siText(zone.exitSpeed, 'speed', units)}, ${siText(zone.energy, 'energy', units)} in ${zone.duration.toFixed(1)} s, then ${zone.airTime.toFixed(1)} s cooling time`}
      </figcaption>
    </figure>
  );
});

/** Speed, and the temperatures of both axles: core thick, surface thin, rear dashed. */
function Curves({ drawing }: { drawing: ReturnType<typeof drawLap> }) {
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={drawing.speedPath} stroke="var(--ink)" strokeWidth={1.5} />
      <path d={drawing.rearFace} stroke="var(--rear)" strokeWidth={1} strokeDasharray="5 3" opacity={0.8} />
      <path d={drawing.rearBulk} stroke="var(--rear)" strokeWidth={2.2} strokeDasharray="7 3" />
      <path d={drawing.frontFace} stroke="var(--front)" strokeWidth={1} opacity={0.85} />
      <path d={drawing.frontBulk} stroke="var(--front)" strokeWidth={2.2} />
    </g>
  );
}

/** The limit that is nearest. */
function LimitLine({ width, limit }: { width: number; limit: { y: number; text: string } }) {
  return (
    <g>
      <line
        x1={LEFT}
        x2={width - RIGHT}
        y1={limit.y}
        y2={limit.y}
        stroke="var(--over)"
        strokeWidth={1.2}
        strokeDasharray="2 3"
      />
      <text
        x={width - RIGHT}
        y={limit.y - 4}
        textAnchor="end"
        fontSize={11}
        fill="var(--over)"
        className="narrow halo"
      >
        {limit.text}
      </text>
    </g>
  );
}

/** The lap of the state and of its ghost, over one axis of distance. */
function useDrawing(
  { computed, ghost, selection }: Omit<ChartProps, 'onSelect'>,
  [first, last]: readonly [number, number],
  width: number,
) {
  const units = useUnits();
  const x = useMemo(() => linearScale([first, last], [LEFT, width - RIGHT]), [first, last, width]);
  const drawing = useMemo(
    () => drawLap(computed, selection, x, units, ghost),
    [computed, selection, x, units, ghost],
  );
  const shadow = useMemo(() => {
    if (!ghost) return null;
    const ghostLap = Math.min(selection.lap, ghost.result.laps.length);
    return drawLap(ghost, { ...selection, lap: ghostLap }, x, units, computed);
  }, [ghost, selection, x, units, computed]);
  return { x, drawing, shadow };
}

/** Values at the side, distance below. */
function Axes({
  drawing,
  width,
  ends: [first, last],
}: {
  drawing: ReturnType<typeof drawLap>;
  width: number;
  ends: readonly [number, number];
}) {
  const units = useUnits();
  const distanceUnit = unitOf('distance', units);
  return (
    <>
      <ValueAxis {...bounds(width)} scale={drawing.speed} ticks={3} unit={unitOf('speed', units).label} />
      <ValueAxis {...bounds(width)} scale={drawing.power} ticks={3} unit={unitOf('power', units).label} />
      <ValueAxis
        {...bounds(width)}
        scale={drawing.heat}
        ticks={5}
        unit={unitOf('temperature', units).label}
      />
      <PlaceAxis
        scale={linearScale(
          [toShown(first, distanceUnit), toShown(last, distanceUnit)],
          [LEFT, width - RIGHT],
        )}
        y={HEAT[1]}
        ticks={Math.max(3, Math.round(width / 120))}
        format={(v) => `${v} ${distanceUnit.label}`}
      />
    </>
  );
}

/** The braking zones behind the curves. */
function ZoneBands({
  trace,
  chosen,
  x,
}: {
  trace: LapTrace;
  chosen: number;
  x: (distance: number) => number;
}) {
  return trace.zones.map((s, k) => {
    const from = x(trace.distance[s.startIndex]);
    return (
      <rect
        key={s.startIndex}
        x={from}
        y={0}
        width={Math.max(2, x(trace.distance[s.endIndex]) - from)}
        height={HEAT[1]}
        fill={k === chosen ? 'var(--act)' : 'var(--dim)'}
        opacity={k === chosen ? 0.2 : 0.08}
      />
    );
  });
}

/** Where the pointer is. */
const Cursor = ({ x }: { x: number }) => (
  <line x1={x} x2={x} y1={0} y2={HEAT[1]} stroke="var(--ink)" strokeWidth={0.8} opacity={0.6} />
);

const bounds = (width: number) => ({ left: LEFT, right: width - RIGHT });

function Legend({ ghost }: { ghost: boolean }) {
  return (
    <div className="caption flex flex-wrap gap-x-4 gap-y-0.5 px-1" aria-hidden="true">
      <Key colour="var(--ink)" text="speed" />
      <Key colour="var(--front)" text="front: core thick, surface thin" />
      <Key colour="var(--rear)" dash="6 3" text="rear: dashed" />
      {ghost && <Key colour="var(--ghost)" text="saved state" />}
    </div>
  );
}

function Key({ colour, dash, text }: { colour: string; dash?: string; text: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg width={20} height={8} aria-hidden="true">
        <line x1={0} x2={20} y1={4} y2={4} stroke={colour} strokeWidth={2.2} strokeDasharray={dash} />
      </svg>
      {text}
    </span>
  );
}

function nearestZone(trace: Computed['result']['trace'], distance: number): number {
  let best = 0;
  let miss = Number.POSITIVE_INFINITY;
  trace.zones.forEach((zone, k) => {
    const from = trace.distance[zone.startIndex];
    const to = trace.distance[zone.endIndex];
    const away = Math.max(0, from - distance, distance - to);
    if (away < miss) [best, miss] = [k, away];
  });
  return best;
}

function pointText(
  { result }: Computed,
  { lap: lapNumber, side }: Selection,
  distance: number,
  units: UnitChoice,
): string {
  const { trace } = result.laps[lapNumber - 1];
  const [from, to] = lapSamples(result, lapNumber);
  let i = from;
  while (i < to - 1 && result.record.distance[i] < distance) i++;
  let k = 0;
  while (k < trace.distance.length - 2 && trace.distance[k + 1] < distance) k++;
  const { front, rear } = shownRecords(result, side);
  const t = (values: Float64Array) => siText(values[i], 'temperature', units);
  return say.frontCoreSurfaceFluid(
    formatQuantity(distance, 'distance', units),
    siText(trace.speed[k], 'speed', units),
    t(front.rotorBulk),
    t(front.rotorFace),
    t(front.fluid),
    t(rear.rotorBulk),
    t(rear.rotorFace),
  );
}
