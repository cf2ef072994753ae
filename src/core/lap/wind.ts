import type { SampledLine } from '../circuit';
import { cos, log } from '../numeric';

/** A steady wind over a circuit. */
export interface Wind {
  /** As weather services give it, ten metres up, m/s */
  readonly speed: number;
  /** Where it comes from, against the heading of the line's start, rad, left positive: 0 blows from ahead */
  readonly from: number;
}

/** A line and the wind against a car on it. */
export interface WindyLine extends SampledLine {
  /** m/s, positive against the motion; n + 1. Left out, calm */
  readonly headwind?: Float64Array;
}

/** Roughness of open grass, and the height a car drives in, m. */
const ROUGHNESS = 0.03;
const AT_CAR = 1;
/**
 * Wind at a car over that ten metres up, 1: `ln(z/z₀)/ln(10/z₀)` over open grass, z₀ = 0.03 m (logarithmic profile;
 * World Meteorological Organization, Guide to Instruments, No. 8, from memory).
 */
export const WIND_AT_CAR = log(AT_CAR / ROUGHNESS) / log(10 / ROUGHNESS);

/** A line with the wind along it; buildings, walls and trees are not known. */
export function withWind(line: SampledLine, wind: Wind | null): WindyLine {
  if (!wind || wind.speed === 0) return line;
  const { curvature, distance } = line;
  const headwind = new Float64Array(curvature.length);
  let heading = 0;
  for (let i = 0; i < headwind.length; i++) {
    headwind[i] = wind.speed * WIND_AT_CAR * cos(heading - wind.from);
    if (i + 1 < headwind.length)
      heading += 0.5 * (curvature[i] + curvature[i + 1]) * (distance[i + 1] - distance[i]);
  }
  return { ...line, headwind };
}

/** Share of the road speed that the air at a wheel always has: it turns and takes air round with it (own assumption). */
const STIRRED = 0.5;

/** Speed of the air past a moving car's wheels, m/s. @param headwind m/s */
export const airSpeed = (speed: number, headwind: number): number =>
  Math.max(STIRRED * speed, speed + headwind);
