import { useMemo } from 'react';
import { type LapTrace, sampleLine } from '../../core';
import { type Circuit, circuitInput, siText } from '../../model';
import { say } from '../../text/en/say/shared';
import { useUnits } from '../state/preferences';
import { heatColor } from '../ui/charts/heatColor';
import { useWidth } from '../ui/charts/useSize';

/** A braking zone on the map. */
export interface MapZone {
  readonly from: number;
  readonly to: number;
  /** J */
  readonly energy: number;
  /** 0 to 1 on the temperature ramp; null draws it plain */
  readonly heat: number | null;
  readonly name: string;
}

export function mapZones(trace: LapTrace, heat: (k: number) => number | null): MapZone[] {
  return trace.zones.map((zone, k) => ({
    from: trace.distance[zone.startIndex],
    to: trace.distance[zone.endIndex],
    energy: zone.energy,
    heat: heat(k),
    name: zone.name,
  }));
}

interface Line {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly distance: Float64Array;
  readonly length: number;
  readonly schematic: boolean;
}

/** The circuit from its geometry, braking zones marked and sized by energy; a list of braking zones is drawn as a plain ring. */
export function CircuitMap({
  circuit,
  lapLength,
  zones,
  selected,
  onSelect,
  height,
  highlight = null,
}: {
  circuit: Circuit;
  /** m; needed for a list of braking zones */
  lapLength: number;
  zones: readonly MapZone[];
  selected: number | null;
  onSelect?: (zone: number) => void;
  height: number;
  /** A stretch to bring out, m */
  highlight?: readonly [from: number, to: number] | null;
}) {
  const [ref, width] = useWidth<HTMLDivElement>(260);
  const line = useMemo(() => lineOf(circuit, lapLength), [circuit, lapLength]);
  const fit = useMemo(() => fitTo(line, width, height), [line, width, height]);
  const { at, path } = useMemo(() => placesOf(line, fit), [line, fit]);
  const whole = useMemo(() => path(0, line.length), [path, line]);
  const largest = Math.max(1, ...zones.map((s) => s.energy));
  // Many braking zones need smaller discs; the picked one is drawn last, over its neighbours.
  const crowd = Math.min(1, Math.sqrt(14 / Math.max(1, zones.length)));
  const order = zones.map((_, k) => k).sort((a, b) => Number(a === selected) - Number(b === selected));
  return (
    <div ref={ref}>
      <svg width={width} height={height} className="block" role="img" aria-label={`Map of ${circuit.name}`}>
        <Track d={whole} dashed={line.schematic} />
        {highlight && (
          <path
            d={path(...highlight)}
            fill="none"
            stroke="var(--act)"
            strokeWidth={6}
            strokeLinecap="round"
          />
        )}
        {zones.map((zone, k) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its number, wherever it begins
            key={k}
            d={path(zone.from, zone.to)}
            fill="none"
            stroke={zone.heat === null ? 'var(--dim)' : heatColor(zone.heat)}
            strokeWidth={5}
            strokeLinecap="butt"
          />
        ))}
        <StartLine from={at(0)} to={at(Math.min(line.length * 0.02, 40))} />
        {order.map((k) => {
          const zone = zones[k];
          const [x, y] = at(zone.to);
          const radius = crowd * (8 + 11 * Math.sqrt(zone.energy / largest));
          const chosen = k === selected;
          return (
            <ZoneDisc
              key={k}
              zone={zone}
              x={x}
              y={y}
              onSelect={onSelect}
              k={k}
              radius={radius}
              chosen={chosen}
              crowd={crowd}
            />
          );
        })}
        {line.schematic && (
          <text x={width / 2} y={height / 2} textAnchor="middle" fontSize={12} fill="var(--dim)">
            {say.listBrakingZonesDrawn}
          </text>
        )}
      </svg>
    </div>
  );
}

/** A braking zone, its disc sized by its energy. */
function ZoneDisc({
  zone,
  x,
  y,
  onSelect,
  k,
  radius,
  chosen,
  crowd,
}: {
  zone: MapZone;
  x: number;
  y: number;
  onSelect: ((zone: number) => void) | undefined;
  k: number;
  radius: number;
  chosen: boolean;
  crowd: number;
}) {
  const units = useUnits();
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the numbered buttons over the lap are the keyboard's way
    <g
      transform={`translate(${x},${y})`}
      onClick={() => onSelect?.(k)}
      className={onSelect ? 'cursor-pointer' : ''}
    >
      <title>{`Braking zone ${k + 1}${zone.name ? `, ${zone.name}` : ''}: ${siText(zone.energy, 'energy', units)}`}</title>
      <circle
        r={radius}
        fill={zone.heat === null ? 'var(--sunk)' : heatColor(zone.heat)}
        stroke={chosen ? 'var(--ink)' : 'var(--panel)'}
        strokeWidth={chosen ? 3 : 1.5}
      />
      {chosen && <circle r={radius + 4} fill="none" stroke="var(--act)" strokeWidth={2} />}
      <text
        textAnchor="middle"
        dy="0.35em"
        fontSize={crowd < 0.8 ? 10.5 : 12}
        fontWeight={680}
        fill={zone.heat === null ? 'var(--ink)' : zone.heat > 0.52 ? '#1d1512' : '#fbf6ef'}
      >
        {k + 1}
      </text>
    </g>
  );
}

/** Places of a line in pixels. */
function placesOf(line: Line, fit: ReturnType<typeof fitTo>) {
  const cells = line.distance.length - 1;
  // A braking zone over the start line runs on past the lap's length.
  const at = (distance: number): readonly [number, number] => {
    const i = Math.round((distance / line.length) * cells) % cells;
    return [fit.x(line.x[i]), fit.y(line.y[i])];
  };
  const path = (from: number, to: number) => {
    const a = Math.floor((from / line.length) * cells);
    const b = Math.ceil((to / line.length) * cells);
    let d = '';
    for (let k = a; k <= b; k++) {
      const i = k > cells ? k - cells : k;
      d += `${k === a ? 'M' : 'L'}${fit.x(line.x[i]).toFixed(1)},${fit.y(line.y[i]).toFixed(1)}`;
    }
    return d;
  };
  return { at, path };
}

function Track({ d, dashed }: { d: string; dashed: boolean }) {
  return (
    <>
      <path d={d} fill="none" stroke="var(--rule)" strokeWidth={9} strokeLinejoin="round" />
      <path
        d={d}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.6}
        strokeLinejoin="round"
        strokeDasharray={dashed ? '2 4' : undefined}
      />
    </>
  );
}

/** The start line, and the way it is driven. */
function StartLine({
  from: [sx, sy],
  to: [ax, ay],
}: {
  from: readonly [number, number];
  to: readonly [number, number];
}) {
  const heading = (Math.atan2(ay - sy, ax - sx) * 180) / Math.PI;
  return (
    <g transform={`translate(${sx},${sy}) rotate(${heading})`}>
      <line y1={-9} y2={9} stroke="var(--ink)" strokeWidth={2} />
      <path d="M4,-12 L12,-8 L4,-4 Z" fill="var(--ink)" />
    </g>
  );
}

function lineOf(circuit: Circuit, lapLength: number): Line {
  const input = circuitInput(circuit);
  if (input.kind === 'line') return { ...sampleLine(input.segments, 4), schematic: false };
  const n = 180;
  const angle = (i: number) => Math.PI / 2 - (2 * Math.PI * i) / n;
  return {
    x: Float64Array.from({ length: n + 1 }, (_, i) => Math.cos(angle(i))),
    y: Float64Array.from({ length: n + 1 }, (_, i) => Math.sin(angle(i))),
    distance: Float64Array.from({ length: n + 1 }, (_, i) => (i * lapLength) / n),
    length: Math.max(1, lapLength),
    schematic: true,
  };
}

function fitTo(line: Line, width: number, height: number) {
  const pad = 24;
  const [x0, x1] = [Math.min(...line.x), Math.max(...line.x)];
  const [y0, y1] = [Math.min(...line.y), Math.max(...line.y)];
  const scale = Math.min(
    (width - 2 * pad) / Math.max(1e-6, x1 - x0),
    (height - 2 * pad) / Math.max(1e-6, y1 - y0),
  );
  const left = (width - scale * (x1 - x0)) / 2;
  const top = (height - scale * (y1 - y0)) / 2;
  return { x: (v: number) => left + scale * (v - x0), y: (v: number) => height - top - scale * (v - y0) };
}
