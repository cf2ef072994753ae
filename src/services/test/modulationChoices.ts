import { type AxleName, type Modulation, modulation } from '../../core';
import {
  type Car,
  chainOf,
  coldBite,
  fitPart,
  type Part,
  padOf,
  type Setup,
  shelfOf,
  vehicleOf,
} from '../../model';

/** A caliper or pad beside the fitted one: how finely it can be metered, warm and cold. */
export interface ModulationChoice {
  readonly kind: 'fitted' | 'pad' | 'caliper';
  /** Of the part; null for the car as it is fitted */
  readonly id: string | null;
  readonly name: string;
  readonly warm: Modulation;
  /** With the front and rear pads as they bite cold */
  readonly cold: Modulation;
}

function modulationOf(car: Car, parts: readonly Part[]): Pick<ModulationChoice, 'warm' | 'cold'> {
  const vehicle = vehicleOf(car, parts);
  const brakes = chainOf(car, parts);
  const input = { brakes, chassis: vehicle, wheelRadius: vehicle.wheelRadius };
  const bare = { ...input, chassis: { ...vehicle, abs: false } };
  const grip = vehicle.longitudinalGrip;
  return {
    warm: modulation(bare, { front: brakes.front.nominalFriction, rear: brakes.rear.nominalFriction }, grip),
    cold: modulation(
      bare,
      { front: coldBite(padOf(car.front.pad, parts)), rear: coldBite(padOf(car.rear.pad, parts)) },
      grip,
    ),
  };
}

/** The car as it is, with each pad of the shelf, and with each caliper, on an axle. */
export function modulationChoices({ car, parts }: Setup, axle: AxleName): ModulationChoice[] {
  const choice = (kind: 'pad' | 'caliper') =>
    shelfOf(kind, parts).flatMap((part: Part): ModulationChoice[] => {
      if (kind === 'pad' && part.id === car[axle].pad) return [];
      const next = fitPart(car, part, axle);
      // A measured balance belongs to the parts it was measured with.
      return [{ kind, id: part.id, name: part.name, ...modulationOf(next, parts) }];
    });
  const drum = car[axle].drum !== null;
  return [
    { kind: 'fitted', id: null, name: car.name, ...modulationOf(car, parts) },
    ...choice('pad'),
    ...(drum ? [] : choice('caliper')),
  ];
}
