import { addDays, format, parseISO } from 'date-fns';
import { useMemo } from 'react';
import { formatQuantity, toShown, type UnitChoice, unitOf } from '../../../model';
import {
  boilingNeededC,
  type FluidState,
  fluidState,
  reasonsToRenew,
  sessionsToCome,
  setupOfPlanned,
} from '../../../services';
import { FLUID_DEED_TEXT, fluidReasonText } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { AnswerState } from '../../shared/AnswerState';
import { BottleShelf } from '../../shared/BottleShelf';
import { useLoads } from '../../shared/useKept';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { LineChart } from '../../ui/charts/LineChart';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { FluidForm } from './FluidForm';
import { type KeepTabProps, today } from './tabProps';

const DAYS_AHEAD = 730;
const STEP = 10;

/** The fluid of a car: what was done to it and read of it, how it ages, and the day it no longer does. */
export function FluidTab({ kept }: KeepTabProps) {
  const project = useProject();
  const units = useUnits();
  const now = today();
  const state = useMemo(() => fluidState(project, kept.car, now), [project, kept.car, now]);
  const season = project.seasons.find(({ carId }) => carId === kept.car.id) ?? null;
  const hottest = useMemo(() => {
    if (!season) return [];
    const ids = new Set<string>();
    // One session an event is asked: the one with most laps.
    return sessionsToCome(project, season, now).flatMap((planned, _, all) => {
      const own = all.filter(({ eventId }) => eventId === planned.eventId);
      const most = own.reduce((a, b) => (b.session.hotLaps > a.session.hotLaps ? b : a));
      if (most !== planned || ids.has(planned.eventId)) return [];
      ids.add(planned.eventId);
      const setup = setupOfPlanned(project, season, planned.event, planned.session, {});
      return setup ? [{ planned, setup }] : [];
    });
  }, [project, season, now]);
  const answer = useLoads(useMemo(() => hottest.map(({ setup }) => setup), [hottest]));
  const needed = hottest.flatMap(({ planned, setup }, i) => {
    const load = answer.behind ? undefined : answer.data?.[i];
    return load ? [{ planned, neededC: boilingNeededC(setup, load) }] : [];
  });
  const most = needed.length > 0 ? Math.max(...needed.map(({ neededC }) => neededC)) : null;
  const degrees = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  const school = season?.rules.fluid ?? 'boiling point';
  const reasons = reasonsToRenew(state, { date: now, school, neededC: most });
  const today_ = state.boilingC(now);
  const under = most === null ? null : state.fallsTo(most, now);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3" aria-label="Fluid today">
        <h2 className="text-[15px]">Today</h2>
        <p className="mt-1 text-[17px]" data-testid="fluid-today">
          {say.boilsAt(degrees(today_.median), degrees(today_.low), degrees(today_.high))}
        </p>
        <p className="mt-1">
          {state.fromLog ? say.inSince(state.since) : say.inSinceByCar(state.since)}{' '}
          {under && most !== null && say.fallsUnder(degrees(most), under.low, under.median)}
        </p>
        {reasons.length > 0 ? (
          <ul className="mt-2 grid gap-1">
            {reasons.map((reason) => (
              <li key={reason.kind} className="border-l-4 border-l-over pl-2.5">
                <span className="font-[600]">Renew it.</span> {fluidReasonText(reason, units)}
              </li>
            ))}
          </ul>
        ) : (
          <p className="mt-2">{say.noReason}</p>
        )}
        <p className="caption mt-2 max-w-[140ch]">{say.fluidMeans}</p>
      </section>
      <FluidForm kept={kept} />
      <BottleShelf fluid={kept.car.fluid.kind} date={now} />
      <Chart state={state} from={now} neededC={most} units={units} />
      {season && <AnswerState answer={answer} doing={say.sessionsDriven} />}
      {needed.length > 0 && (
        <ScrollPanel label="By event">
          <h2 className="text-[15px]">By event</h2>
          <table className="mt-1 w-full text-left text-[13px]">
            <thead>
              <tr className="border-b border-rule">
                <th className="py-1 font-[600]">Event</th>
                <th className="px-2 font-[600]">Needed</th>
                <th className="px-2 font-[600]">Boils by then at</th>
                <th className="px-2 font-[600]">State</th>
              </tr>
            </thead>
            <tbody>
              {needed.map(({ planned, neededC }) => {
                const then = state.boilingC(planned.event.date);
                const enough = then.low >= neededC;
                return (
                  <tr key={planned.eventId} className="border-b border-rule/60">
                    <th className="py-1 font-[540]" scope="row">
                      {planned.event.date} {planned.event.name}
                    </th>
                    <td className="px-2">{degrees(neededC)}</td>
                    <td className="px-2">
                      {say.interval(degrees(then.median), degrees(then.low), degrees(then.high))}
                    </td>
                    <td className={`px-2 ${enough ? '' : 'text-over'}`}>
                      {enough ? 'within' : 'renew before'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </ScrollPanel>
      )}
      <ScrollPanel label="What was done and read">
        <h2 className="text-[15px]">What was done and read</h2>
        {state.entries.length === 0 ? (
          <p className="mt-1 text-dim">{say.nothingOfFluid}</p>
        ) : (
          <ul className="mt-1 grid gap-1">
            {[...state.entries].reverse().map((entry) => (
              <li key={entry.id}>
                {entry.date}: {FLUID_DEED_TEXT[entry.deed]}
                {entry.copperPpm !== null && `, ${entry.copperPpm} ppm`}
                {entry.waterPercent !== null && `, ${entry.waterPercent} %`}
                {entry.boilingC !== null && `, ${degrees(entry.boilingC)}`}
                {entry.newPercent !== null && `, ${say.newInCalipers(entry.newPercent)}`}
                {entry.by && ` (${entry.by})`}
              </li>
            ))}
          </ul>
        )}
      </ScrollPanel>
    </div>
  );
}

function Chart({
  state,
  from,
  neededC,
  units,
}: {
  readonly state: FluidState;
  readonly from: string;
  readonly neededC: number | null;
  readonly units: UnitChoice;
}) {
  const unit = unitOf('temperature', units);
  const begun = parseISO(state.since);
  const days = Math.round((addDays(parseISO(from), DAYS_AHEAD).getTime() - begun.getTime()) / 86_400_000);
  const x = Array.from({ length: Math.floor(days / STEP) + 1 }, (_, k) => k * STEP);
  const dateOf = (day: number) => format(addDays(begun, day), 'yyyy-MM-dd');
  const at = x.map((day) => state.boilingC(dateOf(day)));
  const shown = (of: 'low' | 'median' | 'high') => at.map((own) => toShown(own[of], unit));
  const nowDay = Math.round((parseISO(from).getTime() - begun.getTime()) / 86_400_000);
  return (
    <section className="panel px-4 py-3" aria-label="Boiling point over time">
      <h2 className="text-[15px]">Boiling point over time</h2>
      <LineChart
        label={say.chartLabel}
        height={240}
        unit={unit.label}
        lines={[{ name: 'most likely', color: 'var(--act)', x, y: shown('median') }]}
        bands={[{ name: '90 %', opacity: 0.2, x, low: shown('low'), high: shown('high') }]}
        rules={[
          { at: 'x', value: nowDay, color: 'var(--dim)', text: 'today', dash: '3 3' },
          ...(neededC === null
            ? []
            : [{ at: 'y' as const, value: toShown(neededC, unit), color: 'var(--over)', text: 'needed' }]),
        ]}
        placeText={(day) => format(addDays(begun, Math.round(day)), 'd MMM yyyy')}
        tickText={(day) => format(addDays(begun, Math.round(day)), 'MMM yy')}
        valueText={(value) => value.toFixed(0)}
      />
    </section>
  );
}
