import { Fragment } from 'react';
import type { Allocation, Choice, SeasonPlan } from '../../../services';
import { missingText, PLACE_TEXT, provenText, REASON_TEXT, SESSION_KIND_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { useProject } from '../../state/context';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { Tip } from '../../ui/Tip';

/** Which set serves which session, why, and what another would cost. */
export function PlanTable({ plan, behind }: { readonly plan: SeasonPlan; readonly behind: boolean }) {
  const { currency } = useProject();
  const { sessions, allocations } = plan;
  const money = (value: number) => `${currency}${value.toFixed(0)}`;
  if (sessions.length === 0) return <p className="panel px-4 py-3">{say.nothingToCome}</p>;
  if (allocations.length === 0) {
    return (
      <p className="panel px-4 py-3" role="alert">
        {say.cannotDrive}
      </p>
    );
  }
  return (
    <ScrollPanel label="Sets by session" className={behind ? 'opacity-60' : ''}>
      <h2 className="text-[15px]">Sets by session</h2>
      {allocations.map((own) => {
        const missing = missingText(plan, own);
        return (
          missing !== '' && (
            <p key={own.problem.place} className="mt-1 border-l-4 border-l-over pl-2.5" role="alert">
              {missing}
            </p>
          )
        );
      })}
      <table className="mt-2 w-full min-w-[760px] text-left text-[13px]">
        <thead>
          <tr className="border-b border-rule align-bottom">
            <th className="py-1 font-[600]">Session</th>
            {allocations.map(({ problem }) => (
              <th key={problem.place} className="px-2 font-[600]">
                {PLACE_TEXT[problem.place]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sessions.map(({ event, session, eventId, sessionId }, j) => (
            <Fragment key={`${eventId} ${sessionId}`}>
              {sessions[j - 1]?.eventId !== eventId && (
                <tr className="bg-sunk">
                  <th colSpan={1 + allocations.length} scope="rowgroup" className="px-1 py-1 font-[600]">
                    {event.date} {event.name}
                  </th>
                </tr>
              )}
              <tr className="border-b border-rule/60 align-top">
                <th scope="row" className="py-1 pl-2 font-[520]">
                  {session.name}
                  <span className="caption">
                    {' '}
                    {SESSION_KIND_TEXT[session.kind]}, {session.hotLaps}
                  </span>
                </th>
                {allocations.map((own) => (
                  <td key={own.problem.place} className="px-2 py-1">
                    <Served own={own} choice={own.choices[j]} money={money} />
                  </td>
                ))}
              </tr>
            </Fragment>
          ))}
        </tbody>
      </table>
      <dl className="caption mt-2 grid gap-0.5">
        {allocations.map((own) => (
          <div key={own.problem.place} className="flex gap-2">
            <dt>{PLACE_TEXT[own.problem.place]}:</dt>
            <dd>
              {say.costOf(
                money(own.cost.wear + own.cost.bought + own.cost.changes + own.cost.freshInPractice),
                money(own.cost.risk),
              )}{' '}
              {provenText(own, money)}
            </dd>
          </div>
        ))}
      </dl>
    </ScrollPanel>
  );
}

function Served({
  own,
  choice,
  money,
}: {
  readonly own: Allocation;
  readonly choice: Choice;
  readonly money: (value: number) => string;
}) {
  if (choice.set < 0) return <span className="text-over">none</span>;
  const { name, owned } = own.problem.sets[choice.set];
  const other = choice.alternative;
  const risky = choice.worn > 0.05;
  return (
    <>
      <span className="font-[560]">{name}</span>
      {!owned && <span className="caption"> to buy</span>}
      <span className={risky ? 'text-close' : 'caption'}>
        {' '}
        {say.usedTo(100 * choice.usedAfter, 100 * choice.worn)}
      </span>
      <span className="caption block">
        {REASON_TEXT[choice.reason]}
        {other && (
          <Tip text={say.alternative(own.problem.sets[other.set].name, money(other.more))}>
            <span className="underline decoration-dotted">
              {' '}
              ({own.problem.sets[other.set].name} +{money(other.more)})
            </span>
          </Tip>
        )}
      </span>
    </>
  );
}
