import type { AirProperties } from '../air';
import { CHANNEL } from './channels';
import { caliperCoefficient, ductOnFaces, faceCoefficient, faceExposure, passage } from './convection';
import type { Corner } from './parts';

/**
 * Fills one row of a corner's drive channels.
 * @param row CHANNEL_COUNT values, overwritten
 * @param speed of the car, m/s
 * @param wheelRadius m
 * @param applied whether the pads are on
 * @param fan speed of a fan's air at the standing wheel, m/s
 */
export function fillDrive(
  row: Float64Array,
  corner: Corner,
  air: AirProperties,
  speed: number,
  wheelRadius: number,
  applied: boolean,
  fan = 0,
): void {
  const diameter = corner.drum ? corner.drum.innerDiameter : corner.rotor.outerDiameter;
  row[CHANNEL.steady] = 1;
  row[CHANNEL.applied] = applied ? 1 : 0;
  row[CHANNEL.released] = applied ? 0 : 1;
  const faces = faceCoefficient(air, Math.max(speed, fan), diameter);
  const exposure = faceExposure(corner.air);
  row[CHANNEL.face] = faces.turbulent * exposure;
  row[CHANNEL.faceLaminar] = faces.laminar * exposure;
  row[CHANNEL.blown] = ductOnFaces(corner, air, Math.max(speed, fan));
  row[CHANNEL.passage] = passage(corner, air, speed, wheelRadius, fan).conductance;
  row[CHANNEL.caliper] = caliperCoefficient(corner, Math.max(speed, fan));
  row[CHANNEL.wheel] = 10 + Math.max(speed, fan);
  row[CHANNEL.still] = Math.max(0, 1 - Math.max(speed, fan) / 5);
}
