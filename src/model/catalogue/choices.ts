import type { AxleBrakes } from '../schema/axle';
import type { Car } from '../schema/car';
import type { Part, PartKind, PartOf } from '../schema/part';
import { BUILT_IN } from './builtIn';
import type { FluidEntry } from './fluids';
import { FLUIDS } from './fluids';
import type { PadEntry } from './padEntry';
import { PADS } from './pads';
import type { PriceClass } from './price';

export type Axle = 'front' | 'rear';

const ownPart = <K extends PartKind>(parts: readonly Part[], kind: K, id: string) =>
  parts.find((part): part is PartOf<K> => part.kind === kind && part.id === id);

/** The pad behind an id: a built-in one, or one of the project's own. @throws RangeError for an unknown id */
export function padOf(id: string, parts: readonly Part[]): PadEntry {
  if (Object.hasOwn(PADS, id)) return PADS[id as keyof typeof PADS];
  const part = ownPart(parts, 'pad', id);
  if (!part)
    throw new RangeError(`There is no pad "${id}" in the catalogue or among the project’s own parts.`);
  const v = part.values;
  return {
    name: part.name,
    family: v.family,
    note: part.note,
    friction: v.friction.map(({ celsius, mu }) => [celsius, mu] as const),
    window: [v.windowLowC, v.windowHighC],
    limit: v.limitC,
    plateLimit: v.plateLimitC,
    conductivity: v.conductivity,
    density: v.density,
    specificHeat: v.specificHeat,
    modulus: v.modulusMPa,
    dust: v.dust,
    noise: v.noise,
    rotorWear: v.rotorWear,
    price: part.price as PriceClass,
    mass: part.massKg,
  };
}

/** The fluid behind an id. @throws RangeError for an unknown id */
export function fluidOf(id: string, parts: readonly Part[]): FluidEntry {
  if (Object.hasOwn(FLUIDS, id)) return FLUIDS[id as keyof typeof FLUIDS];
  const part = ownPart(parts, 'fluid', id);
  if (!part)
    throw new RangeError(`There is no fluid "${id}" in the catalogue or among the project’s own parts.`);
  const v = part.values;
  return {
    name: part.name,
    class: v.class,
    note: part.note,
    dry: v.dryC,
    wet: v.wetC,
    silicone: v.silicone,
    modulus: v.modulusMPa,
    price: part.price as PriceClass,
    source: part.source,
  };
}

/** All parts there are of a kind: built-in first, then the project's own. */
export function shelfOf<K extends PartKind>(kind: K, parts: readonly Part[]): PartOf<K>[] {
  return [...BUILT_IN, ...parts].filter((part): part is PartOf<K> => part.kind === kind);
}

export const isBuiltIn = (id: string): boolean => BUILT_IN.some((part) => part.id === id);

/** Ids and names to choose a pad or a fluid from. */
export const choices = (kind: 'pad' | 'fluid', parts: readonly Part[]): (readonly [string, string])[] =>
  shelfOf(kind, parts).map((part) => [
    part.id,
    `${part.name} (${part.kind === 'pad' ? part.values.family : part.values.class})`,
  ]);

const onAxle = (car: Car, axle: Axle, change: Partial<AxleBrakes>): Car => ({
  ...car,
  [axle]: { ...car[axle], ...change },
});

/**
 * A car with a part fitted; the values are copied into the car, except for pads and fluids, which it names.
 * @param where the axle; for a cylinder of a pair the bore, for other cylinders, fluids and lines without meaning
 */
export function fitPart(car: Car, part: Part, where: Axle): Car {
  switch (part.kind) {
    case 'rotor':
      return onAxle(car, where, { rotor: part.values, drum: null, effectiveRadiusMm: null });
    case 'pad':
      return onAxle(car, where, { pad: part.id });
    case 'caliper': {
      const { padAreaCm2, ...caliper } = part.values;
      return onAxle(car, where, { caliper, padAreaCm2, drum: null });
    }
    case 'duct':
      return onAxle(car, where, {
        ductAreaCm2: part.values.areaCm2,
        rightDuctAreaCm2: null,
        ductCoefficientPercent: part.values.coefficientPercent,
      });
    case 'fluid':
      // What was measured or has aged was the old fluid.
      return {
        ...car,
        fluid: { ...car.fluid, kind: part.id, ageMonths: 0, measuredBoilingC: null, freeWater: false },
      };
    case 'line':
      return { ...car, pedal: { ...car.pedal, hoseExpansionMm3BarM: part.values.growthMm3BarM } };
    case 'cylinder': {
      const { cylinders } = car.pedal;
      const { boreMm, strokeMm } = part.values;
      const next =
        cylinders.kind === 'pair'
          ? { ...cylinders, strokeMm, [where === 'front' ? 'frontBoreMm' : 'rearBoreMm']: boreMm }
          : { ...cylinders, boreMm, strokeMm };
      return { ...car, pedal: { ...car.pedal, cylinders: next } };
    }
  }
}
