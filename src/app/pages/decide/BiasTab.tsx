import { QUESTION } from '../../../compute';
import type { BalanceChoice, BalanceChoices } from '../../../core';
import { fitChanges, formatQuantity, type Setup, setClicks, type UnitChoice } from '../../../model';
import { explainBalance, fadeText } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { How } from '../../shared/How';
import { StateMark } from '../../shared/StateMark';
import { useBackground, useSetup } from '../../state/context';
import { usePickedZone } from '../../state/picked';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useEdit } from '../../state/useEdit';
import { useSettled } from '../../state/useSettled';
import { ConfirmButton } from '../../ui/ConfirmButton';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { ShareChart } from './ShareChart';
import { SweepChart } from './SweepChart';

const QUIET = 500;
const NAMES: Readonly<Record<BalanceChoice['kind'], string>> = {
  now: 'Current setup',
  grip: 'Ideal balance',
  even: 'Both axles equally hot',
};

/** The balance that is best for grip against the one that is best for temperature, zone by zone. */
export function BiasTab() {
  const setup = useSetup();
  const { decide } = useBackground();
  const settled = useSettled(setup, QUIET);
  const answer = useAnswer<{ balance: BalanceChoices; setup: Setup }>(
    settled && QUESTION.balance(settled),
    async (signal) => {
      const asked = settled ?? setup;
      return { balance: await decide.call((remote) => remote.balance(asked), signal), setup: asked };
    },
  );
  const { data } = answer;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      {(!data || answer.behind || answer.error) && (
        <section className="panel px-4 py-3">
          <AnswerState answer={answer} doing="Driving the day with twenty balances" />
        </section>
      )}
      {data && (
        <div className={`grid grid-cols-[minmax(0,1fr)] gap-3 ${answer.behind ? 'opacity-60' : ''}`}>
          <Choices balance={data.balance} setup={data.setup} />
          <ByZone balance={data.balance} />
          <section className="panel px-4 py-3" aria-label="Balance sweep">
            <h2 className="text-[15px]">{say.whatAnotherBalanceWould}</h2>
            <SweepChart sweep={data.balance.sweep} />
          </section>
        </div>
      )}
    </div>
  );
}

const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

function Choices({ balance, setup }: { balance: BalanceChoices; setup: Setup }) {
  const units = useUnits();
  const edit = useEdit();
  const take = (choice: BalanceChoice) => {
    edit(
      `Balance: ${NAMES[choice.kind].toLowerCase()}`,
      (project) =>
        choice.clicks
          ? setClicks(project, setup.plan.id, choice.clicks)
          : fitChanges(project, setup.car.id, [
              { kind: 'balance', frontSharePercent: Math.round(1000 * choice.share) / 10 },
            ]),
      {
        done: choice.clicks ? 'Clicks written into the plan' : say.brakeBalanceFrontWritten,
      },
    );
  };
  return (
    <ScrollPanel label="Balances compared">
      <h2 className="text-[15px]">
        {balance.control ? 'Clicks at every braking zone' : 'One balance for all braking zones'}, for grip or
        for temperature <How name="the balances" told={() => explainBalance(balance, setup)} />
      </h2>
      <p className="mt-1 max-w-[100ch]">
        {say.whatBestTemperatureNot}
        {balance.control && say.clickDirection}
        {balance.sweep.even === null && !balance.control && say.withinBalancesTriedBoth}
      </p>
      <table className="mt-2 w-full min-w-[720px] text-right">
        <thead>
          <tr className="caption">
            <th className="text-left font-normal">Balance</th>
            <th className="px-2 font-normal">{balance.control ? 'clicks, zone by zone' : 'brake balance'}</th>
            <th className="px-2 font-normal">front, least margin</th>
            <th className="px-2 font-normal">rear, least margin</th>
            <th className="px-2 font-normal">brake reserve</th>
            <th className="px-2 font-normal">rear nearer to locking</th>
            <th>
              <span className="sr-only">Actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {balance.choices.map((choice) => (
            <ChoiceRow key={choice.kind} choice={choice} units={units} take={take} />
          ))}
        </tbody>
      </table>
    </ScrollPanel>
  );
}

/** One balance with what it does, and the button that sets it. */
function ChoiceRow({
  choice,
  units,
  take,
}: {
  choice: BalanceChoice;
  units: UnitChoice;
  take: (choice: BalanceChoice) => void;
}) {
  return (
    <tr className="border-t border-rule/60">
      <th className="py-1 text-left font-[560]">
        <span className="flex items-center gap-1.5">
          <StateMark
            kind={Math.min(choice.front, choice.rear) < 0 ? 'over-limit' : 'within-limits'}
            className="h-[13px] w-[13px]"
          />
          {NAMES[choice.kind]}
        </span>
      </th>
      <td className="px-2">{choice.clicks ? choice.clicks.map(signed).join(' ') : percent(choice.share)}</td>
      <Kelvin value={choice.front} units={units} />
      <Kelvin value={choice.rear} units={units} />
      <td className="px-2">{choice.fade === null ? '—' : fadeText(choice.fade)}</td>
      <td className={`px-2 ${choice.rearFirst > 0 ? 'text-over' : ''}`}>
        {choice.rearFirst} of {choice.hotZones} braking zones
      </td>
      <td className="py-1">{choice.kind !== 'now' && <SetChoice choice={choice} take={take} />}</td>
    </tr>
  );
}

/** Sets a balance; one that lets the rear lock first asks before. */
function SetChoice({ choice, take }: { choice: BalanceChoice; take: (choice: BalanceChoice) => void }) {
  const label = `Set: ${NAMES[choice.kind]}`;
  if (choice.rearFirst === 0) {
    return (
      <button type="button" className="btn" aria-label={label} onClick={() => take(choice)}>
        Set this
      </button>
    );
  }
  return (
    <ConfirmButton
      label={label}
      title={say.rearLocksFirst}
      warning={say.rearLocksFirstWarning(choice.rearFirst, choice.hotZones)}
      confirm="Set it all the same"
      onConfirm={() => take(choice)}
    >
      Set this
    </ConfirmButton>
  );
}

const signed = (clicks: number) => (clicks === 0 ? '0' : `${clicks > 0 ? '+' : '−'}${Math.abs(clicks)}`);

function Kelvin({ value, units }: { value: number; units: UnitChoice }) {
  const text = formatQuantity(Math.abs(value), 'difference', units);
  return (
    <td className={`px-2 ${value < 0 ? 'font-[620] text-over' : ''}`}>
      {value < 0 ? `${text} over` : `${text} left`}
    </td>
  );
}

function ByZone({ balance }: { balance: BalanceChoices }) {
  const [picked, pick] = usePickedZone(balance.zones.length);
  if (balance.lap === null || balance.zones.length === 0) {
    return <p className="panel px-4 py-3 text-dim">{say.noHotLapBraked}</p>;
  }
  const points = (value: number) => {
    const text = Math.abs(100 * value).toFixed(1);
    return Number(text) === 0 ? text : `${value > 0 ? '+' : '−'}${text}`;
  };
  return (
    <ScrollPanel label="Balance by braking zone">
      <h2 className="text-[15px]">{say.brakingZoneLastHot}</h2>
      <p className="caption mt-0.5">{say.equallyHotShareWhich}</p>
      <ShareChart zones={balance.zones} picked={picked} onPick={pick} />
      <table className="mt-2 w-full min-w-[620px] text-right text-[13px]">
        <thead>
          <tr className="caption">
            <th className="text-left font-normal">Braking zone</th>
            <th className="px-2 font-normal">brake balance now</th>
            <th className="px-2 font-normal">ideal</th>
            <th className="px-2 font-normal">equally hot at</th>
            <th className="px-2 font-normal">now less ideal, points</th>
            <th className="px-2 font-normal">equally hot less ideal, points</th>
            <th className="px-2 font-normal">nearer to locking</th>
          </tr>
        </thead>
        <tbody>
          {balance.zones.map((zone, k) => (
            <tr
              // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the lap
              key={k}
              className={`cursor-pointer border-t border-rule/60 ${k === picked ? 'bg-act/15' : 'hover:bg-sunk'}`}
              aria-current={k === picked}
              onClick={() => pick(k)}
            >
              <th className="text-left font-[520]">
                {k + 1} {zone.name}
              </th>
              <td className="px-2">{percent(zone.actual)}</td>
              <td className="px-2">{percent(zone.grip)}</td>
              <td className="px-2">{zone.even === null ? '—' : percent(zone.even)}</td>
              <td className="px-2">{points(zone.actual - zone.grip)}</td>
              <td className="px-2">{zone.even === null ? '—' : points(zone.even - zone.grip)}</td>
              <td className="px-2">{zone.locksFirst}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollPanel>
  );
}
