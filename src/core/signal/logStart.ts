import {
  axleOf,
  type BrakeState,
  type CarState,
  cornerNetwork,
  cornerOfWheel,
  freshState,
  sideOf,
  WHEELS,
  type WheelName,
  warmed,
  wheelOf,
} from '../brake';
import { type BrakedCar, pressureOf, type Site } from '../schedule';
import type { Channel, RawLog } from './channels';

/** What is read of a wheel's brake as a log begins. */
const READ: Readonly<Record<WheelName, Readonly<Record<'rotor' | 'caliper' | 'fluid', Channel>>>> = {
  frontLeft: { rotor: 'rotorFrontLeft', caliper: 'caliperFrontLeft', fluid: 'fluidFront' },
  frontRight: { rotor: 'rotorFrontRight', caliper: 'caliperFrontRight', fluid: 'fluidFront' },
  rearLeft: { rotor: 'rotorRearLeft', caliper: 'caliperRearLeft', fluid: 'fluidRear' },
  rearRight: { rotor: 'rotorRearRight', caliper: 'caliperRearRight', fluid: 'fluidRear' },
};
/** A sensor that says nothing for longer is not one of the start, s. */
const SOON = 10;

/**
 * Brakes as a log's sensors find them when it begins. Pads are taken to be as warm as the rotor, the hat half-way between
 * rotor and air, the pistons as warm as the caliper, and the fluid too where it is not measured (own assumption); a wheel
 * without a sensor begins as the other of its axle, else as cold as the air.
 * @param log time in s, temperatures in K
 * @param ambient K
 * @returns null where no temperature is logged
 */
export function logStart(car: BrakedCar & Site, log: RawLog, ambient: number): CarState | null {
  const first = (channel: Channel): number | null => {
    const values = log.channels[channel];
    if (!values) return null;
    const begun = log.time[0];
    for (let i = 0; i < values.length && log.time[i] - begun <= SOON; i++) {
      if (Number.isFinite(values[i])) return values[i];
    }
    return null;
  };
  const readings = Object.fromEntries(
    WHEELS.map((wheel) => {
      const { rotor, caliper, fluid } = READ[wheel];
      return [wheel, { rotor: first(rotor), caliper: first(caliper), fluid: first(fluid) }];
    }),
  ) as Record<WheelName, Record<'rotor' | 'caliper' | 'fluid', number | null>>;
  if (WHEELS.every((wheel) => Object.values(readings[wheel]).every((value) => value === null))) return null;
  return Object.fromEntries(
    WHEELS.map((wheel): [WheelName, BrakeState] => {
      const axle = axleOf(wheel);
      const other = wheelOf(axle, sideOf(wheel) === 'left' ? 'right' : 'left');
      const rotor = readings[wheel].rotor ?? readings[other].rotor;
      const caliper = readings[wheel].caliper ?? readings[other].caliper;
      const fluid = readings[wheel].fluid ?? caliper;
      const corner = cornerOfWheel(car, wheel);
      const layout = cornerNetwork(corner, ambient, pressureOf(car));
      const cold = freshState(corner, layout, ambient, car[axle].water, car[axle].bedded);
      return [
        wheel,
        warmed(cold, layout, {
          ...(rotor !== null && { rotor, pads: rotor, hat: 0.5 * (rotor + ambient) }),
          ...(caliper !== null && { caliper, pistons: caliper }),
          ...(fluid !== null && { fluid }),
        }),
      ];
    }),
  ) as CarState;
}
