import { STANDARD_GRAVITY } from '../constants';
import { type BrakingZone, brakingDeceleration, type Forces, type LapTrace } from '../lap';
import { intervalAt } from '../numeric';

/** How a braking zone of a logged lap was driven; distances in m of the lap, times in s. */
export interface ZoneTechnique {
  readonly zone: number;
  readonly name: string;
  /** m/s */
  readonly from: number;
  readonly to: number;
  /** From a tenth to nine tenths of the first peak */
  readonly buildUp: number;
  /** Greatest deceleration, m/s², where it is reached, and the share of the grip there was */
  readonly peak: number;
  readonly peakAt: number;
  readonly peakUse: number;
  /** Mean share of the grip used from the peak to the end */
  readonly use: number;
  /** Share of the time after the peak in which more was asked than the grip that was left */
  readonly over: number;
  /** From where the pedal is let go to the zone's end, s */
  readonly letGo: number;
  /** Braking while cornering, s */
  readonly trail: number;
  /** Times the pedal was pressed anew */
  readonly stabs: number;
  /** Between throttle and brake, s and m */
  readonly coasting: number;
  readonly coastingWay: number;
  /** What braking later and as hard as the grip allows would give: m later, and s sooner; 0 where it was as good */
  readonly metres: number;
  readonly seconds: number;
  /** Whether more was braked than the grip it is measured by */
  readonly beyond: boolean;
  /** Where the pedal was first pressed, where it should be, and where the release begins, m of the lap */
  readonly pressed: number;
  readonly press: number;
  readonly release: number;
  /** Over the zone: m of the lap, m/s² as driven and as the grip allows, m/s as driven and as it could be; k each */
  readonly overlay: {
    readonly distance: Float64Array;
    readonly driven: Float64Array;
    readonly ideal: Float64Array;
    readonly speed: Float64Array;
    readonly idealSpeed: Float64Array;
  };
}

/** What a lap's zones are read with. */
export interface TechniqueInput {
  readonly trace: LapTrace;
  /** As the driver uses the tyres: what every zone is measured by */
  readonly forces: Forces;
  /** Time from first touch to full braking that is taken as good, s */
  readonly buildUp: number;
  /** 1/m at a point of the trace; null where the way is not known */
  readonly curvature: ((index: number) => number) | null;
  /** Foot or line over the lap's own time, s since its start; null where only the speed tells */
  readonly pressing: { readonly time: Float64Array; readonly value: Float64Array } | null;
}

/** Acceleration over which the throttle is open, m/s²; lateral acceleration from which a car corners, g. */
const THROTTLE = 0.4;
const CORNERS = 0.35;
/** Longest coasting that is looked for, s. */
const LONGEST_COAST = 4;
/** Dip of the pressing between two stabs, as a share of the peak. */
const DIP = 0.3;
/** Points of an overlay, and how far it reaches past the zone, m. */
const POINTS = 120;
const MARGIN = 30;
/** Grip asked beyond what there is that counts. */
const BEYOND = 1.05;
const FULL = 0.9;

/** How a lap's braking zones were driven. */
export const techniqueOf = (input: TechniqueInput): ZoneTechnique[] =>
  input.trace.zones.map((zone, k) => zoneTechnique(input, zone, k));

function zoneTechnique(input: TechniqueInput, zone: BrakingZone, k: number): ZoneTechnique {
  const { trace, forces, curvature } = input;
  const { distance, time, speed } = trace;
  const { startIndex: a, endIndex: b } = zone;
  const rate = (i: number) => (speed[i] - speed[i + 1]) / Math.max(1e-6, time[i + 1] - time[i]);
  const grip = (v: number, i: number) => brakingDeceleration(forces, v, curvature?.(i) ?? 0, 0);
  const rates = Float64Array.from({ length: b - a }, (_, i) => rate(a + i));
  const smooth = rates.map((_, i) => meanOf(rates, i - 1, i + 1));
  const limits = Float64Array.from({ length: b - a }, (_, i) => grip(speed[a + i], a + i));
  const peakIndex = smooth.reduce((best, v, i) => (v > smooth[best] ? i : best), 0);
  const peak = smooth[peakIndex] ?? 0;
  const press = pressingOf(input, zone, smooth);
  const coast = coastStart(trace, a, rate);
  const after = smooth.slice(peakIndex);
  const uses = after.map((v, i) => v / limits[peakIndex + i]);
  const span = (i: number) => time[a + i + 1] - time[a + i];
  let [used, over, all, trail] = [0, 0, 0, 0];
  uses.forEach((use, i) => {
    const dt = span(peakIndex + i);
    used += use * dt;
    all += dt;
    if (use > BEYOND) over += dt;
  });
  for (let i = 0; i < smooth.length; i++) {
    const bend = Math.abs(curvature?.(a + i) ?? 0) * speed[a + i] ** 2;
    if (bend > CORNERS * STANDARD_GRAVITY) trail += span(i);
  }
  const ideal = idealBraking(input, zone, coast, grip);
  const drivenTime = time[b] - time[coast];
  const metres = ideal.start - distance[coast];
  const beyond = metres < -0.5;
  const good = Math.max(0, metres);
  const seconds = Math.max(0, drivenTime - (good / speed[coast] + ideal.time));
  const releaseIndex = lastFull(uses);
  return {
    zone: k,
    name: zone.name,
    from: zone.entrySpeed,
    to: zone.exitSpeed,
    buildUp: press.buildUp,
    peak,
    peakAt: distance[a + peakIndex],
    peakUse: limits.length > 0 ? peak / limits[peakIndex] : 0,
    use: all > 0 ? used / all : 0,
    over: all > 0 ? over / all : 0,
    letGo: time[b] - time[Math.min(b, a + peakIndex + releaseIndex)],
    trail,
    stabs: press.stabs,
    coasting: time[a] - time[coast],
    coastingWay: distance[a] - distance[coast],
    metres: beyond ? 0 : good,
    seconds: beyond ? 0 : seconds,
    beyond,
    pressed: distance[a],
    press: ideal.start,
    release: distance[Math.min(b, a + peakIndex + releaseIndex)],
    overlay: overlayOf(input, coast, b, ideal, rate),
  };
}

function meanOf(values: Float64Array, from: number, to: number): number {
  let [sum, count] = [0, 0];
  for (let i = Math.max(0, from); i <= Math.min(values.length - 1, to); i++) {
    sum += values[i];
    count += 1;
  }
  return sum / Math.max(1, count);
}

/** Last point after the peak at which nearly all grip was used. */
const lastFull = (uses: Float64Array): number => {
  let last = 0;
  uses.forEach((use, i) => {
    if (use >= FULL) last = i;
  });
  return last;
};

/** First point before a zone from which on the car neither drives nor brakes. */
function coastStart(trace: LapTrace, a: number, rate: (i: number) => number): number {
  let i = a;
  while (i > 0 && rate(i - 1) > -THROTTLE && trace.time[a] - trace.time[i - 1] <= LONGEST_COAST) i--;
  return i;
}

/** Way to the first peak and number of presses, by foot or line where they are logged, else by the deceleration. */
function pressingOf(
  { pressing, trace }: TechniqueInput,
  zone: BrakingZone,
  rates: Float64Array,
): { readonly buildUp: number; readonly stabs: number } {
  const [start, end] = [trace.time[zone.startIndex], trace.time[zone.endIndex]];
  let time: readonly number[];
  let value: readonly number[];
  if (pressing) {
    const inside = Array.from(pressing.time.keys()).filter(
      (i) => pressing.time[i] >= start - 0.5 && pressing.time[i] <= end && Number.isFinite(pressing.value[i]),
    );
    time = inside.map((i) => pressing.time[i]);
    value = inside.map((i) => pressing.value[i]);
  } else {
    time = Array.from(rates, (_, i) => trace.time[zone.startIndex + i]);
    value = [...rates];
  }
  if (value.length < 3) return { buildUp: 0, stabs: 1 };
  const most = Math.max(...value);
  const dip = DIP * most;
  // A press is a rise and a fall of a good part of the peak: what is smaller is the foot's own unrest.
  let [rising, high, low, top, peaks, firstPeak] = [true, value[0], value[0], 0, 0, -1];
  value.forEach((v, i) => {
    if (rising) {
      if (v > high) [high, top] = [v, i];
      else if (v < high - dip) {
        if (firstPeak < 0) firstPeak = top;
        peaks += 1;
        [rising, low] = [false, v];
      }
    } else if (v > low + dip) [rising, high, top] = [true, v, i];
    else low = Math.min(low, v);
  });
  if (rising && high > dip) peaks += 1;
  const peak = firstPeak < 0 ? value.indexOf(most) : firstPeak;
  const nearTop = value.findIndex((v, i) => i <= peak && v >= FULL * value[peak]);
  let begin = nearTop;
  while (begin > 0 && value[begin - 1] > 0.1 * value[peak]) begin--;
  return { buildUp: Math.max(0, time[nearTop] - time[begin]), stabs: Math.max(1, peaks) };
}

/** A braking from the coast's speed to the zone's last one, as late and as hard as the grip allows. */
interface IdealBraking {
  /** m of the lap, and s that it takes */
  readonly start: number;
  readonly time: number;
  /** m of the lap, rising, and m/s there */
  readonly distance: readonly number[];
  readonly speed: readonly number[];
}

const STEP = 0.5;

function idealBraking(
  { trace, buildUp }: TechniqueInput,
  zone: BrakingZone,
  coast: number,
  grip: (v: number, i: number) => number,
): IdealBraking {
  const { distance, speed } = trace;
  const top = speed[coast];
  const end = distance[zone.endIndex];
  let [v, at, time, i] = [speed[zone.endIndex], end, 0, zone.endIndex];
  const ways = [at];
  const speeds = [v];
  while (v < top && end - at < 2000) {
    while (i > 0 && distance[i - 1] > at) i--;
    const next = Math.min(top, Math.sqrt(v * v + 2 * grip(Math.max(1, v), i) * STEP));
    const way = next < top ? STEP : (next * next - v * v) / (2 * grip(Math.max(1, v), i));
    time += (2 * way) / (v + next);
    at -= way;
    v = next;
    ways.push(at);
    speeds.push(v);
    if (way < 1e-6) break;
  }
  // The foot's way to full braking costs half of its time at the first speed.
  const late = 0.5 * buildUp * top;
  ways.push(at - late);
  speeds.push(top);
  return { start: at - late, time: time + 0.5 * buildUp, distance: ways.reverse(), speed: speeds.reverse() };
}

function overlayOf(
  { trace }: TechniqueInput,
  coast: number,
  end: number,
  ideal: IdealBraking,
  rate: (i: number) => number,
): ZoneTechnique['overlay'] {
  const { distance, speed } = trace;
  const from = Math.max(distance[0], Math.min(distance[coast], ideal.start) - MARGIN);
  const to = Math.min(distance[distance.length - 1], distance[end] + MARGIN);
  const places = Float64Array.from({ length: POINTS }, (_, i) => from + ((to - from) * i) / (POINTS - 1));
  const along = (at: readonly number[] | Float64Array, values: ArrayLike<number>, d: number) => {
    const i = intervalAt(at, d);
    const width = at[i + 1] - at[i];
    const share = width > 0 ? Math.min(1, Math.max(0, (d - at[i]) / width)) : 0;
    return values[i] + share * (values[i + 1] - values[i]);
  };
  const index = (d: number) => {
    let i = 0;
    while (i < distance.length - 2 && distance[i + 1] <= d) i++;
    return i;
  };
  const idealAt = (d: number) =>
    d < ideal.start
      ? Math.max(speed[coast], along(distance, speed, d))
      : along(ideal.distance, ideal.speed, d);
  return {
    distance: places,
    driven: places.map((d) => Math.max(0, rate(index(d)))),
    ideal: places.map((d, i) => {
      if (d < ideal.start || d > distance[end]) return 0;
      const next = places[Math.min(POINTS - 1, i + 1)];
      const before = places[Math.max(0, i - 1)];
      return Math.max(
        0,
        (idealAt(before) ** 2 - idealAt(Math.min(next, distance[end])) ** 2) /
          (2 * (Math.min(next, distance[end]) - before)),
      );
    }),
    speed: places.map((d) => along(distance, speed, d)),
    idealSpeed: places.map((d) => (d > distance[end] ? along(distance, speed, d) : idealAt(d))),
  };
}
