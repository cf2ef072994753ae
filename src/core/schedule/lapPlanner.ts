import { cornerOfWheel, ductFlowArea, WHEELS } from '../brake';
import {
  assertFiniteTrace,
  type BrakeCap,
  brakeWork,
  type DrivenLap,
  type Driver,
  forcesOf,
  Laps,
  type LapTrace,
  type PreparedCircuit,
  prepareCircuit,
  type ZoneClicks,
} from '../lap';
import { Recent } from '../numeric';
import type { DayInput, LapLeg, Numerics, SessionPlan } from './dayInput';
import { lapSteps } from './lapSteps';
import { airAt } from './site';
import type { Steps } from './steps';

/** A lap of one kind in one air: how it is driven, and its steps. Never changed by who has it. */
export interface PlannedLap {
  readonly trace: LapTrace;
  readonly steps: Steps;
}

/** What a session's laps are driven in. */
type Conditions = Pick<SessionPlan, 'ambient' | 'trackGrip'>;
export type LapPlanner = (leg: LapLeg, n: number, air: Conditions, caps?: readonly BrakeCap[]) => PlannedLap;

/** Points of the laps that are kept from one day to the next: some 15 numbers each, about 20 MB. */
const MOST_POINTS = 160_000;
/** Laps as planned, by all that they depend on: a search drives the same ones again and again. Whoever gives one away gives a copy. */
const planned = new Recent<PlannedLap>(MOST_POINTS);
/** Circuits made ready, by circuit, wind and spacing. */
const ready = new Recent<PreparedCircuit>(4);

/**
 * How laps are driven: as they were logged, or solved for a leg's pace, the same ones once.
 * @returns a function of the leg, which of its laps, its session's conditions and what the brakes could make of the lap before
 */
export function lapPlanner(input: DayInput, numerics: Numerics): LapPlanner {
  const logged = new Map<DrivenLap, PlannedLap>();
  /** The same of this day by its short name: a long one takes its time to be looked up */
  const asked = new Map<string, PlannedLap>();
  const driving = new Map<string, Laps>();
  const way = JSON.stringify([input.circuit, input.wind, numerics.spacing]);
  const circuit = () => {
    const known = ready.get(way);
    if (known) return known;
    const prepared = prepareCircuit(input.circuit, numerics.spacing, input.wind);
    ready.set(way, prepared);
    return prepared;
  };
  const ducts = ductDragArea(input);
  const { altitude, pressure, humidity, vehicle, clicks } = input;
  const question = JSON.stringify([
    [way, numerics.steps],
    [vehicle, input.driver, clicks, ducts],
    [altitude, pressure, humidity],
  ]);
  return (leg, n, { ambient, trackGrip }, caps = []) => {
    const own = `${leg.pace}/${ambient}/${trackGrip}`;
    const mine = leg.driven?.[n] || caps.length > 0 ? undefined : asked.get(own);
    if (mine) return mine;
    const driver: Driver = { ...input.driver, pace: leg.pace, trackGrip };
    const conditions = { airDensity: airAt(input, ambient).density, ductDragArea: ducts };
    const stepped = (trace: LapTrace): PlannedLap => {
      assertFiniteTrace(trace);
      return { trace, steps: lapSteps(trace, numerics.steps) };
    };
    const driven = leg.driven?.[n];
    if (driven) {
      const known = logged.get(driven);
      if (known) return known;
      const forces = forcesOf(vehicle, driver, conditions.airDensity, ducts);
      const lap = stepped(brakeWork(driven, vehicle, forces));
      logged.set(driven, lap);
      return lap;
    }
    const solved = (zones: readonly ZoneClicks[] = []) => {
      const laps = driving.get(own) ?? new Laps(circuit(), vehicle, driver, conditions);
      driving.set(own, laps);
      return laps.drive(caps, zones);
    };
    if (caps.length > 0) return stepped(clicked(input, solved));
    const key = `${own}/${question}`;
    const known = planned.get(key);
    const lap = known ?? stepped(clicked(input, solved));
    asked.set(own, lap);
    if (known) return known;
    planned.set(key, lap, lap.trace.time.length);
    return lap;
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
