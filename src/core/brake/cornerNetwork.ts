import { airConductivity } from '../air';
import { STEFAN_BOLTZMANN } from '../constants';
import {
  AMBIENT,
  gradedSlab,
  type Network,
  type NetworkLink,
  type NetworkNode,
  type SlabGrid,
  type UniformTable,
  uniformTable,
} from '../heat';
import { freeFaceArea, naturalCoefficient } from './convection';
import { rotorHeatShare } from './partition';
import type { Corner } from './parts';
import { rotorGeometry } from './rotorGeometry';

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
} as const;
export const CHANNEL_COUNT = 7;

/** Number of points through a cheek and through a pad. */
interface Resolution {
  readonly cheekPoints: number;
  readonly padPoints: number;
}

/** Points of a corner; where the pad takes much of the heat (carbon), both faces swing further and want more. */
function resolutionOf(padHeatShare: number, refinement: number): Resolution {
  const [cheek, pad] = padHeatShare > 0.05 ? [14, 12] : [10, 8];
  return { cheekPoints: (cheek - 1) * refinement + 1, padPoints: (pad - 1) * refinement + 1 };
}

/** A corner's network and where its parts lie in it. Both faces, pads and cheeks are lumped as one by symmetry. */
export interface CornerNetwork {
  readonly network: Network;
  /** Cheek points from face to passage, first index and count; the vanes follow where there are any */
  readonly ringStart: number;
  readonly ringCount: number;
  readonly padFace: number;
  readonly plate: number;
  readonly caliper: number;
  readonly fluid: number;
  readonly hat: number;
  readonly hub: number;
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
const CALIPER_TO_HUB = 1.5; // W/K
const HUB_MASS = 12; // kg of steel, hub, upright and the bolted wheel's centre
const HUB_AREA = 0.35; // m², the wheel's spokes work as its fins
const PLATE_FREE_SHARE = 0.5; // of the pad's area, back and edges in passing air
const STEEL_HEAT = 480; // J/(kg·K)
const STEEL_DENSITY = 7850; // kg/m³
const FLUID_HEAT = 2300; // J/(kg·K), glycol fluids
const PLATE_TO_PAD = 8000; // W/(m²·K), bonded joint

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
  const { rotor, pad, caliper } = corner;
  const { material } = rotor;
  const ring = rotorGeometry(rotor);
  const rotorShare = rotorHeatShare(rotor, pad, ambient + 300);
  const resolution = resolutionOf(1 - rotorShare, refinement);
  const nodes: NetworkNode[] = [];
  const links: NetworkLink[] = [];
  const node = (name: string, scale: number, table: UniformTable | null = null) =>
    nodes.push({ name, scale, table }) - 1;
  const link = (
    from: number,
    to: number,
    coefficient: number,
    channel: number = CHANNEL.steady,
    factor: UniformTable | null = null,
    radiation = 0,
  ) => links.push({ from, to, coefficient, channel, factor, radiation });
  const natural = (height: number) =>
    uniformTable(
      Array.from({ length: 140 }, (_, i) => {
        const mean = ambient + i * 5;
        return [mean, naturalCoefficient(2 * mean - ambient, ambient, pressure, height)] as const;
      }),
    );

  // Ring: cheek points from the face inwards, then the vanes.
  const cheek = slabPoints(ring.cheek, resolution.cheekPoints, 2.8);
  const faces = 2 * ring.faceArea;
  const ringStart = nodes.length;
  cheek.width.forEach((width, i) => {
    node(`cheek ${i}`, material.density * faces * width, material.specificHeat);
    if (i > 0) {
      const coefficient = faces / (cheek.depth[i] - cheek.depth[i - 1]);
      link(ringStart + i - 1, ringStart + i, coefficient, CHANNEL.steady, material.conductivity);
    }
  });
  const inner = ringStart + resolution.cheekPoints - 1;
  const free = freeFaceArea(rotor, pad.area);
  const stillFace = natural(0.5 * rotor.outerDiameter);
  link(ringStart, AMBIENT, free * corner.coolingFactor, CHANNEL.face);
  link(ringStart, AMBIENT, free, CHANNEL.still, stillFace);
  link(
    ringStart,
    AMBIENT,
    0,
    CHANNEL.steady,
    null,
    material.emissivity * STEFAN_BOLTZMANN * VIEW_TO_SURROUNDINGS * free,
  );
  let ringEnd = inner;
  if (rotor.vaneGap > 0) {
    const vanes = node('vanes', ring.vaneMass, material.specificHeat);
    ringEnd = vanes;
    // A fin that loses heat evenly is on average a third of its half length away from its root.
    const coefficient = (2 * ring.vaneSection) / (rotor.vaneGap / 6);
    link(inner, vanes, coefficient, CHANNEL.steady, material.conductivity);
    const walls = ring.cheekWall + ring.vaneWall;
    link(inner, AMBIENT, ring.cheekWall / walls, CHANNEL.passage);
    link(vanes, AMBIENT, ring.vaneWall / walls, CHANNEL.passage);
    // Standing, air rises through about half of the passage.
    link(inner, AMBIENT, 0.5 * ring.cheekWall, CHANNEL.still, stillFace);
  }

  const hat = node('hat', rotor.hatMass * rotor.hatSpecificHeat);
  link(ringEnd, hat, rotor.hatConductance);
  link(hat, AMBIENT, HAT_AREA * corner.coolingFactor, CHANNEL.face);
  link(hat, AMBIENT, HAT_AREA, CHANNEL.still, natural(0.06));
  const hub = node('hub', HUB_MASS * STEEL_HEAT);
  link(hat, hub, HAT_TO_HUB);
  link(hub, AMBIENT, HUB_AREA * corner.coolingFactor, CHANNEL.caliper);

  // Pads, from the friction face to the plate.
  const padArea = 2 * pad.area;
  const slab = slabPoints(pad.thickness, resolution.padPoints, 4);
  const padFace = nodes.length;
  slab.width.forEach((width, i) => {
    node(`pad ${i}`, pad.density * pad.specificHeat * padArea * width);
    if (i > 0) {
      link(padFace + i - 1, padFace + i, (pad.conductivity * padArea) / (slab.depth[i] - slab.depth[i - 1]));
    }
  });
  const plate = node('plate', STEEL_DENSITY * STEEL_HEAT * padArea * pad.plateThickness);
  link(padFace + resolution.padPoints - 1, plate, PLATE_TO_PAD * padArea);
  link(ringStart, padFace, CONTACT_CONDUCTANCE * padArea, CHANNEL.applied);
  link(ringStart, padFace, padArea / RELEASED_GAP, CHANNEL.released, airConductivityTable());
  const between = 1 / (1 / material.emissivity + 1 / PAD_EMISSIVITY - 1);
  link(ringStart, padFace, 0, CHANNEL.steady, null, between * STEFAN_BOLTZMANN * padArea);

  link(plate, AMBIENT, PLATE_FREE_SHARE * padArea * corner.coolingFactor, CHANNEL.caliper);

  const fluid = node('fluid', caliper.fluidMass * FLUID_HEAT);
  const body = node('caliper', caliper.mass * caliper.specificHeat);
  link(plate, fluid, caliper.plateToFluid);
  link(plate, body, caliper.plateToBody);
  link(fluid, body, caliper.fluidToBody);
  link(body, AMBIENT, caliper.wettedArea * corner.coolingFactor, CHANNEL.caliper);
  link(body, hub, CALIPER_TO_HUB);
  link(
    ringStart,
    body,
    RING_AIR_TO_CALIPER,
    CHANNEL.steady,
    null,
    material.emissivity * STEFAN_BOLTZMANN * VIEW_TO_CALIPER * free,
  );

  const sources = [
    { node: ringStart, share: rotorShare },
    { node: padFace, share: 1 - rotorShare },
  ];
  return {
    network: { nodes, links, sources, channels: CHANNEL_COUNT },
    ringStart,
    ringCount: ringEnd - ringStart + 1,
    padFace,
    plate,
    caliper: body,
    fluid,
    hat,
    hub,
  };
}

/** Points through a slab, the last distance `lastOverFirst` times the first whatever their number. */
function slabPoints(thickness: number, points: number, lastOverFirst: number): SlabGrid {
  return gradedSlab(thickness, points, lastOverFirst ** (1 / Math.max(1, points - 2)));
}

let conductivityOfAir: UniformTable | null = null;
function airConductivityTable(): UniformTable {
  conductivityOfAir ??= uniformTable(
    Array.from({ length: 150 }, (_, i) => [250 + i * 10, airConductivity(250 + i * 10)] as const),
  );
  return conductivityOfAir;
}
