import type { CornerNetwork, RecordedPart } from '../../../core';

export type Box = readonly [x: number, y: number, width: number, height: number];
/** A part as it is drawn. */
export interface Part {
  readonly name: string;
  readonly node: (layout: CornerNetwork) => number;
  /** One or two boxes: what lies on both sides of the disc is drawn on both */
  readonly boxes: readonly Box[];
  /** Point that its label points at, and the label's side and height */
  readonly label: readonly [x: number, y: number, side: 'left' | 'right', height: number];
}

/** Node of a part that lies in one. */
const part =
  (name: RecordedPart) =>
  (layout: CornerNetwork): number =>
    layout.recorded[name][0];

/** Parts of a disc brake cut along its axis; the disc's ring in the middle, the wheel's axis below. */
export const DISC: readonly Part[] = [
  {
    name: 'caliper',
    node: part('caliper'),
    boxes: [
      [196, 26, 328, 30],
      [196, 56, 62, 130],
      [462, 56, 62, 130],
    ],
    label: [212, 40, 'left', 34],
  },
  {
    name: 'pistons',
    node: part('piston'),
    boxes: [
      [232, 96, 46, 54],
      [442, 96, 46, 54],
    ],
    label: [256, 122, 'left', 102],
  },
  {
    name: 'fluid',
    node: part('fluid'),
    boxes: [
      [206, 100, 26, 46],
      [488, 100, 26, 46],
    ],
    label: [218, 112, 'left', 80],
  },
  { name: 'hose fluid', node: part('hose'), boxes: [[514, 114, 56, 18]], label: [560, 122, 'right', 112] },
  {
    name: 'backing plate',
    node: part('plate'),
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
    name: 'pad surface',
    node: (l) => l.padFace,
    boxes: [
      [308, 80, 10, 90],
      [402, 80, 10, 90],
    ],
    label: [313, 160, 'left', 168],
  },
  {
    name: 'rotor surface',
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
    name: 'bell (hat)',
    node: part('hat'),
    boxes: [
      [376, 246, 92, 14],
      [454, 260, 14, 62],
    ],
    label: [461, 270, 'right', 246],
  },
  { name: 'hub', node: part('hub'), boxes: [[468, 272, 58, 68]], label: [505, 284, 'right', 292] },
  { name: 'upright', node: part('upright'), boxes: [[526, 252, 64, 92]], label: [570, 262, 'right', 268] },
];

/** The same for a drum: the rim outside, a shoe within. */
export const DRUM: readonly Part[] = [
  {
    name: 'rim, outside',
    node: (l) => l.ringStart + l.cheekCount - 1,
    boxes: [[220, 60, 250, 22]],
    label: [236, 70, 'left', 66],
  },
  {
    name: 'rim, swept',
    node: (l) => l.ringStart,
    boxes: [[220, 82, 250, 10]],
    label: [236, 87, 'left', 90],
  },
  {
    name: 'lining surface',
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
    node: part('plate'),
    boxes: [
      [236, 121, 214, 14],
      [330, 135, 24, 40],
    ],
    label: [248, 128, 'left', 156],
  },
  { name: 'pistons', node: part('piston'), boxes: [[296, 178, 40, 34]], label: [306, 186, 'left', 192] },
  { name: 'fluid', node: part('fluid'), boxes: [[336, 178, 30, 34]], label: [356, 186, 'right', 170] },
  { name: 'cylinder', node: part('caliper'), boxes: [[284, 212, 94, 20]], label: [370, 224, 'right', 206] },
  { name: 'hose fluid', node: part('hose'), boxes: [[200, 214, 84, 16]], label: [210, 222, 'left', 224] },
  { name: 'web', node: part('hat'), boxes: [[470, 60, 14, 262]], label: [477, 120, 'right', 120] },
  { name: 'hub', node: part('hub'), boxes: [[484, 272, 44, 68]], label: [512, 284, 'right', 292] },
  { name: 'upright', node: part('upright'), boxes: [[528, 252, 64, 92]], label: [572, 262, 'right', 268] },
];

/** Where the arrow of a flow is drawn: from, to. */
export type Line = readonly [x1: number, y1: number, x2: number, y2: number];
export const DISC_LINES: Readonly<Record<string, Line>> = {
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
export const DRUM_LINES: Readonly<Record<string, Line>> = {
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
