import type { AirProperties } from '../air';
import { CHANNEL, CHANNEL_COUNT, type Corner, drumGeometry, passage, rotorGeometry } from '../brake';
import type { WheelRecord } from '../run';

/** Share of the road speed at which air goes through the open part of a wheel (from memory). */
const THROUGH = 0.1;
/** The air in a wheel is never warmer over the air outside than this share of the rotor is (own assumption). */
const MOST = 0.5;

/**
 * How much warmer the air between brake and rim is than the air outside, K: what faces and vanes give off, carried by
 * the passage's own flow and by what goes through the wheel, `ΔT = Q/(ṁ·c_p)`.
 * @param speed of the air past the wheel, m/s
 * @param wheelRadius m
 * @param air outside
 * @param ambient K
 * @param sample of the wheel's record
 */
export function outflowRise(
  corner: Corner,
  wheel: WheelRecord,
  sample: number,
  speed: number,
  wheelRadius: number,
  air: AirProperties,
  ambient: number,
): number {
  const { rotor, drum } = corner;
  const at = sample * CHANNEL_COUNT;
  const { drive } = wheel;
  const over = (kelvin: number) => Math.max(0, kelvin - ambient);
  const most = MOST * over(wheel.rotorBulk[sample]);
  const diameter = drum ? drum.innerDiameter : rotor.outerDiameter;
  const area = drum ? drumGeometry(drum).outer : 2 * rotorGeometry(rotor).faceArea;
  const faces =
    (drive[at + CHANNEL.face] + drive[at + CHANNEL.faceLaminar] + drive[at + CHANNEL.blown]) *
    corner.air.coolingFactor *
    area;
  const given =
    faces * over(wheel.rotorFace[sample]) + drive[at + CHANNEL.passage] * over(wheel.rotorInner[sample]);
  const open = corner.air.wheelOpenArea * (Math.PI / 4) * diameter * diameter;
  const flow = THROUGH * open * speed * air.density + passage(corner, air, speed, wheelRadius).massFlow;
  return flow > 0 ? Math.min(most, given / (flow * air.specificHeat)) : most;
}
