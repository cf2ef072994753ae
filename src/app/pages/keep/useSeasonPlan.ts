import { useMemo } from 'react';
import { QUESTION } from '../../../compute';
import type { Season, StoredLoad } from '../../../model';
import { loadQuestions, type SeasonPlan } from '../../../services';
import type { Kept } from '../../shared/useKept';
import { useLoads } from '../../shared/useKept';
import { useBackground, useProject } from '../../state/context';
import { type Answer, useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';

const QUIET = 500;

/** A season's sets, spread by the solver in a worker; asked anew when anything it depends on has settled. */
export function useSeasonPlan(
  kept: Kept,
  season: Season | null,
  day: string,
): { readonly loads: Answer<readonly StoredLoad[]>; readonly plan: Answer<SeasonPlan> } {
  const project = useProject();
  const { season: planner } = useBackground();
  const settled = useSettled(season, QUIET);
  const questions = useMemo(
    () => (settled ? loadQuestions(project, settled, day) : []),
    [project, settled, day],
  );
  const loads = useLoads(useMemo(() => questions.map(({ setup }) => setup), [questions]));
  const known = useMemo(
    () =>
      !loads.behind && loads.data?.length === questions.length
        ? new Map(questions.map(({ key }, i) => [key, (loads.data as readonly StoredLoad[])[i]]))
        : null,
    [questions, loads.data, loads.behind],
  );
  const driven = kept.loads;
  const ready = settled !== null && known !== null && !kept.answer.running;
  // Names and notes apart, the choice depends on all that is kept of the car.
  const asked = ready
    ? {
        season: settled,
        sets: project.sets,
        entries: kept.entries,
        prices: project.prices,
        fluid: kept.car.fluid,
        day,
      }
    : null;
  const plan = useAnswer<SeasonPlan>(
    asked &&
      QUESTION.season(
        questions.map(({ key }) => key),
        asked,
      ),
    async (signal) => {
      if (!settled || !known) throw new RangeError('useSeasonPlan: asked before it had settled');
      return planner.call(
        (remote) => remote.plan(project, settled.id, known, driven, day) as Promise<SeasonPlan>,
        signal,
      );
    },
  );
  return { loads, plan };
}
