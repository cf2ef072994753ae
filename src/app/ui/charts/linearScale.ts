import { nice, ticks } from 'd3-array';

type Ends = readonly [number, number];

/** Lays the values of an axis along a straight line of a drawing. */
export interface LinearScale {
  (value: number): number;
  /** The value at a place */
  invert(place: number): number;
  /** Round values along it, about as many as asked for */
  ticks(count: number): number[];
  /** Where its first and last value lie */
  readonly range: Ends;
}

/**
 * @param domain first and last value; where they are one, everything lies halfway
 * @param range where these lie
 */
export function linearScale([from, to]: Ends, range: Ends): LinearScale {
  const [first, last] = range;
  const along = to === from ? 0 : (last - first) / (to - from);
  const origin = to === from ? 0.5 * (first + last) : first;
  return Object.assign((value: number) => origin + along * (value - from), {
    invert: (place: number) => (along === 0 ? from : from + (place - origin) / along),
    ticks: (count: number) => ticks(from, to, count),
    range,
  });
}

/** One that begins and ends at round values. @param domain the lower value first @param count about so many steps are between */
export const niceScale = ([from, to]: Ends, range: Ends, count: number): LinearScale =>
  linearScale(nice(from, to, count), range);
