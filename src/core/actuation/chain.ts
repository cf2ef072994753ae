/** Vacuum, electric or hydraulic help between pedal and master cylinder. */
export interface Booster {
  /** Force out over force in, up to the knee; 1 or more */
  readonly gain: number;
  /** Force in at which it has no more to give, N; beyond, each newton in is one more out */
  readonly knee: number;
}

/** One bore that feeds all brakes (one circuit) or two chambers in one bore (two circuits). */
export interface OneBore {
  readonly kind: 'single' | 'tandem';
  /** m² */
  readonly area: number;
  /** m */
  readonly stroke: number;
  /** Which wheels each of two circuits feeds; without meaning for a single one */
  readonly split: 'front-rear' | 'diagonal';
}

/** Two cylinders side by side, front and rear, pushed through a balance bar. */
export interface TwoBores {
  readonly kind: 'pair';
  /** m² */
  readonly frontArea: number;
  readonly rearArea: number;
  /** m */
  readonly stroke: number;
  /** Share of the push that goes to the front cylinder, 0 to 1 */
  readonly frontPush: number;
  /** What one click of the driver's control adds to it, 1; 0 without a control */
  readonly click: number;
}
export type Cylinders = OneBore | TwoBores;

/** Pressure limiter of the rear line: up to the knee as it comes, beyond only a share of the rise. */
export interface Valve {
  /** Pa, at the static rear load where it senses load */
  readonly knee: number;
  /** Rear rise over front rise beyond the knee, 0 to 1 */
  readonly slope: number;
  /** Knee gained for each newton on the rear axle over its static load, Pa/N; 0 for a fixed valve */
  readonly perLoad: number;
  /** Load the valve does not see, N: a taller or stiffer spring holds the tail up and blinds it */
  readonly missedLoad: number;
}

/** What one axle's two brakes make of pressure, and what they take of fluid. */
export interface AxleForce {
  readonly kind: BrakeKind;
  /** Piston area of one side of one wheel's caliper, or of one piston of its wheel cylinder, m² */
  readonly pistonArea: number;
  /** Radius at which friction acts, m */
  readonly radius: number;
  /** Factor on its torque that makes a measured brake balance come true; 1 otherwise */
  readonly correction: number;
  /** Friction coefficient at the pad's best, 1 */
  readonly nominalFriction: number;
  /** Friction area of one pad or shoe, m² */
  readonly padArea: number;
  /** Give of one pad: thickness over modulus, m/Pa of pad pressure */
  readonly padGive: number;
  /** Gap of one released pad, m */
  readonly clearance: number;
  /** What a corner at 1 g opens one pad's gap by: hub, bearing and upright give, and the rotor pushes the pads back, m */
  readonly knockBack: number;
  /** Opening of the caliper over its clamping force, m/N */
  readonly opening: number;
  /** Growth of one wheel's hose, m³/Pa */
  readonly hoseExpansion: number;
  /** Fluid of one wheel's brake and line over its bulk modulus, m³/Pa */
  readonly fluidGive: number;
}
export type BrakeKind = 'disc' | 'leading-trailing' | 'duplex';

/** The brakes from foot to tyre. */
export interface BrakeChain {
  /** Foot travel over push-rod travel, 1 */
  readonly pedalRatio: number;
  /** Share of the pedal's force that reaches the push rod, 0 to 1 */
  readonly pedalEfficiency: number;
  readonly booster: Booster | null;
  readonly cylinders: Cylinders;
  readonly valve: Valve | null;
  /** Most the driver presses, N */
  readonly forceLimit: number;
  /** Pedal travel to the floor, m */
  readonly travelLimit: number;
  /** Pedal travel before any fluid moves, m */
  readonly freeTravel: number;
  readonly front: AxleForce;
  readonly rear: AxleForce;
}

/**
 * A number of each axle that is written again and again, as line pressures, Pa. A class, since a plain object would share
 * its shape with every other one of a front and a rear, and where one of those holds anything but a number, each number
 * that is written is put on the heap.
 */
export class Pressures {
  constructor(
    public front = 0,
    public rear = 0,
  ) {}
}

/** Force on the push rod of the cylinders at a pedal force, N. */
export function pushAt(chain: BrakeChain, pedal: number): number {
  const input = pedal * chain.pedalRatio * chain.pedalEfficiency;
  const { booster } = chain;
  if (!booster) return input;
  return input <= booster.knee ? booster.gain * input : booster.gain * booster.knee + (input - booster.knee);
}

/** Pedal force that gives a push, N; the inverse of `pushAt`. */
export function pedalFor(chain: BrakeChain, push: number): number {
  const { booster } = chain;
  let input = push;
  if (booster) {
    const knee = booster.gain * booster.knee;
    input = push <= knee ? push / booster.gain : booster.knee + (push - knee);
  }
  return input / (chain.pedalRatio * chain.pedalEfficiency);
}

/** Share of the push at the front cylinder with some clicks on the driver's control, 0.02 to 0.98. */
export function frontPush(cylinders: TwoBores, clicks: number): number {
  return Math.min(0.98, Math.max(0.02, cylinders.frontPush + clicks * cylinders.click));
}

/** Pressure of each axle for one newton of push, before the valve, Pa/N. */
function perPush(cylinders: Cylinders, clicks: number, out: Pressures): void {
  if (cylinders.kind === 'pair') {
    const share = frontPush(cylinders, clicks);
    out.front = share / cylinders.frontArea;
    out.rear = (1 - share) / cylinders.rearArea;
  } else {
    out.front = 1 / cylinders.area;
    out.rear = out.front;
  }
}

/**
 * Pressure at which the valve begins to hold back, Pa; it rises with the load where the valve feels it.
 * @param extraLoad rear axle load over its static one, N
 */
export function kneeAt(valve: Valve, extraLoad: number): number {
  return Math.max(0, valve.knee + valve.perLoad * (extraLoad - valve.missedLoad));
}

/** Rear pressure behind the valve, Pa. */
export function behindValve(valve: Valve | null, pressure: number, extraLoad: number): number {
  if (!valve) return pressure;
  const knee = kneeAt(valve, extraLoad);
  return pressure <= knee ? pressure : knee + valve.slope * (pressure - knee);
}

/** Line pressures at a push, Pa. @param extraLoad rear axle load over its static one, N */
export function pressuresAt(
  chain: BrakeChain,
  push: number,
  extraLoad: number,
  clicks: number,
  out: Pressures,
): void {
  perPush(chain.cylinders, clicks, out);
  out.front *= push;
  out.rear = behindValve(chain.valve, out.rear * push, extraLoad);
}

/**
 * Push that makes a braking force at the tyres, N; infinite where no push does.
 * @param frontGain of the two front brakes together, N of force per Pa; likewise `rearGain`
 * @param force N
 */
export function pushFor(
  chain: BrakeChain,
  frontGain: number,
  rearGain: number,
  force: number,
  extraLoad: number,
  clicks: number,
  out: Pressures,
): number {
  if (force <= 0) return 0;
  perPush(chain.cylinders, clicks, out);
  const { front, rear } = out;
  const below = frontGain * front + rearGain * rear;
  const { valve } = chain;
  const straight = below > 0 ? force / below : Number.POSITIVE_INFINITY;
  if (!valve) return straight;
  const knee = kneeAt(valve, extraLoad);
  if (straight * rear <= knee) return straight;
  // Beyond the knee: force = g_f·p_f + g_r·(knee + slope·(p_r − knee)), all in a line with the push.
  const above = frontGain * front + rearGain * valve.slope * rear;
  const rest = force - rearGain * knee * (1 - valve.slope);
  return above > 0 ? rest / above : Number.POSITIVE_INFINITY;
}
