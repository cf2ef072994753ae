import type { Circuit, CircuitSegment } from '../src/model';
import { closeCircuit } from '../src/model';

type Piece =
  | readonly [lengthM: number, gradePercent: number]
  | readonly [name: string, radiusM: number, angleDeg: number, hand: 'left' | 'right', gradePercent: number];

/** A line drawn roughly, then closed by the same step that users have in the editor. */
function line(
  id: string,
  name: string,
  altitudeM: number,
  trackWidthM: number,
  // In the open ocean, so that an invented circuit is taken for nobody's.
  [latitudeDeg, bearingDeg]: readonly [number, number],
  pieces: readonly Piece[],
): Circuit {
  const segments = pieces.map(
    (p): CircuitSegment =>
      p.length === 2
        ? { kind: 'straight', lengthM: p[0], gradePercent: p[1] }
        : { kind: 'corner', name: p[0], radiusM: p[1], angleDeg: p[2], hand: p[3], gradePercent: p[4] },
  );
  const circuit: Circuit = {
    id,
    name,
    altitudeM,
    trackWidthM,
    place: { latitudeDeg, longitudeDeg: -31, bearingDeg, heightM: altitudeM },
    source: 'typed',
    layout: { kind: 'line', segments },
  };
  const closed = closeCircuit(circuit);
  if (!closed) throw new Error(`The demo circuit ${name} cannot be closed.`);
  return closed;
}

/** Repeated hard stops with little between. */
export const anvilPark = line(
  'circuit-anvil',
  'Anvil Park',
  120,
  12,
  [46.2, 70],
  [
    [360, 0.5],
    ['Hammer', 38, 112, 'right', 0],
    [470, 1],
    ['Tongs', 36, 88, 'left', 0],
    [370, -0.5],
    ['Bellows', 30, 150, 'right', 0],
    [620, -1],
    ['Quench', 50, 95, 'right', 0],
    [260, 0],
    ['Slag', 62, 78, 'left', 0],
    [290, 0.5],
    ['Chisel', 30, 95, 'right', 0],
    [330, 0.5],
    ['Ingot', 90, 74, 'right', 0],
    [330, 0],
  ],
);

/** Twisty and slow, little air. */
export const nettleGlen = line(
  'circuit-nettle',
  'Nettle Glen',
  340,
  10,
  [46.6, 205],
  [
    [128, 2],
    ['Bramble', 48, 80, 'left', 2],
    [195, 3],
    ['Thistle', 30, 100, 'right', 2],
    [90, 1],
    ['Burdock', 39, 95, 'left', 0],
    [270, -2],
    ['Sorrel', 57, 70, 'left', -3],
    [218, -4],
    ['Dock Leaf', 24, 120, 'left', 0],
    [120, 1],
    ['Fern', 68, 60, 'right', 0],
    [150, 0],
    ['Teasel', 42, 85, 'left', -1],
    [90, -2],
    ['Yarrow', 36, 80, 'right', 0],
    [150, 1],
    ['Vetch', 60, 75, 'left', 1],
    [120, 0],
    ['Comfrey', 45, 75, 'left', 0],
    [112, 0],
  ],
);

/** A twisty part, then a very long straight. */
export const longFen = line(
  'circuit-fen',
  'Long Fen',
  5,
  13,
  [47.1, 310],
  [
    [800, 0],
    ['Sluice', 48, 125, 'right', 0],
    [260, 0.3],
    ['Heron', 130, 55, 'left', 0.3],
    [180, 0],
    ['Otter', 80, 120, 'right', 0],
    [480, 0],
    ['Reed Bed', 190, 70, 'left', 0],
    [200, 0],
    ['Windpump', 40, 110, 'right', 0],
    [230, -0.4],
    ['Causeway', 120, 85, 'left', 0],
    [330, 0],
    ['Ferry', 95, 75, 'right', 0],
    [560, 0],
    ['Lock', 45, 140, 'right', 0],
    [900, 0],
  ],
);
