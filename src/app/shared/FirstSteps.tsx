import { addMonths, format, parseISO } from 'date-fns';
import { useState } from 'react';
import { QUESTION } from '../../compute';
import { changeWords, fitChanges, type Setup, type UnitChoice, withChanges } from '../../model';
import {
  type Assessed,
  changesOf,
  type FirstStep,
  fluidRenewal,
  isFreshFill,
  type Order,
  orderOfSteps,
  zonesText,
} from '../../services';
import { checkText, clockText, failingWords, moneyText } from '../../text/en';
import { say } from '../../text/en/say/shared';
import { addSetup } from '../state/addSetup';
import { useProject, useSetup, useStore } from '../state/context';
import { useUnits } from '../state/preferences';
import { useAnswer } from '../state/useAnswer';
import { useEdit } from '../state/useEdit';
import { useSettled } from '../state/useSettled';
import { useTried } from '../state/useTried';
import { parseNumber } from '../ui/parseNumber';
import { toast } from '../ui/toast';
import { AnswerState } from './AnswerState';
import { StateMark } from './StateMark';
import { useBegin } from './useBegin';

const QUIET = 400;
/** "What should I do first?", answered as steps in their order. */
export function FirstSteps() {
  const [typed, setTyped] = useState('');
  const budget = parseNumber(typed) ?? Number.POSITIVE_INFINITY;
  const { currency } = useProject();
  const answer = useOrder(useSetup(), budget);
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
        <p className="max-w-[76ch] text-dim">{say.firstOrder}</p>
        <label className="flex items-center gap-2">
          <span>{say.firstBudget}</span>
          <input
            className="field w-[96px]!"
            inputMode="decimal"
            autoComplete="off"
            placeholder="any"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <span className="caption">{currency}</span>
        </label>
      </div>
      <AnswerState answer={answer} doing={say.firstDriving} />
      {answer.data && (
        <div className={answer.behind ? 'opacity-60' : ''} data-testid="first-steps">
          <Ordered order={answer.data} budget={budget} />
        </div>
      )}
    </div>
  );
}

function Ordered({ order, budget }: { readonly order: Order; readonly budget: number }) {
  const units = useUnits();
  const project = useProject();
  const store = useStore();
  const edit = useEdit();
  const begin = useBegin();
  const { setup, base, steps, last, remains } = order;
  const price = steps.reduce((sum, step) => sum + step.price, 0);
  const changes = changesOf(steps, setup);
  const fit = () =>
    edit('Fitted what comes first', (p) => fitChanges(p, setup.car.id, changes), {
      done: `Fitted to “${setup.car.name}”`,
    });
  const compare = () => {
    const problem = addSetup(store, setup, 'What comes first', changes);
    if (problem) toast.error(problem);
  };
  return (
    <>
      {steps.length > 0 && (
        <ol className="grid gap-1.5">
          {steps.map((step, i) => (
            <Step
              key={wordsOf(step, setup, units)}
              step={step}
              number={i + 1}
              setup={setup}
              before={i === 0 ? base : steps[i - 1].assessed}
            />
          ))}
        </ol>
      )}
      <p className="mt-2 flex items-start gap-2">
        <StateMark kind={remains ? 'over-limit' : 'within-limits'} className="mt-[3px]" />
        <span>
          {remains
            ? `${say.firstRemains(failingWords(remains, units), lapsText(last))} ${Number.isFinite(budget) ? say.firstOverPrice : say.firstNothing}`
            : steps.length === 0
              ? say.firstHolds
              : say.firstHoldsAfter(steps.length, moneyText(price, project.currency))}
        </span>
      </p>
      {steps.length > 0 && <p className="mt-1 text-dim">{zonesText(base, last, units)}</p>}
      <p className="mt-1 text-dim">{renewalText(withChanges(setup, changes), last)}</p>
      {steps.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn btn-main" onClick={fit}>
            Fit all of it
          </button>
          <button type="button" className="btn" onClick={() => begin(setup.car, 'What comes first', changes)}>
            Prepare the work
          </button>
          <button type="button" className="btn" onClick={compare}>
            Compare it as a setup
          </button>
        </div>
      )}
    </>
  );
}

/** One step: what, for how much, why, what then, and what it costs besides. */
function Step({
  step,
  number,
  setup,
  before,
}: {
  readonly step: FirstStep;
  readonly number: number;
  readonly setup: Setup;
  readonly before: Assessed;
}) {
  const units = useUnits();
  const { currency } = useProject();
  const words = wordsOf(step, setup, units);
  const [was, is] = [before.summary.lapTime, step.assessed.summary.lapTime];
  return (
    <li className="grid grid-cols-[24px_minmax(0,1fr)_auto] gap-x-2 border-t border-rule/60 pt-1.5">
      <span className="grid size-[22px] place-items-center rounded-full bg-sunk text-[12.5px]">{number}</span>
      <div>
        <p className="font-[600]">{words.charAt(0).toUpperCase() + words.slice(1)}</p>
        <p>
          {say.firstMends(failingWords(step.before, units))}{' '}
          {step.after && say.firstThen(failingWords(step.after, units))} {!step.mended && say.firstHelpsOnly}
        </p>
        {step.checks
          .filter(({ state }) => state === 'look')
          .map((check) => (
            <p key={check.kind} className="text-[12.5px] text-close">
              {checkText(check, units)}
            </p>
          ))}
        {Math.abs(is - was) > 0.05 && (
          <p className="caption">{say.firstLapTime(lapText(was), lapText(is))}</p>
        )}
      </div>
      <span className="font-[600]">{moneyText(step.price, currency)}</span>
    </li>
  );
}

const lapText = (time: number) => `${clockText(Math.floor(time))}.${Math.floor((time % 1) * 10)}`;

function wordsOf({ change }: FirstStep, setup: Setup, units: UnitChoice): string {
  const words = changeWords(change, setup.parts, units);
  return isFreshFill(setup, change) ? `a fresh fill of ${words}` : words;
}

function lapsText({ summary }: Assessed): string {
  const { hotLapsBefore } = summary.verdict;
  return hotLapsBefore === null ? '' : say.firstLapsHold(hotLapsBefore);
}

function renewalText(setup: Setup, base: Assessed): string {
  const renewal = fluidRenewal(setup, base);
  if (renewal.kind === 'now') return say.renewNow;
  if (renewal.kind === 'later') return say.renewLater;
  const from = setup.plan.date ? parseISO(setup.plan.date) : new Date();
  return say.renewBy(format(addMonths(from, renewal.months), 'd MMMM yyyy'));
}

function useOrder(setup: Setup, budget: number) {
  const project = useProject();
  const tryOut = useTried();
  const settled = useSettled(setup, QUIET);
  const spend = useSettled(budget, QUIET);
  return useAnswer<Order>(
    settled && spend !== null ? QUESTION.first(settled, project.prices, spend) : null,
    async (signal, report) => {
      const asked = settled ?? setup;
      let [done, all] = [0, 0];
      return orderOfSteps(project, asked, spend ?? budget, (setups) => {
        all += setups.length;
        return tryOut(setups, { signal, onDone: () => report({ done: ++done, all }) });
      });
    },
  );
}
