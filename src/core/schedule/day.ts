import { type BrakeCap, type LapTrace, LINE_SPACING } from '../lap';
import type { DayInput, Numerics } from './dayInput';
import { lapPlanner, type PlannedLap } from './lapPlanner';
import type { LegPlan, Outcome, Piece, Schedule } from './piece';
import { DEFAULT_STEPS, type Steps } from './steps';
import { standSteps } from './unbraked';

export const DEFAULT_NUMERICS: Numerics = {
  steps: DEFAULT_STEPS,
  refinement: 1,
  spacing: LINE_SPACING,
};

/**
 * A day at a circuit as a schedule: simulated laps and logged ones, and the times standing. Where the driver brakes earlier,
 * each lap takes up what the brakes could make of the one before.
 * @throws RangeError naming what is not a number and where, or a speed at which the car would lift off
 */
export function daySchedule(input: DayInput, numerics: Numerics = DEFAULT_NUMERICS): Schedule {
  const { sessions } = input;
  const plan = lapPlanner(input, numerics);
  const legs = sessions.flatMap((session, index) =>
    session.legs.map((leg) => ({ leg, index, air: session })),
  );
  const stands = new Map<string, Steps>();
  const stand = (duration: number, fan: number): Steps => {
    const key = `${duration}/${fan}`;
    const steps = stands.get(key) ?? standSteps(duration, fan, numerics.steps);
    stands.set(key, steps);
    return steps;
  };
  return {
    ambient: sessions[0].ambient,
    sided: input.vehicle.loadFollowing !== 0 && input.circuit.kind !== 'zones',
    samples: legs.reduce((sum, { leg, air }) => {
      if ('duration' in leg) return sum + stand(leg.duration, leg.fan).dt.length;
      if (!leg.driven) return sum + leg.laps * plan(leg, 0, air).steps.dt.length;
      return leg.driven.reduce((all, _, n) => all + plan(leg, n, air).steps.dt.length, sum);
    }, 0),
    legs: legs.map(({ leg, index }): LegPlan => ({ session: index, kind: leg.kind })),
    *pieces(): Generator<Piece, void, Outcome> {
      let before: DrivenBefore | null = null;
      for (const [at, { leg, index, air }] of legs.entries()) {
        const where = { kind: 'given' as const, leg: at, ambient: air.ambient };
        if ('duration' in leg) {
          yield { ...where, steps: stand(leg.duration, leg.fan), clicks: [], lap: null };
          continue;
        }
        for (let n = 0; n < leg.laps; n++) {
          const asPlanned = plan(leg, n, air);
          const caps: readonly BrakeCap[] = before && input.brakesEarlier ? capsFrom(asPlanned, before) : [];
          const { trace, steps } = caps.length > 0 ? plan(leg, n, air, caps) : asPlanned;
          const lap = { kind: leg.kind, session: index, trace, trackGrip: air.trackGrip };
          const { available } = yield { ...where, steps, clicks: input.clicks, lap };
          before = { asPlanned, trace, available };
        }
      }
    },
  };
}

/** A lap that was driven, as it was planned, and the least braking that was available in each of its braking zones, N. */
interface DrivenBefore {
  readonly asPlanned: PlannedLap;
  readonly trace: LapTrace;
  readonly available: readonly number[];
}

/**
 * What a driver lets the brakes make of each braking zone of the next lap where they fell short in the lap before: what was
 * available; of a lap that asks for more, as large a share of it. Empty where that, or the lap before, is enough.
 */
function capsFrom(next: PlannedLap, { asPlanned, trace, available }: DrivenBefore): readonly BrakeCap[] {
  let short = false;
  const caps = trace.zones.map((zone, k): BrakeCap => {
    const end = trace.distance[zone.endIndex];
    const asked = peakNeeded(asPlanned, end, k);
    const needed = next === asPlanned ? asked : peakNeeded(next, end, k);
    if (available[k] < asked) short = true;
    return { end, available: asked > 0 ? available[k] * Math.max(1, needed / asked) : available[k], needed };
  });
  return short && caps.some((cap) => cap.available < cap.needed) ? caps : [];
}

/** Greatest braking asked for in the braking zone of a planned lap that ends nearest to a distance, m; N. */
function peakNeeded({ trace, steps }: PlannedLap, end: number, zone: number): number {
  const off = (k: number) => Math.abs(trace.distance[trace.zones[k].endIndex] - end);
  const same = trace.zones.length > zone && off(zone) < 1;
  const index = same ? zone : trace.zones.reduce((best, _, k) => (off(k) < off(best) ? k : best), 0);
  return mostForces(steps)[index] ?? 0;
}

const forces = new WeakMap<Steps, Float64Array>();

/** Greatest braking asked for in each braking zone of some steps, N; found once, since each lap is held against them. */
function mostForces(steps: Steps): Float64Array {
  const known = forces.get(steps);
  if (known) return known;
  const { zone, inZone, demand, meanForce } = steps;
  const most = new Float64Array(meanForce.length);
  for (let k = 0; demand && k < zone.length; k++) {
    if (inZone[k] === 1 && zone[k] >= 0) most[zone[k]] = Math.max(most[zone[k]], demand.force[k]);
  }
  forces.set(steps, most);
  return most;
}
