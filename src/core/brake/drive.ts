import type { AirProperties } from '../air';
import { CHANNEL } from './channels';
import { caliperCoefficient, ductOnFaces, faceCoefficient, faceExposure, passage } from './convection';
import type { Corner } from './parts';

/**
 * Fills one row of a corner's drive channels.
 * @param rows CHANNEL_COUNT values from `at` on are overwritten
 * @param speed of the car, m/s
 * @param wheelRadius m
 * @param applied whether the pads are on
 * @param fan speed of a fan's air at the standing wheel, m/s
 * @param past speed of the air past the car, m/s: its own but for the wind
 */
export function fillDrive(
  rows: Float64Array,
  at: number,
  corner: Corner,
  air: AirProperties,
  speed: number,
  wheelRadius: number,
  applied: boolean,
  fan = 0,
  past = speed,
): void {
  const blows = Math.max(past, fan);
  const diameter = corner.drum ? corner.drum.innerDiameter : corner.rotor.outerDiameter;
  rows[at + CHANNEL.steady] = 1;
  rows[at + CHANNEL.pad] = 1;
  rows[at + CHANNEL.applied] = applied ? 1 : 0;
  rows[at + CHANNEL.released] = applied ? 0 : 1;
  const faces = faceCoefficient(air, blows, diameter);
  const exposure = faceExposure(corner.air);
  rows[at + CHANNEL.face] = faces.turbulent * exposure;
  rows[at + CHANNEL.faceLaminar] = faces.laminar * exposure;
  rows[at + CHANNEL.blown] = ductOnFaces(corner, air, blows, faces);
  rows[at + CHANNEL.passage] = passage(corner, air, speed, wheelRadius, fan, past).conductance;
  rows[at + CHANNEL.caliper] = caliperCoefficient(corner, blows);
  rows[at + CHANNEL.wheel] = 10 + blows;
  rows[at + CHANNEL.still] = Math.max(0, 1 - blows / 5);
}
