import type { ZoneTechnique } from '../../../core';
import { siText, type UnitChoice } from '../../../model';
import type { BenchPlan } from '../../../services';

/** From which each habit is worth a word. */
const SLOW = 0.45;
const COASTS = 0.3;
const LITTLE = 0.9;
const OFTEN = 0.15;
const LONG_TRAIL = 0.3;

/** What a driver can do better in a braking zone, the largest first; one line where nothing can. */
export function techniqueText(zone: ZoneTechnique, units: UnitChoice): string[] {
  const metres = (value: number) => siText(value, 'distance', units);
  const said: string[] = [];
  if (zone.beyond) {
    said.push('More was braked here than the plan’s share of grip: it is higher than the plan says.');
  } else if (zone.metres > 1) {
    said.push(`Brake ${metres(zone.metres)} later and up to the grip: ${zone.seconds.toFixed(2)} s.`);
  }
  if (zone.coasting > COASTS) {
    said.push(
      `Coasting for ${zone.coasting.toFixed(1)} s before the brake: stay on the throttle until you press.`,
    );
  }
  if (zone.buildUp > SLOW) {
    said.push(`Build-up takes ${zone.buildUp.toFixed(2)} s: press to the peak at once, then release.`);
  }
  if (zone.over > OFTEN) {
    said.push('Held too long: as speed falls, downforce and grip fall with it. Release earlier and evenly.');
  } else if (zone.use < LITTLE) {
    said.push(
      `From the peak on only ${Math.round(100 * zone.use)} % of the grip is used: release along the grip, not before it.`,
    );
  }
  if (zone.stabs > 1) said.push(`Pressed ${zone.stabs} times: one press, one release.`);
  if (zone.trail > LONG_TRAIL) said.push(`Braked into the corner for ${zone.trail.toFixed(1)} s.`);
  return said.length > 0 ? said : ['As good as the plan’s grip allows.'];
}

/** What a bench programme is and keeps. */
export function benchSummary({ programme, apart }: BenchPlan, units: UnitChoice): string {
  const { inertia, ideal, stops, leftOut } = programme;
  const difference = (kelvin: number) => siText(kelvin, 'difference', units);
  const work = stops.reduce((sum, stop) => sum + stop.energy, 0);
  const rounded =
    Math.abs(inertia / ideal - 1) < 0.002
      ? ''
      : ` (${siText(ideal, 'inertia', units)} would carry the wheel’s share)`;
  const changed = stops.filter(({ deviations }) => deviations.some((own) => own !== 'last speed')).length;
  return [
    `Inertia ${siText(inertia, 'inertia', units)}${rounded}, ${stops.length} stops, ${siText(work, 'energy', units)} of work: each stop’s as in the car.`,
    `Compared with the car the rotor core is within ${difference(apart.core)} before and after each stop, the surface peak within ${difference(apart.surface)}.`,
    ...(changed > 0
      ? [
          `${changed} ${changed === 1 ? 'stop is' : 'stops are'} changed by the bench’s limits: see the last column.`,
        ]
      : []),
    ...(leftOut > 0.002
      ? [`${(100 * leftOut).toFixed(1)} % of the work is light braking outside braking zones and left out.`]
      : []),
  ].join(' ');
}
