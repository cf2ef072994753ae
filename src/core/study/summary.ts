import { AXLES, type AxleName, axleOf, WHEELS, type WheelName } from '../brake';
import { type LapTrace, lapHeat, lapTime } from '../lap';
import { type DayResult, hottestLap, type ZoneForce, type ZoneLimit } from '../run';
import { type DayInput, ductDragArea, type LapKind } from '../schedule';

/** One axle's hotter brake through one braking zone, K. */
export interface AxleZone {
  readonly faceBefore: number;
  readonly facePeak: number;
  readonly bulkAfter: number;
  readonly padFaceBefore: number;
  readonly fluidAfter: number;
}

export interface SummaryZone extends Readonly<Record<AxleName, AxleZone>> {
  readonly name: string;
  /** Where it begins, m from the start line */
  readonly distance: number;
  /** m/s */
  readonly entrySpeed: number;
  readonly exitSpeed: number;
  /** Heat into all four brakes, J */
  readonly energy: number;
  readonly force: ZoneForce;
}

/** A lap as far as words and a comparison need it. */
export interface SummaryLap {
  readonly kind: LapKind;
  readonly number: number;
  readonly session: number;
  readonly numberInSession: number;
  readonly startTime: number;
  readonly lapTime: number;
  readonly trace: { readonly zones: readonly { readonly name: string }[] };
}

/** A day without its series: small enough to keep many of. */
export interface DaySummary
  extends Pick<
    DayResult,
    | 'legs'
    | 'verdict'
    | 'fade'
    | 'audit'
    | 'margins'
    | 'forceMargins'
    | 'strain'
    | 'peaks'
    | 'drivingTime'
    | 'doubt'
    | 'heldByLift'
  > {
  readonly laps: readonly SummaryLap[];
  /** Hot lap as first driven, s; and the heat into all four brakes in it, J */
  readonly lapTime: number;
  readonly lapHeat: number;
  /** Mean braking power of the hot lap, W */
  readonly lapPower: number;
  /** Heat into all four brakes over the day, J */
  readonly heat: number;
  /** Car as driven, kg */
  readonly mass: number;
  /** Drag area of the ducts, m² */
  readonly ductDragArea: number;
  /** Lap whose stops are listed: the hottest */
  readonly zonesOfLap: number;
  readonly zones: readonly SummaryZone[];
  /** What limits the hot laps' braking zones: how many of each kind */
  readonly limits: Readonly<Partial<Record<ZoneLimit, number>>>;
  /** Hot laps' braking zones at which the rear is nearer to locking, and all of them */
  readonly rearFirst: number;
  readonly hotZones: number;
  /** Friction material one pad loses over the day, m; an index */
  readonly padWear: Readonly<Record<WheelName, number>>;
  /** Least friction material on a pad of each axle when it ends, m */
  readonly padLeft: Readonly<Record<AxleName, number>>;
  /** Least bedded share of an axle when it begins, 0 to 1 */
  readonly bedded: Readonly<Record<AxleName, number>>;
}

/** Sums a day up: margins, K, N and m; lap times, s; the hottest lap's braking zones; some kilobytes. */
export function summarise(input: DayInput, result: DayResult): DaySummary {
  const { laps, trace } = result;
  const zonesOfLap = hottestLap(result);
  const lap = laps[zonesOfLap - 1];
  const limits: Partial<Record<ZoneLimit, number>> = {};
  let [rearFirst, hotZones] = [0, 0];
  for (const { kind, forces } of laps) {
    if (kind !== 'hot') continue;
    for (const force of forces) {
      limits[force.limit] = (limits[force.limit] ?? 0) + 1;
      hotZones += 1;
      if (force.locksFirst === 'rear') rearFirst += 1;
    }
  }
  // Laps of one kind share it, also in a copy that is sent to the page.
  const traces = new Map<LapTrace, SummaryLap['trace']>();
  const named = (own: LapTrace) => {
    const known = traces.get(own) ?? { zones: own.zones.map(({ name }) => ({ name })) };
    traces.set(own, known);
    return known;
  };
  const worn = (wheel: WheelName) => {
    const series = result.record.wheels[wheel].worn;
    return series[series.length - 1];
  };
  return {
    doubt: result.doubt,
    legs: result.legs,
    padLeft: result.padLeft,
    bedded: result.bedded,
    verdict: result.verdict,
    fade: result.fade,
    audit: result.audit,
    margins: result.margins,
    forceMargins: result.forceMargins,
    strain: result.strain,
    peaks: result.peaks,
    drivingTime: result.drivingTime,
    heldByLift: result.heldByLift,
    laps: laps.map(({ kind, number, session, numberInSession, startTime, lapTime: time, trace: own }) => ({
      kind,
      number,
      session,
      numberInSession,
      startTime,
      lapTime: time,
      trace: named(own),
    })),
    lapTime: lapTime(trace),
    lapHeat: lapHeat(trace),
    lapPower: lapHeat(trace) / lapTime(trace),
    heat: result.audit.supplied,
    mass: input.vehicle.mass,
    ductDragArea: ductDragArea(input),
    zonesOfLap,
    zones: lap.trace.zones.map((zone, k): SummaryZone => {
      const axle = (name: AxleName): AxleZone => {
        const own = WHEELS.filter((wheel) => axleOf(wheel) === name).map((wheel) => lap.wheels[wheel][k]);
        const hotter = own.reduce((a, b) => (b.facePeak > a.facePeak ? b : a));
        const { faceBefore, facePeak, bulkAfter, padFaceBefore, fluidAfter } = hotter;
        return { faceBefore, facePeak, bulkAfter, padFaceBefore, fluidAfter };
      };
      return {
        name: zone.name,
        distance: lap.trace.distance[zone.startIndex],
        entrySpeed: zone.entrySpeed,
        exitSpeed: zone.exitSpeed,
        energy: zone.energy,
        force: lap.forces[k],
        ...(Object.fromEntries(AXLES.map((name) => [name, axle(name)])) as Record<AxleName, AxleZone>),
      };
    }),
    limits,
    rearFirst,
    hotZones,
    padWear: Object.fromEntries(WHEELS.map((wheel) => [wheel, worn(wheel)])) as Record<WheelName, number>,
  };
}
