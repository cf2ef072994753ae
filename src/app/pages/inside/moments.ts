import type { DayResult } from '../../../core';
import { METRIC, siText, type UnitChoice } from '../../../model';

/** Sample at or just before a time of the day. @param time s */
export function sampleAt(result: DayResult, time: number): number {
  const times = result.record.time;
  let [low, high] = [0, times.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (times[middle] <= time) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The braking zone during or after which a sample lies: samples from just before it to just before the next. */
export interface ZoneSpan {
  readonly lap: number;
  readonly zone: number;
  readonly from: number;
  readonly to: number;
}

/** Braking zones of the day in order, each up to the beginning of the next one. */
export function zoneSpans(result: DayResult): ZoneSpan[] {
  const { record } = result;
  const spans: ZoneSpan[] = [];
  let last = '';
  for (let i = 1; i < record.time.length; i++) {
    if (record.zone[i] < 0) continue;
    const key = `${record.lap[i]}/${record.zone[i]}`;
    if (key === last) continue;
    last = key;
    const before = spans[spans.length - 1];
    if (before) spans[spans.length - 1] = { ...before, to: i - 1 };
    spans.push({ lap: record.lap[i] + 1, zone: record.zone[i], from: i - 1, to: record.time.length - 1 });
  }
  return spans;
}

/** The span a sample lies in; null before the first braking zone. */
export function spanOf(spans: readonly ZoneSpan[], sample: number): ZoneSpan | null {
  return spans.findLast((span) => span.from <= sample) ?? null;
}

/** What the parts of a drum brake are called where a disc has others. */
const DRUM_WORDS: Readonly<Record<string, string>> = {
  rotor: 'drum',
  pads: 'linings',
  plate: 'shoes',
  hat: 'web',
  caliper: 'cylinder',
};

/** A text about a disc brake's parts in the words of the brake at hand. */
export function inWordsOf(drum: boolean, text: string): string {
  return drum
    ? text.replace(/\b(rotor|pads|plate|hat|caliper)\b/g, (word) => DRUM_WORDS[word] ?? word)
    : text;
}

/** Heat flow as text; kilowatts from a thousand watts on. */
export function wattText(watts: number, units: UnitChoice): string {
  const size = Math.abs(watts);
  if (size < 995 || units.energy === 'us') return siText(watts, 'heatFlow', units);
  return siText(watts, 'power', METRIC, size < 9950 ? 1 : 0);
}

/** Energy as text. */
export const jouleText = (joules: number, units: UnitChoice): string =>
  siText(joules, 'energy', units, Math.abs(joules) < 10_000 ? 1 : 0);
