import type { Plan, PlanLeg } from '../../src/model';

export interface Drive {
  readonly outLaps?: number;
  readonly hotLaps?: number;
  readonly coolDownLaps?: number;
  readonly paddockMin?: number;
}

/** A plan with one session of an out lap, hot laps, a cool-down lap and the paddock, counted as wanted. */
export function oneSession(
  plan: Plan,
  { outLaps = 1, hotLaps = 4, coolDownLaps = 1, paddockMin = 10 }: Drive = {},
): Plan {
  const laps = (kind: 'out' | 'hot' | 'cool', count: number, pacePercent: number): PlanLeg[] =>
    count > 0 ? [{ kind, laps: count, pacePercent }] : [];
  return {
    ...plan,
    sessions: [
      {
        ...plan.sessions[0],
        legs: [
          ...laps('out', outLaps, 65),
          ...laps('hot', hotLaps, 100),
          ...laps('cool', coolDownLaps, 40),
          ...(paddockMin > 0 ? [{ kind: 'paddock' as const, minutes: paddockMin, fanKmh: 0 }] : []),
        ],
      },
    ],
  };
}
