import { bandedSolve, lapTime, prepareCircuit } from '../../core';
import { refuse } from '../../io';
import {
  type Circuit,
  type CircuitFacts,
  type CircuitSegment,
  circuitInput,
  closeCircuit,
  dayInput,
  type Refused,
  type Setup,
} from '../../model';
import { say } from '../../text/en/say/services';
import { solvedLap } from './solvedLap';

/** How a character's corners and straights go, round and round: radii and lengths over their mean, degrees. */
const CHARACTER: Readonly<
  Record<
    CircuitFacts['character'],
    {
      readonly radii: readonly number[];
      readonly straights: readonly number[];
      readonly turns: readonly number[];
    }
  >
> = {
  // Corners alike and slow, with room to get fast before each.
  'hard-stop': { radii: [0.9, 1, 0.8, 1.2, 1.1], straights: [1, 0.8, 1.2, 0.9], turns: [1, 1.2, 0.8] },
  // Something of everything, nothing long between.
  twisty: { radii: [1.2, 0.7, 1, 1.4, 0.6], straights: [0.8, 1.2, 0.6, 1.3], turns: [0.9, 1.1, 1, 1.2, 0.8] },
  // One straight above all; quick bends before it.
  'long-straight': {
    radii: [0.6, 1.5, 1, 1.9, 0.6, 1.3],
    straights: [1, 0.7, 0.8, 1.3],
    turns: [1.1, 0.8, 1.1],
  },
};

/** Turn of each corner that goes the other way, degrees; every third does. */
const BACK = 55;
/** Radii that are made at most, m. */
const RADII = [9, 420] as const;
/** Between points of a line that is only timed, m. */
const SPACING = 3;
/** Of the wanted lap time: what is sought, and what is still offered, with its own time said. */
const CLOSE_ENOUGH = 0.01;
const NEAR_ENOUGH = 0.1;

const cycle = (list: readonly number[], i: number) => list[i % list.length];
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/** Signed turns of half a round, degrees: 180 together. */
function halfTurns(count: number, weights: readonly number[]): number[] {
  const back = Array.from({ length: count }, (_, i) => count > 2 && i % 3 === 1);
  const lefts = back.filter(Boolean).length;
  const shares = back.map((left, i) => (left ? 0 : cycle(weights, i)));
  const right = 180 + BACK * lefts;
  return back.map((left, i) => (left ? -BACK : (right * shares[i]) / sum(shares)));
}

/** Both halves of a round turn alike, so that it comes back; of an odd number one half has a corner more. */
function turnsOf(corners: number, weights: readonly number[]): number[] {
  const half = Math.floor(corners / 2);
  return [...halfTurns(corners - half, weights), ...halfTurns(half, weights)];
}

/** Shortest straight between two corners, m. */
const SHORTEST = 6;

/**
 * Lengths of straights nearest to what is wanted that bring a lap back to its start and make it as long as it is to be:
 * least squares under three conditions; what would get too short is held at the shortest and the others are sought anew.
 * @param headings of each straight, rad
 * @param missing what they have to make up together: metres ahead, to the right, in all
 * @returns null where there are none
 */
function closingLengths(
  wanted: readonly number[],
  headings: readonly number[],
  missing: readonly [number, number, number],
): number[] | null {
  const held = new Set<number>();
  for (let turn = 0; turn <= wanted.length; turn++) {
    const lengths = wanted.map((length, i) => (held.has(i) ? SHORTEST : length));
    const ways = headings.map((heading) => [Math.cos(heading), Math.sin(heading), 1]);
    const left = missing.map((whole, k) => whole - sum(lengths.map((length, i) => length * ways[i][k])));
    const free = wanted.map((_, i) => i).filter((i) => !held.has(i));
    const product = (j: number, k: number) => sum(free.map((i) => wanted[i] * ways[i][j] * ways[i][k]));
    const band = Float64Array.from([
      0,
      0,
      product(0, 0),
      0,
      product(1, 0),
      product(1, 1),
      product(2, 0),
      product(2, 1),
      product(2, 2),
    ]);
    const side = Float64Array.from(left);
    try {
      bandedSolve(band, 2, [side]);
    } catch {
      return null;
    }
    for (const i of free) lengths[i] += wanted[i] * sum(ways[i].map((way, k) => way * side[k]));
    const short = free.filter((i) => lengths[i] < SHORTEST);
    if (short.length === 0) return lengths;
    for (const i of short) held.add(i);
  }
  return null;
}

const bend = (turn: number, radiusM: number, i: number): CircuitSegment => ({
  kind: 'corner',
  name: `Turn ${i + 1}`,
  radiusM,
  angleDeg: Math.abs(turn),
  hand: turn > 0 ? 'right' : 'left',
  gradePercent: 0,
});
const straight = (lengthM: number): CircuitSegment => ({ kind: 'straight', lengthM, gradePercent: 0 });

/** A closed lap of the wanted length and straight, with corners of a mean radius; null where there is none. */
function closedLap(facts: CircuitFacts, radius: number, id: string): Circuit | null {
  const { radii, straights, turns } = CHARACTER[facts.character];
  const bends = turnsOf(facts.corners, turns);
  const radiusOf = (i: number) =>
    Math.round(10 * Math.min(RADII[1], Math.max(RADII[0], radius * cycle(radii, i)))) / 10;
  // Where the arcs alone lead, with the long straight; what stands between them has to bring it back.
  const missing: [number, number, number] = [
    -facts.longestStraightM,
    0,
    facts.lengthM - facts.longestStraightM,
  ];
  const headings: number[] = [];
  let heading = 0;
  bends.forEach((turn, i) => {
    const angle = (turn * Math.PI) / 180;
    const r = radiusOf(i) * Math.sign(angle);
    missing[0] -= r * (Math.sin(heading + angle) - Math.sin(heading));
    missing[1] -= r * (Math.cos(heading) - Math.cos(heading + angle));
    missing[2] -= Math.abs(r * angle);
    heading += angle;
    headings.push(heading);
  });
  const between = headings.slice(0, -1);
  if (missing[2] < SHORTEST * between.length) return null;
  const shares = between.map((_, i) => cycle(straights, i));
  const wanted = shares.map((share) => (missing[2] * share) / sum(shares));
  const lengths = closingLengths(wanted, between, missing);
  if (!lengths || Math.max(...lengths) > 1.05 * facts.longestStraightM) return null;
  const half = straight(facts.longestStraightM / 2);
  return closeCircuit({
    id,
    name: facts.name,
    altitudeM: 0,
    trackWidthM: Math.max(3, Math.min(11, Math.floor(Math.min(...bends.map((_, i) => radiusOf(i)))))),
    place: null,
    source: 'made-up',
    layout: {
      kind: 'line',
      segments: [
        half,
        ...bends.flatMap((turn, i) => [
          bend(turn, radiusOf(i), i),
          i < lengths.length ? straight(lengths[i]) : half,
        ]),
      ],
    },
  });
}

/** A circuit made up, and the lap it gives the car it was made for, s. */
export interface MadeCircuit {
  readonly ok: true;
  readonly circuit: Circuit;
  readonly lapTime: number;
}

/**
 * Makes up a circuit of a character from a few facts: its corners are as tight as the lap time takes with the setup's car.
 * @param setup whose car and driver have that lap time
 * @param id of the new circuit
 * @returns what no such circuit can have where there is none
 */
export function circuitFromFacts(facts: CircuitFacts, setup: Setup, id: string): MadeCircuit | Refused {
  const input = dayInput(setup);
  const timeOf = (circuit: Circuit) =>
    lapTime(solvedLap(input, 1, prepareCircuit(circuitInput(circuit), SPACING)));
  // From the tightest corners on, what there is at each radius; in between it is sought.
  const tried: { radius: number; circuit: Circuit; time: number }[] = [];
  for (let radius = RADII[0]; radius <= RADII[1]; radius *= 1.25) {
    const circuit = closedLap(facts, radius, id);
    if (circuit) tried.push({ radius, circuit, time: timeOf(circuit) });
  }
  if (tried.length === 0) return refuse(say.factsMakeNoLap(facts.corners));
  const [slowest, fastest] = [Math.max(...tried.map((t) => t.time)), Math.min(...tried.map((t) => t.time))];
  const after = tried.findIndex((t) => t.time <= facts.lapTimeS);
  let best = tried.reduce((a, b) =>
    Math.abs(b.time - facts.lapTimeS) < Math.abs(a.time - facts.lapTimeS) ? b : a,
  );
  if (after > 0) {
    let [low, high] = [tried[after - 1].radius, tried[after].radius];
    for (let turn = 0; turn < 12 && Math.abs(best.time / facts.lapTimeS - 1) > CLOSE_ENOUGH / 4; turn++) {
      const radius = (low + high) / 2;
      const circuit = closedLap(facts, radius, id);
      if (!circuit) break;
      const time = timeOf(circuit);
      if (Math.abs(time - facts.lapTimeS) < Math.abs(best.time - facts.lapTimeS))
        best = { radius, circuit, time };
      if (time > facts.lapTimeS) low = radius;
      else high = radius;
    }
  }
  if (Math.abs(best.time / facts.lapTimeS - 1) > NEAR_ENOUGH)
    return refuse(say.factsTakeOtherTime(fastest.toFixed(0), slowest.toFixed(0)), 'lapTimeS');
  return { ok: true, circuit: best.circuit, lapTime: best.time };
}
