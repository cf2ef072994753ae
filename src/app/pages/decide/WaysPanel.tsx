import { useState } from 'react';
import { QUESTION } from '../../../compute';
import type { CoolingNeed } from '../../../core';
import {
  changeWords,
  MADE_ROTOR_KEY,
  madeRotorPrice,
  type Project,
  priceInfo,
  type Setup,
  withPrice,
} from '../../../model';
import { isGood, rankedWays, type Way } from '../../../services';
import {
  checkText,
  explainWays,
  marginWords,
  moneyText,
  NO_WAY_WORDS,
  signedSeconds,
  WAY_WORDS,
} from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { How } from '../../shared/How';
import { NumberField } from '../../shared/NumberField';
import { StateMark } from '../../shared/StateMark';
import { addSetup } from '../../state/addSetup';
import { useBackground, useProject, useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { ProjectStore } from '../../state/projectStore';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import { ScrollPanel } from '../../ui/ScrollPanel';

/** Ducts, vanes, iron, pads, cool-down laps and pace side by side: what keeps the margin for least. */
export function WaysPanel({ need, setup }: { need: CoolingNeed; setup: Setup }) {
  const project = useProject();
  const store = useStore();
  const units = useUnits();
  const { decide } = useBackground();
  const [problem, setProblem] = useState<string | null>(null);
  const prices = useSettled(project.prices, 600);
  const answer = useAnswer<readonly Way[]>(prices && QUESTION.ways(setup, need.wish, prices), (signal) =>
    decide.call((remote) => remote.ways(project, setup, need), signal),
  );
  const ways = answer.data && !answer.behind ? rankedWays(answer.data) : null;
  const good = ways?.filter(isGood) ?? [];
  const cheapest = good[0] ?? null;
  const quickest = [...good].sort((a, b) => a.perDay - b.perDay)[0] ?? null;
  const what = (way: Way): string => {
    if (way.why) return NO_WAY_WORDS[way.why];
    if (way.kind === 'pace') return `${Math.round(100 * way.pace)} % of the forces on hot laps`;
    if (way.kind === 'cool-downs')
      return `${way.cool} cool-down lap${way.cool === 1 ? '' : 's'} after every ${way.stint === 1 ? 'hot lap' : `${way.stint} hot laps`}`;
    if (way.swapped) return 'the rotors swapped left and right';
    return way.changes.map((change) => changeWords(change, setup.parts, units)).join(', ');
  };
  return (
    <ScrollPanel label="Ways to keep the margin">
      <h2 className="text-[15px]">
        Cheapest way to the same margin{' '}
        {ways && <How name="each way" told={() => explainWays(ways, need.wish, project.currency, units)} />}
      </h2>
      {!ways ? (
        <div className="mt-1">
          <AnswerState answer={answer} doing={say.tryingDuctsVanesIron} />
        </div>
      ) : ways.length === 0 ? (
        <p className="mt-1">{say.planKeepsMarginNothing}</p>
      ) : (
        <>
          <p className="mt-1">
            {cheapest
              ? say.cheapestMoney(WAY_WORDS[cheapest.kind].toLowerCase(), what(cheapest))
              : ways.some((way) => way.state === 'holds')
                ? say.noneThemDoesWithout
                : say.noneThemDoesItself}
            {quickest &&
              quickest !== cheapest &&
              say.leastLostTrackDay(
                WAY_WORDS[quickest.kind].toLowerCase(),
                moneyText(quickest.price, project.currency),
                signedSeconds(quickest.perDay),
              )}
          </p>
          <WayTable ways={ways} what={what} setProblem={setProblem} store={store} setup={setup} />
          {problem && <p role="alert">{problem}</p>}
          <MadePrice project={project} store={store} />
          <p className="caption mt-1.5">{say.pricesUsualOnesMemory}</p>
        </>
      )}
    </ScrollPanel>
  );
}

/** The ways that keep the margin. */
function WayTable({
  ways,
  what,
  setProblem,
  store,
  setup,
}: {
  ways: Way[];
  what: (way: Way) => string;
  setProblem: (value: string | null) => void;
  store: ProjectStore;
  setup: Setup;
}) {
  return (
    <table className="mt-2 w-full min-w-[820px] text-left">
      <caption className="sr-only">{say.waysKeepMarginCheapest}</caption>
      <thead>
        <tr className="caption">
          <th className="font-normal">Way</th>
          <th className="px-2 font-normal">as little of it as does</th>
          <th className="px-2 text-right font-normal">money</th>
          <th className="px-2 text-right font-normal">a hot lap</th>
          <th className="px-2 text-right font-normal">the day’s driving</th>
          <th className="px-2 font-normal">closest then</th>
          <th>
            <span className="sr-only">Actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map((way) => (
          <WayRow
            key={way.kind}
            way={way}
            what={what(way)}
            onCompare={() => setProblem(addSetup(store, setup, WAY_WORDS[way.kind], way.changes))}
          />
        ))}
      </tbody>
    </table>
  );
}

/** What a pair of made rotors costs. */
function MadePrice({ project, store }: { project: Project; store: ProjectStore }) {
  return (
    <div className="mt-2 flex items-center gap-2">
      <span>{say.pairRotorsOtherVanes(project.currency)}</span>
      <span className="w-[110px]">
        <NumberField
          compact
          label="Price of a pair of made rotors"
          info={priceInfo}
          value={madeRotorPrice(project)}
          onCommit={(price) => {
            const edited = store.edit(
              'Price',
              (p) => withPrice(p, MADE_ROTOR_KEY, price),
              'price/made-rotor',
            );
            return edited.made ? null : edited.message;
          }}
        />
      </span>
    </div>
  );
}

/** How a way is marked. */
function wayState(way: Way): 'over-limit' | 'below-working' | 'close' | 'within-limits' {
  if (way.state !== 'holds') return 'over-limit';
  if (way.tooCold.length > 0) return 'below-working';
  return isGood(way) ? 'within-limits' : 'close';
}

function WayRow({ way, what, onCompare }: { way: Way; what: string; onCompare: () => void }) {
  const units = useUnits();
  const { currency } = useProject();
  const or = (text: string) => (way.state === 'none' ? '—' : text);
  return (
    <tr className="border-t border-rule/60 align-top">
      <th className="py-1 font-[560]">
        <span className="flex items-center gap-1.5">
          <StateMark kind={wayState(way)} className="h-[13px] w-[13px]" />
          {WAY_WORDS[way.kind]}
        </span>
      </th>
      <td className="max-w-[360px] px-2 py-1">
        {way.state === 'short' && (way.gain < 0.5 ? 'Gains nothing, even with ' : 'Not enough even with ')}
        {what}
        {way.tooCold.length > 0 && say.padsTooColdSome(way.tooCold.join(' and '))}
        {way.checks.map((check) => (
          <span
            key={check.kind}
            className={`block text-[12.5px] ${check.state === 'no' ? 'text-over' : 'text-dim'}`}
          >
            {check.state === 'no' ? 'But ' : 'Look: '}
            {checkText(check, units)}
          </span>
        ))}
      </td>
      <td className="px-2 py-1 text-right">{or(moneyText(way.price, currency))}</td>
      <td className="px-2 py-1 text-right">{or(signedSeconds(way.perLap))}</td>
      <td className="px-2 py-1 text-right">{or(signedSeconds(way.perDay))}</td>
      <td className="px-2 py-1">{way.least ? marginWords(way.least, units) : '—'}</td>
      <td className="py-1 text-right">
        {way.changes.length > 0 && (
          <button type="button" className="btn" onClick={onCompare}>
            Compare
          </button>
        )}
      </td>
    </tr>
  );
}
