import { type Corner, DEFAULT_CONSTANTS, pistonPath, pointTable, type Side, ZERO_CELSIUS } from '../../core';
import { usualBedding } from '../catalogue/bedding';
import { padOf } from '../catalogue/choices';
import { CARBON_OVER_TEMPERATURE, ROTOR_MATERIALS } from '../catalogue/materials';
import { isAllCarbon, nominalFriction } from '../catalogue/pads';
import { CALIPER_BODIES, MOUNTINGS, PISTONS } from '../catalogue/parts';
import { PLATES } from '../catalogue/plates';
import { SHIMS } from '../catalogue/shims';
import { toSi } from '../quantity/units';
import type { AxleBrakes } from '../schema/axle';
import type { Part } from '../schema/part';

const kelvin = (celsius: number) => celsius + ZERO_CELSIUS;

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
  const { bed, seconds } = usualBedding(pad);
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
      plateLimit: kelvin(pad.plateLimit) + PLATES[axle.plateKind].stands,
      bedding: { low: kelvin(bed[0]), high: kelvin(bed[1]), time: seconds },
    },
    caliper: {
      sliding: caliper.kind === 'sliding',
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
    sides: drum ? 'together' : axle.sides,
    constants: DEFAULT_CONSTANTS,
  };
}
