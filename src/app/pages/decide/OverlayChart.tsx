import type { RefObject } from 'react';
import { leastMargin, type SummaryZone } from '../../../core';
import { toShown, unitOf } from '../../../model';
import { celsius, marginWords, moneyText, verdictText } from '../../../text/en';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type LinearScale, niceScale } from '../../ui/charts/linearScale';
import type { Compared } from './compared';
import { SETUP_LOOKS, SetupShape } from './SetupMark';

/** Height of a setup's lines in the legend. */
const ENTRY = 34;
const HEIGHT = 300;
const [LEFT, RIGHT, TOP, BOTTOM] = [52, 12, 14, 40];

/** A temperature of each braking zone, a line a setup; setups and their verdicts below. */
export function OverlayChart({
  svgRef,
  title,
  place,
  width,
  compared,
  zones,
  kelvin,
  picked,
  onPick,
}: {
  svgRef: RefObject<SVGSVGElement | null>;
  title: string;
  /** Name of the circuit */
  place: string;
  /** Room there is, px */
  width: number;
  compared: readonly Compared[];
  /** Names, in the order of the lap */
  zones: readonly string[];
  kelvin: (own: SummaryZone) => number;
  picked: number | null;
  onPick: (zone: number) => void;
}) {
  const degree = unitOf('temperature', useUnits());
  const value = (own: SummaryZone) => toShown(celsius(kelvin(own)), degree);
  const columns = width < 640 ? 1 : 2;
  const legend = Math.ceil(compared.length / columns) * ENTRY;
  const all = compared.flatMap((c) => c.assessed.summary.zones.map(value));
  const y = niceScale([Math.min(...all), Math.max(...all)], [HEIGHT - BOTTOM, TOP], 5);
  const step = Math.max(20, (Math.max(width, 320) - LEFT - RIGHT) / Math.max(1, zones.length));
  const right = LEFT + step * zones.length;
  const wide = (right - LEFT) / columns;
  const x = (k: number) => LEFT + (k + 0.5) * step;
  const band = { y: TOP - 4, width: step, height: HEIGHT - TOP - 4 };
  return (
    <svg ref={svgRef} width={right + RIGHT} height={HEIGHT + legend} role="img" aria-label={title}>
      <title>{title}</title>
      <text x={LEFT} y={10} fontSize={11.5} fill="var(--dim)">
        {title} · {place}
      </text>
      <Ruled y={y} right={right} unit={degree.label} />
      {picked !== null && <rect x={x(picked) - step / 2} {...band} fill="var(--act)" fillOpacity={0.13} />}
      {zones.map((name, k) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the lap
        <ZoneName key={k} k={k} x={x} name={name} step={step} />
      ))}
      {compared.map((c, i) => {
        const points = c.assessed.summary.zones.map((own, k) => [x(k), y(value(own))] as const);
        const { color, dash } = SETUP_LOOKS[i];
        return <Curve key={c.id ?? 'plan'} points={points} color={color} dash={dash} i={i} />;
      })}
      {compared.map((c, i) => (
        <Entry
          key={c.id ?? 'plan'}
          compared={c}
          index={i}
          left={LEFT + (i % columns) * wide}
          top={HEIGHT + Math.floor(i / columns) * ENTRY}
          wide={wide}
        />
      ))}
      {zones.map((_, k) => (
        // biome-ignore lint/a11y/noStaticElementInteractions: the keys comma and period step through the braking zones
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the lap
          key={k}
          data-testid={`pick-${k + 1}`}
          x={x(k) - step / 2}
          {...band}
          fill="transparent"
          className="cursor-pointer"
          onClick={() => onPick(k)}
        />
      ))}
    </svg>
  );
}

/** Number and name of a braking zone under the axis. */
function ZoneName({
  k,
  x,
  name,
  step,
}: {
  k: number;
  x: (zone: number) => number;
  name: string;
  step: number;
}) {
  return (
    <text x={x(k)} y={HEIGHT - BOTTOM + 15} fontSize={11} textAnchor="middle" fill="var(--ink)">
      {k + 1}
      <tspan x={x(k)} dy={13} fontSize={10} fill="var(--dim)">
        {name.slice(0, Math.max(3, Math.floor(step / 6)))}
      </tspan>
    </text>
  );
}

/** A setup’s line, with its mark at each braking zone. */
function Curve({
  points,
  color,
  dash,
  i,
}: {
  points: readonly (readonly [number, number])[];
  color: 'var(--ink)' | 'var(--front)' | 'var(--rear)' | 'var(--act)' | 'var(--close)' | 'var(--over)';
  dash: '' | '10 3' | '6 3' | '2 3' | '12 3 2 3' | '5 2 2 2 2 2';
  i: number;
}) {
  return (
    <g>
      <polyline
        points={points.map((p) => p.join(',')).join(' ')}
        fill="none"
        stroke={color}
        strokeWidth={2}
        strokeDasharray={dash || undefined}
      />
      {points.map(([px, py]) => (
        <SetupShape key={px} index={i} x={px} y={py} />
      ))}
    </g>
  );
}

function Ruled({ y, right, unit }: { y: LinearScale; right: number; unit: string }) {
  return y.ticks(6).map((tick) => (
    <g key={tick}>
      <line x1={LEFT} x2={right} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" strokeWidth={0.7} />
      <text x={LEFT - 6} y={y(tick) + 4} fontSize={11} textAnchor="end" fill="var(--dim)">
        {tick} {unit}
      </text>
    </g>
  ));
}

/** A setup in the legend: its mark, its name, and its verdict in figures. */
function Entry({
  compared,
  index,
  left,
  top,
  wide,
}: {
  compared: Compared;
  index: number;
  left: number;
  top: number;
  wide: number;
}) {
  const units = useUnits();
  const { currency } = useProject();
  const { assessed, price, priced, id, name } = compared;
  const figures = [
    verdictText(assessed.summary, units).state,
    marginWords(leastMargin(assessed.summary), units),
    `${assessed.summary.lapTime.toFixed(2)} s`,
    ...(id !== null && priced ? [moneyText(price, currency)] : []),
  ].join(' · ');
  const short = (text: string, each: number) => {
    const room = Math.max(4, Math.floor((wide - 44) / each));
    return text.length > room ? `${text.slice(0, room - 1)}…` : text;
  };
  return (
    <g>
      <line
        x1={left}
        x2={left + 30}
        y1={top}
        y2={top}
        stroke={SETUP_LOOKS[index].color}
        strokeWidth={2}
        strokeDasharray={SETUP_LOOKS[index].dash || undefined}
      />
      <SetupShape index={index} x={left + 15} y={top} />
      <text x={left + 38} y={top + 4} fontSize={12} fill="var(--ink)">
        {short(name, 6.4)}
        <tspan x={left + 38} dy={14} fontSize={11} fill="var(--dim)">
          {short(figures, 5.4)}
        </tspan>
      </text>
    </g>
  );
}
