import {
  type AxleInput,
  boilingPoint,
  boilingUnder,
  type CircuitInput,
  type DayInput,
  type Leg,
  movedBy,
  pointTable,
  pressureOf,
  type Site,
  type Vehicle,
  type Wind,
  waterAfter,
  ZERO_CELSIUS,
} from '../../core';
import { say } from '../../text/en/say/model';
import { type AppliedCalibration, calibrationOf, doubtOf } from '../calibration/applied';
import { fluidOf } from '../catalogue/choices';
import { toSi } from '../quantity/units';
import type { AxleBrakes } from '../schema/axle';
import type { Car } from '../schema/car';
import type { Circuit, CircuitZone } from '../schema/circuit';
import type { Part } from '../schema/part';
import type { Plan, PlanLeg } from '../schema/plan';
import type { Project } from '../schema/project';
import type { KeptState } from '../schema/state';
import { chainOf, chassisOf } from './chain';
import { cornerOf } from './corner';
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
  /** What was measured of the car and holds for it as it is fitted; null where nothing was */
  readonly calibration: AppliedCalibration | null;
}

/** Car, circuit and plan behind a plan's id; the selected plan's by default. @throws RangeError for an unknown id */
export function setupOf(project: Project, planId = project.selectedPlanId): Setup {
  const plan = project.plans.find((p) => p.id === planId);
  const car = project.cars.find((c) => c.id === plan?.carId);
  const circuit = project.circuits.find((c) => c.id === plan?.circuitId);
  if (!plan || !car || !circuit) throw new RangeError(say.projectHasNoComplete(planId));
  const { start } = plan;
  const begun = start.kind === 'state' ? project.states.find(({ id }) => id === start.stateId) : null;
  return {
    car,
    circuit,
    plan,
    parts: project.parts,
    begun: begun ?? null,
    calibration: calibrationOf(project, car),
  };
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

/** The wind of a plan against its circuit's start line; null where the circuit's directions are not known. */
function windOf({ circuit, plan }: Pick<Setup, 'circuit' | 'plan'>): Wind | null {
  if (!circuit.place || circuit.layout.kind !== 'line' || plan.windKmh === 0) return null;
  // Bearings go round to the right, the line's angles to the left.
  const from = ((circuit.place.bearingDeg - plan.windFromDeg) * Math.PI) / 180;
  return { speed: toSi(plan.windKmh, 'speed'), from };
}

/** Shares over speed in SI; null where there are none. */
const overSpeed = (points: Car['powerCurve']) =>
  points.length === 0
    ? null
    : pointTable(
        points.map(
          ({ speedKmh, sharePercent }) => [toSi(speedKmh, 'speed'), toSi(sharePercent, 'percent')] as const,
        ),
      );

/** How far an ABS control is taken to follow the wheel loads where it is not known, % (own assumption). */
const ABS_FOLLOWS = 50;

/** How far a car's braking follows the wheel loads from side to side, %: as given, else as its kind of brakes does. */
export function loadFollowingPercent(car: Pick<Car, 'loadFollowingPercent' | 'abs'>): number {
  return car.loadFollowingPercent ?? (car.abs ? ABS_FOLLOWS : 0);
}

/** A car in SI. */
export function vehicleOf(car: Car, parts: readonly Part[] = []): Vehicle {
  return {
    ...chassisOf(car),
    rotatingInertia: car.rotatingInertia,
    dragArea: car.dragAreaM2,
    downforceArea: car.downforceAreaM2,
    power: toSi(car.powerKw, 'power'),
    powerOverSpeed: overSpeed(car.powerCurve),
    intake: car.intake,
    drivenShare: toSi(car.drivenSharePercent, 'percent'),
    rollingResistance: toSi(car.rollingResistancePercent, 'percent'),
    engineBraking: car.engineBrakingN,
    engineBrakingOverSpeed: overSpeed(car.engineBrakingCurve),
    lateralGrip: car.tyres.lateralGrip,
    longitudinalGrip: car.tyres.longitudinalGrip,
    loadSensitivity: toSi(car.tyres.loadSensitivityPercent, 'percent'),
    slipShare: toSi(car.tyres.slipSharePercent, 'percent'),
    abs: car.abs,
    brakes: chainOf(car, parts),
    wheelRadius: toSi(car.tyres.rollingRadiusMm, 'smallLength'),
    trackWidth: toSi(car.trackWidthMm, 'smallLength'),
    loadFollowing: toSi(loadFollowingPercent(car), 'percent'),
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

/** Everything the computation needs, in SI, from a valid setup: as calibrated, where the car is. */
export function dayInput(setup: Setup): DayInput {
  const { calibration } = setup;
  const day = asComputed(setup);
  if (!calibration) return day;
  const by = Object.fromEntries(calibration.values.map(({ parameter, value }) => [parameter, value]));
  return { ...movedBy(day, by), doubt: doubtOf(calibration) };
}

/** The same without what was measured of the car. */
function asComputed(setup: Setup): DayInput {
  const { car, circuit, plan, parts, begun } = setup;
  const boiling = kelvin(boilingThereC(setup));
  const axle = (brakes: AxleBrakes): AxleInput => {
    const left = cornerOf(brakes, 'left', parts);
    // Sides differ in nothing but their air, so the rest is one object.
    const right = { ...left, air: cornerOf(brakes, 'right', parts).air };
    const bedded = toSi(brakes.beddedPercent, 'percent');
    return { left, right, boilingPoint: boiling, water: fluidWater(car, parts), bedded };
  };
  const site = siteOf(setup);
  const axles = { front: axle(car.front), rear: axle(car.rear) };
  const sessions = plan.sessions.map((session) => ({
    name: session.name,
    ambient: kelvin(session.ambientC),
    trackGrip: toSi(session.gripPercent, 'percent'),
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
    wind: windOf(setup),
    ...site,
    ...axles,
    clicks: plan.clicks,
    brakesEarlier: plan.brakesEarlier,
    start,
    sessions,
  };
}
