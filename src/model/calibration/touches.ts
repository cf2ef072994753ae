import type { AxleName, ParameterId } from '../../core';
import type { Car } from '../schema/car';
import { getAt, labelAt, type Path } from '../schema/paths';

const AXLES: readonly AxleName[] = ['front', 'rear'];
const both = (...keys: string[]): Path[] => AXLES.flatMap((axle) => keys.map((key) => [axle, key]));
const COOLING = [
  'rotor',
  'drum',
  'ductAreaCm2',
  'ductCoefficientPercent',
  'rightDuctAreaCm2',
  'blankedOffPercent',
  'toCaliperPercent',
  'shieldPercent',
  'wheelOpenAreaPercent',
  'recirculationPercent',
  'coolingFactor',
  'leftFactor',
  'rightFactor',
];
const cooling = (axle: AxleName): Path[] => COOLING.map((key) => [axle, key]);

/**
 * What of a car each parameter was measured on: where it differs now, the measurement says nothing of it any more. Null:
 * it was of the day alone (how hard was driven, with how much fuel, how warm it began) and is never carried over.
 */
const TOUCHES: Readonly<Record<ParameterId, readonly Path[] | null>> = {
  frontCooling: cooling('front'),
  rearCooling: cooling('rear'),
  frontSides: cooling('front'),
  rearSides: cooling('rear'),
  frontFriction: [['front', 'pad']],
  rearFriction: [['rear', 'pad']],
  mass: null,
  padHeat: both('pad', 'padAreaCm2'),
  ambient: null,
  fluidState: null,
  driver: null,
  faceConvection: both(...COOLING),
  vaneConvection: both(...COOLING),
  plateToFluid: both('caliper', 'shim', 'plateKind', 'plateThicknessMm'),
  fluidToBody: both('caliper'),
  ringToHat: both('rotor'),
  hatArea: both('rotor'),
  ductInletLoss: both(...COOLING),
  emissivity: both('rotor'),
  corneringGrip: null,
  brakingGrip: null,
  startTemperature: null,
  padWear: both('pad'),
  power: null,
};

/** Whether a parameter is of the day alone, and not of the car. */
export const isOfTheDay = (parameter: ParameterId): boolean => TOUCHES[parameter] === null;

/** Whether a parameter is of how air comes to the wheels: it stays the best estimate where parts are only tried. */
export const isOfTheAir = (parameter: ParameterId): boolean =>
  TOUCHES[parameter]?.some(([, key]) => key === 'ductAreaCm2') ?? false;

/** Wear goes on while a car is driven: what it takes is no other part. */
const WORN: ReadonlySet<string> = new Set(['thicknessMm', 'weighedKg']);
/** A value as text, whatever the order of its keys. */
const plain = (value: unknown): string =>
  JSON.stringify(value, (key, inner: unknown) => {
    if (WORN.has(key)) return undefined;
    if (typeof inner !== 'object' || inner === null || Array.isArray(inner)) return inner;
    return Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)));
  }) ?? '';

const AXLE_WORDS: Readonly<Record<AxleName, string>> = { front: 'front', rear: 'rear' };

/** What of a parameter's parts is other than it was when it was measured: "front pad"; empty where nothing is. */
export function changedSince(parameter: ParameterId, then: Car, now: Car): string[] {
  const paths = TOUCHES[parameter] ?? [];
  const changed = paths.filter((path) => plain(getAt(then, path)) !== plain(getAt(now, path)));
  return [
    ...new Set(
      changed.map(([axle, key]) => `${AXLE_WORDS[axle as AxleName]} ${wordOf(String(key), [axle, key])}`),
    ),
  ];
}

const WORDS: Readonly<Record<string, string>> = {
  rotor: 'rotor',
  drum: 'drum',
  pad: 'pads',
  caliper: 'caliper',
  ductAreaCm2: 'duct',
  rightDuctAreaCm2: 'duct',
  ductCoefficientPercent: 'duct',
  blankedOffPercent: 'duct blanked off',
  toCaliperPercent: 'air to the caliper',
};
const wordOf = (key: string, path: Path): string => WORDS[key] ?? labelAt('cars', path).toLowerCase();
