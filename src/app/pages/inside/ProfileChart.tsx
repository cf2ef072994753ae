import type { CornerNetwork } from '../../../core';
import { toShown, unitOf } from '../../../model';
import { celsius } from '../../../text/en';
import { say } from '../../../text/en/say/inside';
import { useUnits } from '../../state/preferences';
import { PlaceAxis, ValueAxis } from '../../ui/charts/Axis';
import { linearScale } from '../../ui/charts/linearScale';
import { useWidth } from '../../ui/charts/useSize';

const HEIGHT = 186;
const LEFT = 44;

/** Temperature through the pad and the cheek, from the plate to the passage or the middle of the ring. */
export function ProfileChart({
  layout,
  padThickness,
  temperatures,
  top,
}: {
  layout: CornerNetwork;
  /** Friction material left, m */
  padThickness: number;
  temperatures: Float64Array;
  /** Highest temperature of the axis, K */
  top: number;
}) {
  const units = useUnits();
  const [ref, width] = useWidth<HTMLDivElement>(420);
  const degree = unitOf('temperature', units);
  const length = unitOf('smallLength', units);
  const shown = (metres: number) => toShown(metres * 1000, length);
  const cheek = layout.depth[layout.depth.length - 1];
  const x = linearScale([-shown(padThickness), shown(cheek)], [LEFT, width - 10]);
  const y = linearScale([0, toShown(Math.ceil((celsius(top) + 20) / 50) * 50, degree)], [HEIGHT - 24, 16]);
  const point = (metres: number, node: number) =>
    `${x(shown(metres)).toFixed(1)},${y(toShown(celsius(temperatures[node]), degree)).toFixed(1)}`;
  const ring = Array.from(layout.depth, (d, i) => point(d, layout.ringStart + i));
  // The pad's points lie as its cells do: closest at the face.
  const depths = padDepths(layout.padCount, padThickness);
  const pad = depths.map((d, i) => point(-d, layout.padFace + i));
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label={say.temperatureThroughPadRotor}
      >
        <rect
          x={x(-shown(padThickness))}
          y={16}
          width={x(0) - x(-shown(padThickness))}
          height={HEIGHT - 40}
          fill="var(--sunk)"
          opacity={0.6}
        />
        <ValueAxis left={LEFT} right={width - 10} scale={y} ticks={4} unit={degree.label} />
        <PlaceAxis
          scale={x}
          y={HEIGHT - 24}
          ticks={Math.max(3, Math.round(width / 90))}
          format={(v) => `${v} ${length.label}`}
        />
        <line x1={x(0)} x2={x(0)} y1={16} y2={HEIGHT - 24} stroke="var(--ink)" strokeWidth={0.8} />
        <polyline points={pad.join(' ')} fill="none" stroke="var(--dim)" strokeWidth={2} />
        <polyline points={ring.join(' ')} fill="none" stroke="var(--front)" strokeWidth={2.4} />
        {ring.map((at) => (
          <circle key={at} cx={at.split(',')[0]} cy={at.split(',')[1]} r={2.2} fill="var(--front)" />
        ))}
        <text
          x={x(0) - 6}
          y={HEIGHT - 30}
          textAnchor="end"
          fontSize={11}
          fill="var(--dim)"
          className="narrow"
        >
          pad
        </text>
        <text x={x(0) + 6} y={HEIGHT - 30} fontSize={11} fill="var(--dim)" className="narrow">
          rotor, surface to inside
        </text>
      </svg>
    </div>
  );
}

/** Depths of the pad's points under its face, m, as the network grades them: the last step four times the first. */
function padDepths(count: number, thickness: number): number[] {
  const growth = 4 ** (1 / Math.max(1, count - 2));
  const depths = [0];
  for (let i = 1; i < count; i++) depths.push(depths[i - 1] + growth ** (i - 1));
  return depths.map((d) => (d / depths[count - 1]) * thickness);
}
