import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { QUESTION } from '../../../compute';
import type { BeddingPlan } from '../../../core';
import { beddingQuestion } from '../../../services';
import {
  beddingRecipeText,
  beddingSummary,
  beddingWarningText,
  explainBedding,
  obstacleText,
  residualText,
  VERSION_TEXT,
} from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { AnswerState } from '../../shared/AnswerState';
import { How } from '../../shared/How';
import { StateMark } from '../../shared/StateMark';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import { BedCard } from './BedCard';
import { BedChart } from './BedChart';
import { BedOutcome, OutcomeLine } from './BedOutcome';
import { BedSettings } from './BedSettings';
import { BedSteps } from './BedSteps';
import type { PrepareTabProps } from './tabProps';

const QUIET = 350;

/** How new pads and rotors are bedded: driven by the engine with this car in the plan's air. */
export function BedTab({ prepared }: PrepareTabProps) {
  const { preparation, setup } = prepared;
  const { decide } = useBackground();
  const units = useUnits();
  const [search, setSearch] = useSearchParams();
  const question = useMemo(() => beddingQuestion(setup, preparation), [setup, preparation]);
  const settled = useSettled(question, QUIET);
  const answer = useAnswer<BeddingPlan>(
    settled && QUESTION.bedding(settled.setup, settled.recipe),
    async (signal) => {
      if (!settled) throw new RangeError('BedTab: asked before it had settled');
      return decide.call((remote) => remote.bedding(settled), signal);
    },
  );
  const plan = answer.data;
  const card = (on: boolean) => {
    const next = new URLSearchParams(search);
    if (on) next.set('card', '1');
    else next.delete('card');
    setSearch(next);
  };
  if (plan && question && !answer.behind && search.get('card') === '1') {
    return (
      <BedCard plan={plan} axle={question.axles[0]} preparation={preparation} onClose={() => card(false)} />
    );
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <BedSettings prepared={prepared} />
      {!question ? (
        <section className="panel px-4 py-4">
          <OutcomeLine preparation={preparation} />
          <p className={preparation.bed.outcome ? 'caption mt-1' : ''}>{say.nothingToBed}</p>
        </section>
      ) : (
        <>
          <section className="panel px-4 py-3" aria-label="Bedding run" data-testid="bedding">
            <AnswerState answer={answer} doing="Driving the bedding run" />
            {plan && (
              <div className={answer.behind ? 'opacity-60' : ''}>
                <p className="flex items-start gap-2 text-[16px] leading-snug">
                  <StateMark
                    kind={plan.obstacle ? 'over-limit' : plan.warnings.length > 0 ? 'close' : 'within-limits'}
                    className="mt-[3px]"
                  />
                  <span>
                    <strong className="font-[660]">
                      {VERSION_TEXT[preparation.bed.version].name}, {question.axles.join(' and ')}.
                    </strong>{' '}
                    {beddingSummary(plan, units)}
                  </span>
                </p>
                <p className="mt-1 text-dim">
                  {beddingRecipeText(plan, question.recipe, units)}{' '}
                  <How
                    name="the bedding run"
                    told={() => explainBedding(question, plan, prepared.work, units)}
                  />
                </p>
                {plan.obstacle && (
                  <p role="alert" className="mt-1 max-w-[92ch]">
                    {obstacleText(plan.obstacle, units)}
                  </p>
                )}
                {plan.warnings.map((warning) => (
                  <p key={warning.kind} role="alert" className="mt-1 max-w-[92ch]">
                    {beddingWarningText(warning, units)}
                  </p>
                ))}
                {prepared.car.recovery && <p className="mt-1 max-w-[92ch]">{say.recoveryOff}</p>}
                <BedChart plan={plan} question={question} />
                <p className="caption mt-1">
                  {say.bedMeans(
                    VERSION_TEXT[preparation.bed.version].note,
                    residualText(plan.audit.residual),
                  )}
                </p>
              </div>
            )}
          </section>
          {plan && (
            <>
              <BedSteps plan={plan} question={question} preparation={preparation} onCard={() => card(true)} />
              <BedOutcome plan={plan} prepared={prepared} question={question} />
            </>
          )}
        </>
      )}
      <p className="caption px-1">{say.bedSafety}</p>
    </div>
  );
}
