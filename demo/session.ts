import type { PlanSession } from '../src/model';

/** One session: an out lap, hot laps, a cool-down lap, then the paddock. */
export const session = (name: string, ambientC: number, hotLaps: number, paddockMin = 30): PlanSession => ({
  name,
  ambientC,
  gripPercent: 100,
  legs: [
    { kind: 'out', laps: 1, pacePercent: 65 },
    { kind: 'hot', laps: hotLaps, pacePercent: 100 },
    { kind: 'cool', laps: 1, pacePercent: 40 },
    { kind: 'paddock', minutes: paddockMin, fanKmh: 0 },
  ],
});
