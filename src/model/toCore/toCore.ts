import {
  type AxleInput,
  boilingPoint,
  boilingUnder,
  type CircuitInput,
  type Corner,
  type DayInput,
  DEFAULT_CONSTANTS,
  type Leg,
  pistonPath,
  pointTable,
  pressureOf,
  type Side,
  type Site,
  type Vehicle,
  waterAfter,
  ZERO_CELSIUS,
} from '../../core';
import { say } from '../../text/en/say/model';
import { fluidOf, padOf } from '../catalogue/choices';
import { CARBON_OVER_TEMPERATURE, ROTOR_MATERIALS } from '../catalogue/materials';
import { isAllCarbon, nominalFriction } from '../catalogue/pads';
import { CALIPER_BODIES, MOUNTINGS, PISTONS } from '../catalogue/parts';
import { SHIMS } from '../catalogue/shims';
import { toSi } from '../quantity/units';
import type { AxleBrakes } from '../schema/axle';
import type { Car } from '../schema/car';
import type { Circuit, CircuitZone } from '../schema/circuit';
import type { Part } from '../schema/part';
import type { Plan, PlanLeg } from '../schema/plan';
import type { Project } from '../schema/project';
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
  if (!plan || !car || !circuit) throw new RangeError(say.projectHasNoComplete(planId));
  const { start } = plan;
  const begun = start.kind === 'state' ? project.states.find(({ id }) => id === start.stateId) : null;
  return { car, circuit, plan, parts: project.parts, begun: begun ?? null };
}

/** Water a car's fluid has met by today, % by mass of a glycol fluid. */
const waterMet = ({ fluid }: Car) =>
  waterAfter(fluid.ageMonths * SECONDS_PER_MONTH, fluid.waterFirstYearPercent);

/** Water in a car's fluid today, % by mass; silicone takes up none. */
export function fluidWater(car: Car, parts: readonly Part[] = []): number {
  return fluidOf(car.fluid.kind, parts).silicone ? 0 : waterMet(car);
}

/** Where a setup is driven. */
export function siteOf({ circuit, plan }: Pick<Setup, 'circuit' | 'plan'>): Site {
  return {
    altitude: circuit.altitudeM,
    pressure: plan.pressureHpa === null ? null : toSi(plan.pressureHpa, 'airPressure'),
    humidity: toSi(plan.humidityPercent, 'percent'),
  };
}

/** Boiling point of a setup's fluid today, in the air pressure of its circuit and plan, °C. */
export function boilingThereC(setup: Setup): number {
  const atSeaLevel = kelvin(fluidBoilingPointC(setup.car, setup.parts));
  return boilingUnder(atSeaLevel, pressureOf(siteOf(setup))) - ZERO_CELSIUS;
}

/** Boiling point of a car's fluid today at sea level, °C: as measured, else from class, age and water. */
export function fluidBoilingPointC(car: Car, parts: readonly Part[] = []): number {
  if (car.fluid.measuredBoilingC !== null) return car.fluid.measuredBoilingC;
  const fluid = fluidOf(car.fluid.kind, parts);
  return (
    boilingPoint(
      {
        dry: kelvin(fluid.dry),
        wet: kelvin(fluid.wet),
        freeWater: fluid.silicone && car.fluid.freeWater,
      },
      waterMet(car),
    ) - ZERO_CELSIUS
  );
}

/** Diameters of all pistons that press at one wheel, mm: of a sliding caliper one side's, of a wheel cylinder two. */
function pressing({ caliper, drum }: AxleBrakes): readonly number[] {
  if (drum) return [drum.cylinderMm, drum.cylinderMm];
  return caliper.kind === 'sliding' ? caliper.pistonsMm : [...caliper.pistonsMm, ...caliper.pistonsMm];
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
      outerDiameter: toSi(rotor.outerDiameterMm, 'smallLength'),
      innerDiameter: toSi(rotor.innerDiameterMm, 'smallLength'),
      thickness: toSi(rotor.thicknessMm, 'smallLength'),
      vaneGap: toSi(rotor.vaneGapMm, 'smallLength'),
      vaneType: rotor.vaneType,
      vaneCount: rotor.vaneCount,
      vaneThickness: toSi(rotor.vaneThicknessMm, 'smallLength'),
      surface: rotor.surface,
      holeCount: rotor.holeCount,
      holeDiameter: toSi(rotor.holeDiameterMm, 'smallLength'),
      slotCount: rotor.slotCount,
      slotWidth: toSi(rotor.slotWidthMm, 'smallLength'),
      slotDepth: toSi(rotor.slotDepthMm, 'smallLength'),
      weighedMass: rotor.weighedKg,
      onePiece: rotor.mounting === 'one-piece',
      hatConductance: mounting.hatConductance,
      // The bell is one mass at the middle of its wall.
      neckLength: toSi(rotor.neckLengthMm + rotor.depthMm / 2, 'smallLength'),
      neckThickness: toSi(rotor.neckThicknessMm, 'smallLength'),
      hatMass: rotor.hatMassKg,
      hatSpecificHeat: mounting.hatSpecificHeat,
    },
    drum: drum && {
      material: ROTOR_MATERIALS[drum.material].material,
      innerDiameter: toSi(drum.innerDiameterMm, 'smallLength'),
      width: toSi(drum.widthMm, 'smallLength'),
      rimThickness: toSi(drum.rimThicknessMm, 'smallLength'),
      ribFactor: drum.ribFactor,
      webMass: drum.webMassKg,
      shoeMass: drum.shoeMassKg,
    },
    pad: {
      conductivity: pad.conductivity,
      density: pad.density,
      specificHeat: pad.specificHeat,
      overTemperature: isAllCarbon(pad) ? CARBON_OVER_TEMPERATURE : null,
      area: toSi(axle.padAreaCm2, 'area'),
      thickness: toSi(axle.padThicknessMm, 'smallLength'),
      plateThickness: toSi(axle.plateThicknessMm, 'smallLength'),
      shimConductance: SHIMS[axle.shim].conductance,
      friction: pointTable(pad.friction.map(([celsius, value]) => [kelvin(celsius), value] as const)),
      nominalFriction: nominalFriction(pad),
      windowLow: kelvin(pad.window[0]),
      limit: kelvin(pad.limit),
      plateLimit: kelvin(pad.plateLimit),
    },
    caliper: {
      mass: caliper.massKg,
      specificHeat: CALIPER_BODIES[caliper.body].specificHeat,
      wettedArea: toSi(caliper.wettedAreaCm2, 'area'),
      pistons: pistonPath({
        diameters: pressing(axle).map((mm) => toSi(mm, 'smallLength')),
        wall: toSi(caliper.pistonWallMm, 'smallLength'),
        conductivity: pistons.conductivity,
        heat: pistons.heat,
        cap: pistons.cap,
      }),
      plateToBody: 0.6,
      fluidToBody: 2.5,
      fluidMass: caliper.fluidKg,
      hoseFluidMass: 0.01,
      sealLimit: kelvin(caliper.sealLimitC),
    },
    air: {
      ductArea: toSi(side === 'left' ? axle.ductAreaCm2 : rightDuct, 'area'),
      ductCoefficient: toSi(axle.ductCoefficientPercent, 'percent'),
      tape: toSi(axle.blankedOffPercent, 'percent'),
      toCaliper: toSi(axle.toCaliperPercent, 'percent'),
      recirculation: toSi(axle.recirculationPercent, 'percent'),
      shield: toSi(axle.shieldPercent, 'percent'),
      wheelOpenArea: toSi(axle.wheelOpenAreaPercent, 'percent'),
      coolingFactor: axle.coolingFactor * (side === 'left' ? axle.leftFactor : axle.rightFactor),
    },
    constants: DEFAULT_CONSTANTS,
  };
}

/** Braking distance of a typed braking zone, m. */
export function zoneLength(zone: CircuitZone): number {
  if (zone.by === 'distance') return zone.distanceM;
  return (toSi(zone.entryKmh, 'speed') ** 2 - toSi(zone.exitKmh, 'speed') ** 2) / (2 * zone.decelerationMs2);
}

/** A stored circuit in SI. */
export function circuitInput(circuit: Circuit): CircuitInput {
  const { layout } = circuit;
  if (layout.kind === 'zones') {
    return {
      kind: 'zones',
      zones: layout.zones.map((zone) => ({
        name: zone.name,
        entrySpeed: toSi(zone.entryKmh, 'speed'),
        exitSpeed: toSi(zone.exitKmh, 'speed'),
        length: zoneLength(zone),
        grade: toSi(zone.gradePercent, 'percent'),
        toNext: zone.toNextM,
        timeToNext: zone.timeToNextS,
      })),
    };
  }
  return {
    kind: 'line',
    segments: layout.segments.map((s) =>
      s.kind === 'straight'
        ? { kind: 'straight', length: s.lengthM, grade: toSi(s.gradePercent, 'percent') }
        : {
            kind: 'corner',
            radius: s.radiusM,
            angle: (s.angleDeg * Math.PI) / 180,
            hand: s.hand,
            grade: toSi(s.gradePercent, 'percent'),
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
    power: toSi(car.powerKw, 'power'),
    intake: car.intake,
    drivenShare: toSi(car.drivenSharePercent, 'percent'),
    rollingResistance: toSi(car.rollingResistancePercent, 'percent'),
    engineBraking: car.engineBrakingN,
    lateralGrip: car.tyres.lateralGrip,
    longitudinalGrip: car.tyres.longitudinalGrip,
    loadSensitivity: toSi(car.tyres.loadSensitivityPercent, 'percent'),
    slipShare: toSi(car.tyres.slipSharePercent, 'percent'),
    abs: car.abs,
    brakes: chainOf(car, parts),
    wheelRadius: toSi(car.tyres.rollingRadiusMm, 'smallLength'),
    trackWidth: toSi(car.trackWidthMm, 'smallLength'),
    loadFollowing: toSi(car.loadFollowingPercent, 'percent'),
    recovery: car.recovery && {
      axle: car.recovery.axle,
      power: toSi(car.recovery.powerKw, 'power'),
      lowestSpeed: toSi(car.recovery.lowestSpeedKmh, 'speed'),
      blending: car.recovery.blending,
      derating:
        car.recovery.derating.length === 0
          ? null
          : pointTable(
              car.recovery.derating.map(
                ({ takenKwh, powerPercent }) =>
                  [toSi(takenKwh, 'batteryEnergy'), toSi(powerPercent, 'percent')] as const,
              ),
            ),
    },
  };
}

const legOf = (leg: PlanLeg): Leg =>
  'laps' in leg
    ? { kind: leg.kind, laps: leg.laps, pace: toSi(leg.pacePercent, 'percent') }
    : { kind: leg.kind, duration: toSi(leg.minutes, 'minutes'), fan: toSi(leg.fanKmh, 'speed') };

/** Everything the computation needs, in SI, from a valid setup. */
export function dayInput(setup: Setup): DayInput {
  const { car, circuit, plan, parts, begun } = setup;
  const boiling = kelvin(boilingThereC(setup));
  const axle = (brakes: AxleBrakes): AxleInput => {
    const left = cornerOf(brakes, 'left', parts);
    // Sides differ in nothing but their air, so the rest is one object.
    const right = { ...left, air: cornerOf(brakes, 'right', parts).air };
    return { left, right, boilingPoint: boiling, water: fluidWater(car, parts) };
  };
  const site = siteOf(setup);
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
      brakingGripUsed: toSi(plan.brakingGripUsedPercent, 'percent'),
      corneringGripUsed: toSi(plan.corneringGripUsedPercent, 'percent'),
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
