import { airConductivity } from '../air';
import { STEFAN_BOLTZMANN } from '../constants';
import { AMBIENT, gradedSlab, type Network, NetworkBuilder, type SlabGrid } from '../heat';
import { power, type UniformTable, uniformTable } from '../numeric';
import { naturalCoefficient } from './convection';
import { rotorHeatShare } from './partition';
import { type Corner, rubbedMaterial } from './parts';
import { drumGeometry, rotorGeometry } from './rotorGeometry';
import { discViewFactor } from './viewFactor';

/** Columns of the drive of a corner's network. */
export const CHANNEL = {
  /** Always 1 */
  steady: 0,
  /** 1 while the pads are applied */
  applied: 1,
  /** 1 while they are released */
  released: 2,
  /** Face heat transfer, W/(m²·K) */
  face: 3,
  /** Passage conductance, W/K */
  passage: 4,
  /** Caliper heat transfer, W/(m²·K) */
  caliper: 5,
  /** 1 standing, falling to 0 as the car moves */
  still: 6,
  /** Heat transfer of hub, upright and plate in the passing air, W/(m²·K) */
  wheel: 7,
} as const;
export const CHANNEL_COUNT = 8;

/** A corner's network and where its parts lie in it. Both faces, pads and cheeks are lumped as one by symmetry. */
export interface CornerNetwork {
  readonly network: Network;
  /** Cheek or rim points from the rubbed face inwards; the vanes follow where there are any */
  readonly ringStart: number;
  readonly ringCount: number;
  /** Cheek or rim points alone */
  readonly cheekCount: number;
  /** Depth of each of them under the face, m */
  readonly depth: Float64Array;
  readonly padFace: number;
  readonly padCount: number;
  readonly plate: number;
  readonly piston: number;
  readonly fluid: number;
  readonly hose: number;
  readonly caliper: number;
  readonly hat: number;
  readonly hub: number;
  readonly upright: number;
  /** Share of the friction heat that starts in the ring */
  readonly ringHeatShare: number;
}

/** Values no handbook gives (from memory), each a candidate for calibration. */
const CONTACT_CONDUCTANCE = 4000; // W/(m²·K), pads applied
const RELEASED_GAP = 0.15e-3; // m
const PAD_EMISSIVITY = 0.85;
const VIEW_TO_SURROUNDINGS = 0.75;
const VIEW_TO_CALIPER = 0.08;
const RING_AIR_TO_CALIPER = 0.25; // W/K, warm air dragged into the bridge
const HAT_AREA = 0.04; // m²
const HAT_TO_HUB = 8; // W/K
const HUB_MASS = 4; // kg of steel: hub, bearing, studs
const HUB_AREA = 0.15; // m², the bolted wheel's centre works as its fin
const HUB_TO_UPRIGHT = 12; // W/K through the bearing
const UPRIGHT_MASS = 8; // kg
const UPRIGHT_AREA = 0.2; // m²
const CALIPER_TO_UPRIGHT = 1.5; // W/K
const PLATE_FREE_SHARE = 0.5; // of the pad's area, back and edges in passing air
const STEEL_HEAT = 480; // J/(kg·K)
const STEEL_DENSITY = 7850; // kg/m³
const FLUID_HEAT = 2300; // J/(kg·K), glycol fluids
const PLATE_TO_PAD = 8000; // W/(m²·K), bonded joint
const PISTON_TO_FLUID = 4; // W/K, all pistons wetted behind
const PISTON_TO_BODY = 0.15; // W/K through seals and bore gap
const FLUID_TO_HOSE = 0.3; // W/K, fluid that goes to and fro with each stop
const HOSE_TO_AIR = 0.004; // m² of hose near its fitting
const HOSE_DISTANCE = 0.15; // m from the disc
const HOSE_SEEN = 0.0015; // m² of fitting and hose that the disc sees
const DRUM_INSIDE = 0.25; // share of the outer heat transfer found inside a drum
const DRUM_LEAKAGE_TO_AIR = 0.3; // share of the shoes' surface in moving air

/** Number of points through a cheek and through a pad. Where the pad takes much heat (carbon) it wants more. */
function resolutionOf(padHeatShare: number, refinement: number) {
  const [cheek, pad] = padHeatShare > 0.05 ? [17, 13] : [10, 8];
  return { cheekPoints: (cheek - 1) * refinement + 1, padPoints: (pad - 1) * refinement + 1 };
}

/**
 * Builds the heat network of one wheel's brake.
 * @param ambient K
 * @param pressure Pa
 * @param refinement whole factor on the number of cells, 1 by default
 */
export function cornerNetwork(
  corner: Corner,
  ambient: number,
  pressure: number,
  refinement = 1,
): CornerNetwork {
  const ringHeatShare = rotorHeatShare(corner, ambient + 300);
  const { cheekPoints, padPoints } = resolutionOf(1 - ringHeatShare, refinement);
  const build = new NetworkBuilder();
  const natural = (height: number) => naturalTable(ambient, pressure, height);
  const ring = corner.drum
    ? drumRing(build, corner, cheekPoints, natural)
    : discRing(build, corner, cheekPoints, natural);
  const { rotor, pad, caliper, air, drum } = corner;

  const hat = build.node(
    drum ? 'drum web' : 'hat',
    drum ? drum.webMass * STEEL_HEAT : rotor.hatMass * rotor.hatSpecificHeat,
  );
  build.link(ring.end, hat, drum ? 6 : rotor.hatConductance);
  build.link(hat, AMBIENT, HAT_AREA * air.coolingFactor, CHANNEL.face, null, 'air');
  build.link(hat, AMBIENT, HAT_AREA, CHANNEL.still, natural(0.06), 'air');
  const hub = build.node('hub', HUB_MASS * STEEL_HEAT);
  build.link(hat, hub, HAT_TO_HUB);
  build.link(hub, AMBIENT, HUB_AREA * air.coolingFactor, CHANNEL.wheel, null, 'air');
  const upright = build.node('upright', UPRIGHT_MASS * STEEL_HEAT);
  build.link(hub, upright, HUB_TO_UPRIGHT);
  build.link(upright, AMBIENT, UPRIGHT_AREA * air.coolingFactor, CHANNEL.wheel, null, 'air');

  // Pads or linings, from the friction face to plate or shoe.
  const padArea = 2 * pad.area;
  const slab = slabPoints(pad.thickness, padPoints, 4);
  let padFace = -1;
  slab.width.forEach((width, i) => {
    const node = build.node(`pad ${i}`, pad.density * pad.specificHeat * padArea * width);
    if (i === 0) padFace = node;
    else
      build.link(node - 1, node, (pad.conductivity * padArea) / (slab.depth[i] - slab.depth[i - 1]), 0, null);
  });
  const plateCapacity = drum
    ? drum.shoeMass * STEEL_HEAT
    : STEEL_DENSITY * STEEL_HEAT * padArea * pad.plateThickness;
  const plate = build.node(drum ? 'shoes' : 'plate', plateCapacity);
  build.link(padFace + padPoints - 1, plate, PLATE_TO_PAD * padArea, 0, null, 'contact');
  build.link(ring.start, padFace, CONTACT_CONDUCTANCE * padArea, CHANNEL.applied, null, 'contact');
  build.link(ring.start, padFace, padArea / RELEASED_GAP, CHANNEL.released, airConductivityTable(), 'air');
  const { emissivity } = rubbedMaterial(corner);
  const between = 1 / (1 / emissivity + 1 / PAD_EMISSIVITY - 1);
  build.radiate(ring.start, padFace, between * STEFAN_BOLTZMANN * padArea);
  const plateFree = (drum ? DRUM_LEAKAGE_TO_AIR : 1) * PLATE_FREE_SHARE * padArea;
  build.link(plate, AMBIENT, plateFree * air.coolingFactor, CHANNEL.wheel, null, 'air');

  const piston = build.node('pistons', caliper.pistonCapacity);
  const fluid = build.node('fluid', caliper.fluidMass * FLUID_HEAT);
  const hose = build.node('hose fluid', caliper.hoseFluidMass * FLUID_HEAT);
  const body = build.node(drum ? 'wheel cylinder' : 'caliper', caliper.mass * caliper.specificHeat);
  // What the path from plate to fluid leaves for plate and piston once the fluid's own share is taken off.
  const plateToPiston = inSeries(1 / (1 / caliper.plateToFluid - 1 / PISTON_TO_FLUID), pad.shimConductance);
  build.link(plate, piston, plateToPiston, 0, null, 'contact');
  build.link(plate, body, inSeries(caliper.plateToBody, pad.shimConductance), 0, null, 'contact');
  build.link(piston, fluid, PISTON_TO_FLUID, 0, null, 'contact');
  build.link(piston, body, PISTON_TO_BODY, 0, null, 'contact');
  build.link(fluid, body, caliper.fluidToBody, 0, null, 'contact');
  build.link(fluid, hose, FLUID_TO_HOSE);
  build.link(hose, AMBIENT, HOSE_TO_AIR * air.coolingFactor, CHANNEL.caliper, null, 'air');
  build.link(body, AMBIENT, caliper.wettedArea * air.coolingFactor, CHANNEL.caliper, null, 'air');
  build.link(body, upright, CALIPER_TO_UPRIGHT);
  if (!drum) {
    const radiating = emissivity * STEFAN_BOLTZMANN;
    build.link(ring.start, body, RING_AIR_TO_CALIPER, 0, null, 'air');
    build.radiate(ring.start, body, radiating * VIEW_TO_CALIPER * ring.free);
    const view = discViewFactor(0.5 * rotor.outerDiameter, HOSE_DISTANCE);
    build.radiate(ring.start, hose, radiating * view * HOSE_SEEN * (1 - air.shield));
  }

  build.source(ring.start, ringHeatShare);
  build.source(padFace, 1 - ringHeatShare);
  return {
    network: build.build(CHANNEL_COUNT),
    ringStart: ring.start,
    ringCount: ring.end - ring.start + 1,
    cheekCount: cheekPoints,
    depth: ring.depth,
    padFace,
    padCount: padPoints,
    plate,
    piston,
    fluid,
    hose,
    caliper: body,
    hat,
    hub,
    upright,
    ringHeatShare,
  };
}

interface Ring {
  readonly start: number;
  /** Last node of the ring, which the hat hangs on */
  readonly end: number;
  /** Rubbed area that pads leave free, m² */
  readonly free: number;
  readonly depth: Float64Array;
}
type Natural = (height: number) => UniformTable;

/** Cheek points from the face inwards, then the vanes. */
function discRing(build: NetworkBuilder, corner: Corner, points: number, natural: Natural): Ring {
  const { rotor, pad, air } = corner;
  const { material } = rotor;
  const ring = rotorGeometry(rotor);
  const cheek = slabPoints(ring.cheek, points, 2.8);
  const section = 2 * ring.cheekArea;
  let start = -1;
  cheek.width.forEach((width, i) => {
    const mass = material.density * section * width * ring.massFactor;
    const node = build.node(`cheek ${i}`, mass, material.specificHeat);
    if (i === 0) start = node;
    else {
      const coefficient = section / (cheek.depth[i] - cheek.depth[i - 1]);
      build.link(node - 1, node, coefficient, CHANNEL.steady, material.conductivity);
    }
  });
  const inner = start + points - 1;
  const free = Math.max(0, 2 * ring.faceArea - 2 * pad.area);
  const stillFace = natural(0.5 * rotor.outerDiameter);
  build.link(start, AMBIENT, free * air.coolingFactor, CHANNEL.face, null, 'faces');
  build.link(start, AMBIENT, free, CHANNEL.still, stillFace, 'faces');
  const view = VIEW_TO_SURROUNDINGS * (1 - 0.35 * air.shield);
  build.radiate(start, AMBIENT, material.emissivity * STEFAN_BOLTZMANN * view * free);
  if (rotor.vaneGap <= 0) return { start, end: inner, free, depth: cheek.depth };
  const vanes = build.node('vanes', ring.vaneMass, material.specificHeat);
  // A fin that loses heat evenly is on average a third of its half length away from its root.
  const coefficient = (2 * ring.vaneSection) / (rotor.vaneGap / 6);
  build.link(inner, vanes, coefficient, CHANNEL.steady, material.conductivity);
  const cheekWall = ring.cheekWall + ring.holeWall;
  const walls = cheekWall + ring.vaneWall;
  build.link(inner, AMBIENT, cheekWall / walls, CHANNEL.passage, null, 'vanes');
  build.link(vanes, AMBIENT, ring.vaneWall / walls, CHANNEL.passage, null, 'vanes');
  // Standing, air rises through about half of the passage.
  build.link(inner, AMBIENT, 0.5 * ring.cheekWall, CHANNEL.still, stillFace, 'vanes');
  return { start, end: vanes, free, depth: cheek.depth };
}

/** Rim points from the rubbed inside outwards. What cools a drum is its outside; inside the air goes round with it. */
function drumRing(build: NetworkBuilder, corner: Corner, points: number, natural: Natural): Ring {
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
  build.link(start, AMBIENT, DRUM_INSIDE * free * air.coolingFactor, CHANNEL.face, null, 'faces');
  build.link(outside, AMBIENT, outer * air.coolingFactor, CHANNEL.face, null, 'air');
  build.link(outside, AMBIENT, outer, CHANNEL.still, natural(drum.innerDiameter), 'air');
  // Seen by the wheel's barrel, which takes about half of it away.
  build.radiate(outside, AMBIENT, 0.5 * material.emissivity * STEFAN_BOLTZMANN * outer);
  return { start, end: outside, free, depth: rim.depth };
}

const inSeries = (a: number, b: number) => (b === Number.POSITIVE_INFINITY ? a : (a * b) / (a + b));

/** Natural convection over the mean of surface and air, W/(m²·K). */
function naturalTable(ambient: number, pressure: number, height: number): UniformTable {
  return uniformTable(
    Array.from({ length: 140 }, (_, i) => {
      const mean = ambient + i * 5;
      return [mean, naturalCoefficient(2 * mean - ambient, ambient, pressure, height)] as const;
    }),
  );
}

/** Points through a slab, the last distance `lastOverFirst` times the first whatever their number. */
function slabPoints(thickness: number, points: number, lastOverFirst: number): SlabGrid {
  return gradedSlab(thickness, points, power(lastOverFirst, 1 / Math.max(1, points - 2)));
}

let conductivityOfAir: UniformTable | null = null;
function airConductivityTable(): UniformTable {
  conductivityOfAir ??= uniformTable(
    Array.from({ length: 150 }, (_, i) => [250 + i * 10, airConductivity(250 + i * 10)] as const),
  );
  return conductivityOfAir;
}
