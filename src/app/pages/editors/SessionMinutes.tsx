import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { QUESTION } from '../../../compute';
import { fieldInfo, hotLapsIn, type LapTimes, type PlanSession, planSchema, setupOf } from '../../../model';
import { clockText } from '../../../text/en';
import { say } from '../../../text/en/say/editors';
import { NumberField } from '../../shared/NumberField';
import { useEngine, useProject } from '../../state/context';
import type { Editing } from '../../state/useItem';

/** A session's minutes: what its laps come to, and how many hot laps fit into others. */
export function SessionMinutes({
  editing,
  index,
  session,
}: {
  readonly editing: Editing<'plans'>;
  readonly index: number;
  readonly session: PlanSession;
}) {
  const project = useProject();
  const engine = useEngine();
  const setup = setupOf(project, editing.item.id);
  const query = useQuery({
    queryKey: QUESTION.lapTimes(setup),
    placeholderData: keepPreviousData,
    queryFn: () => engine.call((remote) => remote.lapTimes(setup) as Promise<LapTimes>),
  });
  const times = query.data;
  const hot = session.legs.findIndex((leg) => leg.kind === 'hot');
  if (!times || hot < 0) return null;
  const seconds = session.legs.reduce((sum, leg) => {
    if ('laps' in leg) return sum + leg.laps * times[leg.kind];
    return leg.kind === 'pit' ? sum + 60 * leg.minutes : sum;
  }, 0);
  const set = (minutes: number | null) => {
    if (minutes === null) return null;
    const others = seconds - (session.legs[hot] as { laps: number }).laps * times.hot;
    const laps = hotLapsIn(minutes, { out: others, cool: 0, hot: times.hot });
    return editing.set(['sessions', index, 'legs', hot, 'laps'], laps, 'Minutes of a session');
  };
  return (
    <div>
      <NumberField
        info={{
          ...fieldInfo(planSchema.shape.minutes),
          title: 'In minutes',
          description: say.sessionMinutes,
        }}
        value={Math.round(seconds / 6) / 10}
        onCommit={set}
      />
      <p className="caption mt-0.5">{say.sessionTakes(clockText(Math.round(seconds)))}</p>
    </div>
  );
}
