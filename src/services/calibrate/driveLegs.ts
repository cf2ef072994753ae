import type { DayInput, Leg, SessionPlan } from '../../core';

/** Where a lap ends in a day: in which session's air, and how long the car stood after it. */
export interface LapEnd {
  /** K */
  readonly ambient: number;
  /** s it stood; 0 where it drove on; null where nothing comes after it */
  readonly stood: number | null;
}

interface LegIn {
  readonly leg: Leg;
  readonly session: SessionPlan;
}

const legsOf = (day: DayInput): LegIn[] =>
  day.sessions.flatMap((session) => session.legs.map((leg) => ({ leg, session })));

/** Every lap of a day, in order. */
export function lapEnds(day: DayInput): LapEnd[] {
  const legs = legsOf(day);
  return legs.flatMap(({ leg, session }, at) => {
    if (!('laps' in leg)) return [];
    let stood = 0;
    let next = at + 1;
    for (; next < legs.length; next++) {
      const after = legs[next].leg;
      if ('laps' in after) break;
      stood += after.duration;
    }
    const last: LapEnd = {
      ambient: session.ambient,
      stood: next >= legs.length ? (stood > 0 ? stood : null) : stood,
    };
    const driving: LapEnd = { ambient: session.ambient, stood: 0 };
    return Array.from({ length: leg.laps }, (_, n) => (n === leg.laps - 1 ? last : driving));
  });
}

/** A day whose last standing is at least so long, s: it was parked when it was read. */
export function standingLonger(day: DayInput, seconds: number): DayInput {
  const session = day.sessions[day.sessions.length - 1];
  const ends = lapEnds(day);
  const stood = ends[ends.length - 1]?.stood ?? 0;
  if (stood >= seconds) return day;
  const more: Leg = { kind: 'paddock', duration: seconds - stood, fan: 0 };
  return {
    ...day,
    sessions: [...day.sessions.slice(0, -1), { ...session, legs: [...session.legs, more] }],
  };
}
