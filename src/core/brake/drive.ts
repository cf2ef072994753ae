import type { AirProperties } from '../air';
import { CHANNEL } from './channels';
import { blownOn, caliperCoefficient, ductOnFaces, FaceFilm, faceExposure } from './convection';
import type { Corner } from './parts';
import { Passage } from './passage';

/** What drives the network of a corner in one air, from speed to speed. */
export class CornerDrive {
  private readonly passage: Passage;
  private readonly faces: FaceFilm;
  private readonly exposure: number;
  private readonly blown: number;

  /** @param wheelRadius m */
  constructor(
    private readonly corner: Corner,
    air: AirProperties,
    wheelRadius: number,
  ) {
    const { drum, rotor } = corner;
    this.passage = new Passage(corner, air, wheelRadius);
    this.faces = new FaceFilm(air, drum ? drum.innerDiameter : rotor.outerDiameter);
    this.exposure = faceExposure(corner.air);
    this.blown = blownOn(corner, air);
  }

  /**
   * Fills one row of the corner's drive channels.
   * @param rows CHANNEL_COUNT values from `at` on are overwritten
   * @param speed of the car, m/s
   * @param applied whether the pads are on
   * @param fan speed of a fan's air at the standing wheel, m/s
   * @param past speed of the air past the car, m/s: its own but for the wind
   */
  fill(rows: Float64Array, at: number, speed: number, applied: boolean, fan = 0, past = speed): void {
    const { corner, faces, passage, exposure } = this;
    const blows = Math.max(past, fan);
    rows[at + CHANNEL.steady] = 1;
    rows[at + CHANNEL.pad] = 1;
    rows[at + CHANNEL.applied] = applied ? 1 : 0;
    rows[at + CHANNEL.released] = applied ? 0 : 1;
    faces.pass(blows);
    rows[at + CHANNEL.face] = faces.turbulent * exposure;
    rows[at + CHANNEL.faceLaminar] = faces.laminar * exposure;
    rows[at + CHANNEL.blown] = ductOnFaces(faces.laminar + faces.turbulent, this.blown, blows);
    passage.blow(speed, fan, past);
    rows[at + CHANNEL.passage] = passage.conductance;
    rows[at + CHANNEL.caliper] = caliperCoefficient(corner, blows);
    rows[at + CHANNEL.wheel] = 10 + blows;
    rows[at + CHANNEL.still] = Math.max(0, 1 - blows / 5);
  }
}
