import { CalendarDays, Plus, Sheet } from 'lucide-react';
import { useMemo, useState } from 'react';
import { newEvent, newSeason, putEvent, putSeason, type Season } from '../../../model';
import { seasonCalendar, seasonCsv } from '../../../report';
import { eventsOf, type SeasonPlan } from '../../../services';
import { say } from '../../../text/en/say/keep';
import { AnswerState } from '../../shared/AnswerState';
import { download } from '../../shell/files';
import { useProject, useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { SelectField } from '../../ui/SelectField';
import { EventCard } from './EventCard';
import { Orders } from './Orders';
import { PlanTable } from './PlanTable';
import { RulesPanel } from './RulesPanel';
import { SeasonCalendar } from './SeasonCalendar';
import { type KeepTabProps, today } from './tabProps';
import { useSeasonPlan } from './useSeasonPlan';

/** The year ahead: events, which sets serve which session and why, what to order, what it costs. */
export function SeasonTab({ kept }: KeepTabProps) {
  const project = useProject();
  const { plan } = useSetup();
  const edit = useEdit();
  const own = project.seasons.filter(({ carId }) => carId === kept.car.id);
  const [picked, setPicked] = useState<string | null>(null);
  const season = own.find(({ id }) => id === picked) ?? own.at(-1) ?? null;
  const begin = () => {
    const id = crypto.randomUUID();
    const made = edit('Began a season', (p) =>
      putSeason(p, newSeason(kept.car.id, plan.id, { id, name: say.seasonName(today().slice(0, 4)) })),
    );
    if (made) setPicked(id);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="panel flex flex-wrap items-end gap-3 px-4 py-2.5 print:hidden">
        {own.length > 0 && (
          <div className="w-[240px] max-w-full">
            <SelectField
              label="Season"
              value={season?.id ?? ''}
              options={own.map(({ id, name }) => [id, name] as const)}
              onChange={setPicked}
            />
          </div>
        )}
        <button type="button" className="btn" onClick={begin}>
          <Plus size={15} aria-hidden="true" /> New season
        </button>
        {!season && <p>{say.noSeason}</p>}
      </div>
      {season && <Planned key={season.id} kept={kept} season={season} />}
    </div>
  );
}

function Planned({ kept, season }: KeepTabProps & { readonly season: Season }) {
  const project = useProject();
  const edit = useEdit();
  const [open, setOpen] = useState<string | null>(null);
  const day = today();
  const { loads, plan } = useSeasonPlan(kept, season, day);
  const events = useMemo(() => eventsOf(season), [season]);
  const answer: SeasonPlan | undefined = plan.data;
  const openEvent = (id: string) => {
    setOpen(id);
    document.getElementById(`event-${id}`)?.scrollIntoView({ block: 'nearest' });
  };
  const add = () => {
    const id = crypto.randomUUID();
    const last = events.at(-1)?.event;
    const circuit = last?.circuitId ?? project.circuits[0].id;
    const event = newEvent(
      circuit,
      last && last.date > day ? last.date : day,
      say.eventName(events.length + 1),
    );
    if (edit('Added an event', (p) => putEvent(p, season.id, id, event))) setOpen(id);
  };
  return (
    <>
      <RulesPanel season={season} />
      <AnswerState answer={loads} doing={say.sessionsDriven} />
      <AnswerState answer={plan} doing={say.spreading} />
      {answer && <PlanTable plan={answer} behind={plan.behind} />}
      {answer && <Orders project={project} season={season} plan={answer} />}
      <SeasonCalendar season={season} plan={answer} onOpen={openEvent} />
      <section className="panel px-4 py-3 print:hidden" aria-label="Events">
        <div className="flex flex-wrap items-center justify-between gap-2">
          <h2 className="text-[15px]">Events</h2>
          <div className="flex flex-wrap gap-2">
            {answer && (
              <>
                <button
                  type="button"
                  className="btn"
                  onClick={() => download('calendar', season.name, seasonCalendar(project, season, answer))}
                >
                  <CalendarDays size={15} aria-hidden="true" /> Calendar (ICS)
                </button>
                <button
                  type="button"
                  className="btn"
                  onClick={() => download('table', season.name, seasonCsv(project, answer))}
                >
                  <Sheet size={15} aria-hidden="true" /> Table (CSV)
                </button>
              </>
            )}
            <button type="button" className="btn btn-main" onClick={add}>
              <Plus size={15} aria-hidden="true" /> Event
            </button>
          </div>
        </div>
        <div className="mt-2 grid gap-2">
          {events.map(({ id, event }) => (
            <EventCard
              key={id}
              season={season}
              id={id}
              event={event}
              planned={answer?.events.find((own) => own.id === id) ?? null}
              open={open === id}
              onOpen={() => setOpen((now) => (now === id ? null : id))}
            />
          ))}
          {events.length === 0 && <p className="text-dim">{say.noEvents}</p>}
        </div>
      </section>
      <p className="caption px-1">{say.seasonSafety}</p>
    </>
  );
}
