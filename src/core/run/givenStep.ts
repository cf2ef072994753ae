import { MOST_AT_ONCE } from '../heat';
import type { GivenPiece, Steps } from '../schedule';
import type { DemandStep } from './demandStep';

/**
 * Most steps of a braking that are planned at once: pads wear, and their hottest band is known, only from one such stretch
 * to the next.
 */
const BRAKED_AT_ONCE = 8;

/** Steps that are planned together: nothing is braked in them, or they belong to the same braking. */
interface Stretch {
  readonly count: number;
  readonly coasts: boolean;
}
const stretches = new WeakMap<Steps, readonly Stretch[]>();

/** A piece cut into what is planned together; found once, since laps of one kind come again and again. */
export function stretchesOf(steps: Steps): readonly Stretch[] {
  const known = stretches.get(steps);
  if (known) return known;
  const { inZone, zone, demand } = steps;
  const coastsIn = (k: number) => inZone[k] === 0 && !(demand && (demand.early[k] > 0 || demand.late[k] > 0));
  const found: Stretch[] = [];
  const total = steps.dt.length;
  for (let from = 0; from < total; ) {
    const coasts = coastsIn(from);
    const goesOn = (k: number) =>
      coastsIn(k) === coasts && (coasts || (zone[k] === zone[from] && inZone[k] === inZone[from]));
    const most = Math.min(total, from + (coasts ? MOST_AT_ONCE : BRAKED_AT_ONCE));
    let to = from + 1;
    while (to < most && goesOn(to)) to++;
    found.push({ count: to - from, coasts });
    from = to;
  }
  stretches.set(steps, found);
  return found;
}

/**
 * Writes one step of a piece that is known beforehand.
 * @param k the step of the piece
 * @param airDensity kg/m³
 * @param downforceArea of the car, m²
 */
export function takeGiven(
  step: DemandStep,
  { steps, clicks, lap }: GivenPiece,
  k: number,
  airDensity: number,
  downforceArea: number,
): void {
  const { zone, inZone, dt } = steps;
  const speed = steps.speed[k];
  step.dt = dt[k];
  step.event = steps.event[k] === 1;
  step.speed = speed;
  step.braking = inZone[k] === 1;
  const given = steps.demand;
  step.early = given ? given.early[k] : 0;
  step.late = given ? given.late[k] : 0;
  step.way = given ? given.way[k] : 0;
  if (!given) return;
  step.frontLeft = given.frontLeft[k];
  step.rearLeft = given.rearLeft[k];
  const { demand } = step;
  demand.force = given.force[k];
  demand.electric = given.electric[k];
  demand.z = given.z[k];
  demand.downforce = 0.5 * airDensity * downforceArea * steps.airSpeed[k] ** 2;
  demand.trackGrip = lap?.trackGrip ?? 1;
  demand.lateral = (zone[k] >= 0 && steps.lateralBefore[zone[k]]) || 0;
  demand.clicks = (zone[k] >= 0 && clicks[zone[k]]) || 0;
  // Within a braking zone friction is carried on to the middle of the step, which makes the sharing of second order.
  const within = k > 0 && inZone[k] === 1 && inZone[k - 1] === 1 && zone[k - 1] === zone[k];
  step.ahead = within ? (0.5 * dt[k]) / dt[k - 1] : 0;
}
