import {
  type AxleInput,
  boilingPoint,
  type CircuitInput,
  type Corner,
  type DayInput,
  type Leg,
  pressureOf,
  type Side,
  uniformTable,
  type Vehicle,
  waterAfter,
  ZERO_CELSIUS,
} from '../../core';
import { fluidOf, padOf } from '../catalogue/choices';
import { ROTOR_MATERIALS } from '../catalogue/materials';
import { nominalFriction, SHIMS } from '../catalogue/pads';
import { CALIPER_BODIES, MOUNTINGS, PISTONS } from '../catalogue/parts';
import type { AxleBrakes } from '../schema/axle';
import type { Car } from '../schema/car';
import type { Circuit, CircuitStop } from '../schema/circuit';
import type { Part } from '../schema/part';
import type { Plan, PlanLeg, Project } from '../schema/project';
import type { KeptState } from '../schema/state';
import { chainOf, chassisOf } from './chain';
import { startFrom } from './state';

const SECONDS_PER_MONTH = (365.25 * 86400) / 12;

const kelvin = (celsius: number) => celsius + ZERO_CELSIUS;

/** The parts of a project a session is computed from. */
export interface Setup {
  readonly car: Car;
  readonly circuit: Circuit;
  readonly plan: Plan;
  /** The project's own parts */
  readonly parts: readonly Part[];
  /** The kept state the plan begins from; null where it begins from none */
  readonly begun: KeptState | null;
}

/** Car, circuit and plan behind a plan's id; the selected plan's by default. @throws RangeError for an unknown id */
export function setupOf(project: Project, planId = project.selectedPlanId): Setup {
  const plan = project.plans.find((p) => p.id === planId);
  const car = project.cars.find((c) => c.id === plan?.carId);
  const circuit = project.circuits.find((c) => c.id === plan?.circuitId);
  if (!plan || !car || !circuit) throw new RangeError(`The project has no complete plan "${planId}".`);
  const { start } = plan;
  const begun = start.kind === 'state' ? project.states.find(({ id }) => id === start.stateId) : null;
  return { car, circuit, plan, parts: project.parts, begun: begun ?? null };
}

/** Water in a car's fluid today, % by mass. */
export function fluidWater(car: Car): number {
  return waterAfter(car.fluid.ageMonths * SECONDS_PER_MONTH, car.fluid.waterFirstYearPercent);
}

/** Boiling point of a car's fluid today, °C: as measured, else from class, age and water. */
export function fluidBoilingPointC(car: Car, parts: readonly Part[] = []): number {
  if (car.fluid.measuredBoilingC !== null) return car.fluid.measuredBoilingC;
  const fluid = fluidOf(car.fluid.kind, parts);
  return (
    boilingPoint(
      { dry: kelvin(fluid.dry), wet: kelvin(fluid.wet), silicone: fluid.silicone },
      fluidWater(car),
    ) - ZERO_CELSIUS
  );
}

/** One wheel's brake of an axle in SI. */
export function cornerOf(axle: AxleBrakes, side: Side = 'left', parts: readonly Part[] = []): Corner {
  const { rotor, drum, caliper } = axle;
  const pad = padOf(axle.pad, parts);
  const mounting = MOUNTINGS[rotor.mounting];
  const pistons = PISTONS[caliper.pistons];
  const rightDuct = axle.rightDuctAreaCm2 ?? axle.ductAreaCm2;
  return {
    rotor: {
      material: ROTOR_MATERIALS[rotor.material].material,
      outerDiameter: rotor.outerDiameterMm / 1000,
      innerDiameter: rotor.innerDiameterMm / 1000,
      thickness: rotor.thicknessMm / 1000,
      vaneGap: rotor.vaneGapMm / 1000,
      vaneType: rotor.vaneType,
      vaneCount: rotor.vaneCount,
      vaneThickness: rotor.vaneThicknessMm / 1000,
      surface: rotor.surface,
      holeCount: rotor.holeCount,
      holeDiameter: rotor.holeDiameterMm / 1000,
      slotCount: rotor.slotCount,
      slotWidth: rotor.slotWidthMm / 1000,
      slotDepth: rotor.slotDepthMm / 1000,
      weighedMass: rotor.weighedKg,
      onePiece: rotor.mounting === 'one-piece',
      hatConductance: mounting.hatConductance,
      hatMass: rotor.hatMassKg,
      hatSpecificHeat: mounting.hatSpecificHeat,
    },
    drum: drum && {
      material: ROTOR_MATERIALS[drum.material].material,
      innerDiameter: drum.innerDiameterMm / 1000,
      width: drum.widthMm / 1000,
      rimThickness: drum.rimThicknessMm / 1000,
      ribFactor: drum.ribFactor,
      webMass: drum.webMassKg,
      shoeMass: drum.shoeMassKg,
    },
    pad: {
      conductivity: pad.conductivity,
      density: pad.density,
      specificHeat: pad.specificHeat,
      area: axle.padAreaCm2 / 1e4,
      thickness: axle.padThicknessMm / 1000,
      plateThickness: axle.plateThicknessMm / 1000,
      shimConductance: SHIMS[axle.shim].conductance,
      friction: uniformTable(pad.friction.map(([celsius, value]) => [kelvin(celsius), value] as const)),
      nominalFriction: nominalFriction(pad),
      windowLow: kelvin(pad.window[0]),
      limit: kelvin(pad.limit),
      plateLimit: kelvin(pad.plateLimit),
    },
    caliper: {
      mass: caliper.massKg,
      specificHeat: CALIPER_BODIES[caliper.body].specificHeat,
      wettedArea: caliper.wettedAreaCm2 / 1e4,
      plateToFluid: pistons.plateToFluid,
      pistonCapacity: pistons.capacity,
      plateToBody: 0.6,
      fluidToBody: 2.5,
      fluidMass: caliper.fluidKg,
      hoseFluidMass: 0.01,
      sealLimit: kelvin(caliper.sealLimitC),
    },
    air: {
      ductArea: (side === 'left' ? axle.ductAreaCm2 : rightDuct) / 1e4,
      ductCoefficient: axle.ductCoefficientPercent / 100,
      tape: axle.tapePercent / 100,
      toCaliper: axle.toCaliperPercent / 100,
      recirculation: axle.recirculationPercent / 100,
      shield: axle.shieldPercent / 100,
      openness: axle.opennessPercent / 100,
      coolingFactor: axle.coolingFactor * (side === 'left' ? axle.leftFactor : axle.rightFactor),
    },
  };
}

/** Braking distance of a typed stop, m. */
export function stopLength(stop: CircuitStop): number {
  if (stop.by === 'distance') return stop.distanceM;
  return ((stop.entryKmh / 3.6) ** 2 - (stop.exitKmh / 3.6) ** 2) / (2 * stop.decelerationMs2);
}

/** A stored circuit in SI. */
export function circuitInput(circuit: Circuit): CircuitInput {
  const { layout } = circuit;
  if (layout.kind === 'stops') {
    return {
      kind: 'stops',
      stops: layout.stops.map((stop) => ({
        name: stop.name,
        entrySpeed: stop.entryKmh / 3.6,
        exitSpeed: stop.exitKmh / 3.6,
        length: stopLength(stop),
        grade: stop.gradePercent / 100,
        toNext: stop.toNextM,
        timeToNext: stop.timeToNextS,
      })),
    };
  }
  return {
    kind: 'line',
    segments: layout.segments.map((s) =>
      s.kind === 'straight'
        ? { kind: 'straight', length: s.lengthM, grade: s.gradePercent / 100 }
        : {
            kind: 'corner',
            radius: s.radiusM,
            angle: (s.angleDeg * Math.PI) / 180,
            hand: s.hand,
            grade: s.gradePercent / 100,
          },
    ),
    names: layout.segments.map((s) => (s.kind === 'corner' ? s.name : '')),
  };
}

/** A car in SI. */
export function vehicleOf(car: Car, parts: readonly Part[] = []): Vehicle {
  return {
    ...chassisOf(car),
    rotatingInertia: car.rotatingInertia,
    dragArea: car.dragAreaM2,
    downforceArea: car.downforceAreaM2,
    power: car.powerKw * 1000,
    drivenShare: car.drivenSharePercent / 100,
    rollingResistance: car.rollingResistancePercent / 100,
    engineBraking: car.engineBrakingN,
    lateralGrip: car.tyres.lateralGrip,
    longitudinalGrip: car.tyres.longitudinalGrip,
    loadSensitivity: car.tyres.loadSensitivityPercent / 100,
    slipShare: car.tyres.slipSharePercent / 100,
    brakes: chainOf(car, parts),
    wheelRadius: car.tyres.rollingRadiusMm / 1000,
    trackWidth: car.trackWidthMm / 1000,
    innerRelief: car.innerReliefPercent / 100,
    recovery: car.recovery && {
      axle: car.recovery.axle,
      power: car.recovery.powerKw * 1000,
      lowestSpeed: car.recovery.lowestSpeedKmh / 3.6,
      blending: car.recovery.blending,
    },
  };
}

const legOf = (leg: PlanLeg): Leg =>
  'laps' in leg
    ? { kind: leg.kind, laps: leg.laps, pace: leg.pacePercent / 100 }
    : { kind: leg.kind, duration: leg.minutes * 60, fan: leg.fanKmh / 3.6 };

/** Everything the computation needs, in SI, from a valid setup. */
export function dayInput({ car, circuit, plan, parts, begun }: Setup): DayInput {
  const boiling = kelvin(fluidBoilingPointC(car, parts));
  const axle = (brakes: AxleBrakes): AxleInput => {
    const left = cornerOf(brakes, 'left', parts);
    // Sides differ in nothing but their air, so the rest is one object.
    const right = { ...left, air: cornerOf(brakes, 'right', parts).air };
    return { left, right, boilingPoint: boiling, water: fluidWater(car) };
  };
  const site = {
    altitude: circuit.altitudeM,
    pressure: plan.pressureHpa === null ? null : plan.pressureHpa * 100,
    humidity: plan.humidityPercent / 100,
  };
  const axles = { front: axle(car.front), rear: axle(car.rear) };
  const sessions = plan.sessions.map((session) => ({
    name: session.name,
    ambient: kelvin(session.ambientC),
    legs: session.legs.map(legOf),
  }));
  const start =
    plan.start.kind === 'warm'
      ? kelvin(plan.start.temperatureC)
      : begun && startFrom(begun.brakes, axles, sessions[0].ambient, pressureOf(site));
  return {
    vehicle: vehicleOf(car, parts),
    driver: {
      brakingCommitment: plan.brakingCommitmentPercent / 100,
      corneringCommitment: plan.corneringCommitmentPercent / 100,
      brakeBuildUp: plan.brakeBuildUpS,
    },
    circuit: circuitInput(circuit),
    ...site,
    ...axles,
    clicks: plan.clicks,
    brakesEarlier: plan.brakesEarlier,
    start,
    sessions,
  };
}
