import type { DayInput } from '../schedule';
import { Planner, type PlanOption } from './planner';

export interface FastestPlan {
  /** Time the session has, s, and the margin kept at every temperature limit, K */
  readonly time: number;
  readonly wish: number;
  /** Flat-out whether or not it keeps anything */
  readonly flatOut: PlanOption;
  /** Ways that keep every margin, the fastest first; empty when not even half the pace does */
  readonly options: readonly PlanOption[];
  /** Least time standing after the fastest before the same again, s; null when four hours do not do, or without a plan */
  readonly leastPaddock: number | null;
  readonly runs: number;
}

const SLOWEST = 0.5;
const PACE_STEP = 0.005;
const MOST_COOL = 3;
/** Plans with stints that are driven as fast as they can be */
const REFINED = 3;
const LONGEST_STAND = 4 * 3600;

/**
 * The fastest plans for a session of some minutes that keep every limit with a margin, by the way driven in them, then by
 * the time it takes: the fastest steady pace, and faster laps with cool-down laps between. The session begins with the plan's out
 * lap, ends with a cool-down lap, and stands as planned afterwards, when fluid is hottest.
 * @param session from 0; the sessions before it are driven as planned
 * @param time of the session, s
 * @param wish margin at every temperature limit, K, 0 or more
 * @throws RangeError for a session without hot laps, or one too short for three laps; Error "cancelled"
 */
export function fastestPlan(
  input: DayInput,
  session: number,
  time: number,
  wish: number,
  stop: () => boolean = () => false,
): FastestPlan {
  const planner = new Planner(input, session, time, wish, stop);
  const flatOut = planner.option('flat-out', planner.fullPace, 0, 0);
  const found = flatOut.keeps ? [flatOut] : slowerOptions(planner);
  found.sort((a, b) => b.distance - a.distance || a.time - b.time);
  // Searches from different paces may end in the same laps: the fastest of them is the one to drive.
  const options = found.filter((one, i) => found.findIndex((other) => sameLaps(one, other)) === i);
  const best = options[0] ?? null;
  const leastPaddock = best && leastStand((duration) => planner.againAfter(best, duration));
  return { time, wish, flatOut, options, leastPaddock, runs: planner.runs };
}

/** Whether two plans take hot and cool-down laps in the same order. */
const sameLaps = (a: PlanOption, b: PlanOption) =>
  a.hotLaps === b.hotLaps && a.cool === b.cool && a.coolAfter.join() === b.coolAfter.join();

/** The fastest steady pace, and faster laps with cool-down laps between. */
function slowerOptions(planner: Planner): PlanOption[] {
  let slowest = SLOWEST * planner.fullPace;
  // So slow that not one hot lap fits is no plan.
  while (planner.hotAt(slowest) < 1) slowest += 0.02 * planner.fullPace;
  const steady = fastestSteady(planner, slowest);
  const from = steady?.pace ?? slowest;
  const options = steady ? [steady] : [];
  // From a little over the steady pace up to all of it.
  for (const share of [1, 0.66, 0.33]) {
    const pace = from + share * (planner.fullPace - from);
    if (pace - from < 0.01) continue;
    for (let cool = 1; cool <= MOST_COOL; cool++) {
      const found = longestStint(planner, pace, cool);
      // What does not come to a second run of hot laps leaves the rest of the time unused.
      if (found && found.coolLaps > 0) options.push(found);
    }
  }
  // Whole laps leave something over: the furthest are driven as fast as their stints allow.
  const furthest = options
    .filter((option) => option.kind === 'stints')
    .sort((a, b) => b.distance - a.distance)
    .slice(0, REFINED);
  return options.map((option) =>
    furthest.includes(option) ? fastestPace(planner, option, planner.fullPace) : option,
  );
}

/** The fastest pace, up to a highest one, with which an option still keeps everything, laid out as it is. */
function fastestPace(planner: Planner, option: PlanOption, highest: number): PlanOption {
  let best = option;
  let [low, high] = [option.pace, highest];
  while (high - low > PACE_STEP) {
    const middle = 0.5 * (low + high);
    const tried = planner.option(option.kind, middle, option.stint, option.cool);
    if (tried.keeps) {
      if (tried.distance >= best.distance) best = tried;
      low = middle;
    } else high = middle;
  }
  return best;
}

function fastestSteady(planner: Planner, slowest: number): PlanOption | null {
  const first = planner.option('steady', slowest, 0, 0);
  return first.keeps ? fastestPace(planner, first, planner.fullPace) : null;
}

/** The longest stints that keep everything with so many cool-down laps between; null when not even single laps do. */
function longestStint(planner: Planner, pace: number, cool: number): PlanOption | null {
  let [low, high] = [0, planner.hotAt(pace)];
  let found: PlanOption | null = null;
  while (high - low > 1) {
    const middle = Math.ceil(0.5 * (low + high));
    const tried = planner.option('stints', pace, middle, cool);
    if (tried.keeps) {
      found = tried;
      low = middle;
    } else high = middle;
  }
  return found;
}

/** Least time standing that is enough, to a minute, s; null when four hours are not. */
function leastStand(enough: (duration: number) => boolean): number | null {
  if (!enough(LONGEST_STAND)) return null;
  let [low, high] = [60, LONGEST_STAND];
  if (enough(low)) return low;
  while (high - low > 60) {
    const middle = 0.5 * (low + high);
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return Math.ceil(high / 60) * 60;
}
