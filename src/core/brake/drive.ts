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
 * @param past speed of the air past the car, m/s: its own but for the wind
 */
export function fillDrive(
  row: Float64Array,
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
  row[CHANNEL.steady] = 1;
  row[CHANNEL.pad] = 1;
  row[CHANNEL.applied] = applied ? 1 : 0;
  row[CHANNEL.released] = applied ? 0 : 1;
  const faces = faceCoefficient(air, blows, diameter);
  const exposure = faceExposure(corner.air);
  row[CHANNEL.face] = faces.turbulent * exposure;
  row[CHANNEL.faceLaminar] = faces.laminar * exposure;
  row[CHANNEL.blown] = ductOnFaces(corner, air, blows, faces);
  row[CHANNEL.passage] = passage(corner, air, speed, wheelRadius, fan, past).conductance;
  row[CHANNEL.caliper] = caliperCoefficient(corner, blows);
  row[CHANNEL.wheel] = 10 + blows;
  row[CHANNEL.still] = Math.max(0, 1 - blows / 5);
}
