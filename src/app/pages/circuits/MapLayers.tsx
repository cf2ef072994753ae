import type { SampledLine } from '../../../core';
import { heatColor } from '../../ui/charts/heatColor';
import type { Ground } from './GroundMap';
import type { turned } from './ground';
import type { heatAlong } from './heatAlong';

/** A braking zone as the map draws it. */
export interface Zone {
  readonly name: string;
  /** m along the lap */
  readonly from: number;
  readonly to: number;
  /** J */
  readonly energy: number;
  /** m/s */
  readonly entrySpeed: number;
  readonly exitSpeed: number;
}

/** The circuit coloured by the rotor's temperature, its start line, and its braking zones sized by their energy. */
export function MapLayers({
  map: { x, y, zoom },
  line,
  ground,
  bearingDeg,
  heat,
  zones,
  picked,
  onPick,
}: {
  map: Ground;
  line: SampledLine;
  ground: ReturnType<typeof turned>;
  bearingDeg: number;
  heat: ReturnType<typeof heatAlong>;
  zones: readonly Zone[];
  picked: number | null;
  onPick: (zone: number | null) => void;
}) {
  const cells = line.distance.length - 1;
  const at = (i: number) => `${x(ground.x[i % cells]).toFixed(1)},${y(ground.y[i % cells]).toFixed(1)}`;
  const piece = (a: number, b: number) => {
    let d = '';
    for (let i = a; i <= b; i++) d += `${i === a ? 'M' : 'L'}${at(i)}`;
    return d;
  };
  const stretch = (from: number, length: number) => {
    const begin = indexOf(line, from);
    return piece(begin, Math.max(begin + 1, begin + Math.ceil((length / line.length) * cells)));
  };
  const share = (k: number) => (heat.high > heat.low ? (k - heat.low) / (heat.high - heat.low) : 0);
  const size = 1 / Math.sqrt(zoom);
  const largest = Math.max(1, ...zones.map((s) => s.energy));
  return (
    <>
      <path
        d={piece(0, cells)}
        fill="none"
        stroke="var(--rule)"
        strokeWidth={15 * size}
        strokeLinejoin="round"
      />
      {heat.pieces.map((p) => (
        <path
          key={p.from}
          d={stretch(p.from, p.length)}
          fill="none"
          stroke={heatColor(share(p.kelvin))}
          strokeWidth={8 * size}
        />
      ))}
      <g transform={`translate(${at(0)}) rotate(${bearingDeg - 90}) scale(${size})`}>
        <line y1={-12} y2={12} stroke="var(--ink)" strokeWidth={2.5} />
        <path d="M5,-17 L15,-12 L5,-7 Z" fill="var(--ink)" />
      </g>
      {zones.map((zone, k) => (
        <ZoneDisc
          key={zone.from}
          name={`Braking zone ${k + 1}${zone.name ? `, ${zone.name}` : ''}`}
          number={k + 1}
          transform={`translate(${at(indexOf(line, zone.to))}) scale(${size})`}
          radius={8 + 10 * Math.sqrt(zone.energy / largest)}
          chosen={k === picked}
          onPick={() => onPick(k === picked ? null : k)}
        />
      ))}
    </>
  );
}

/** Index of the point of a line that is nearest to a distance along it, m. */
export function indexOf(line: SampledLine, distance: number): number {
  const cells = line.distance.length - 1;
  return Math.round((distance / line.length) * cells) % cells;
}

function ZoneDisc({
  name,
  number,
  transform,
  radius,
  chosen,
  onPick,
}: {
  name: string;
  number: number;
  transform: string;
  radius: number;
  chosen: boolean;
  onPick: () => void;
}) {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the list of braking zones is the keyboard's way
    <g transform={transform} onClick={onPick} className="cursor-pointer">
      <title>{name}</title>
      <circle
        r={radius}
        fill="var(--panel)"
        stroke={chosen ? 'var(--act)' : 'var(--ink)'}
        strokeWidth={chosen ? 3.5 : 1.6}
      />
      <text textAnchor="middle" dy="0.35em" fontSize={12} fontWeight={680} fill="var(--ink)">
        {number}
      </text>
    </g>
  );
}
