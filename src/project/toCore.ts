import {
  type AxleInput,
  boilingPoint,
  type CircuitInput,
  type Corner,
  type SessionInput,
  waterAfter,
  ZERO_CELSIUS,
} from '../core';
import type { AxleBrakes, Car } from './carSchema';
import { CALIPER_BODIES, FLUIDS, MOUNTINGS, PADS, PISTONS, ROTOR_MATERIALS } from './catalogue';
import type { Circuit, CircuitStop } from './circuitSchema';
import type { Plan, Project } from './projectSchema';

const SECONDS_PER_MONTH = (365.25 * 86400) / 12;

const kelvin = (celsius: number) => celsius + ZERO_CELSIUS;

/** The parts of a project a session is computed from. */
export interface Setup {
  readonly car: Car;
  readonly circuit: Circuit;
  readonly plan: Plan;
}

/** Car, circuit and plan behind a plan's id; the selected plan's by default. @throws RangeError for an unknown id */
export function setupOf(project: Project, planId = project.selectedPlanId): Setup {
  const plan = project.plans.find((p) => p.id === planId);
  const car = project.cars.find((c) => c.id === plan?.carId);
  const circuit = project.circuits.find((c) => c.id === plan?.circuitId);
  if (!plan || !car || !circuit) throw new RangeError(`The project has no complete plan "${planId}".`);
  return { car, circuit, plan };
}

/** Water in a car's fluid today, % by mass. */
export function fluidWater(car: Car): number {
  return waterAfter(car.fluid.ageMonths * SECONDS_PER_MONTH, car.fluid.waterFirstYearPercent);
}

/** Boiling point of a car's fluid today, °C. */
export function fluidBoilingPointC(car: Car): number {
  const fluid = FLUIDS[car.fluid.kind];
  return (
    boilingPoint(
      { dry: kelvin(fluid.dry), wet: kelvin(fluid.wet), silicone: fluid.silicone },
      fluidWater(car),
    ) - ZERO_CELSIUS
  );
}

/** One wheel's brake of an axle in SI. */
export function cornerOf(axle: AxleBrakes): Corner {
  const { rotor, caliper } = axle;
  const pad = PADS[axle.pad];
  const mounting = MOUNTINGS[rotor.mounting];
  return {
    rotor: {
      material: ROTOR_MATERIALS[rotor.material].material,
      outerDiameter: rotor.outerDiameterMm / 1000,
      innerDiameter: rotor.innerDiameterMm / 1000,
      thickness: rotor.thicknessMm / 1000,
      vaneGap: rotor.vaneGapMm / 1000,
      vaneCount: rotor.vaneCount,
      vaneThickness: rotor.vaneThicknessMm / 1000,
      hatConductance: mounting.hatConductance,
      hatMass: rotor.hatMassKg,
      hatSpecificHeat: mounting.hatSpecificHeat,
    },
    pad: {
      conductivity: pad.conductivity,
      density: pad.density,
      specificHeat: pad.specificHeat,
      area: axle.padAreaCm2 / 1e4,
      thickness: axle.padThicknessMm / 1000,
      plateThickness: axle.plateThicknessMm / 1000,
      windowLow: kelvin(pad.window[0]),
      limit: kelvin(pad.limit),
      plateLimit: kelvin(pad.plateLimit),
    },
    caliper: {
      mass: caliper.massKg,
      specificHeat: CALIPER_BODIES[caliper.body].specificHeat,
      wettedArea: caliper.wettedAreaCm2 / 1e4,
      plateToFluid: PISTONS[caliper.pistons].plateToFluid,
      plateToBody: 0.6,
      fluidToBody: 2.5,
      fluidMass: caliper.fluidKg,
      sealLimit: kelvin(caliper.sealLimitC),
    },
    ductArea: axle.ductAreaCm2 / 1e4,
    ductCoefficient: axle.ductCoefficientPercent / 100,
    recirculation: axle.recirculationPercent / 100,
    coolingFactor: axle.coolingFactor,
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

/** Everything the computation needs, in SI, from a valid setup. */
export function sessionInput({ car, circuit, plan }: Setup): SessionInput {
  const boiling = kelvin(fluidBoilingPointC(car));
  const axle = (brakes: AxleBrakes): AxleInput => ({ corner: cornerOf(brakes), boilingPoint: boiling });
  return {
    vehicle: {
      mass: car.massKg,
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
      frontShare: car.frontSharePercent / 100,
      wheelRadius: car.tyres.rollingRadiusMm / 1000,
      recovery: car.recovery && {
        axle: car.recovery.axle,
        power: car.recovery.powerKw * 1000,
        lowestSpeed: car.recovery.lowestSpeedKmh / 3.6,
      },
    },
    driver: {
      brakingCommitment: plan.brakingCommitmentPercent / 100,
      corneringCommitment: plan.corneringCommitmentPercent / 100,
      brakeBuildUp: plan.brakeBuildUpS,
    },
    circuit: circuitInput(circuit),
    weather: {
      temperature: kelvin(plan.ambientC),
      altitude: circuit.altitudeM,
      humidity: plan.humidityPercent / 100,
    },
    front: axle(car.front),
    rear: axle(car.rear),
    plan: {
      outLaps: plan.outLaps,
      hotLaps: plan.hotLaps,
      coolDownLaps: plan.coolDownLaps,
      outPace: plan.outPacePercent / 100,
      coolDownPace: plan.coolDownPacePercent / 100,
      paddockTime: plan.paddockMin * 60,
    },
  };
}
