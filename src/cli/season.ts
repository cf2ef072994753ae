import loadHighs from 'highs';
import { METRIC, type Project, type Season } from '../model';
import { seasonCalendar, seasonCsv, seasonDocument } from '../report';
import {
  entriesOf,
  loadOf,
  loadQuestions,
  planSeason,
  remainingSessions,
  type SeasonPlan,
  type SetWear,
  setsWear,
  setupOfSession,
} from '../services';
import {
  fluidReasonText,
  missingText,
  orderText,
  PLACE_TEXT,
  provenText,
  REASON_TEXT,
  remainingSentence,
} from '../text/en';
import { say } from '../text/en/say/cli';
import { CliError } from './error';
import { writeOut } from './writeOut';

export interface SeasonOptions {
  /** Id of a season of the project; the newest by default */
  readonly season: string | undefined;
  /** From which day on it is planned, as 2027-05-01; today by default */
  readonly today: string | undefined;
  readonly json: string | undefined;
  readonly csv: string | undefined;
  readonly ics: string | undefined;
}

function seasonOf(project: Project, wanted: string | undefined): Season {
  const found =
    wanted === undefined ? project.seasons.at(-1) : project.seasons.find(({ id }) => id === wanted);
  if (found) return found;
  const known = project.seasons.map(({ id, name }) => `  ${id}: ${name}\n`).join('');
  throw new CliError(known === '' ? say.noSeasons : say.noSeason(wanted ?? '', known));
}

function dayOf(text: string | undefined): string {
  if (text === undefined) return new Date().toISOString().slice(0, 10);
  if (/^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))) return text;
  throw new CliError(say.noDay(text));
}

/** What is left of each set on the list, at the circuits to come. */
function wearText(
  project: Project,
  plan: SeasonPlan,
  wear: readonly SetWear[],
  loads: ReturnType<typeof loadsOf>,
): string {
  const circuits = new Map(
    plan.sessions.map(({ event, session }) => [event.circuitId, { event, session }] as const),
  );
  return wear
    .filter(({ set }) => set.retiredOn === null)
    .map((own) => {
      const lines = [...circuits].flatMap(([circuitId]) => {
        const key = [...loads.keys()].find((each) => each.startsWith(`${circuitId}|`) && each.endsWith('|'));
        const load = key === undefined ? undefined : loads.get(key);
        const circuit = project.circuits.find(({ id }) => id === circuitId)?.name ?? circuitId;
        return load ? [`    ${remainingSentence(remainingSessions(own, load), circuit)}\n`] : [];
      });
      return `  ${own.set.name}, ${PLACE_TEXT[`${own.set.axle} ${own.set.kind}`].toLowerCase()}: ${say.drivenSoFar(own.sessions, own.energyMj.toFixed(0))}\n${lines.join('')}`;
    })
    .join('');
}

const loadsOf = (project: Project, season: Season, today: string) =>
  new Map(loadQuestions(project, season, today).map(({ key, setup }) => [key, loadOf(setup)] as const));

/** Sets for every session of a season, what to order, when the fluid is renewed. */
export async function seasonCommand(
  project: Project,
  options: SeasonOptions,
  print: (text: string) => void,
): Promise<number> {
  const season = seasonOf(project, options.season);
  const today = dayOf(options.today);
  const driven = entriesOf(project, season.carId).flatMap((entry) => {
    if (entry.kind !== 'session' || entry.load !== null) return [];
    const setup = setupOfSession(project, entry);
    return setup ? [[entry.id, loadOf(setup)] as const] : [];
  });
  const wear = setsWear(project, season.carId, new Map(driven));
  const loads = loadsOf(project, season, today);
  const plan = planSeason(await loadHighs(), project, season, { loads, wear, today });
  const { sessions, allocations, events, orders } = plan;
  const money = (value: number) => `${project.currency}${value.toFixed(0)}`;
  const circuitOf = (id: string) => project.circuits.find((circuit) => circuit.id === id)?.name ?? id;
  print(say.seasonHead(season.name, sessions.length, today));
  for (const { id, event, fluid, rotorC, fluidC } of events) {
    const heat = rotorC !== null && fluidC !== null ? say.hottest(rotorC.toFixed(0), fluidC.toFixed(0)) : '';
    print(`\n${event.date} ${event.name}, ${circuitOf(event.circuitId)}${heat}\n`);
    for (const reason of fluid) print(`  ${say.renewFluid(fluidReasonText(reason, METRIC))}\n`);
    sessions.forEach(({ eventId, session }, j) => {
      if (eventId !== id) return;
      const sets = allocations.map(({ problem, choices }) => {
        const { set, reason } = choices[j];
        return set < 0
          ? `${problem.place}: ${REASON_TEXT.missing}`
          : `${problem.place} ${problem.sets[set].name} (${REASON_TEXT[reason]})`;
      });
      print(`  ${session.name}: ${sets.join('; ')}\n`);
    });
  }
  print(`\n${say.setsLeft}\n${wearText(project, plan, wear, loads)}`);
  print(orders.length === 0 ? say.nothingToOrder : say.toOrder);
  for (const order of orders) {
    const { price, orderBy, date } = order;
    print(`  ${orderBy}: ${orderText(order).toLowerCase()}, ${money(price)}, ${say.forDay(date)}\n`);
  }
  for (const own of allocations) {
    const missing = missingText(plan, own);
    print(`${PLACE_TEXT[own.problem.place]}: ${provenText(own, money)}\n`);
    if (missing !== '') print(`  ${missing}\n`);
  }
  print(say.partsAreSafetyParts);
  if (options.json) {
    writeOut(
      options.json,
      `${JSON.stringify(seasonDocument(project, season, plan, today), null, 2)}\n`,
      print,
    );
  }
  if (options.csv) writeOut(options.csv, seasonCsv(project, plan), print);
  if (options.ics) writeOut(options.ics, seasonCalendar(project, season, plan), print);
  return allocations.some(({ missing }) => missing.length > 0) ? 2 : 0;
}
