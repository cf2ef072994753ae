import { PARAMETER_IDS, PARAMETERS, type ParameterId } from '../../core';
import type { FieldInfo, FieldLimits } from '../schema/field';

/** Words of a parameter, and the range its field usually has; percent of what is computed, or what is added to it. */
interface Described {
  readonly title: string;
  readonly quantity: 'percent' | 'mass' | 'difference';
  readonly usual: readonly [number, number];
  readonly description: string;
}

const DESCRIBED: Readonly<Record<ParameterId, Described>> = {
  frontCooling: {
    title: 'Front cooling',
    quantity: 'percent',
    usual: [70, 130],
    description: 'Of what is computed. ±30 % on a car that has not been measured.',
  },
  rearCooling: {
    title: 'Rear cooling',
    quantity: 'percent',
    usual: [70, 130],
    description: 'Of what is computed.',
  },
  frontSides: {
    title: 'Front side-to-side cooling',
    quantity: 'percent',
    usual: [80, 125],
    description: 'How much better the left front cools than the right; 100 % is alike.',
  },
  rearSides: {
    title: 'Rear side-to-side cooling',
    quantity: 'percent',
    usual: [80, 125],
    description: 'How much better the left rear cools than the right; 100 % is alike.',
  },
  frontFriction: {
    title: 'Front µ',
    quantity: 'percent',
    usual: [90, 110],
    description: 'Of the pad’s table: batches and bedding differ.',
  },
  rearFriction: {
    title: 'Rear µ',
    quantity: 'percent',
    usual: [90, 110],
    description: 'Of the pad’s table.',
  },
  mass: {
    title: 'Mass',
    quantity: 'mass',
    usual: [-20, 40],
    description: 'More or less than planned: fuel, passenger, gear.',
  },
  padHeat: {
    title: 'Heat share of the pads',
    quantity: 'percent',
    usual: [70, 140],
    description: 'Of the share that effusivity gives them: their conductivity.',
  },
  ambient: {
    title: 'Air temperature',
    quantity: 'difference',
    usual: [-4, 6],
    description: 'Warmer or colder than planned.',
  },
  fluidState: {
    title: 'Boiling point of the fluid',
    quantity: 'difference',
    usual: [-20, 5],
    description: 'Over or under what age and class give.',
  },
  driver: {
    title: 'Driver',
    quantity: 'percent',
    usual: [95, 104],
    description: 'Of the planned share of grip used in braking and corners.',
  },
  faceConvection: {
    title: 'Convection of the rotor surfaces',
    quantity: 'percent',
    usual: [70, 140],
    description: 'Of the correlation for a rotating disc.',
  },
  vaneConvection: {
    title: 'Convection in the vanes',
    quantity: 'percent',
    usual: [65, 150],
    description: 'Of the correlation for short channels.',
  },
  plateToFluid: {
    title: 'Pad backing plate to fluid',
    quantity: 'percent',
    usual: [50, 200],
    description: 'Conductance through the pistons, of what the caliper has.',
  },
  fluidToBody: {
    title: 'Fluid to caliper body',
    quantity: 'percent',
    usual: [50, 200],
    description: 'Conductance of the bores, of what the caliper has.',
  },
  ringToHat: {
    title: 'Ring to bell (hat)',
    quantity: 'percent',
    usual: [50, 200],
    description: 'Conductance of the joint, of what the mounting has.',
  },
  hatArea: {
    title: 'Surface of the bell (hat)',
    quantity: 'percent',
    usual: [60, 160],
    description: 'In the air, of a typical bell’s 400 cm².',
  },
  ductInletLoss: {
    title: 'Loss at the duct’s outlet',
    quantity: 'percent',
    usual: [67, 133],
    description: 'Where its air enters rotor or caliper, of a typical 1.5 dynamic heads.',
  },
  emissivity: {
    title: 'Emissivity of the rotor',
    quantity: 'percent',
    usual: [75, 120],
    description: 'Of the material’s: scale and wear change it.',
  },
  corneringGrip: {
    title: 'Grip used in corners',
    quantity: 'percent',
    usual: [90, 110],
    description: 'Tyres’ grip times the share the driver uses, of what is planned.',
  },
  brakingGrip: {
    title: 'Grip used in braking',
    quantity: 'percent',
    usual: [90, 110],
    description: 'Tyres’ grip times the share the driver uses, of what is planned.',
  },
  startTemperature: {
    title: 'Brakes at the start',
    quantity: 'difference',
    usual: [-5, 40],
    description: 'Warmer or colder than the plan begins.',
  },
  padWear: {
    title: 'Pad wear',
    quantity: 'percent',
    usual: [40, 250],
    description: 'Of the friction material that the work is taken to cost.',
  },
  power: {
    title: 'Power',
    quantity: 'percent',
    usual: [93, 105],
    description: 'Of the power at the wheels.',
  },
};

/** What stored values of a parameter are multiplied by to be the core's: percent of a factor, or the same. */
const scaleOf = (id: ParameterId): number => (PARAMETERS[id].how === 'factor' ? 100 : 1);

/** Title, quantity, limits and meaning of a parameter as it is typed. */
export function parameterInfo(id: ParameterId): FieldInfo & FieldLimits {
  const [least, most] = PARAMETERS[id].bounds;
  const scale = scaleOf(id);
  const stored = (value: number) => Math.round(value * scale * 1e6) / 1e6;
  return { ...DESCRIBED[id], min: stored(least), max: stored(most) };
}

/** A typed value of a parameter as the core takes it. */
export const parameterToCore = (id: ParameterId, typed: number): number => typed / scaleOf(id);

/** What is believed of every parameter of a car that has not been measured, as it is typed. */
export const PRIORS = Object.fromEntries(
  PARAMETER_IDS.map((id) => {
    const { low, high } = PARAMETERS[id].prior;
    const stored = (value: number) => Math.round(value * scaleOf(id) * 1e6) / 1e6;
    return [id, { low: stored(low), high: stored(high) }];
  }),
) as Readonly<Record<ParameterId, { readonly low: number; readonly high: number }>>;
