import { MOST_AT_ONCE } from '../heat';
import type { GivenPiece, Steps } from '../schedule';
import type { DemandStep } from './demandStep';

/** Steps from one on in which nothing is braked, as many as are made at once at most. */
export function coastingFrom({ dt, inZone, demand }: Steps, from: number): number {
  const most = Math.min(dt.length, from + MOST_AT_ONCE);
  let k = from;
  while (k < most && inZone[k] === 0 && !(demand && (demand.early[k] > 0 || demand.late[k] > 0))) k++;
  return k - from;
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
  step.fan = steps.fan;
  step.braking = inZone[k] === 1;
  step.distance = steps.distance[k];
  step.zone = zone[k];
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
