import type { ZoneShares } from '../../../core';
import { say } from '../../../text/en/say/decide';
import { niceScale } from '../../ui/charts/linearScale';
import { useWidth } from '../../ui/charts/useSize';

const HEIGHT = 170;
const [LEFT, RIGHT, TOP, BOTTOM] = [46, 10, 10, 34];

/** Brake balances zone by zone: as it is, for grip, for temperature. Told apart by shape and by colour. */
export function ShareChart({
  zones,
  picked,
  onPick,
}: {
  zones: readonly (ZoneShares & { readonly name: string })[];
  /** Index of the picked braking zone */
  picked: number | null;
  onPick: (zone: number) => void;
}) {
  const [box, width] = useWidth<HTMLDivElement>(1000);
  const all = zones.flatMap((s) => [s.actual, s.grip, ...(s.even === null ? [] : [s.even])]);
  const y = niceScale([Math.min(...all), Math.max(...all)], [HEIGHT - BOTTOM, TOP], 4);
  const step = (width - LEFT - RIGHT) / zones.length;
  const x = (k: number) => LEFT + (k + 0.5) * step;
  return (
    <div ref={box} className="mt-2">
      <svg width={width} height={HEIGHT} role="img" aria-label={say.brakeBalancesFrontBraking}>
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line
              x1={LEFT}
              x2={width - RIGHT}
              y1={y(tick)}
              y2={y(tick)}
              stroke="var(--rule)"
              strokeWidth={0.7}
            />
            <text x={LEFT - 6} y={y(tick) + 4} fontSize={11} textAnchor="end" fill="var(--dim)">
              {Math.round(100 * tick)} %
            </text>
          </g>
        ))}
        {zones.map((zone, k) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the lap
          <ZoneBar key={k} k={k} onPick={onPick} x={x} step={step} picked={picked} zone={zone} y={y} />
        ))}
      </svg>
      <p className="caption flex flex-wrap gap-x-4">
        <span>● now</span>
        <span>━ the ideal balance</span>
        <span>◇ both axles equally hot</span>
      </p>
    </div>
  );
}

/** One braking zone: the balance as it is, for grip and for temperature. */
function ZoneBar({
  k,
  onPick,
  x,
  step,
  picked,
  zone,
  y,
}: {
  k: number;
  onPick: (zone: number) => void;
  x: (k: number) => number;
  step: number;
  picked: number | null;
  zone: ZoneShares & { readonly name: string };
  y: (share: number) => number;
}) {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys comma and period step through the braking zones
    <g className="cursor-pointer" onClick={() => onPick(k)}>
      <rect
        x={x(k) - step / 2}
        y={TOP - 4}
        width={step}
        height={HEIGHT - TOP}
        fill="var(--act)"
        fillOpacity={k === picked ? 0.13 : 0}
      />
      {zone.even !== null && (
        <>
          <line
            x1={x(k)}
            x2={x(k)}
            y1={y(zone.even)}
            y2={y(zone.grip)}
            stroke="var(--rule)"
            strokeWidth={6}
          />
          <path
            d={`M${x(k)},${y(zone.even) - 6} l6,6 l-6,6 l-6,-6 Z`}
            fill="var(--panel)"
            stroke="var(--front)"
            strokeWidth={2}
          />
        </>
      )}
      <line
        x1={x(k) - 12}
        x2={x(k) + 12}
        y1={y(zone.grip)}
        y2={y(zone.grip)}
        stroke="var(--ink)"
        strokeWidth={2.4}
      />
      <circle cx={x(k)} cy={y(zone.actual)} r={4.5} fill="var(--act)" />
      <text x={x(k)} y={HEIGHT - 19} fontSize={11} textAnchor="middle" fill="var(--ink)">
        {k + 1}
      </text>
      {step > 56 && (
        <text x={x(k)} y={HEIGHT - 6} fontSize={10} textAnchor="middle" fill="var(--dim)">
          {zone.name.slice(0, Math.floor(step / 6))}
        </text>
      )}
    </g>
  );
}
