import {
  BrakingState,
  engineBrakingAt,
  frontLoad,
  kneeAt,
  padPressure,
  rearLoad,
  STANDARD_GRAVITY,
  torquePerPressure,
  type Vehicle,
} from '../../../core';

/** One axle's end of the chain at an instant; SI, of one wheel unless said. */
export interface AxleValues {
  readonly pressure: number;
  /** Force of one side's pistons, N */
  readonly clamp: number;
  readonly padPressure: number;
  readonly torque: number;
  /** Braking of the axle by friction and by the motor, N */
  readonly force: number;
  readonly motor: number;
  /** Load of the axle, N */
  readonly load: number;
  /** Braking over load */
  readonly use: number;
}

/** The whole chain at an instant, SI. */
export interface ChainValues {
  readonly pedal: number;
  readonly push: number;
  readonly travel: number;
  readonly longestTravel: number;
  readonly share: number;
  readonly ideal: number;
  readonly knee: number | null;
  readonly front: AxleValues;
  readonly rear: AxleValues;
  /** Braking of the whole car, N */
  readonly force: number;
}

export interface ChainAsk {
  /** m/s² */
  readonly deceleration: number;
  /** m/s */
  readonly speed: number;
  /** Friction coefficients of the pads */
  readonly front: number;
  readonly rear: number;
}

const AIR = 1.2;

/** What the chain carries at a deceleration on a level road in air of 1.2 kg/m³. */
export function chainValues(vehicle: Vehicle, ask: ChainAsk): ChainValues {
  const { brakes, recovery } = vehicle;
  const state = new BrakingState(brakes, vehicle, vehicle.wheelRadius, recovery);
  const downforce = 0.5 * AIR * vehicle.downforceArea * ask.speed ** 2;
  const weight = vehicle.mass * STANDARD_GRAVITY;
  const drag = 0.5 * AIR * vehicle.dragArea * ask.speed ** 2 + vehicle.rollingResistance * weight;
  const engine = { engine: vehicle.engineBraking, engineOverSpeed: vehicle.engineBrakingOverSpeed };
  const force = Math.max(
    0,
    vehicle.mass * vehicle.rotatingInertia * ask.deceleration - drag - engineBrakingAt(engine, ask.speed),
  );
  const fade = recovery ? Math.min(1, Math.max(0, ask.speed / recovery.lowestSpeed - 1)) : 0;
  const motor = recovery ? Math.min(force, (recovery.power * fade) / Math.max(1, ask.speed)) : 0;
  const z = ask.deceleration / STANDARD_GRAVITY;
  Object.assign(state.demand, { force, electric: motor, z, downforce, clicks: 0 });
  Object.assign(state.condition, {
    frontLeft: ask.front,
    frontRight: ask.front,
    rearLeft: ask.rear,
    rearRight: ask.rear,
  });
  state.solve();
  const axle = (which: 'front' | 'rear'): AxleValues => {
    const pressure = state.pressures[which];
    const part = brakes[which];
    const friction = which === 'front' ? state.frontFriction : state.rearFriction;
    return {
      pressure,
      clamp: pressure * part.pistonArea,
      padPressure: padPressure(part, pressure),
      torque: torquePerPressure(part, ask[which]) * pressure,
      force: friction,
      motor: recovery?.axle === which ? state.electric : 0,
      load: (which === 'front' ? frontLoad : rearLoad)(vehicle, z, downforce),
      use: which === 'front' ? state.frontUse : state.rearUse,
    };
  };
  const extra = rearLoad(vehicle, z, downforce) - rearLoad(vehicle, 0, 0);
  return {
    pedal: state.pedal,
    push: state.pedal * brakes.pedalRatio * brakes.pedalEfficiency,
    travel: state.travel,
    longestTravel: state.travelModel.pedal(state.travelModel.longestPush),
    share: state.share,
    ideal: state.ideal,
    knee: brakes.valve && kneeAt(brakes.valve, extra),
    front: axle('front'),
    rear: axle('rear'),
    force,
  };
}
