import { useMemo } from 'react';
import { KIND_DESIGNS, TEST_BRAKING, TEST_KINDS, type TestDesign, USUAL_CONDITIONS } from '../../../model';
import type { TestQuestion } from '../../../services';
import { TEST_BRAKING_TEXT, TEST_KIND_TEXT, testSummary } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { AnswerState } from '../../shared/AnswerState';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useUnits } from '../../state/preferences';
import { SelectField } from '../../ui/SelectField';
import { PredictedChart } from './PredictedChart';
import { PredictedStops } from './PredictedStops';
import { Requirements } from './Requirements';
import { SafetyPanel } from './SafetyPanel';
import type { TestTabProps } from './tabProps';
import { usePrediction } from './usePrediction';

/** Which numbers a kind of test has, in the order they are thought of. */
const FIELDS: Readonly<Record<TestDesign['kind'], readonly (keyof TestDesign)[]>> = {
  repeated: ['fromKmh', 'toKmh', 'stops', 'spacingS', 'startC'],
  endurance: ['fromKmh', 'toKmh', 'cornerKmh', 'cornerS', 'targetMin', 'stops', 'startC'],
  'cold-hot': [
    'fromKmh',
    'toKmh',
    'stops',
    'spacingS',
    'heatSnubs',
    'heatFromKmh',
    'heatToKmh',
    'heatMs2',
    'heatCycleS',
    'startC',
  ],
  rules: [],
};

/** What is to be driven, and what should come out of it on this car in the plan's air. */
export function DesignTab({ tested }: TestTabProps) {
  const { test, editing, setup } = tested;
  const { design } = test;
  const units = useUnits();
  const question = useMemo(
    (): TestQuestion => ({ setup, design, conditions: USUAL_CONDITIONS }),
    [setup, design],
  );
  const answer = usePrediction(question);
  const { data } = answer;
  const choose = (kind: TestDesign['kind']) =>
    editing.set(['design'], { ...design, ...KIND_DESIGNS[kind], kind }, 'Kind of test');
  const state =
    data?.failure || data?.tooSlow
      ? 'over-limit'
      : (data?.passed.length ?? 0) > 0
        ? 'close'
        : 'within-limits';
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3" aria-label="What is driven">
        <div className="grid gap-x-4 gap-y-2.5 sm:grid-cols-2 lg:grid-cols-4">
          <SelectField
            label="Kind of test"
            value={design.kind}
            options={TEST_KINDS.map((kind) => [kind, TEST_KIND_TEXT[kind].name] as const)}
            onChange={choose}
          />
          {design.kind !== 'rules' && (
            <SelectField
              label="How hard"
              value={design.braking}
              options={TEST_BRAKING.map((own) => [own, TEST_BRAKING_TEXT[own]] as const)}
              onChange={(own) => editing.set(['design', 'braking'], own, 'How hard')}
            />
          )}
          {design.kind !== 'rules' && design.braking === 'hold' && (
            <Field shelf="tests" editing={editing} path={['design', 'holdMs2']} />
          )}
        </div>
        <p className="mt-1.5 max-w-[92ch]">{TEST_KIND_TEXT[design.kind].note}</p>
        <div className="mt-2 grid gap-x-4 gap-y-2.5 sm:grid-cols-3 lg:grid-cols-5">
          {FIELDS[design.kind].map((key) => (
            <Field key={key} shelf="tests" editing={editing} path={['design', key]} />
          ))}
        </div>
      </section>
      <section className="panel px-4 py-3" aria-label="Predicted" data-testid="predicted">
        <AnswerState answer={answer} doing="Driving the test" />
        {data && (
          <div className={answer.behind ? 'opacity-60' : ''}>
            <p className="flex items-start gap-2 text-[16px] leading-snug">
              <StateMark kind={state} className="mt-[3px]" />
              <span className="max-w-[92ch]">{testSummary(data, design, units)}</span>
            </p>
            <Requirements requirements={data.requirements} />
            <PredictedChart answer={data} />
            <PredictedStops answer={data} />
            <p className="caption mt-1">{say.predictionMeans}</p>
          </div>
        )}
      </section>
      <SafetyPanel />
    </div>
  );
}
