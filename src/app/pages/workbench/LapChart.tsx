import { memo, type PointerEvent, useCallback, useState } from 'react';
import type { LapTrace } from '../../../core';
import { formatQuantity, siText, toShown, type UnitChoice, unitOf } from '../../../model';
import { zoneText } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { useUnits } from '../../state/preferences';
import { type Selection, shownRecords } from '../../state/selection';
import type { ChartProps, Computed } from '../../state/useSession';
import { PlaceAxis, ValueAxis } from '../../ui/charts/Axis';
import { type LinearScale, linearScale } from '../../ui/charts/linearScale';
import { useWidth } from '../../ui/charts/useSize';
import { LapStepper } from './LapStepper';
import { ends, HEAT, LEFT, RIGHT } from './lapDrawing';
import { lapSamples } from './lapSlice';
import { SideChoice } from './SideChoice';
import { useLapDrawing } from './useLapDrawing';
import { placeNumbers, ZoneButtons } from './ZoneButtons';

const HEIGHT = 392;

/** The lap unrolled over distance: speed, braking power and temperatures above each other on one axis. */
export const LapChart = memo(function LapChart({ computed, ghost, selection, onSelect }: ChartProps) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(880);
  const [pointed, setPointed] = useState<number | null>(null);
  const { result } = computed;
  const lap = result.laps[selection.lap - 1];
  const [first, last] = ends(lap.trace.distance);

  const drawing = useLapDrawing({ computed, ghost, selection }, [first, last], width);
  const { x, scales, powers, shadow } = drawing;
  const middles = lap.trace.zones.map((s) =>
    x(0.5 * (lap.trace.distance[s.startIndex] + lap.trace.distance[s.endIndex])),
  );
  const placed = placeNumbers(middles, 21, 2);
  const rows = placed.some((p) => p.row > 0) ? 2 : 1;
  const zone = lap.trace.zones[selection.zone];
  const pickZone = useCallback((k: number) => onSelect({ ...selection, zone: k }), [onSelect, selection]);

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
            onSelect={pickZone}
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
          <Axes {...scales} width={width} first={first} last={last} />
          {shadow && (
            <g fill="none" stroke="var(--ghost)" strokeWidth={1.2}>
              <path d={shadow.speedPath} />
              <path d={shadow.bulk.front} strokeWidth={1.8} />
              <path d={shadow.bulk.rear} strokeWidth={1.8} strokeDasharray="5 4" />
            </g>
          )}
          <path d={powers.both} fill="var(--rear)" />
          <path d={powers.front} fill="var(--front)" stroke="var(--panel)" strokeWidth={0.6} />
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
function Curves({ drawing: { speedPath, bulk, face } }: { drawing: ReturnType<typeof useLapDrawing> }) {
  return (
    <g fill="none" strokeLinejoin="round">
      <path d={speedPath} stroke="var(--ink)" strokeWidth={1.5} />
      <path d={face.rear} stroke="var(--rear)" strokeWidth={1} strokeDasharray="5 3" opacity={0.8} />
      <path d={bulk.rear} stroke="var(--rear)" strokeWidth={2.2} strokeDasharray="7 3" />
      <path d={face.front} stroke="var(--front)" strokeWidth={1} opacity={0.85} />
      <path d={bulk.front} stroke="var(--front)" strokeWidth={2.2} />
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

/** Values at the side, distance below. */
const Axes = memo(function Axes({
  speed,
  power,
  heat,
  width,
  first,
  last,
}: {
  speed: LinearScale;
  power: LinearScale;
  heat: LinearScale;
  width: number;
  first: number;
  last: number;
}) {
  const units = useUnits();
  const distanceUnit = unitOf('distance', units);
  const beside = { left: LEFT, right: width - RIGHT };
  return (
    <>
      <ValueAxis {...beside} scale={speed} ticks={3} unit={unitOf('speed', units).label} />
      <ValueAxis {...beside} scale={power} ticks={3} unit={unitOf('power', units).label} />
      <ValueAxis {...beside} scale={heat} ticks={5} unit={unitOf('temperature', units).label} />
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
});

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
        // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its number, wherever it begins
        key={k}
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
