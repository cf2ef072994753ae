import { axleOf, rotorGeometry, rotorWear, WHEELS, type WheelName } from '../brake';
import type { DayInput } from '../schedule';
import { frictionHeat } from './flows';
import type { DayResult } from './result';

/** What driving some session takes of a wheel's brake: the use by which its parts are worn. */
export interface WheelLoad {
  /** Friction heat, J */
  readonly energy: number;
  /** Friction material that the inner and the outer pad lose, by the model's index, m */
  readonly innerPad: number;
  readonly outerPad: number;
  /** Thickness that the rotor loses, by the model's index, m */
  readonly rotor: number;
  /** Fatigue damage index of its faces; 0 where heat checks are not what ends the material */
  readonly fatigue: number;
  /** Highest temperatures, K */
  readonly rotorPeak: number;
  readonly padPeak: number;
  readonly fluidPeak: number;
}

export type SessionLoad = Readonly<Record<WheelName, WheelLoad>>;

/** What a driven day takes of each wheel's brake. */
export function sessionLoad(day: DayInput, result: DayResult): SessionLoad {
  const { record, end, peaks, strain } = result;
  const begun = day.start === null || typeof day.start === 'number' ? null : day.start;
  const load = (wheel: WheelName): WheelLoad => {
    const corner = day[axleOf(wheel)].left;
    const { pad, rotor, drum } = corner;
    const before = begun?.[wheel].padThickness ?? { inner: pad.thickness, outer: pad.thickness };
    const after = end[wheel].padThickness;
    const [innerPad, outerPad] = [before.inner - after.inner, before.outer - after.outer];
    const face = drum ? Math.PI * drum.innerDiameter * drum.width : rotorGeometry(rotor).faceArea;
    return {
      energy: frictionHeat(record, record.wheels[wheel], 0, record.time.length - 1),
      innerPad,
      outerPad,
      rotor: rotorWear((innerPad + outerPad) * pad.area, face),
      fatigue: strain[wheel].fatigueDamage ?? 0,
      rotorPeak: peaks[wheel].rotorBulk,
      padPeak: peaks[wheel].padFace,
      fluidPeak: Math.max(peaks[wheel].fluid, peaks[wheel].fluidWall),
    };
  };
  return Object.fromEntries(WHEELS.map((wheel) => [wheel, load(wheel)])) as Record<WheelName, WheelLoad>;
}
