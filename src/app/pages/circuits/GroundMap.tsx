import { Minus, Plus, RotateCcw } from 'lucide-react';
import { type ReactNode, useMemo } from 'react';
import { type UnitChoice, unitOf } from '../../../model';
import { say } from '../../../text/en/say/circuits';
import { useUnits } from '../../state/preferences';
import { useWidth } from '../../ui/charts/useSize';
import { IconButton } from '../../ui/IconButton';
import { barLength, fitGround } from './ground';
import { useZoom, type View } from './useZoom';

/** What a layer of the map is drawn with. */
export interface Ground {
  /** Pixels of a place in metres east and north */
  readonly x: (east: number) => number;
  readonly y: (north: number) => number;
  /** How much closer than the whole it is looked at; what should keep its size is divided by it */
  readonly zoom: number;
}

/** A map in metres, north up, that can be zoomed and moved; its layers are drawn by the children. */
export function GroundMap({
  label,
  east,
  north,
  height,
  wind,
  children,
  svgRef,
  onPick,
}: {
  label: string;
  /** Extent: all places that must be seen, m */
  east: ArrayLike<number>;
  north: ArrayLike<number>;
  height: number;
  /** Compass direction it comes from, degrees, and how it is named; null draws none */
  wind?: { readonly fromDeg: number; readonly text: string } | null;
  children: (ground: Ground) => ReactNode;
  svgRef?: { current: SVGSVGElement | null };
  /** A click at a place, m east and north */
  onPick?: (east: number, north: number) => void;
}) {
  const units = useUnits();
  const [box, width] = useWidth<HTMLDivElement>(600);
  const fit = useMemo(() => fitGround(east, north, width, height), [east, north, width, height]);
  const { ref, view, zoom, reset, handlers, dragged } = useZoom(width, height);
  // Round in the unit that is shown.
  const perUnit = (fit.scale * view.scale) / unitOf('distance', units).scale;
  const bar = barLength(perUnit);
  const pixels = bar * perUnit;
  return (
    <div ref={box} className="relative">
      <svg
        ref={(element) => {
          ref.current = element;
          if (svgRef) svgRef.current = element;
        }}
        width={width}
        height={height}
        className={`block cursor-grab active:cursor-grabbing ${view.scale > 1 ? 'touch-none' : 'touch-pan-y'}`}
        role="img"
        aria-label={say.arrowKeysMovePlus(label)}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: moved by keys
        tabIndex={0}
        {...handlers}
        onPointerUp={(event) => {
          if (!onPick || dragged()) return;
          const at = event.currentTarget.getBoundingClientRect();
          const px = (event.clientX - at.left - view.x) / view.scale;
          const py = (event.clientY - at.top - view.y) / view.scale;
          onPick((px - fit.x(0)) / fit.scale, -(py - fit.y(0)) / fit.scale);
        }}
      >
        <g transform={`translate(${view.x} ${view.y}) scale(${view.scale})`}>
          {children({ x: fit.x, y: fit.y, zoom: view.scale })}
        </g>
        <Scale height={height} pixels={pixels} bar={bar} units={units} />
        <g transform={`translate(${width - 26} 34)`}>
          <path d="M0,-16 L6,6 L0,2 L-6,6 Z" fill="var(--ink)" />
          <text y={20} textAnchor="middle" fontSize={11.5} fontWeight={640} fill="var(--ink)">
            N
          </text>
        </g>
        {wind && <Wind width={width} wind={wind} />}
      </svg>
      <Buttons zoom={zoom} view={view} reset={reset} />
    </div>
  );
}

/** How long a round distance is. */
function Scale({
  height,
  pixels,
  bar,
  units,
}: {
  height: number;
  pixels: number;
  bar: number;
  units: UnitChoice;
}) {
  return (
    <g transform={`translate(14 ${height - 16})`}>
      <path d={`M0,-5V0H${pixels}V-5`} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      <text x={pixels / 2} y={-6} textAnchor="middle" fontSize={11.5} fill="var(--ink)">
        {bar} {unitOf('distance', units).label}
      </text>
    </g>
  );
}

/** Where the wind comes from. */
function Wind({ width, wind }: { width: number; wind: { readonly fromDeg: number; readonly text: string } }) {
  return (
    <g transform={`translate(${width - 84} 34)`} data-testid="wind">
      <g transform={`rotate(${wind.fromDeg + 180})`}>
        <path d="M0,17 V-15 M-6,-7 L0,-16 L6,-7 M-5,17 H5" fill="none" stroke="var(--act)" strokeWidth={2} />
      </g>
      <text y={33} textAnchor="middle" fontSize={11.5} fill="var(--act)">
        {wind.text}
      </text>
    </g>
  );
}

/** Closer, farther, all of it. */
function Buttons({
  zoom,
  view,
  reset,
}: {
  zoom: (factor: number, cx?: number, cy?: number) => void;
  view: View;
  reset: () => void;
}) {
  return (
    <div className="absolute right-2 bottom-2 flex gap-1">
      <IconButton framed icon={Plus} name="Closer" title="Closer (+)" onClick={() => zoom(1.5)} />
      <IconButton framed icon={Minus} name="Farther" title="Farther (−)" onClick={() => zoom(1 / 1.5)} />
      <IconButton
        framed
        icon={RotateCcw}
        name="Show all"
        title="Show all (0)"
        disabled={view.scale === 1 && view.x === 0 && view.y === 0}
        onClick={reset}
      />
    </div>
  );
}
