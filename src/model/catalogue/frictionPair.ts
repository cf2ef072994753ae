import type { Car } from '../schema/car';
import type { Part } from '../schema/part';
import { padOf } from './choices';
import { isAllCarbon } from './pads';

/** Which of an axle's two friction partners does not go with the other: carbon rubs on carbon and on nothing else. */
export function wrongPartner(brakes: Car['front'], parts: readonly Part[]): 'pads' | 'rotors' | null {
  if (brakes.drum) return null;
  const carbonRotor = brakes.rotor.material === 'carbon-carbon';
  if (carbonRotor === isAllCarbon(padOf(brakes.pad, parts))) return null;
  return carbonRotor ? 'pads' : 'rotors';
}
