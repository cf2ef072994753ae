import { moistAirDensity } from '../air';
import { driveLap, LINE_SPACING, lapLength, lapTime, prepareCircuit } from '../lap';
import { type DayResult, type ForceMargin, type LegResult, leanDay, type Margin, marginsFrom } from '../run';
import { type DayInput, ductDragArea, type Leg, pressureOf, type SessionPlan } from '../schedule';
import { hotMargins, keepsAll, leastMargin } from './least';
import type { SummaryLap } from './summary';

/**
 * Temperature of one part over a planned session: minutes since its start, and K. It is the part that is tightest flat
 * out, whatever the plan, so that plans can be laid over each other.
 */
export interface LimitTrace extends Pick<Margin, 'axle' | 'side' | 'part' | 'limit'> {
  readonly minutes: Float64Array;
  readonly kelvin: Float64Array;
}

type Left = Pick<DayResult, 'margins' | 'forceMargins'>;

/** One way of filling the minutes. */
export interface PlanOption {
  /** `flat-out`: at the plan's pace all the time; `steady`: slower all the time; `stints`: fast laps between cool-down laps */
  readonly kind: 'flat-out' | 'steady' | 'stints';
  /** Pace of the hot laps, share of the forces */
  readonly pace: number;
  /** Hot laps between cool-down laps, and how many of those each time; 0 where none are taken but the last */
  readonly stint: number;
  readonly cool: number;
  readonly hotLaps: number;
  /** Cool-down laps before the last hot lap, and after which hot laps they are taken, counted over the session */
  readonly coolLaps: number;
  readonly coolAfter: readonly number[];
  /** Time driven, s, distance, m, and what it comes to, m/s */
  readonly time: number;
  readonly distance: number;
  readonly meanSpeed: number;
  /** Hot lap at this pace, s */
  readonly lapTime: number;
  readonly keeps: boolean;
  /** The limit with the fewest kelvin left, or the foot’s where that is passed */
  readonly tightest: Margin | ForceMargin;
  /** The session's legs, ready to be planned */
  readonly legs: readonly Leg[];
  readonly trace: LimitTrace;
  /** Hot laps done in the session before the first limit is passed; null when none is */
  readonly lapsBefore: number | null;
  /** Laps and legs of the whole day, for words */
  readonly laps: readonly SummaryLap[];
  readonly dayLegs: readonly LegResult[];
}

/** Fills one session of a day with laps in different ways, and drives them. */
export class Planner {
  readonly fullPace: number;
  runs = 0;
  private readonly own: SessionPlan;
  private readonly before: readonly SessionPlan[];
  private readonly coolPace: number;
  private readonly outLeg: Leg | null;
  private readonly stands: readonly Leg[];
  private readonly lapAt: (pace: number) => number;
  /** Time of the out lap and the last cool-down lap, s */
  private readonly ends: number;
  /** Whose temperature is kept of every option: what is closest in the first */
  private traced: Omit<LimitTrace, 'minutes' | 'kelvin'> | null = null;

  /** @throws RangeError for a session without hot laps, or one too short for an out lap, a hot and a cool-down lap */
  constructor(
    private readonly input: DayInput,
    private readonly session: number,
    private readonly time: number,
    private readonly wish: number,
    private readonly stop: () => boolean,
  ) {
    this.own = input.sessions[session];
    this.before = input.sessions.slice(0, session);
    const { legs } = this.own;
    const paceOf = (kind: Leg['kind']) => {
      const leg = legs.find((l) => l.kind === kind);
      return leg && 'pace' in leg ? leg.pace : null;
    };
    const hot = paceOf('hot');
    if (hot === null) throw new RangeError('This session has no hot laps to plan.');
    this.fullPace = hot;
    this.coolPace = Math.min(hot, paceOf('cool') ?? 0.4);
    this.outLeg = legs[0].kind === 'out' && 'laps' in legs[0] ? { ...legs[0], laps: 1 } : null;
    this.stands = legs.filter((leg, i) => 'duration' in leg && i >= lastLap(this.own));
    this.lapAt = lapTimes(input, this.own);
    this.ends =
      (this.outLeg && 'pace' in this.outLeg ? this.lapAt(this.outLeg.pace) : 0) + this.lapAt(this.coolPace);
    if (this.hotAt(hot) < 1) {
      throw new RangeError(
        `${Math.round(time / 60)} minutes are too short: out lap, one hot lap and cool-down lap take ${(Math.ceil((this.ends + this.lapAt(hot)) / 6) / 10).toFixed(1)} minutes.`,
      );
    }
  }

  /** Hot laps at a pace for which there is time. */
  hotAt(pace: number): number {
    return Math.floor((this.time - this.ends) / this.lapAt(pace) + 1e-9);
  }

  /** Whether a plan can be driven again, with every margin, after some time standing. @param duration s */
  againAfter(plan: PlanOption, duration: number): boolean {
    const pause: Leg = { kind: 'paddock', duration, fan: 0 };
    const driven = plan.legs.filter((leg) => 'laps' in leg);
    const { left } = this.day({ ...this.own, legs: [...driven, pause] }, { ...this.own, legs: plan.legs });
    return keepsAll(left, this.wish);
  }

  /** The session with hot laps at a pace, and some cool-down laps after every so many of them. */
  option(kind: PlanOption['kind'], pace: number, stint: number, cool: number): PlanOption {
    const { session, outLeg, coolPace, stands, own, lapAt } = this;
    const pattern = patternOf(this.time - this.ends, lapAt(pace), lapAt(coolPace), stint, cool);
    const legs: Leg[] = [
      ...(outLeg ? [outLeg] : []),
      ...pattern.map(
        ({ hot, laps }): Leg => (hot ? { kind: 'hot', laps, pace } : { kind: 'cool', laps, pace: coolPace }),
      ),
      { kind: 'cool', laps: 1, pace: coolPace },
      ...stands,
    ];
    const { result, left } = this.day({ ...own, legs });
    this.traced ??= closest(left);
    const laps = result.laps.filter((lap) => lap.session === session);
    const driven = laps.reduce((sum, lap) => sum + lap.lapTime, 0);
    const distance = laps.reduce((sum, lap) => sum + lapLength(lap.trace), 0);
    let done = 0;
    const coolAfter: number[] = [];
    pattern.forEach(({ hot, laps: count }) => {
      if (hot) done += count;
      else coolAfter.push(done);
    });
    const passed = [...hotMargins(left), ...left.forceMargins]
      .flatMap((margin) => (margin.passed ? [margin.passed] : []))
      .sort((a, b) => a.time - b.time)[0];
    return {
      kind,
      pace,
      stint: cool > 0 ? stint : 0,
      cool,
      hotLaps: done,
      coolLaps: laps.filter((lap) => lap.kind === 'cool').length - 1,
      coolAfter,
      time: driven,
      distance,
      meanSpeed: distance / driven,
      lapTime: lapAt(pace),
      keeps: keepsAll(left, this.wish),
      tightest: tightestOf(left),
      legs,
      trace: traceOf(result, session, this.traced),
      lapsBefore: !passed
        ? null
        : laps.filter((lap) => lap.kind === 'hot' && (passed.lap === null || lap.number < passed.lap)).length,
      laps: result.laps.map(({ trace, wheels, forces, ...lap }) => ({
        ...lap,
        trace: { zones: trace.zones.map(({ name }) => ({ name })) },
      })),
      dayLegs: result.legs,
    };
  }

  /** Drives the day up to some sessions. What those before them do to the limits is planned already, and not theirs to keep. */
  private day(...sessions: readonly SessionPlan[]): { result: DayResult; left: Left } {
    if (this.stop()) throw new Error('cancelled');
    this.runs += 1;
    const input = { ...this.input, sessions: [...this.before, ...sessions] };
    const result = leanDay(input);
    return { result, left: marginsFrom(input, result, this.session) };
  }
}

const lastLap = (session: SessionPlan) =>
  session.legs.reduce((last, leg, i) => ('laps' in leg ? i : last), 0);

/** Hot and cool-down laps in turn as long as there is time. The last laps before the end are hot. */
function patternOf(
  time: number,
  hotLap: number,
  coolLap: number,
  stint: number,
  cool: number,
): { hot: boolean; laps: number }[] {
  if (cool === 0) return [{ hot: true, laps: Math.max(1, Math.floor(time / hotLap + 1e-9)) }];
  const pattern: { hot: boolean; laps: number }[] = [];
  let left = time;
  for (;;) {
    const rest = pattern.length > 0 ? left - cool * coolLap : left;
    const laps = Math.min(stint, Math.floor(rest / hotLap + 1e-9));
    if (laps < 1) return pattern;
    if (pattern.length > 0) pattern.push({ hot: false, laps: cool });
    pattern.push({ hot: true, laps });
    left = rest - laps * hotLap;
  }
}

/** Lap time at a pace in a session's air, s; each solved once. */
function lapTimes(input: DayInput, session: SessionPlan): (pace: number) => number {
  const circuit = prepareCircuit(input.circuit, LINE_SPACING, input.wind);
  const conditions = {
    airDensity: moistAirDensity(pressureOf(input), session.ambient, input.humidity),
    ductDragArea: ductDragArea(input),
  };
  const known = new Map<number, number>();
  return (pace) => {
    const found = known.get(pace);
    if (found !== undefined) return found;
    const time = lapTime(
      driveLap(circuit, input.vehicle, { ...input.driver, pace, trackGrip: session.trackGrip }, conditions),
    );
    known.set(pace, time);
    return time;
  };
}

/** What is closest in kelvin; a pedal over its limit comes before it. */
function tightestOf(result: Left): Margin | ForceMargin {
  return result.forceMargins.find((margin) => margin.passed) ?? leastMargin(result);
}

function closest(result: Left): Omit<LimitTrace, 'minutes' | 'kelvin'> {
  const { axle, side, part, limit } = leastMargin(result);
  return { axle, side, part, limit };
}

/** The temperature of the part of a margin over a session. */
function traceOf(result: DayResult, session: number, of: Omit<LimitTrace, 'minutes' | 'kelvin'>): LimitTrace {
  const wheel = result.record.wheels[`${of.axle}${of.side === 'right' ? 'Right' : 'Left'}`];
  const { time, leg } = result.record;
  const start = result.legs.find((l) => l.session === session)?.startTime ?? 0;
  const minutes: number[] = [];
  const kelvin: number[] = [];
  const { part } = of;
  for (let i = 0; i < time.length; i++) {
    if (part === 'bite' || result.legs[leg[i]].session !== session) continue;
    minutes.push((time[i] - start) / 60);
    kelvin.push(part === 'fluid' ? Math.max(wheel.fluid[i], wheel.hose[i]) : wheel[part][i]);
  }
  return { ...of, minutes: Float64Array.from(minutes), kelvin: Float64Array.from(kelvin) };
}
