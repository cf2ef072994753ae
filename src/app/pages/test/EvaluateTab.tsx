import { useMemo } from 'react';
import type { TestQuestion } from '../../../services';
import { reportsOf, setupOfRun } from '../../../services';
import { say } from '../../../text/en/say/test';
import { useProject } from '../../state/context';
import { Comparison } from './Comparison';
import { Forecast } from './Forecast';
import { RunResult } from './RunResult';
import type { TestTabProps } from './tabProps';
import { usePrediction } from './usePrediction';
import { useRun } from './useRun';

/** What came out: put right, marked, beside the prediction, and setups against each other. */
export function EvaluateTab({ tested }: TestTabProps) {
  const { test, setup } = tested;
  const project = useProject();
  const open = useRun(tested);
  const reports = useMemo(() => reportsOf(test), [test]);
  const report = reports.find(({ id }) => id === open?.id) ?? null;
  const run = open?.run ?? null;
  const question = useMemo((): TestQuestion | null => {
    if (!run) return null;
    return { setup: setupOfRun(setup, project, run), design: test.design, conditions: run.conditions };
  }, [setup, project, run, test.design]);
  const answer = usePrediction(question);
  if (!report || !open) return <p className="panel px-4 py-4">{say.nothingToEvaluate}</p>;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <RunResult tested={tested} report={report} reports={reports} answer={answer} />
      <Comparison tested={tested} reports={reports} />
      <Forecast tested={tested} />
      <p className="caption px-1">{say.evaluationMeans}</p>
    </div>
  );
}
