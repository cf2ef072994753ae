import { type AxleForce, type BrakeChain, frontPush } from './chain';
import { torquePerPressure } from './gains';

/** Brake balance of the braking with every pad at its best, under the valve's knee and without corrections, 0 to 1. */
export function naturalShare({ cylinders, front, rear }: BrakeChain): number {
  const torque = (axle: AxleForce) => torquePerPressure({ ...axle, correction: 1 }, axle.nominalFriction);
  const [pushFront, pushRear] =
    cylinders.kind === 'pair'
      ? [cylinders.frontPush / cylinders.frontArea, (1 - cylinders.frontPush) / cylinders.rearArea]
      : [1, 1];
  const a = torque(front) * pushFront;
  const b = torque(rear) * pushRear;
  // A bar all the way to one side still leaves a hair to the other, so that a wanted share can be met.
  return Math.min(0.999, Math.max(0.001, a / (a + b)));
}

/** The same with the corrections in it. */
export function nominalShare(chain: BrakeChain): number {
  const own = naturalShare(chain);
  const a = own * chain.front.correction;
  const b = (1 - own) * chain.rear.correction;
  return a / (a + b);
}

/** A chain whose torques are corrected so that its brake balance comes out as wanted, 0 to 1. */
export function withShare(chain: BrakeChain, wanted: number): BrakeChain {
  const own = naturalShare(chain);
  return {
    ...chain,
    front: { ...chain.front, correction: wanted / own },
    rear: { ...chain.rear, correction: (1 - wanted) / (1 - own) },
  };
}

/**
 * Clicks on a balance control that bring a share to another, whole ones, besides those that are set; + is to the front.
 * @param share brake balance as it is, 0 to 1; likewise `wanted`
 * @param set clicks with which it is so
 * @param towards `front`: never less than wanted
 */
export function clicksFor(
  chain: BrakeChain,
  share: number,
  wanted: number,
  set = 0,
  towards: 'nearest' | 'front' = 'nearest',
): number {
  const { cylinders } = chain;
  if (cylinders.kind !== 'pair' || cylinders.click <= 0 || share <= 0 || share >= 1) return 0;
  const push = frontPush(cylinders, set);
  const odds = ((wanted / (1 - wanted)) * (push / (1 - push))) / (share / (1 - share));
  const clicks = (odds / (1 + odds) - push) / cylinders.click;
  // Half a click towards the rear would leave the rear to lock first.
  return towards === 'front' ? Math.ceil(clicks - 1e-6) : Math.round(clicks);
}
