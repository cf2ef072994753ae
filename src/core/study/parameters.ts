import type { AxleInput, Corner } from '../brake';
import type { DayInput } from '../schedule';
import {
  bothGripUsed,
  constant,
  cooled,
  gripUsed,
  onAxle,
  onBoth,
  rubbed,
  sided,
  warmerStart,
} from './parameterActs';

/** A number of a day that may be moved, drawn, compared, fitted or calibrated. */
interface Parameter {
  /** A factor on what the day has, or something added to it (K, kg) */
  readonly how: 'factor' | 'added';
  /** Least and most it may be moved by */
  readonly bounds: readonly [number, number];
  /** What is believed of it for a car that has not been measured: 95 % lie within, most in the middle */
  readonly prior: { readonly low: number; readonly high: number; readonly source: string };
  /** The day with it moved by a value within the bounds */
  readonly act: (day: DayInput, value: number) => DayInput;
}

/**
 * Every parameter of a day, in the order they are drawn and listed in: what-if, uncertainty, the range of the cooling and
 * fitting use this one list. Its words and its place in the project are the model's; one without them does not compile.
 */
export const PARAMETERS = {
  frontCooling: {
    how: 'factor',
    bounds: [0.1, 4],
    prior: { low: 0.7, high: 1.3, source: 'own estimate: no car is measured yet' },
    act: onAxle('front', cooled),
  },
  rearCooling: {
    how: 'factor',
    bounds: [0.1, 4],
    prior: { low: 0.7, high: 1.3, source: 'own estimate: no car is measured yet' },
    act: onAxle('rear', cooled),
  },
  frontSides: {
    how: 'factor',
    bounds: [0.25, 4],
    prior: {
      low: 0.8,
      high: 1.25,
      source: 'own estimate: hoses, wind and wheel arches differ from side to side',
    },
    act: sided('front'),
  },
  rearSides: {
    how: 'factor',
    bounds: [0.25, 4],
    prior: { low: 0.8, high: 1.25, source: 'own estimate: as at the front' },
    act: sided('rear'),
  },
  frontFriction: {
    how: 'factor',
    bounds: [0.2, 2],
    prior: { low: 0.9, high: 1.1, source: 'from memory: batches and bedding' },
    act: onAxle('front', rubbed),
  },
  rearFriction: {
    how: 'factor',
    bounds: [0.2, 2],
    prior: { low: 0.9, high: 1.1, source: 'from memory: batches and bedding' },
    act: onAxle('rear', rubbed),
  },
  mass: {
    how: 'added',
    bounds: [-500, 500],
    prior: { low: -15, high: 25, source: 'common practice: fuel, passenger, gear' },
    act: (day, value) => ({
      ...day,
      vehicle: { ...day.vehicle, mass: Math.max(50, day.vehicle.mass + value) },
    }),
  },
  padHeat: {
    how: 'factor',
    bounds: [0.2, 4],
    prior: { low: 0.7, high: 1.4, source: 'from memory: conductivities of friction materials' },
    // Heat is shared by effusivity, √(kρc): its square on the conductivity is the factor on the pads' part.
    act: onBoth(({ pad, ...corner }, value) => ({
      ...corner,
      pad: { ...pad, conductivity: pad.conductivity * Math.max(0.01, value * value) },
    })),
  },
  ambient: {
    how: 'added',
    bounds: [-30, 30],
    prior: { low: -3, high: 5, source: 'common practice: a forecast of the day before' },
    act: (day, value) => ({
      ...day,
      sessions: day.sessions.map((s) => ({ ...s, ambient: s.ambient + value })),
    }),
  },
  fluidState: {
    how: 'added',
    bounds: [-120, 60],
    prior: { low: -15, high: 5, source: 'from memory: water by age' },
    act: (day, value) => {
      const boiling = (axle: AxleInput) => ({ ...axle, boilingPoint: axle.boilingPoint + value });
      return { ...day, front: boiling(day.front), rear: boiling(day.rear) };
    },
  },
  driver: {
    how: 'factor',
    bounds: [0.5, 1.3],
    prior: { low: 0.96, high: 1.03, source: 'common practice' },
    act: bothGripUsed('brakingGripUsed', 'corneringGripUsed'),
  },
  faceConvection: {
    how: 'factor',
    bounds: [0.2, 5],
    prior: { low: 0.7, high: 1.4, source: 'scatter of correlations for rotating discs (from memory)' },
    act: onBoth(constant('faceConvection')),
  },
  vaneConvection: {
    how: 'factor',
    bounds: [0.2, 5],
    prior: { low: 0.65, high: 1.5, source: 'scatter of correlations for short channels (from memory)' },
    act: onBoth(constant('vaneConvection')),
  },
  plateToFluid: {
    how: 'factor',
    bounds: [0.1, 5],
    prior: { low: 0.5, high: 2, source: 'from memory: no handbook gives it' },
    act: onBoth(constant('plateToFluid')),
  },
  fluidToBody: {
    how: 'factor',
    bounds: [0.1, 5],
    prior: { low: 0.5, high: 2, source: 'from memory: no handbook gives it' },
    act: onBoth(({ caliper, ...corner }, value) => ({
      ...corner,
      caliper: { ...caliper, fluidToBody: caliper.fluidToBody * value },
    })),
  },
  ringToHat: {
    how: 'factor',
    bounds: [0.1, 5],
    prior: { low: 0.5, high: 2, source: 'from memory: bobbins and joints differ' },
    act: onBoth(constant('ringToHat')),
  },
  hatArea: {
    how: 'factor',
    bounds: [0.2, 4],
    prior: { low: 0.6, high: 1.6, source: 'from memory: shapes of bells differ' },
    act: onBoth(constant('hatArea')),
  },
  ductInletLoss: {
    how: 'factor',
    bounds: [0.1, 4],
    prior: { low: 0.67, high: 1.33, source: 'from memory: one to two dynamic heads' },
    act: onBoth(constant('ductInletLoss')),
  },
  emissivity: {
    how: 'factor',
    bounds: [0.3, 1.3],
    prior: { low: 0.75, high: 1.2, source: 'from memory: worn iron to scaled iron' },
    act: onBoth(({ rotor, drum, ...corner }, value) => {
      const radiating = <T extends { readonly material: Corner['rotor']['material'] }>(part: T): T => ({
        ...part,
        material: {
          ...part.material,
          emissivity: Math.min(1, Math.max(0.02, part.material.emissivity * value)),
        },
      });
      return { ...corner, rotor: radiating(rotor), drum: drum && radiating(drum) };
    }),
  },
  corneringGrip: {
    how: 'factor',
    bounds: [0.3, 3],
    prior: { low: 0.9, high: 1.1, source: 'own estimate; a log tells' },
    act: gripUsed('corneringGripUsed'),
  },
  brakingGrip: {
    how: 'factor',
    bounds: [0.3, 3],
    prior: { low: 0.9, high: 1.1, source: 'own estimate; a log tells' },
    act: gripUsed('brakingGripUsed'),
  },
  startTemperature: {
    how: 'added',
    bounds: [-60, 300],
    prior: { low: -4, high: 12, source: 'own estimate: brakes that stood are seldom quite cold' },
    act: (day, value) => ({ ...day, start: warmerStart(day, value) }),
  },
  padWear: {
    how: 'factor',
    bounds: [0.1, 10],
    prior: { low: 0.4, high: 2.5, source: 'from memory: wear rates of friction materials scatter widely' },
    act: onBoth(constant('padWear')),
  },
  power: {
    how: 'factor',
    bounds: [0.3, 3],
    prior: { low: 0.93, high: 1.05, source: 'common practice: engine, air and gearing' },
    act: (day, value) => ({ ...day, vehicle: { ...day.vehicle, power: day.vehicle.power * value } }),
  },
} as const satisfies Record<string, Parameter>;

export type ParameterId = keyof typeof PARAMETERS;
export const PARAMETER_IDS = Object.keys(PARAMETERS) as ParameterId[];

/** A move of a parameter that lies outside its bounds: named, refused. */
export class ParameterError extends RangeError {
  constructor(
    readonly parameter: ParameterId,
    readonly value: number,
  ) {
    const [least, most] = PARAMETERS[parameter].bounds;
    super(`Parameter ${parameter}: ${value} was given; ${least} to ${most} was expected.`);
  }
}

/**
 * A day with one parameter moved.
 * @param value a factor, or K or kg to be added
 * @throws ParameterError for a value outside its bounds
 */
export function moved(day: DayInput, parameter: ParameterId, value: number): DayInput {
  const { bounds, act }: Parameter = PARAMETERS[parameter];
  if (!(value >= bounds[0] && value <= bounds[1])) throw new ParameterError(parameter, value);
  return act(day, value);
}

/**
 * A day with several parameters moved, in the order of `PARAMETERS`.
 * @param by factors, or K or kg to be added
 * @throws ParameterError for a value outside its bounds
 */
export const movedBy = (day: DayInput, by: Readonly<Partial<Record<ParameterId, number>>>): DayInput =>
  PARAMETER_IDS.reduce((now, id) => (by[id] === undefined ? now : moved(now, id, by[id])), day);
