import { type AxleInput, type AxleName, axleOf, refitted, WHEELS, type WheelName } from '../brake';
import { type DayResult, distinctWheels, judgedDay, networkOf } from '../run';
import type { DayInput } from '../schedule';
import { type DaySummary, summarise } from './summary';

/** What is told of one side of a brake, K; what its pad loses over the day, m. */
export interface SidePeaks {
  readonly face: number;
  readonly padFace: number;
  readonly plate: number;
  readonly worn: number;
}

/** Difference of peaks between the sides over which they are shown on their own without being asked for, K. */
export const SIDES_DIFFER = 10;

/** Both sides of a wheel's brake over a day. */
export interface WheelSides {
  readonly wheel: WheelName;
  readonly axle: AxleName;
  readonly outer: SidePeaks;
  readonly inner: SidePeaks;
  /** Greatest difference of a peak between the sides, K */
  readonly apart: number;
}

/** A day with inner and outer side of every disc on their own. */
function withSidesApart(input: DayInput): DayInput {
  const apart = (axle: AxleInput): AxleInput => {
    const left = { ...axle.left, sides: 'apart' as const };
    // What was one object stays one.
    return { ...axle, left, right: axle.right === axle.left ? left : { ...axle.right, sides: 'apart' } };
  };
  const day: DayInput = { ...input, front: apart(input.front), rear: apart(input.rear) };
  const { start } = input;
  if (start === null || typeof start === 'number') return day;
  const begun = WHEELS.map((wheel) => [wheel, refitted(start[wheel], networkOf(day, wheel))]);
  return { ...day, start: Object.fromEntries(begun) };
}

/** A day with each side on its own. */
export interface TwoSides {
  /** One for each wheel with a disc, of two that brake and cool alike the left one */
  readonly wheels: readonly WheelSides[];
  /** Greatest difference of a peak between the sides of a wheel, K */
  readonly apart: number;
  /** The day judged by the hotter side of each brake */
  readonly summary: DaySummary;
}

/** The same day with inner and outer side of every disc on their own, judged as the day itself is: two days' time. */
export function twoSides(input: DayInput): TwoSides {
  const day = withSidesApart(input);
  const result = judgedDay(day);
  const wheels = wheelSides(day, result);
  return {
    wheels,
    apart: wheels.reduce((most, { apart }) => Math.max(most, apart), 0),
    summary: summarise(day, result),
  };
}

function wheelSides(day: DayInput, { record, end }: DayResult): WheelSides[] {
  return distinctWheels(record.wheels).flatMap((wheel): WheelSides[] => {
    const { padFaces, recorded } = networkOf(day, wheel);
    if (padFaces.length < 2) return [];
    const { nodes, nodeCount } = record.wheels[wheel];
    const highest = (node: number) => {
      let most = 0;
      for (let i = node; i < nodes.length; i += nodeCount) most = Math.max(most, nodes[i]);
      return most;
    };
    const begun = day.start === null || typeof day.start === 'number' ? null : day.start[wheel].padThickness;
    const axle = axleOf(wheel);
    const side = (k: 0 | 1, name: 'outer' | 'inner'): SidePeaks => ({
      face: highest(recorded.rotorFace[k]),
      padFace: highest(padFaces[k]),
      plate: highest(recorded.plate[k]),
      worn: (begun?.[name] ?? day[axle].left.pad.thickness) - end[wheel].padThickness[name],
    });
    const [outer, inner] = [side(0, 'outer'), side(1, 'inner')];
    const apart = Math.max(
      ...(['face', 'padFace', 'plate'] as const).map((part) => Math.abs(outer[part] - inner[part])),
    );
    return [{ wheel, axle, outer, inner, apart }];
  });
}
