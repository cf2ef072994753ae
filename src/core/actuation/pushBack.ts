import type { BrakeChain } from './chain';
import { closingVolume, PedalTravel } from './travel';

/**
 * Fluid that one wheel gives back as its pads are pushed apart, m³. Fixed caliper or sliding: 2·A·x.
 * @param pistonArea of one side, m²
 * @param apart how much further each pad comes to stand from the rotor's middle, m; negative where it comes nearer
 */
export const pushedBack = (pistonArea: number, apart: number): number => 2 * pistonArea * Math.max(0, apart);

/** How far each pad can be pushed apart until the pistons are home, m. All m. */
export const roomToHome = (opening: number, rotor: number, pad: number, plate: number): number =>
  Math.max(0, 0.5 * (opening - rotor - 2 * (pad + plate)));

/** The first push after pistons were pushed back. */
export interface FirstPush {
  /** Fluid that closes the gaps, both axles, m³ */
  readonly volume: number;
  /** Full strokes of the pedal before it is firm */
  readonly pumps: number;
}

/**
 * Pushes it takes until pads stand at the rotors again.
 * @param openFront fluid the two front brakes must take beside their usual gaps, m³; likewise `openRear`
 */
export function firstPush(chain: BrakeChain, openFront: number, openRear: number): FirstPush {
  const front = closingVolume(chain.front) + openFront;
  const rear = closingVolume(chain.rear) + openRear;
  const { longestPush } = new PedalTravel(chain);
  const { cylinders } = chain;
  // A pair's longer way counts: each cylinder feeds its own axle.
  const strokes =
    cylinders.kind === 'pair'
      ? Math.max(front / cylinders.frontArea, rear / cylinders.rearArea) / longestPush
      : (front + rear) / (cylinders.area * longestPush);
  return { volume: front + rear, pumps: Math.max(1, Math.ceil(strokes - 1e-9)) };
}
