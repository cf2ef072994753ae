import { demoProject } from '../../demo/project';
import { type DayResult, failureCases, hotStop, RECORDED_PARTS, simulateDay, WHEELS } from '../../src/core';
import { dayInput, setupOf } from '../../src/model';

/** Every so many samples and laps are kept: enough to see any number move, small enough to keep. */
const EVERY_SAMPLE = 40;
const EVERY_LAP = 4;

const nine = (value: number) => Number(value.toPrecision(9));
const numbersOf = (value: object): number[] =>
  Object.values(value).flatMap((v) =>
    typeof v === 'number' ? [v] : typeof v === 'object' && v !== null ? numbersOf(v) : [],
  );

/** What a day came to, as lists of numbers in SI under plain names: nothing that is worded differently some day. */
function numbersOfDay(result: DayResult): Record<string, number[]> {
  const { record } = result;
  const thinned = (series: ArrayLike<number>) =>
    Array.from({ length: Math.ceil(series.length / EVERY_SAMPLE) }, (_, i) => series[i * EVERY_SAMPLE]);
  const kept = result.laps.filter((_, i) => i % EVERY_LAP === 0);
  const wheels = Object.fromEntries(
    WHEELS.flatMap((wheel) => [
      ...RECORDED_PARTS.map((part) => [`${wheel} ${part}`, thinned(record.wheels[wheel][part])] as const),
      [`${wheel} friction`, thinned(record.wheels[wheel].friction)],
      [`${wheel} strain`, numbersOf(result.strain[wheel])],
      [`${wheel} stops`, kept.flatMap((lap) => lap.wheels[wheel].flatMap(numbersOf))],
    ]),
  );
  return {
    ...wheels,
    time: thinned(record.time),
    laps: result.laps.flatMap((lap) => [lap.startTime, lap.lapTime]),
    forces: kept.flatMap((lap) => lap.forces.flatMap(numbersOf)),
    margins: result.margins.flatMap((m) => [m.limit, m.worst, m.margin, m.share, m.at.time]),
    forceMargins: result.forceMargins.flatMap((m) => [m.limit, m.worst, m.margin, m.share, m.at.time]),
    audit: [result.audit.supplied, result.audit.stored, result.audit.lost],
  };
}

/** The demo's plans, procedures and failure cases as numbers, by plan and name. */
export function demoNumbers(): Record<string, Record<string, number[]>> {
  const all: Record<string, Record<string, number[]>> = {};
  for (const plan of demoProject.plans) {
    const setup = setupOf(demoProject, plan.id);
    if (!setup) throw new Error(`the demo has no plan ${plan.id}`);
    const input = dayInput(setup);
    const result = simulateDay(input);
    all[plan.id] = {
      ...numbersOfDay(result),
      'hot stop': hotStop(input, Math.max(...result.trace.speed)).stops.flatMap(
        ({ startTime: _start, padPeak: _pads, friction: _friction, ...stop }) => numbersOf(stop),
      ),
      failures: failureCases(input, 130 / 3.6).flatMap(numbersOf),
    };
  }
  for (const lists of Object.values(all)) {
    for (const [key, list] of Object.entries(lists)) lists[key] = list.map(nine);
  }
  return all;
}
