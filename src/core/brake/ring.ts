import { STEFAN_BOLTZMANN } from '../constants';
import { AMBIENT, gradedSlab, type HeatPath, type NetworkBuilder, type SlabGrid } from '../heat';
import { power, type UniformTable } from '../numeric';
import { CHANNEL } from './channels';
import type { NodeName } from './groups';
import { DRUM_INSIDE, VIEW_TO_SURROUNDINGS } from './networkConstants';
import type { Corner } from './parts';
import { drumGeometry, edgeAreas, rotorGeometry } from './rotorGeometry';
import { type BrakeSide, sidesOf } from './sides';

/** Where the rubbed ring or rim of a network lies. */
export interface Ring {
  readonly start: number;
  /** Last node of the ring */
  readonly end: number;
  /** Rubbed face, half-way through the cheek, which stands for its edges, and last point of the cheek, side by side */
  readonly faces: readonly number[];
  readonly middles: readonly number[];
  readonly inners: readonly number[];
  /** Swept area that pads leave free, m² */
  readonly free: number;
  readonly depth: Float64Array;
}
/** What the air does to a surface at a temperature. */
export interface Surroundings {
  /** Natural convection of a surface of a height, m, over the mean of surface and air, W/(m²·K) */
  readonly natural: (height: number) => UniformTable;
  /** Forced convection over that with a film at the reference temperature, 1 */
  readonly film: { readonly laminar: UniformTable; readonly turbulent: UniformTable };
}

/** Forced convection of the faces' kind from a node. @param area m², times what multiplies it */
export function forcedConvection(
  build: NetworkBuilder<NodeName>,
  node: number,
  area: number,
  film: Surroundings['film'],
  path: HeatPath,
): void {
  build.link(node, AMBIENT, area, CHANNEL.face, film.turbulent, path);
  build.link(node, AMBIENT, area, CHANNEL.faceLaminar, film.laminar, path);
}

/** Share of the faces' heat transfer that the inner edge has behind the bell (from memory). */
const BEHIND_HAT = 0.5;
/** Air that clings to both walls of a passage by natural convection, m (from memory). */
const CLINGING = 0.006;

/** Points of one side's cheek from the face inwards, with what its face and edges give off. @returns first point */
function cheekOf(
  build: NetworkBuilder<NodeName>,
  corner: Corner,
  side: BrakeSide,
  cheek: SlabGrid,
  { natural, film }: Surroundings,
): number {
  const { rotor, pad, air } = corner;
  const { material } = rotor;
  const ring = rotorGeometry(rotor);
  const section = 2 * ring.cheekArea * side.share;
  let start = -1;
  cheek.width.forEach((width, i) => {
    const mass = material.density * section * width * ring.massFactor;
    const node = build.node(`${side.prefix}cheek ${i}`, mass, material.specificHeat);
    if (i === 0) start = node;
    else {
      const coefficient = section / (cheek.depth[i] - cheek.depth[i - 1]);
      build.link(node - 1, node, coefficient, CHANNEL.steady, material.conductivity);
    }
  });
  const free = side.share * Math.max(0, 2 * ring.faceArea - 2 * pad.area);
  const stillFace = natural(0.5 * rotor.outerDiameter);
  const forced = air.coolingFactor * corner.constants.faceConvection;
  forcedConvection(build, start, free * forced * side.air, film, 'faces');
  build.link(start, AMBIENT, free * forced * side.blown, CHANNEL.blown, null, 'faces');
  build.link(start, AMBIENT, free, CHANNEL.still, stillFace, 'faces');
  const view = VIEW_TO_SURROUNDINGS * (1 - 0.35 * air.shield) * side.view;
  build.radiate(start, AMBIENT, material.emissivity * STEFAN_BOLTZMANN * view * free);
  // Edges reach over the whole thickness, which is far closer together in temperature than they are with the air.
  const middle = start + (cheek.width.length >> 1);
  const { outer, inner } = edgeAreas(rotor);
  // The bell (hat) stands before the inner edge: half of the air, and nothing colder to see.
  const edges = side.share * (outer + BEHIND_HAT * inner);
  forcedConvection(build, middle, edges * forced, film, 'air');
  build.link(middle, AMBIENT, edges, CHANNEL.still, stillFace, 'air');
  const seen = VIEW_TO_SURROUNDINGS * side.share * outer;
  build.radiate(middle, AMBIENT, material.emissivity * STEFAN_BOLTZMANN * seen);
  return start;
}

/** Distance over which the two halves of a solid ring touch in its middle, m: far less than a cell. */
const TOUCHING = 1e-4;

/** Cheek points from the face inwards, side by side, then the vanes. */
export function discRing(
  build: NetworkBuilder<NodeName>,
  corner: Corner,
  points: number,
  around: Surroundings,
): Ring {
  const { rotor, pad } = corner;
  const { material } = rotor;
  const ring = rotorGeometry(rotor);
  const cheek = slabPoints(ring.cheek, points, 2.8);
  const sides = sidesOf(corner);
  const faces = sides.map((side) => cheekOf(build, corner, side, cheek, around));
  const inners = faces.map((face) => face + points - 1);
  const found = {
    start: faces[0],
    faces,
    middles: faces.map((face) => face + (points >> 1)),
    inners,
    free: Math.max(0, 2 * ring.faceArea - 2 * pad.area),
    depth: cheek.depth,
  };
  if (rotor.vaneGap <= 0) {
    if (inners.length > 1) {
      build.link(inners[0], inners[1], ring.cheekArea / TOUCHING, CHANNEL.steady, material.conductivity);
    }
    return { ...found, end: inners[inners.length - 1] };
  }
  const vanes = build.node('vanes', ring.vaneMass, material.specificHeat);
  const cheekWall = ring.cheekWall + ring.holeWall;
  const walls = cheekWall + ring.vaneWall;
  const stillFace = around.natural(0.5 * rotor.outerDiameter);
  // Standing, air rises through about half of the passage, and through none that is narrower than what clings to its walls.
  const rises = 0.5 * Math.min(1, rotor.vaneGap / CLINGING);
  sides.forEach(({ share }, k) => {
    // A fin that loses heat evenly is on average a third of its half length away from its root.
    const coefficient = (share * 2 * ring.vaneSection) / (rotor.vaneGap / 6);
    build.link(inners[k], vanes, coefficient, CHANNEL.steady, material.conductivity);
    build.link(inners[k], AMBIENT, (share * cheekWall) / walls, CHANNEL.passage, null, 'vanes');
    build.link(inners[k], AMBIENT, rises * share * ring.cheekWall, CHANNEL.still, stillFace, 'vanes');
  });
  build.link(vanes, AMBIENT, ring.vaneWall / walls, CHANNEL.passage, null, 'vanes');
  return { ...found, end: vanes };
}

/** Rim points from the rubbed inside outwards. What cools a drum is its outside; inside the air goes round with it. */
export function drumRing(
  build: NetworkBuilder<NodeName>,
  corner: Corner,
  points: number,
  { natural, film }: Surroundings,
): Ring {
  const { pad, air } = corner;
  const drum = corner.drum!;
  const { material } = drum;
  const { rubbed, outer, rimMass } = drumGeometry(drum);
  const rim = slabPoints(drum.rimThickness, points, 2.8);
  let start = -1;
  rim.width.forEach((width, i) => {
    const node = build.node(`rim ${i}`, (rimMass * width) / drum.rimThickness, material.specificHeat);
    if (i === 0) start = node;
    else {
      const coefficient = rubbed / (rim.depth[i] - rim.depth[i - 1]);
      build.link(node - 1, node, coefficient, CHANNEL.steady, material.conductivity);
    }
  });
  const outside = start + points - 1;
  const free = Math.max(0, rubbed - 2 * pad.area);
  const forced = air.coolingFactor * corner.constants.faceConvection;
  forcedConvection(build, start, DRUM_INSIDE * free * forced, film, 'faces');
  forcedConvection(build, outside, outer * forced, film, 'air');
  build.link(outside, AMBIENT, outer, CHANNEL.still, natural(drum.innerDiameter), 'air');
  // Seen by the wheel's barrel, which takes about half of it away.
  build.radiate(outside, AMBIENT, 0.5 * material.emissivity * STEFAN_BOLTZMANN * outer);
  const at = { faces: [start], middles: [outside], inners: [outside] };
  return { start, end: outside, ...at, free, depth: rim.depth };
}

/** Points through a slab, the last distance `lastOverFirst` times the first whatever their number. */
export function slabPoints(thickness: number, points: number, lastOverFirst: number): SlabGrid {
  return gradedSlab(thickness, points, power(lastOverFirst, 1 / Math.max(1, points - 2)));
}
