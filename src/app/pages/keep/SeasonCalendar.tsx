import { differenceInCalendarMonths, eachDayOfInterval, format, parseISO } from 'date-fns';
import { useMemo } from 'react';
import { DayPicker } from 'react-day-picker';
import 'react-day-picker/style.css';
import type { Season } from '../../../model';
import { eventsOf, lastDayOf, type SeasonPlan } from '../../../services';
import { orderText } from '../../../text/en';
import { say } from '../../../text/en/say/keep';

/** Most months that are drawn: a season and a half. */
const MOST_MONTHS = 18;

/** Something of a season that has its day. */
interface Marked {
  readonly kind: 'event' | 'order';
  readonly text: string;
  /** Event to open */
  readonly eventId: string;
}

/** Everything of a season by its day, as 2027-05-01. */
function marksOf(season: Season, plan: SeasonPlan | undefined): ReadonlyMap<string, readonly Marked[]> {
  const marks = new Map<string, Marked[]>();
  const mark = (day: string, own: Marked) => marks.set(day, [...(marks.get(day) ?? []), own]);
  for (const { id, event } of eventsOf(season)) {
    for (const day of eachDayOfInterval({ start: parseISO(event.date), end: parseISO(lastDayOf(event)) }))
      mark(format(day, 'yyyy-MM-dd'), { kind: 'event', text: event.name, eventId: id });
  }
  for (const order of plan?.orders ?? [])
    mark(order.orderBy, {
      kind: 'order',
      text: say.orderTitle(orderText(order).toLowerCase()),
      eventId: order.eventId,
    });
  return marks;
}

/** The months of a season with its events and the days by which something is ordered; a day opens its event. */
export function SeasonCalendar({
  season,
  plan,
  onOpen,
}: {
  readonly season: Season;
  readonly plan: SeasonPlan | undefined;
  readonly onOpen: (eventId: string) => void;
}) {
  const marks = useMemo(() => marksOf(season, plan), [season, plan]);
  if (marks.size === 0) return null;
  const days = [...marks.keys()].sort();
  const [first, last] = [parseISO(days[0]), parseISO(days[days.length - 1])];
  const months = Math.min(MOST_MONTHS, differenceInCalendarMonths(last, first) + 1);
  const of = (kind: Marked['kind']) =>
    days.filter((day) => marks.get(day)?.some((own) => own.kind === kind)).map((day) => parseISO(day));
  const at = (date: Date) => marks.get(format(date, 'yyyy-MM-dd')) ?? [];
  return (
    <section className="panel season px-4 py-3 print:hidden" aria-label="Calendar">
      <div className="flex flex-wrap items-baseline gap-x-5">
        <h2 className="text-[15px]">Calendar</h2>
        <p className="caption flex items-center gap-1.5">
          <span className="season-key season-event" aria-hidden="true" /> event
          <span className="season-key season-order ml-3" aria-hidden="true" /> order by
        </p>
      </div>
      <DayPicker
        weekStartsOn={1}
        numberOfMonths={months}
        defaultMonth={first}
        hideNavigation
        modifiers={{ event: of('event'), order: of('order') }}
        modifiersClassNames={{ event: 'season-event', order: 'season-order' }}
        disabled={(date) => at(date).length === 0}
        labels={{
          labelDayButton: (date) =>
            [format(date, 'd MMM yyyy'), ...at(date).map(({ text }) => text)].join(': '),
        }}
        onDayClick={(date) => {
          const [own] = at(date);
          if (own) onOpen(own.eventId);
        }}
      />
    </section>
  );
}
