import type { DayInput } from '../schedule';
import { FOOT_LIMITS } from './limits';
import { timeOfZone } from './margins';
import type { DayRecord } from './record';
import type { ForceMargin, LapResult, LeastFade, Moment } from './result';
import type { ZoneForce } from './zoneResult';

interface Braked {
  readonly lap: LapResult;
  readonly zone: number;
  readonly force: ZoneForce;
}

/** What is left of the driver's force and of the pedal's travel over a day, and where least braking is in hand. */
export function dayForces(
  input: Pick<DayInput, 'vehicle'>,
  record: DayRecord,
  laps: readonly LapResult[],
): { margins: ForceMargin[]; fade: LeastFade | null } {
  const braked = laps.flatMap((lap) => lap.forces.map((force, zone): Braked => ({ lap, zone, force })));
  const hot = braked.filter(({ lap }) => lap.kind === 'hot');
  const moment = ({ lap, zone }: Braked): Moment => ({
    time: timeOfZone(record, lap.number - 1, zone),
    session: lap.session,
    lap: lap.number,
    zone,
    stand: null,
    standingTime: 0,
  });
  const most = (list: readonly Braked[], of: (b: Braked) => number) =>
    list.reduce((a, b) => (of(b) > of(a) ? b : a));
  const margin = (
    part: ForceMargin['part'],
    limit: number,
    list: readonly Braked[],
    of: (b: Braked) => number,
  ): ForceMargin[] => {
    if (list.length === 0) return [];
    const worst = most(list, of);
    const first = list.find((b) => of(b) > limit);
    const left = limit - of(worst);
    return [
      {
        part,
        limit,
        worst: of(worst),
        at: moment(worst),
        margin: left,
        share: left / limit,
        passed: first ? moment(first) : null,
        lessCooling: null,
      },
    ];
  };
  const margins = FOOT_LIMITS.flatMap(({ part, limit, laps: on, of }) =>
    margin(part, limit(input.vehicle), on === 'hot' ? hot : braked, (b) => of(b.force)),
  );
  if (hot.length === 0) return { margins, fade: null };
  const least = most(hot, (b) => -b.force.fadeMargin);
  const longest = most(hot, (b) => b.force.extraDistance ?? Number.POSITIVE_INFINITY);
  return {
    margins,
    fade: {
      margin: least.force.fadeMargin,
      at: moment(least),
      limit: least.force.limit,
      extraDistance: longest.force.extraDistance,
      longest: moment(longest),
    },
  };
}
