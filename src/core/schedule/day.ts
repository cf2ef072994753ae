import { cornerOfWheel, ductFlowArea, WHEELS } from '../brake';
import {
  assertFiniteTrace,
  type BrakeCap,
  brakeWork,
  type DrivenLap,
  type Driver,
  driveLap,
  forcesOf,
  type LapTrace,
  LINE_SPACING,
  prepareCircuit,
  type ZoneClicks,
} from '../lap';
import type { DayInput, LapLeg, Numerics, SessionPlan } from './dayInput';
import { lapSteps } from './lapSteps';
import type { LegPlan, Outcome, Piece, Schedule } from './piece';
import { airAt } from './site';
import { DEFAULT_STEPS, type Steps } from './steps';
import { standSteps } from './unbraked';

export const DEFAULT_NUMERICS: Numerics = {
  steps: DEFAULT_STEPS,
  refinement: 1,
  spacing: LINE_SPACING,
};

/** A lap of one kind in one air: how it is driven, and its steps. */
interface PlannedLap {
  readonly trace: LapTrace;
  readonly steps: Steps;
}

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
      let caps: readonly BrakeCap[] = [];
      for (const [at, { leg, index, air }] of legs.entries()) {
        const where = { kind: 'given' as const, leg: at, ambient: air.ambient };
        if ('duration' in leg) {
          yield { ...where, steps: stand(leg.duration, leg.fan), clicks: [], lap: null };
          continue;
        }
        for (let n = 0; n < leg.laps; n++) {
          const { trace, steps } = plan(leg, n, air, caps);
          const lap = { kind: leg.kind, session: index, trace, trackGrip: air.trackGrip };
          const { available } = yield { ...where, steps, clicks: input.clicks, lap };
          if (input.brakesEarlier) caps = capsFrom(plan(leg, n, air), trace, available);
        }
      }
    },
  };
}

/** What a session's laps are driven in. */
type Conditions = Pick<SessionPlan, 'ambient' | 'trackGrip'>;
type LapPlanner = (leg: LapLeg, n: number, air: Conditions, caps?: readonly BrakeCap[]) => PlannedLap;

/**
 * How laps are driven: as they were logged, or solved for a leg's pace, the same ones once.
 * @returns a function of the leg, which of its laps, its session's conditions and what the brakes could make of the lap before
 */
function lapPlanner(input: DayInput, numerics: Numerics): LapPlanner {
  const circuit = prepareCircuit(input.circuit, numerics.spacing, input.wind);
  const known = new Map<string | DrivenLap, PlannedLap>();
  return (leg, n, { ambient, trackGrip }, caps = []) => {
    const driven = leg.driven?.[n];
    const key = driven ?? `${leg.pace}/${ambient}/${trackGrip}`;
    const anew = caps.length > 0 && !driven;
    const before = known.get(key);
    if (before && !anew) return before;
    const driver: Driver = { ...input.driver, pace: leg.pace, trackGrip };
    const conditions = { airDensity: airAt(input, ambient).density, ductDragArea: ductDragArea(input) };
    const forces = () => forcesOf(input.vehicle, driver, conditions.airDensity, conditions.ductDragArea);
    const solved = (clicks: readonly ZoneClicks[] = []) =>
      driveLap(circuit, input.vehicle, driver, conditions, caps, clicks);
    const trace = driven ? brakeWork(driven, input.vehicle, forces()) : clicked(input, solved);
    assertFiniteTrace(trace);
    const planned = { trace, steps: lapSteps(trace, numerics.steps) };
    if (!anew) known.set(key, planned);
    return planned;
  };
}

/** A lap with the driver's clicks: they belong to the braking zones of the lap as it is without them. */
function clicked(
  { vehicle, clicks }: Pick<DayInput, 'vehicle' | 'clicks'>,
  solved: (clicks?: readonly ZoneClicks[]) => LapTrace,
): LapTrace {
  const plain = solved();
  if (vehicle.abs || !clicks.some((count) => count !== 0)) return plain;
  return solved(
    plain.zones.map(({ endIndex }, k) => ({ end: plain.distance[endIndex], clicks: clicks[k] ?? 0 })),
  );
}

/** The momentum of the air the ducts take, ṁ·V, is the drag of an area Cd·A of twice their flow area, m². */
export function ductDragArea(input: Pick<DayInput, 'front' | 'rear'>): number {
  return 2 * WHEELS.reduce((sum, wheel) => sum + ductFlowArea(cornerOfWheel(input, wheel).air), 0);
}

/** What the brakes could make of each braking zone of a lap, against what is asked of them as planned; empty while enough. */
function capsFrom(asPlanned: PlannedLap, trace: LapTrace, available: readonly number[]): readonly BrakeCap[] {
  const caps = trace.zones.map((zone, k): BrakeCap => {
    const end = trace.distance[zone.endIndex];
    return { end, available: available[k], needed: peakNeeded(asPlanned, end, k) };
  });
  return caps.some((cap) => cap.available < cap.needed) ? caps : [];
}

/** Greatest braking asked for in the braking zone of a planned lap that ends nearest to a distance, m; N. */
function peakNeeded({ trace, steps }: PlannedLap, end: number, zone: number): number {
  const off = (k: number) => Math.abs(trace.distance[trace.zones[k].endIndex] - end);
  const same = trace.zones.length > zone && off(zone) < 1;
  const index = same ? zone : trace.zones.reduce((best, _, k) => (off(k) < off(best) ? k : best), 0);
  const force = steps.demand?.force;
  let most = 0;
  for (let k = 0; k < steps.zone.length; k++) {
    if (force && steps.zone[k] === index && steps.inZone[k] === 1) most = Math.max(most, force[k]);
  }
  return most;
}
