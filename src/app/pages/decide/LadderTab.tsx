import { useMemo, useState } from 'react';
import { QUESTION } from '../../../compute';
import { type Project, type Setup, setCurrency, type UnitChoice, withChanges } from '../../../model';
import {
  type Assessed,
  assessed,
  type Candidate,
  type Rung,
  ranked,
  repriced,
  rungOf,
  sensiblePairs,
  type Target,
  targetMargin,
  worthwhilePairs,
  zonesText,
} from '../../../services';
import { explainLadder, marginWords, moneyText, signedKelvin } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { How } from '../../shared/How';
import { useBackground, useDays, useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type Answer, useAnswer } from '../../state/useAnswer';
import { useEdit } from '../../state/useEdit';
import { useSettled } from '../../state/useSettled';
import { useTried } from '../../state/useTried';
import { CheckField } from '../../ui/CheckField';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { type Ladder, LadderStep, stepWords } from './LadderStep';

const QUIET = 500;
const FIRST = 12;

/** The next thing to buy: every single step from today's car and sensible pairs, by margin for money. */
export function LadderTab() {
  const project = useProject();
  const setup = useSetup();
  const units = useUnits();
  const [wanted, setWanted] = useState<Target | null>(null);
  const [all, setAll] = useState(false);
  const answer = useLadder(setup, wanted);
  const ladder = answer.data;
  // Prices only order the steps: they are never driven again for them.
  const rungs = useMemo(
    () => (ladder ? ranked(ladder.rungs.map((rung) => repriced(project, ladder.setup, rung))) : []),
    [ladder, project],
  );
  const target = ladder?.rungs[0]?.target ?? wanted ?? 'heat';
  const useful = rungs.filter((rung) => rung.gain >= 0.5 && rung.possible);
  const shown = all ? rungs : useful.slice(0, FIRST);
  // What a step does to the braking zones is the same for most of them: said once, and where it differs.
  const common = ladder && shown.length > 0 ? zonesText(ladder.base, shown[0].assessed, units) : null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <LadderHead
        target={target}
        setWanted={setWanted}
        ladder={ladder}
        units={units}
        useful={useful}
        setup={setup}
        project={project}
        answer={answer}
      />
      {ladder && (
        <ScrollPanel label="Upgrade ladder" className={`${answer.behind ? 'opacity-60' : ''}`}>
          <div className="flex flex-wrap items-center gap-3">
            <h2 className="mr-auto text-[15px]">
              {say.oneStepTodayS}
              <How name="the ranking" told={() => explainLadder(ladder.tried, ladder.base, units)} />
            </h2>
            <CheckField checked={all} onChange={setAll}>
              {say.allStepsAlsoThose(rungs.length)}
            </CheckField>
          </div>
          {common && (
            <p className="mt-1">
              <strong className="font-[620]">{say.whatDoesNotDo}</strong>
              {say.whereStepDiffersSays(common)}
            </p>
          )}
          {shown.length === 0 ? (
            <p className="mt-2">{say.nothingShelfGainsMargin}</p>
          ) : (
            <Rungs project={project} shown={shown} ladder={ladder} common={common} />
          )}
          <p className="caption mt-2">{say.pricesUsualOnesEach}</p>
        </ScrollPanel>
      )}
    </div>
  );
}

/** What is to be gained. */
function LadderHead({
  target,
  setWanted,
  ladder,
  units,
  useful,
  setup,
  project,
  answer,
}: {
  target: Target;
  setWanted: (value: Target | null) => void;
  ladder: Ladder | undefined;
  units: UnitChoice;
  useful: Rung[];
  setup: Setup;
  project: Project;
  answer: Answer<Ladder>;
}) {
  return (
    <section className="panel grid gap-x-6 gap-y-3 px-4 py-3 md:grid-cols-[240px_110px_minmax(0,1fr)]">
      <SelectField
        label="To gain"
        value={target}
        options={[
          ['heat', 'Room under the limits'],
          ['bite', 'Bite at the coldest braking'],
        ]}
        onChange={setWanted}
      />
      <Currency />
      <div>
        {ladder && (
          <p>
            {say.todayTheClosest(marginWords(targetMargin(ladder.base, target), units))}{' '}
            {useful.length === 0
              ? say.noSingleStepShelf
              : say.firstStepMoney(
                  stepWords(useful[0], setup, units),
                  signedKelvin(useful[0].gain, units),
                  moneyText(useful[0].price, project.currency),
                )}
          </p>
        )}
        <AnswerState answer={answer} doing="Driving the day with every step" />
      </div>
    </section>
  );
}

/** The steps, most margin for the money first. */
function Rungs({
  project,
  shown,
  ladder,
  common,
}: {
  project: Project;
  shown: Rung[];
  ladder: Ladder;
  common: string | null;
}) {
  return (
    <table className="mt-2 w-full min-w-[960px] border-collapse text-left">
      <caption className="sr-only">{say.stepsRankedMarginEach}</caption>
      <thead>
        <tr className="caption border-b border-rule">
          <th className="font-normal">Step</th>
          <th className="px-2 text-right font-normal">gains</th>
          <th className="w-[110px] px-2 text-right font-normal">costs, {project.currency}</th>
          <th className="px-2 text-right font-normal">for each 100</th>
          <th className="px-2 font-normal">closest then</th>
          <th className="px-2 font-normal">compatible?</th>
          <th>
            <span className="sr-only">Actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map((rung) => (
          <LadderStep key={rung.id} rung={rung} ladder={ladder} common={common} />
        ))}
      </tbody>
    </table>
  );
}

function Currency() {
  const { currency } = useProject();
  const edit = useEdit();
  return (
    <TextField
      label="Currency"
      value={currency}
      longest={6}
      required
      onCommit={(next) => edit('Currency', (project) => setCurrency(project, next), { key: 'currency' })}
    />
  );
}

/** All steps of the shelf and the pairs that make sense, each driven and judged. */
function useLadder(setup: Setup, wanted: Target | null) {
  const project = useProject();
  const days = useDays();
  const { tries } = useBackground();
  const tryOut = useTried();
  const settled = useSettled(setup, QUIET, { atOnce: true });
  return useAnswer<Ladder>(settled && QUESTION.ladder(settled, wanted), async (signal, report) => {
    const asked = settled ?? setup;
    // The page's own day, that has been driven or is being driven: the steps are driven meanwhile.
    const today = days.of(asked).then((day) => assessed(asked, day));
    const targetOf = (base: Assessed): Target =>
      wanted ?? (base.summary.verdict.kind === 'below-working' ? 'bite' : 'heat');
    const judge = (base: Assessed, candidate: Candidate, driven: Assessed) =>
      rungOf(project, asked, candidate, base, driven, targetOf(base));
    let held: Assessed | null = null;
    today.then(
      (base) => {
        held = base;
      },
      () => {},
    );
    // Judged one by one as they come, so that the page stays smooth; what comes before the day they are held against, after it.
    const drive = async (candidates: readonly Candidate[], before: number, of: number) => {
      const judged: Rung[] = [];
      const driven = await tryOut(
        candidates.map(({ changes }) => withChanges(asked, changes)),
        {
          signal,
          onDone: (one, i, { done }) => {
            if (held) judged[i] = judge(held, candidates[i], one);
            report({ done: before + done, all: of });
          },
        },
      );
      const base = await today;
      return candidates.map((candidate, i) => judged[i] ?? judge(base, candidate, driven[i]));
    };
    const steps = await tries.ask((remote) => remote.steps(asked) as Promise<Candidate[]>, signal);
    const singles = await drive(steps, 0, steps.length);
    const pairs = sensiblePairs(singles, asked);
    const more = await drive(pairs, steps.length, steps.length + pairs.length);
    return {
      setup: asked,
      base: await today,
      rungs: [...singles, ...worthwhilePairs(more, singles)],
      tried: steps.length + pairs.length,
    };
  });
}
