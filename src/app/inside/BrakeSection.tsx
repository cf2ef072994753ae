import type { CornerNetwork, Group, PartFlow } from '../../core';
import { temperatureText } from '../../project';
import { heatColor } from '../charts/heatColor';
import { useUnits } from '../state/preferences';
import { wattText } from './moments';

const WIDTH = 720;
const HEIGHT = 356;
/** Distance of the labels' edge from the sides. */
const LABEL = 122;

type Box = readonly [x: number, y: number, width: number, height: number];
interface Part {
  readonly name: string;
  readonly node: (layout: CornerNetwork) => number;
  /** One or two boxes: what lies on both sides of the disc is drawn on both */
  readonly boxes: readonly Box[];
  /** Point that its label points at, and the label's side and height */
  readonly label: readonly [x: number, y: number, side: 'left' | 'right', height: number];
}

/** Parts of a disc brake cut along its axis; the disc's ring in the middle, the wheel's axis below. */
const DISC: readonly Part[] = [
  {
    name: 'caliper',
    node: (l) => l.caliper,
    boxes: [
      [196, 26, 328, 30],
      [196, 56, 62, 130],
      [462, 56, 62, 130],
    ],
    label: [212, 40, 'left', 34],
  },
  {
    name: 'pistons',
    node: (l) => l.piston,
    boxes: [
      [232, 96, 46, 54],
      [442, 96, 46, 54],
    ],
    label: [256, 122, 'left', 102],
  },
  {
    name: 'fluid',
    node: (l) => l.fluid,
    boxes: [
      [206, 100, 26, 46],
      [488, 100, 26, 46],
    ],
    label: [218, 112, 'left', 80],
  },
  { name: 'hose fluid', node: (l) => l.hose, boxes: [[514, 114, 56, 18]], label: [560, 122, 'right', 112] },
  {
    name: 'plate',
    node: (l) => l.plate,
    boxes: [
      [278, 80, 14, 90],
      [428, 80, 14, 90],
    ],
    label: [285, 134, 'left', 124],
  },
  {
    name: 'pad, back',
    node: (l) => l.padFace + l.padCount - 1,
    boxes: [
      [292, 80, 16, 90],
      [412, 80, 16, 90],
    ],
    label: [300, 148, 'left', 146],
  },
  {
    name: 'pad face',
    node: (l) => l.padFace,
    boxes: [
      [308, 80, 10, 90],
      [402, 80, 10, 90],
    ],
    label: [313, 160, 'left', 168],
  },
  {
    name: 'rotor face',
    node: (l) => l.ringStart,
    boxes: [
      [320, 68, 8, 178],
      [392, 68, 8, 178],
    ],
    label: [396, 192, 'right', 178],
  },
  {
    name: 'rotor inside',
    node: (l) => l.ringStart + l.cheekCount - 1,
    boxes: [
      [328, 68, 16, 178],
      [376, 68, 16, 178],
    ],
    label: [384, 206, 'right', 200],
  },
  {
    name: 'vanes',
    node: (l) => l.ringStart + l.ringCount - 1,
    boxes: [[344, 76, 32, 162]],
    label: [364, 222, 'right', 222],
  },
  {
    name: 'hat',
    node: (l) => l.hat,
    boxes: [
      [376, 246, 92, 14],
      [454, 260, 14, 62],
    ],
    label: [461, 270, 'right', 246],
  },
  { name: 'hub', node: (l) => l.hub, boxes: [[468, 272, 58, 68]], label: [505, 284, 'right', 292] },
  { name: 'upright', node: (l) => l.upright, boxes: [[526, 252, 64, 92]], label: [570, 262, 'right', 268] },
];

/** The same for a drum: the rim outside, a shoe within. */
const DRUM: readonly Part[] = [
  {
    name: 'rim, outside',
    node: (l) => l.ringStart + l.cheekCount - 1,
    boxes: [[220, 60, 250, 22]],
    label: [236, 70, 'left', 66],
  },
  {
    name: 'rim, rubbed',
    node: (l) => l.ringStart,
    boxes: [[220, 82, 250, 10]],
    label: [236, 87, 'left', 90],
  },
  {
    name: 'lining face',
    node: (l) => l.padFace,
    boxes: [[236, 95, 214, 10]],
    label: [248, 100, 'left', 112],
  },
  {
    name: 'lining, back',
    node: (l) => l.padFace + l.padCount - 1,
    boxes: [[236, 105, 214, 16]],
    label: [248, 113, 'left', 134],
  },
  {
    name: 'shoes',
    node: (l) => l.plate,
    boxes: [
      [236, 121, 214, 14],
      [330, 135, 24, 40],
    ],
    label: [248, 128, 'left', 156],
  },
  { name: 'pistons', node: (l) => l.piston, boxes: [[296, 178, 40, 34]], label: [306, 186, 'left', 192] },
  { name: 'fluid', node: (l) => l.fluid, boxes: [[336, 178, 30, 34]], label: [356, 186, 'right', 170] },
  { name: 'cylinder', node: (l) => l.caliper, boxes: [[284, 212, 94, 20]], label: [370, 224, 'right', 206] },
  { name: 'hose fluid', node: (l) => l.hose, boxes: [[200, 214, 84, 16]], label: [210, 222, 'left', 224] },
  { name: 'web', node: (l) => l.hat, boxes: [[470, 60, 14, 262]], label: [477, 120, 'right', 120] },
  { name: 'hub', node: (l) => l.hub, boxes: [[484, 272, 44, 68]], label: [512, 284, 'right', 292] },
  { name: 'upright', node: (l) => l.upright, boxes: [[528, 252, 64, 92]], label: [572, 262, 'right', 268] },
];

/** Where the arrow of a flow is drawn: from, to. */
type Line = readonly [x1: number, y1: number, x2: number, y2: number];
const DISC_LINES: Readonly<Record<string, Line>> = {
  'rotor/air/faces': [316, 216, 222, 216],
  'rotor/air/vanes': [360, 70, 360, 10],
  'rotor/air/radiation': [316, 238, 226, 256],
  'rotor/pads/contact': [330, 122, 300, 122],
  'rotor/pads/air': [330, 90, 300, 90],
  'rotor/pads/radiation': [330, 160, 300, 160],
  'rotor/caliper/air': [336, 66, 290, 40],
  'rotor/caliper/radiation': [384, 66, 430, 40],
  'rotor/hat/conduction': [360, 236, 400, 262],
  'hat/hub/conduction': [440, 296, 484, 296],
  'hat/air/air': [424, 262, 400, 306],
  'hub/caliper/conduction': [546, 250, 510, 190],
  'hub/air/air': [590, 330, 660, 330],
  'pads/plate/contact': [424, 122, 444, 122],
  'plate/pistons/contact': [434, 136, 462, 136],
  'plate/caliper/contact': [434, 164, 480, 176],
  'plate/air/air': [284, 172, 270, 194],
  'pistons/fluid/contact': [472, 112, 500, 112],
  'pistons/caliper/contact': [464, 96, 480, 70],
  'fluid/caliper/contact': [502, 100, 502, 76],
  'fluid/air/air': [548, 134, 580, 158],
  'caliper/air/air': [220, 30, 150, 12],
};
const DRUM_LINES: Readonly<Record<string, Line>> = {
  'rotor/air/air': [330, 60, 330, 14],
  'rotor/air/radiation': [400, 60, 430, 14],
  'rotor/air/faces': [226, 94, 190, 140],
  'rotor/pads/contact': [300, 86, 300, 104],
  'rotor/pads/air': [360, 86, 360, 104],
  'rotor/pads/radiation': [420, 86, 420, 104],
  'rotor/hat/conduction': [456, 72, 480, 90],
  'hat/hub/conduction': [478, 300, 506, 300],
  'hat/air/air': [484, 180, 540, 160],
  'hub/caliper/conduction': [528, 262, 380, 224],
  'hub/air/air': [590, 330, 660, 330],
  'pads/plate/contact': [270, 112, 270, 132],
  'plate/pistons/contact': [336, 170, 318, 190],
  'plate/caliper/contact': [346, 172, 370, 218],
  'plate/air/air': [240, 130, 180, 170],
  'pistons/fluid/contact': [326, 196, 350, 196],
  'pistons/caliper/contact': [310, 208, 310, 226],
  'fluid/caliper/contact': [352, 206, 352, 226],
  'fluid/air/air': [204, 224, 150, 250],
  'caliper/air/air': [300, 230, 270, 272],
};

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
  const solid = layout.ringCount === layout.cheekCount;
  const colour = (kelvin: number) => heatColor((kelvin - scale[0]) / Math.max(1, scale[1] - scale[0]));
  const shown = parts.filter((part) => !(solid && part.name === 'vanes'));
  const largest = Math.max(1, ...flows.map((flow) => Math.abs(flow.heat)));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block h-auto w-full min-w-[600px]"
      role="img"
      aria-label="The brake cut open, with the temperature of every part and the heat between them; the table beside it has the numbers"
    >
      <line
        x1={150}
        x2={650}
        y1={346}
        y2={346}
        stroke="var(--dim)"
        strokeDasharray="10 4 2 4"
        strokeWidth={0.8}
      />
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
      {shown.map(({ name, node, label: [fromX, fromY, side, height] }) => {
        const left = side === 'left';
        const x = left ? LABEL : WIDTH - LABEL;
        return (
          <g key={name}>
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
              <tspan fontWeight={640}>{temperatureText(temperatures[node(layout)], units)}</tspan>
            </text>
          </g>
        );
      })}
      {flows.map((flow) => {
        const key = flowKey(flow);
        const line = lines[key];
        if (!line || Math.abs(flow.heat) < Math.max(0.5, 0.0005 * largest)) return null;
        return (
          <Arrow
            key={key}
            line={flow.heat >= 0 ? line : [line[2], line[3], line[0], line[1]]}
            weight={1.2 + 3 * Math.sqrt(Math.abs(flow.heat) / largest)}
            text={wattText(Math.abs(flow.heat))}
            strong={key === picked || Math.abs(flow.heat) > (drum ? 0.09 : 0.03) * largest}
            picked={key === picked}
            onPick={() => onPick(key === picked ? null : key)}
          />
        );
      })}
    </svg>
  );
}

export const flowKey = ({ from, to, path }: { from: Group; to: Group; path: string }) =>
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
