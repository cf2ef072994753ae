import type { CornerNetwork, FlowEnd, PartFlow } from '../../../core';
import { temperatureText } from '../../../text/en';
import { say } from '../../../text/en/say/inside';
import { useUnits } from '../../state/preferences';
import { heatColor } from '../../ui/charts/heatColor';
import { DISC, DISC_LINES, DRUM, DRUM_LINES, type Line } from './brakeDrawing';
import { wattText } from './moments';

const WIDTH = 720;
const HEIGHT = 356;
/** Distance of the labels' edge from the sides. */
const LABEL = 122;

/** A brake cut open: every part in the colour of its temperature, the heat between them as arrows in watts. */
export function BrakeSection({
  layout,
  drum,
  temperatures,
  flows,
  scale,
  picked,
  onPick,
}: {
  layout: CornerNetwork;
  drum: boolean;
  /** K, of all nodes */
  temperatures: Float64Array;
  flows: readonly PartFlow[];
  /** Coldest and hottest of the colours, K */
  scale: readonly [number, number];
  /** Flow that is brought out, as from/to/path */
  picked: string | null;
  onPick: (key: string | null) => void;
}) {
  const units = useUnits();
  const parts = drum ? DRUM : DISC;
  const lines = drum ? DRUM_LINES : DISC_LINES;
  const solid = layout.ringCount % layout.cheekCount === 0;
  const colour = (kelvin: number) => heatColor((kelvin - scale[0]) / Math.max(1, scale[1] - scale[0]));
  const shown = parts.filter((part) => !(solid && part.name === 'vanes'));
  const largest = Math.max(1, ...flows.map((flow) => Math.abs(flow.heat)));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block h-auto w-full min-w-[600px]"
      role="img"
      aria-label={say.brakeCutOpenTemperature}
    >
      <path d="M150 346H650" stroke="var(--dim)" strokeDasharray="10 4 2 4" strokeWidth={0.8} />
      {shown.map((part) => {
        const kelvin = temperatures[part.node(layout)];
        return part.boxes.map(([x, y, width, height]) => (
          <rect
            key={`${part.name}${x}${y}`}
            x={x}
            y={y}
            width={width}
            height={height}
            fill={colour(kelvin)}
            stroke="var(--panel)"
            strokeWidth={1}
          />
        ));
      })}
      {shown.map((part) => (
        <PartLabel key={part.name} part={part} kelvin={temperatures[part.node(layout)]} />
      ))}
      {flows.map((flow) => {
        const key = flowKey(flow);
        const line = lines[key];
        if (!line || Math.abs(flow.heat) < Math.max(0.5, 0.0005 * largest)) return null;
        return (
          <Arrow
            key={key}
            line={flow.heat >= 0 ? line : [line[2], line[3], line[0], line[1]]}
            weight={1.2 + 3 * Math.sqrt(Math.abs(flow.heat) / largest)}
            text={wattText(Math.abs(flow.heat), units)}
            strong={key === picked || Math.abs(flow.heat) > (drum ? 0.09 : 0.03) * largest}
            picked={key === picked}
            onPick={() => onPick(key === picked ? null : key)}
          />
        );
      })}
    </svg>
  );
}

/** The name of a part, with a line to it where it stands aside. */
function PartLabel({ part, kelvin }: { part: (typeof DISC)[number]; kelvin: number }) {
  const units = useUnits();
  const { name, label } = part;
  const [fromX, fromY, side, height] = label;
  const left = side === 'left';
  const x = left ? LABEL : WIDTH - LABEL;
  return (
    <g>
      <line
        x1={fromX}
        y1={fromY}
        x2={left ? x + 4 : x - 4}
        y2={height - 4}
        stroke="var(--dim)"
        strokeWidth={0.6}
      />
      <circle cx={fromX} cy={fromY} r={2} fill="var(--panel)" stroke="var(--ink)" strokeWidth={0.8} />
      <text
        x={x}
        y={height}
        textAnchor={left ? 'end' : 'start'}
        fontSize={12.5}
        fill="var(--ink)"
        className="narrow"
      >
        <tspan fill="var(--dim)">{name} </tspan>
        <tspan fontWeight={640}>{temperatureText(kelvin, units)}</tspan>
      </text>
    </g>
  );
}

export const flowKey = ({ from, to, path }: { from: FlowEnd; to: FlowEnd; path: string }) =>
  `${from}/${to}/${path}`;

function Arrow({
  line: [x1, y1, x2, y2],
  weight,
  text,
  strong,
  picked,
  onPick,
}: {
  line: Line;
  weight: number;
  text: string;
  /** Written beside it; small ones only when picked */
  strong: boolean;
  picked: boolean;
  onPick: () => void;
}) {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = 4 + 1.4 * weight;
  const [bx, by] = [x2 - ux * head, y2 - uy * head];
  const points = `${x2},${y2} ${bx - uy * head * 0.55},${by + ux * head * 0.55} ${bx + uy * head * 0.55},${by - ux * head * 0.55}`;
  const fill = picked ? 'var(--act)' : 'var(--ink)';
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the rows of the table of flows are the keyboard's way
    <g className="cursor-pointer" onClick={onPick}>
      <line x1={x1} y1={y1} x2={bx} y2={by} stroke="var(--panel)" strokeWidth={weight + 2.5} opacity={0.7} />
      <line x1={x1} y1={y1} x2={bx} y2={by} stroke={fill} strokeWidth={weight} />
      <polygon points={points} fill={fill} stroke="var(--panel)" strokeWidth={0.8} />
      {strong && (
        <text
          x={(x1 + x2) / 2}
          y={(y1 + y2) / 2 - 5}
          textAnchor="middle"
          fontSize={11.5}
          fontWeight={620}
          fill={fill}
          className="narrow halo"
        >
          {text}
        </text>
      )}
    </g>
  );
}
