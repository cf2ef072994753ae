import { AXLES, type AxleInput, type AxleName, axleOf, WHEELS } from '../brake';
import { lapTime } from '../lap';
import { type DayResult, type LimitedPart, leanDay, type Margin } from '../run';
import { type DayInput, ductDragArea } from '../schedule';
import { AreaSearch, LARGEST_DUCT } from './areaSearch';
import { coldestBite, leastForDuct, leastGuessed } from './least';

/** What one computed day says of an axle. */
export interface AxlePoint {
  /** Open duct area to each of its wheels, m² */
  readonly area: number;
  /** Limit that sets the duct: the one with the fewest kelvin left, and how many, K */
  readonly part: LimitedPart;
  readonly margin: number;
  /** The least of the limits whose heat's way is a guess, which set no duct */
  readonly guessed: { readonly part: LimitedPart; readonly margin: number };
  /** Highest temperatures of the hotter wheel, K */
  readonly rotorFace: number;
  readonly rotorBulk: number;
  readonly padFace: number;
  readonly fluid: number;
  /** Coldest bite over the low end of the pad's window, K; null where no hot lap brakes */
  readonly bite: number | null;
}

/** Why no duct holds the wish. */
export interface NoDuct {
  /**
   * `wish`: the limit lies closer to the air than the wish. `single-stop`: one stop from cold air already takes more.
   * `no-effect`: the duct's air does not reach what gets hot. `other-way`: its heat comes through the pads or the hub.
   * `saturated`: more area brings next to nothing.
   */
  readonly kind: 'wish' | 'single-stop' | 'no-effect' | 'other-way' | 'saturated';
  readonly part: LimitedPart;
  /** Margin with the largest duct, K */
  readonly best: number;
  /** What the largest duct gains over none, K */
  readonly gain: number;
  /** Most the axle's faces rise within one braking zone, K */
  readonly rise: number;
}

export interface AxleNeed {
  /** `none`: the wish is kept without a duct; `found`; `impossible`: see `reason` */
  readonly kind: 'none' | 'found' | 'impossible';
  /** Duct area to each wheel, m²; 0 without need; the largest looked at where none does it */
  readonly area: number;
  readonly at: AxlePoint;
  readonly reason: NoDuct | null;
  /** Every area looked at, in rising order */
  readonly curve: readonly AxlePoint[];
}

/** What taping a share of both axles' found ducts leaves. */
export interface TapeStep {
  readonly tape: number;
  readonly front: AxlePoint;
  readonly rear: AxlePoint;
  /** Hot lap, s */
  readonly lapTime: number;
}

export interface CoolingNeed {
  /** Target margin at every limit, K */
  readonly wish: number;
  readonly front: AxleNeed;
  readonly rear: AxleNeed;
  readonly tape: readonly TapeStep[];
  /** Drag area the found ducts add, Cd·A, m² */
  readonly dragArea: number;
  /** Top speed of the hot lap, m/s, and the drag force of the ducts at it, N */
  readonly topSpeed: number;
  readonly dragForce: number;
  /** Hot lap without ducts and with those found, s; null where the lap's speeds are typed and do not follow drag */
  readonly lapTimes: { readonly without: number; readonly with: number } | null;
  /** Session runs computed */
  readonly runs: number;
}

/** A margin short of the wish by less than this is said to keep it, K. */
const CLOSE_ENOUGH = 1;
const MOST_SEARCH = 8;
const TAPE_STEPS = [0, 0.25, 0.5, 0.75, 1] as const;

/** An axle with a duct of some open area to both of its wheels, and some of it blanked off. @param area m² */
export function withDuct(axle: AxleInput, area: number, tape = 0): AxleInput {
  const left = { ...axle.left, air: { ...axle.left.air, ductArea: area, tape } };
  return {
    ...axle,
    left,
    // Kept as one object where the sides are alike, so that they are computed once.
    right: { ...axle.right, air: { ...axle.right.air, ductArea: area, tape } },
  };
}

interface Run {
  readonly day: DayResult;
  readonly points: Readonly<Record<AxleName, AxlePoint>>;
}

/**
 * The duct area each axle needs so that every one of its limits that may set a duct keeps a margin over the planned day: both axles together
 * by regula falsi (Illinois) on one run for both, no more than twenty runs in all. Each axle is judged with the other's
 * duct in place, since an axle that fades leaves its work to the other; one that no duct helps has the largest. Tape is
 * taken off for the search.
 * @param wish K, may be negative
 * @param stop asked before each run; true ends it with an error
 * @throws Error "cancelled"; RangeError for a wish that is no number
 */
export function coolingNeed(input: DayInput, wish: number, stop: () => boolean = () => false): CoolingNeed {
  if (!Number.isFinite(wish)) throw new RangeError('coolingNeed: the margin wished for must be a number');
  const seen = new Map<string, Run>();
  const run = (front: number, rear: number, tape = 0): Run => {
    const key = `${front * (1 - tape)}/${rear * (1 - tape)}`;
    const known = seen.get(key);
    if (known) return known;
    if (stop()) throw new Error('cancelled');
    const day = leanDay({
      ...input,
      front: withDuct(input.front, front, tape),
      rear: withDuct(input.rear, rear, tape),
    });
    const open = 1 - tape;
    const points = { front: pointOf(day, 'front', front * open), rear: pointOf(day, 'rear', rear * open) };
    const made = { day, points };
    seen.set(key, made);
    return made;
  };

  const bare = run(0, 0);
  const full = run(LARGEST_DUCT, LARGEST_DUCT);
  const over = ({ points }: Run, axle: AxleName) => points[axle].margin - wish;
  const searches = {
    front: new AreaSearch(over(bare, 'front'), over(full, 'front')),
    rear: new AreaSearch(over(bare, 'rear'), over(full, 'rear')),
  };
  let last = run(searches.front.area, searches.rear.area);
  for (let k = 1; k < MOST_SEARCH; k++) {
    const done = AXLES.map((axle) => searches[axle].take(over(last, axle)));
    if (done.every(Boolean)) break;
    last = run(searches.front.area, searches.rear.area);
  }
  const { front, rear } = { front: last.points.front.area, rear: last.points.rear.area };
  const curves = curvesOf(run, front, rear);
  const ducted = { ...input, front: withDuct(input.front, front), rear: withDuct(input.rear, rear) };
  const dragArea = ductDragArea(ducted);
  const topSpeed = last.day.trace.speed.reduce((a, b) => Math.max(a, b));
  const need = (axle: AxleName): AxleNeed => {
    const at = last.points[axle];
    const short = at.margin < wish - CLOSE_ENOUGH;
    return {
      kind: short ? 'impossible' : at.area === 0 ? 'none' : 'found',
      area: at.area,
      at,
      reason: short ? reasonOf(input, axle, wish, bare, last) : null,
      curve: curves[axle],
    };
  };
  const ducts = front > 0 || rear > 0;
  return {
    wish,
    front: need('front'),
    rear: need('rear'),
    tape: ducts
      ? TAPE_STEPS.map((tape) => {
          const { day, points } = run(front, rear, tape);
          return { tape, front: points.front, rear: points.rear, lapTime: lapTime(day.trace) };
        })
      : [],
    dragArea,
    topSpeed,
    dragForce: 0.5 * last.day.airDensity * dragArea * topSpeed * topSpeed,
    lapTimes:
      input.circuit.kind === 'zones'
        ? null
        : { without: lapTime(bare.day.trace), with: lapTime(last.day.trace) },
    runs: seen.size,
  };
}

/**
 * Each axle's temperatures over its duct: where both have one, both opened in the proportion found; where one needs none,
 * its own with the other's in place.
 */
function curvesOf(
  run: (front: number, rear: number, tape?: number) => Run,
  front: number,
  rear: number,
): Record<AxleName, AxlePoint[]> {
  const points: Record<AxleName, AxlePoint[]> = { front: [], rear: [] };
  const add = ({ points: at }: Run, axles: readonly AxleName[] = AXLES) => {
    for (const axle of axles) points[axle].push(at[axle]);
  };
  if (front === 0 && rear === 0) {
    for (const area of [0, 0.001, 0.0025, 0.005, 0.01]) add(run(area, area));
    return points;
  }
  const needed = AXLES.filter((axle) => (axle === 'front' ? front : rear) > 0);
  for (const tape of [...TAPE_STEPS].reverse()) add(run(front, rear, tape), needed);
  const largest = Math.max(front, rear);
  for (const more of largest >= 0.6 * LARGEST_DUCT ? [0.04, 0.1] : [1.4, 2]) {
    const scale = Math.min(more, LARGEST_DUCT / largest);
    add(run(scale * front, scale * rear), needed);
  }
  for (const axle of AXLES.filter((name) => !needed.includes(name))) {
    for (const area of [0, 0.0015, 0.004, 0.008]) {
      add(axle === 'front' ? run(area, rear) : run(front, area), [axle]);
    }
  }
  for (const axle of AXLES) points[axle].sort((a, b) => a.area - b.area);
  return points;
}

function pointOf(day: DayResult, axle: AxleName, area: number): AxlePoint {
  const least = leastForDuct(day, axle);
  const guessed = leastGuessed(day, axle);
  const wheels = WHEELS.filter((wheel) => axleOf(wheel) === axle);
  const hottest = (part: 'rotorFace' | 'rotorBulk' | 'padFace' | 'fluid') =>
    Math.max(...wheels.map((wheel) => day.peaks[wheel][part]));
  return {
    area,
    part: least.part,
    margin: least.margin,
    guessed: { part: guessed.part, margin: guessed.margin },
    rotorFace: hottest('rotorFace'),
    rotorBulk: hottest('rotorBulk'),
    padFace: hottest('padFace'),
    fluid: hottest('fluid'),
    bite: coldestBite(day, axle)?.margin ?? null,
  };
}

function reasonOf(input: DayInput, name: AxleName, wish: number, bare: Run, full: Run): NoDuct {
  const least = leastForDuct(full.day, name);
  const same = (margin: Margin) => margin.part === least.part && margin.axle === name;
  const before = Math.min(...bare.day.margins.filter(same).map((margin) => margin.margin));
  const gain = least.margin - before;
  const rise = Math.max(
    0,
    ...full.day.laps.flatMap((lap) =>
      WHEELS.filter((wheel) => axleOf(wheel) === name).flatMap((wheel) =>
        lap.wheels[wheel].map((zone) => zone.facePeak - zone.faceBefore),
      ),
    ),
  );
  const facts = { part: least.part, best: least.margin, gain, rise };
  const toAir = least.limit - input.sessions[least.at.session].ambient;
  if (wish >= toAir) return { kind: 'wish', ...facts };
  const face = least.part === 'rotorFace' || least.part === 'padFace';
  if (face && rise > toAir - wish) return { kind: 'single-stop', ...facts };
  if (gain < 0.5 || input[name].left.drum) return { kind: 'no-effect', ...facts };
  const rubbed = face || least.part === 'rotorBulk';
  return { kind: rubbed ? 'saturated' : 'other-way', ...facts };
}
