import type { Project, Season } from '../../../model';
import type { SeasonPlan } from '../../../services';
import { orderText } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { ScrollPanel } from '../../ui/ScrollPanel';

/** What is to be ordered, by when, and what the events cost. */
export function Orders({
  project,
  season,
  plan,
}: {
  readonly project: Project;
  readonly season: Season;
  readonly plan: SeasonPlan;
}) {
  const money = (value: number) => `${project.currency}${value.toFixed(0)}`;
  const cost = plan.events.map(({ id, event, cost: own }) => ({
    id,
    name: event.name,
    ...own,
    total: own.entry + own.travel + own.wear,
  }));
  const sum = (of: 'entry' | 'travel' | 'wear' | 'total') => cost.reduce((all, own) => all + own[of], 0);
  return (
    <div className="grid gap-3 lg:grid-cols-2">
      <section className="panel px-4 py-3" aria-label="To order">
        <h2 className="text-[15px]">To order</h2>
        {plan.orders.length === 0 && <p className="mt-1">{say.nothingToOrder}</p>}
        <ul className="mt-1 grid gap-1">
          {plan.orders.map((order, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: two sets of one place may be ordered on one day
            <li key={i}>
              <span className="font-[560]">{order.orderBy}</span> {orderText(order)}, {money(order.price)}
              <span className="caption"> {say.neededOn(order.date)}</span>
            </li>
          ))}
        </ul>
        <p className="caption mt-2">{say.orderMeans(season.rules.orderDays)}</p>
      </section>
      <ScrollPanel label="Costs by event">
        <h2 className="text-[15px]">Costs by event</h2>
        <table className="mt-1 w-full text-right text-[13px]">
          <thead>
            <tr className="caption border-b border-rule">
              <th className="text-left font-normal">Event</th>
              <th className="px-2 font-normal">entry</th>
              <th className="px-2 font-normal">travel</th>
              <th className="px-2 font-normal">pads and rotors</th>
              <th className="font-normal">all</th>
            </tr>
          </thead>
          <tbody>
            {cost.map((own) => (
              <tr key={own.id} className="border-b border-rule/60">
                <th scope="row" className="py-0.5 text-left font-[520]">
                  {own.name}
                </th>
                <td className="px-2">{money(own.entry)}</td>
                <td className="px-2">{money(own.travel)}</td>
                <td className="px-2">{money(own.wear)}</td>
                <td>{money(own.total)}</td>
              </tr>
            ))}
            <tr className="font-[600]">
              <th scope="row" className="py-0.5 text-left">
                Season
              </th>
              <td className="px-2">{money(sum('entry'))}</td>
              <td className="px-2">{money(sum('travel'))}</td>
              <td className="px-2">{money(sum('wear'))}</td>
              <td>{money(sum('total'))}</td>
            </tr>
          </tbody>
        </table>
      </ScrollPanel>
    </div>
  );
}
