import { airConductivity } from '../air';
import { STEFAN_BOLTZMANN } from '../constants';
import { AMBIENT, type Network, NetworkBuilder, type SlabGrid } from '../heat';
import { power, Recent, type UniformTable, uniformTable } from '../numeric';
import { CHANNEL, CHANNEL_COUNT } from './channels';
import { filmFactors, naturalCoefficient } from './convection';
import { type Group, groupOfNode, type NodeName, type RecordedPart } from './groups';
import {
  CALIPER_TO_UPRIGHT,
  CONTACT_CONDUCTANCE,
  DRUM_LEAKAGE_TO_AIR,
  DRUM_TO_WEB,
  FLUID_HEAT,
  FLUID_TO_HOSE,
  HAT_TO_HUB,
  HOSE_DISTANCE,
  HOSE_SEEN,
  HOSE_TO_AIR,
  HUB_AREA,
  HUB_MASS,
  HUB_TO_UPRIGHT,
  PAD_EMISSIVITY,
  PISTON_TO_BODY,
  PLATE_FREE_SHARE,
  PLATE_TO_PAD,
  RELEASED_GAP,
  RING_AIR_TO_CALIPER,
  STEEL_DENSITY,
  STEEL_HEAT,
  UPRIGHT_AREA,
  UPRIGHT_MASS,
  VIEW_TO_CALIPER,
} from './networkConstants';
import { rotorHeatShare } from './partition';
import { type Corner, rubbedMaterial } from './parts';
import { readingsOf } from './readings';
import { padPointsOf, resolutionOf } from './resolution';
import { discRing, drumRing, forcedConvection, type Ring, type Surroundings, slabPoints } from './ring';
import { wayToHat } from './rotorGeometry';
import { type BrakeSide, sidesOf } from './sides';
import { discViewFactor } from './viewFactor';

/**
 * A corner's network and where its parts lie in it. Faces, pads and cheeks of both sides are one by symmetry, or apart;
 * then what is said of one is the outer side's, and a part's nodes are those of both.
 */
export interface CornerNetwork {
  readonly network: Network;
  /** Part of each node; n */
  readonly groups: readonly Group[];
  /** Nodes whose mean is a part's temperature; of the bulk the ring's, whose mean is by heat */
  readonly recorded: Readonly<Record<RecordedPart, readonly number[]>>;
  /** Cheek or rim points from the rubbed face inwards; the vanes follow where there are any */
  readonly ringStart: number;
  readonly ringCount: number;
  /** Cheek or rim points alone */
  readonly cheekCount: number;
  /** Depth of each of them under the face, m */
  readonly depth: Float64Array;
  readonly padFace: number;
  /** Faces of the pads, outer before inner where the sides are apart */
  readonly padFaces: readonly number[];
  readonly padCount: number;
  /** Share of the friction heat that starts in the ring */
  readonly ringHeatShare: number;
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
  const { cheek, padFirst, padGrowth } = resolutionOf(1 - ringHeatShare);
  const points = padPointsOf(corner.pad.thickness, padFirst, padGrowth);
  const finer = (count: number) => (count - 1) * refinement + 1;
  const cheekPoints = finer(cheek);
  const padPoints = finer(points);
  const padSlab = slabPoints(corner.pad.thickness, padPoints, power(padGrowth, points - 2));
  const build = new NetworkBuilder<NodeName>((name) => groupOfNode(name) ?? '');
  const around: Surroundings = {
    natural: (height) => naturalTable(ambient, pressure, height),
    film: filmFactors(ambient),
  };
  const ring = corner.drum
    ? drumRing(build, corner, cheekPoints, around)
    : discRing(build, corner, cheekPoints, around);
  const { hat, hub, upright } = wheelEnd(build, corner, ring, around);
  const sides = sidesOf(corner);
  const pads = sides.map((side, k) => padStack(build, corner, side, ring.faces[k], padSlab));
  const padFaces = pads.map(({ padFace }) => padFace);
  const plates = pads.map(({ plate }) => plate);
  const { piston, ends, fluid, hose, body } = caliperNodes(build, corner, ring, plates, upright);
  sides.forEach(({ share }, k) => {
    build.source(ring.faces[k], share * ringHeatShare);
    build.source(padFaces[k], share * (1 - ringHeatShare));
  });
  const ringCount = ring.end - ring.start + 1;
  const recorded = {
    rotorFace: ring.faces,
    // The face where it is hottest over the radius; the run adds what it has over the mean.
    rotorBand: ring.faces,
    rotorBulk: Array.from({ length: ringCount }, (_, i) => ring.start + i),
    rotorInner: ring.inners,
    hat: [hat],
    hub: [hub],
    upright: [upright],
    padFace: padFaces,
    plate: plates,
    piston: [piston],
    // A seal sits in the body and touches the piston.
    seal: [piston, body],
    caliper: [body],
    fluidWall: [ends],
    fluid: [fluid],
    hose: [hose],
  };
  const network = build.build(CHANNEL_COUNT, {
    told: { first: ring.start, count: ringCount },
    readings: readingsOf(recorded, padFaces),
  });
  return {
    network,
    groups: network.nodes.map((node) => node.group as Group),
    recorded,
    ringStart: ring.start,
    ringCount,
    cheekCount: cheekPoints,
    depth: ring.depth,
    padFace: padFaces[0],
    padFaces,
    padCount: padPoints,
    ringHeatShare,
  };
}

/** What the ring hangs on: hat or drum web, hub, upright. */
function wheelEnd(
  build: NetworkBuilder<NodeName>,
  corner: Corner,
  ring: Ring,
  { natural, film }: Surroundings,
) {
  const { rotor, air, drum, constants } = corner;
  const hat = build.node(
    drum ? 'drum web' : 'hat',
    drum ? drum.webMass * STEEL_HEAT : rotor.hatMass * rotor.hatSpecificHeat,
  );
  const { ringToHat } = constants;
  sidesOf(corner).forEach(({ share, bell }, k) => {
    const middle = ring.middles[k];
    if (drum) build.link(ring.end, hat, DRUM_TO_WEB * ringToHat);
    else if (rotor.hatConductance !== null) build.link(middle, hat, share * rotor.hatConductance * ringToHat);
    else if (bell) {
      const { conductivity } = rotor.material;
      build.link(middle, hat, ringToHat / wayToHat(rotor), CHANNEL.steady, conductivity);
    }
  });
  forcedConvection(build, hat, constants.hatArea * air.coolingFactor, film, 'air');
  build.link(hat, AMBIENT, constants.hatArea, CHANNEL.still, natural(0.06), 'air');
  const hub = build.node('hub', HUB_MASS * STEEL_HEAT);
  build.link(hat, hub, HAT_TO_HUB);
  build.link(hub, AMBIENT, HUB_AREA * air.coolingFactor, CHANNEL.wheel, null, 'air');
  const upright = build.node('upright', UPRIGHT_MASS * STEEL_HEAT);
  build.link(hub, upright, HUB_TO_UPRIGHT);
  build.link(upright, AMBIENT, UPRIGHT_AREA * air.coolingFactor, CHANNEL.wheel, null, 'air');
  return { hat, hub, upright };
}

/** One side's pads or linings, or all, from the friction face to plate or shoe. */
function padStack(
  build: NetworkBuilder<NodeName>,
  corner: Corner,
  { share, prefix }: BrakeSide,
  face: number,
  slab: SlabGrid,
) {
  const { pad, drum, air } = corner;
  const padArea = 2 * pad.area * share;
  let padFace = -1;
  slab.width.forEach((width, i) => {
    const capacity = pad.density * pad.specificHeat * padArea * width;
    const node = build.node(`${prefix}pad ${i}`, capacity, pad.overTemperature?.specificHeat);
    if (i === 0) padFace = node;
    else {
      const coefficient = (pad.conductivity * padArea) / (slab.depth[i] - slab.depth[i - 1]);
      build.link(node - 1, node, coefficient, CHANNEL.pad, pad.overTemperature?.conductivity);
    }
  });
  const plateCapacity = drum
    ? drum.shoeMass * STEEL_HEAT
    : STEEL_DENSITY * STEEL_HEAT * padArea * pad.plateThickness;
  const plate = build.node(drum ? 'shoes' : `${prefix}plate`, plateCapacity);
  build.link(padFace + slab.width.length - 1, plate, PLATE_TO_PAD * padArea, 0, null, 'contact');
  build.link(face, padFace, CONTACT_CONDUCTANCE * padArea, CHANNEL.applied, null, 'contact');
  build.link(face, padFace, padArea / RELEASED_GAP, CHANNEL.released, airConductivityTable(), 'air');
  const { emissivity } = rubbedMaterial(corner);
  const between = 1 / (1 / emissivity + 1 / PAD_EMISSIVITY - 1);
  build.radiate(face, padFace, between * STEFAN_BOLTZMANN * padArea);
  const plateFree = (drum ? DRUM_LEAKAGE_TO_AIR : 1) * PLATE_FREE_SHARE * padArea;
  build.link(plate, AMBIENT, plateFree * air.coolingFactor, CHANNEL.wheel, null, 'air');
  return { padFace, plate };
}

/** Pistons, fluid, hose and body of the caliper or the wheel cylinder. */
function caliperNodes(
  build: NetworkBuilder<NodeName>,
  corner: Corner,
  ring: Ring,
  plates: readonly number[],
  upright: number,
) {
  const { rotor, pad, caliper, air, drum } = corner;
  const { pistons } = caliper;
  const piston = build.node('pistons', pistons.rimCapacity);
  const ends = build.node('piston ends', pistons.endCapacity);
  const fluid = build.node('fluid', caliper.fluidMass * FLUID_HEAT);
  const hose = build.node('hose fluid', caliper.hoseFluidMass * FLUID_HEAT);
  const bodyCapacity = caliper.mass * caliper.specificHeat;
  const body = build.node(drum ? 'wheel cylinder' : 'caliper', bodyCapacity);
  const { plateToFluid } = corner.constants;
  // Either half of the walls belongs to one of the pistons' two masses.
  const rim = inSeries(pistons.contact, 2 * pistons.wall);
  const sides = sidesOf(corner);
  sides.forEach((side, k) => {
    const shim = side.share * pad.shimConductance;
    build.link(plates[k], piston, inSeries(plateToFluid * rim * side.pistons, shim), 0, null, 'contact');
    build.link(plates[k], body, inSeries(caliper.plateToBody * side.body, shim), 0, null, 'contact');
  });
  build.link(piston, ends, plateToFluid * 2 * pistons.wall);
  build.link(ends, fluid, plateToFluid * pistons.toFluid, 0, null, 'contact');
  build.link(piston, body, PISTON_TO_BODY, 0, null, 'contact');
  build.link(ends, body, pistons.toBody, 0, null, 'contact');
  build.link(fluid, body, caliper.fluidToBody, 0, null, 'contact');
  build.link(fluid, hose, FLUID_TO_HOSE);
  build.link(hose, AMBIENT, HOSE_TO_AIR * air.coolingFactor, CHANNEL.caliper, null, 'air');
  build.link(body, AMBIENT, caliper.wettedArea * air.coolingFactor, CHANNEL.caliper, null, 'air');
  build.link(body, upright, CALIPER_TO_UPRIGHT);
  if (!drum) {
    const radiating = rubbedMaterial(corner).emissivity * STEFAN_BOLTZMANN;
    const view = discViewFactor(0.5 * rotor.outerDiameter, HOSE_DISTANCE);
    sides.forEach((side, k) => {
      const face = ring.faces[k];
      build.link(face, body, side.share * RING_AIR_TO_CALIPER, 0, null, 'air');
      build.radiate(face, body, radiating * VIEW_TO_CALIPER * side.share * ring.free);
      if (side.hose) build.radiate(face, hose, radiating * view * HOSE_SEEN * (1 - air.shield));
    });
  }
  return { piston, ends, fluid, hose, body };
}

const inSeries = (a: number, b: number) => (b === Number.POSITIVE_INFINITY ? a : (a * b) / (a + b));

/** Every wheel of a run asks for nearly the same. */
const naturals = new Recent<UniformTable>(64);

/** Natural convection over the mean of surface and air, W/(m²·K). */
function naturalTable(ambient: number, pressure: number, height: number): UniformTable {
  const key = `${ambient}/${pressure}/${height}`;
  const known = naturals.get(key);
  if (known) return known;
  const made = uniformTable(
    Array.from({ length: 140 }, (_, i) => {
      const mean = ambient + i * 5;
      return [mean, naturalCoefficient(2 * mean - ambient, ambient, pressure, height)] as const;
    }),
  );
  naturals.set(key, made);
  return made;
}

let conductivityOfAir: UniformTable | null = null;
function airConductivityTable(): UniformTable {
  conductivityOfAir ??= uniformTable(
    Array.from({ length: 150 }, (_, i) => [250 + i * 10, airConductivity(250 + i * 10)] as const),
  );
  return conductivityOfAir;
}
