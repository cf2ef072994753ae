import {
  type AxleForce,
  type BrakeChain,
  type Chassis,
  type Cylinders,
  loaded,
  naturalShare,
  padTaper,
  pistonArea,
  type WheelFit,
  withShare,
} from '../../core';
import { type Axle, fluidOf, padOf } from '../catalogue/choices';
import { nominalFriction } from '../catalogue/pads';
import { PLATES } from '../catalogue/plates';
import { fromSi, toSi } from '../quantity/units';
import type { AxleBrakes } from '../schema/axle';
import type { Car } from '../schema/car';
import type { Part } from '../schema/part';
import type { Pedal } from '../schema/pedal';

const BAR = 1e5;
/** Fluid in the hard line to one wheel, m³ (from memory). */
const LINE_FLUID = 15e-6;
/** Density of brake fluid, kg/m³ (from memory). */
const FLUID_DENSITY = 1050;

/** Fluid behind one wheel's pistons, m³. */
export const caliperFluid = ({ fluidKg }: Pick<AxleBrakes['caliper'], 'fluidKg'>) => fluidKg / FLUID_DENSITY;

const circle = (mm: number) => (Math.PI / 4) * (mm / 1000) ** 2;

/** Weight and its place, with the added loads. */
export function chassisOf(car: Car): Chassis {
  return loaded(
    {
      mass: car.massKg,
      wheelbase: toSi(car.wheelbaseMm, 'smallLength'),
      frontWeight: toSi(car.frontWeightPercent, 'percent'),
      gravityHeight: toSi(car.gravityHeightMm, 'smallLength'),
      frontDownforce: toSi(car.frontDownforcePercent, 'percent'),
    },
    car.loads.map((load) => ({
      mass: load.massKg,
      position: toSi(load.fromFrontMm, 'smallLength'),
      height: toSi(load.heightMm, 'smallLength'),
    })),
  );
}

/** Where the pad's friction acts, mm: as known, else the middle of the ring or the drum's radius. */
export function effectiveRadiusMm(brakes: AxleBrakes): number {
  if (brakes.drum) return brakes.drum.innerDiameterMm / 2;
  const { outerDiameterMm, innerDiameterMm } = brakes.rotor;
  return brakes.effectiveRadiusMm ?? (outerDiameterMm + innerDiameterMm) / 4;
}

function cylindersOf({ cylinders }: Pedal): Cylinders {
  const stroke = toSi(cylinders.strokeMm, 'smallLength');
  if (cylinders.kind === 'pair') {
    return {
      kind: 'pair',
      frontArea: circle(cylinders.frontBoreMm),
      rearArea: circle(cylinders.rearBoreMm),
      stroke,
      frontPush: toSi(cylinders.frontPushPercent, 'percent'),
      click: toSi(cylinders.clickPercent, 'percent'),
    };
  }
  return { kind: cylinders.kind, area: circle(cylinders.boreMm), stroke, split: cylinders.split };
}

function axleForce(car: Car, axle: Axle, parts: readonly Part[]): AxleForce {
  const brakes = car[axle];
  const { caliper, drum } = brakes;
  const pad = padOf(brakes.pad, parts);
  const fluid = caliperFluid(caliper) + LINE_FLUID;
  return {
    kind: drum ? drum.shoes : 'disc',
    pistonArea: drum
      ? circle(drum.cylinderMm)
      : pistonArea(caliper.pistonsMm.map((mm) => toSi(mm, 'smallLength'))),
    radius: toSi(effectiveRadiusMm(brakes), 'smallLength'),
    correction: 1,
    nominalFriction: nominalFriction(pad),
    padArea: toSi(brakes.padAreaCm2, 'area'),
    padGive:
      (PLATES[brakes.plateKind].give * toSi(brakes.padThicknessMm, 'smallLength')) /
      toSi(pad.modulus, 'stress'),
    clearance: toSi(caliper.clearanceMm, 'smallLength'),
    // A drum's shoes stand off their drum whatever the hub does.
    knockBack: drum ? 0 : toSi(caliper.knockBackMm, 'smallLength'),
    opening: 1 / toSi(caliper.stiffnessKnMm, 'stiffness'),
    hoseExpansion:
      ((car.pedal.hoseExpansionMm3BarM * 1e-9) / BAR) * toSi(car.pedal.hoseLengthMm, 'smallLength'),
    fluidGive: fluid / toSi(fluidOf(car.fluid.kind, parts).modulus, 'stress'),
  };
}

/** The brakes from foot to tyre in SI; a measured brake balance corrects the torques of both axles. */
export function chainOf(car: Car, parts: readonly Part[] = []): BrakeChain {
  const { pedal } = car;
  const { valve } = pedal;
  const front = axleForce(car, 'front', parts);
  const rear = axleForce(car, 'rear', parts);
  const chain: BrakeChain = {
    pedalRatio: pedal.ratio,
    pedalEfficiency: toSi(pedal.efficiencyPercent, 'percent'),
    booster: pedal.booster && { gain: pedal.booster.gain, knee: pedal.booster.kneeN },
    cylinders: cylindersOf(pedal),
    valve: valve && {
      knee: valve.kneeBar * BAR,
      slope: toSi(valve.slopePercent, 'percent'),
      perLoad: valve.kind === 'load' ? (valve.barPerKn * BAR) / 1000 : 0,
      missedLoad: valve.kind === 'load' ? valve.missedKn * 1000 : 0,
    },
    forceLimit: pedal.limitN,
    travelLimit: toSi(pedal.travelMm, 'smallLength'),
    freeTravel: toSi(pedal.freeTravelMm, 'smallLength'),
    front,
    rear,
  };
  return car.frontSharePercent === null ? chain : withShare(chain, toSi(car.frontSharePercent, 'percent'));
}

/** Brake balance of a car's braking with warm pads, under the valve's knee, %. */
export function frontSharePercent(car: Car, parts: readonly Part[] = []): number {
  return car.frontSharePercent ?? 100 * naturalShare(chainOf(car, parts));
}

/** A car with another brake balance: by its balance bar where it has one, else as a measured share. */
export function withFrontShare(car: Car, percent: number, parts: readonly Part[] = []): Car {
  const { cylinders } = car.pedal;
  if (cylinders.kind !== 'pair' || car.frontSharePercent !== null) {
    return { ...car, frontSharePercent: percent };
  }
  const own = naturalShare(chainOf(car, parts));
  const push = toSi(cylinders.frontPushPercent, 'percent');
  // share/(1 − share) goes with push/(1 − push).
  const odds = ((percent / (100 - percent)) * (push / (1 - push))) / (own / (1 - own));
  const next = Math.round(100 * fromSi(odds / (1 + odds), 'percent')) / 100;
  return {
    ...car,
    pedal: { ...car.pedal, cylinders: { ...cylinders, frontPushPercent: next } },
  };
}

/** An axle's wheel, caliper and pads as the clearance check wants them. */
export function wheelFit(brakes: AxleBrakes): WheelFit {
  const { caliper, rotor, wheel } = brakes;
  return {
    barrelDiameter: toSi(wheel.barrelMm, 'smallLength'),
    spokes: toSi(wheel.spokesMm, 'smallLength'),
    spacer: toSi(wheel.spacerMm, 'smallLength'),
    rotorDiameter: toSi(rotor.outerDiameterMm, 'smallLength'),
    rotorThickness: toSi(rotor.thicknessMm, 'smallLength'),
    rotorDepth: toSi(rotor.depthMm, 'smallLength'),
    bridge: toSi(caliper.bridgeMm, 'smallLength'),
    outerBody: toSi(caliper.outerBodyMm, 'smallLength'),
    sliding: caliper.kind === 'sliding',
    opening: toSi(caliper.openingMm, 'smallLength'),
    padThickness: toSi(brakes.padThicknessMm, 'smallLength'),
    plateThickness: toSi(brakes.plateThicknessMm, 'smallLength'),
    newPadThickness: toSi(brakes.newPadMm, 'smallLength'),
  };
}

/** Where an axle's pads press, with what is left of them. */
export function taperOf(brakes: AxleBrakes, parts: readonly Part[] = []) {
  const { rotor } = brakes;
  const height = 0.92 * (rotor.outerDiameterMm - rotor.innerDiameterMm) * 0.5;
  return padTaper({
    diameters: brakes.caliper.pistonsMm.map((mm) => toSi(mm, 'smallLength')),
    padLength: (brakes.padAreaCm2 * 100) / height / 1000,
    heldAt: (brakes.padThicknessMm + brakes.plateThicknessMm / 2) / 1000,
    friction: nominalFriction(padOf(brakes.pad, parts)),
  });
}
