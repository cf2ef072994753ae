import type { Highs } from 'highs';
import {
  type AllocationProblem,
  type Assignment,
  BOUGHT_EARLY,
  capacity,
  FRESH_IN_PRACTICE,
  isPractice,
  MISSING_COST,
  maySet,
  riskLines,
  SAME,
  STILL_FRESH,
  type Tally,
} from './problem';

type Model = ReturnType<Highs['createModel']>;

/** What the integer programme found. */
export interface Solved {
  readonly assignment: Assignment;
  /** Money by which no other assignment can cost less */
  readonly within: number;
  readonly proven: boolean;
}

/** Linear sums by name, as the programme's text wants them. */
const sum = (terms: readonly (readonly [factor: number, name: string])[]): string =>
  terms
    .map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor).toPrecision(12)} ${name}`)
    .join(' ');

/** A programme as it is put together: what is summed up, what must hold, what is all or nothing. */
interface Programme {
  readonly objective: [factor: number, name: string][];
  readonly rows: string[];
  readonly binaries: string[];
}

const x = (s: number, j: number) => `x_${s}_${j}`;
/** Sessions that a set may serve. */
const able = (problem: AllocationProblem, s: number): number[] =>
  [...problem.sessions.keys()].filter((j) => maySet(problem, s, j));

/** A session has one set, or none at a price beyond all others. */
function sessionRows(problem: AllocationProblem, { objective, rows }: Programme): void {
  for (const j of problem.sessions.keys()) {
    objective.push([MISSING_COST, `m_${j}`]);
    const served = [...problem.sets.keys()]
      .filter((s) => maySet(problem, s, j))
      .map((s) => [1, x(s, j)] as const);
    rows.push(`${sum([...served, [1, `m_${j}`]])} = 1`);
  }
}

/** A set in one session: its wear, whether it is bought and used, whether it is still new. */
function servingRows(
  problem: AllocationProblem,
  s: number,
  own: readonly number[],
  { objective, rows, binaries }: Programme,
) {
  const { sets, sessions, share, rules } = problem;
  const set = sets[s];
  for (const [k, j] of own.entries()) {
    const earlier = own.slice(0, k).map((i) => [1, x(s, i)] as const);
    binaries.push(x(s, j));
    objective.push([rules.valueLeft * set.price * share[s][j] * (set.owned ? 1 : BOUGHT_EARLY), x(s, j)]);
    if (!set.owned)
      rows.push(
        `${sum([
          [1, x(s, j)],
          [-1, `y_${s}`],
        ])} <= 0`,
      );
    rows.push(
      `${sum([
        [1, `u_${s}_${sessions[j].event}`],
        [-1, x(s, j)],
      ])} >= 0`,
    );
    if (sessions[j].fresh && k > 0) rows.push(`${sum([...earlier, [k, x(s, j)]])} <= ${k}`);
    if (set.used <= STILL_FRESH && isPractice(sessions[j].kind)) {
      objective.push([FRESH_IN_PRACTICE * set.price, `g_${s}_${j}`]);
      rows.push(`${sum([[1, `g_${s}_${j}`], [-1, x(s, j)], ...earlier])} >= 0`);
    }
  }
}

/** A set over the season: within its life, bought or not. */
function lifeRows(
  problem: AllocationProblem,
  s: number,
  own: readonly number[],
  { objective, rows, binaries }: Programme,
) {
  const { sets, share, rules } = problem;
  const set = sets[s];
  const room = capacity(set, rules.confidence) - set.used;
  const wear = own.map((j) => [share[s][j], x(s, j)] as const);
  if (room < 0) rows.push(`${sum(own.map((j) => [1, x(s, j)]))} <= 0`);
  else rows.push(set.owned ? `${sum(wear)} <= ${room}` : `${sum([...wear, [-room, `y_${s}`]])} <= 0`);
  if (set.owned) return;
  binaries.push(`y_${s}`);
  objective.push([(1 - rules.valueLeft) * set.price, `y_${s}`]);
}

/** What a set risks: the greatest of straight lines; one that is not driven bears none, whatever it was used before. */
function riskRows(
  problem: AllocationProblem,
  s: number,
  own: readonly number[],
  { objective, rows }: Programme,
) {
  const { sets, share, rules } = problem;
  const set = sets[s];
  for (const { slope, offset } of riskLines(set.spread)) {
    const fixed = slope * set.used + offset;
    const terms = own.map((j) => [-slope * share[s][j], x(s, j)] as const);
    if (fixed <= 0) rows.push(`${sum([[1, `r_${s}`], ...terms])} >= ${fixed}`);
    else {
      for (const j of own) {
        const rest = terms.map(
          ([factor, name]) => [name === x(s, j) ? factor - fixed : factor, name] as const,
        );
        rows.push(`${sum([[1, `r_${s}`], ...rest])} >= 0`);
      }
    }
  }
  if (set.spread > 0) objective.push([rules.riskCost, `r_${s}`]);
}

/**
 * The choice of sets as an integer programme in the solver's text form (CPLEX LP): x_s_j set s serves session j, y_s set s
 * is bought, u_s_e it is used at event e, g_s_j it is first used in a practice session, r_s its risk, m_j no set serves j.
 */
function programmeText(problem: AllocationProblem): string {
  const programme: Programme = { objective: [], rows: [], binaries: [] };
  const { objective, rows, binaries } = programme;
  sessionRows(problem, programme);
  for (const s of problem.sets.keys()) {
    const own = able(problem, s);
    if (own.length === 0) continue;
    servingRows(problem, s, own, programme);
    lifeRows(problem, s, own, programme);
    riskRows(problem, s, own, programme);
    for (const e of new Set(own.map((j) => problem.sessions[j].event))) binaries.push(`u_${s}_${e}`);
  }
  rows.push(...eventRows(problem, objective), ...orderRows(problem), ...countRow(problem));
  const numbered = rows.map((row, i) => `c${i}: ${row}`).join('\n ');
  return `Minimize\n obj: ${sum(objective)}\nSubject To\n ${numbered}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}

/** Sets beyond the first of an event cost hands; rules may limit them. */
function eventRows(problem: AllocationProblem, objective: [number, string][]): string[] {
  const { sets, sessions, mostSets, rules } = problem;
  return mostSets.flatMap((most, e) => {
    const used = [...sets.keys()]
      .filter((s) => sessions.some((session, j) => session.event === e && maySet(problem, s, j)))
      .map((s) => [1, `u_${s}_${e}`] as const);
    if (used.length === 0) return [];
    objective.push([rules.changeCost, `v_${e}`]);
    const counted = sum([[1, `v_${e}`], ...used.map(([, name]) => [-1, name] as const)]);
    return [`${counted} >= -1`, ...(most === null ? [] : [`${sum(used)} <= ${most}`])];
  });
}

/** Sets that could be bought are alike: the next one is first used no earlier than the one before. */
function orderRows({ sets, sessions, share }: AllocationProblem): string[] {
  const alike = (a: number, b: number) =>
    !sets[a].owned &&
    !sets[b].owned &&
    sets[a].price === sets[b].price &&
    sets[a].from === sets[b].from &&
    sets[a].spread === sets[b].spread &&
    share[a].every((v, j) => v === share[b][j]);
  return [...sets.keys()].slice(1).flatMap((s) => {
    if (!alike(s - 1, s)) return [];
    const own = [...sessions.keys()].filter((j) => j >= sets[s].from);
    return [
      `${sum([
        [1, `y_${s - 1}`],
        [-1, `y_${s}`],
      ])} >= 0`,
      ...own.map((j, k) => {
        const earlier = own.slice(0, k + 1).map((i) => [1, `x_${s - 1}_${i}`] as const);
        return `${sum([...earlier, [-1, `x_${s}_${j}`]])} >= 0`;
      }),
    ];
  });
}

/** As many sets must be bought as the life of the owned ones falls short: said beforehand, it shortens the proof. */
function countRow({ sets, sessions, share, rules }: AllocationProblem): string[] {
  const room = (set: AllocationProblem['sets'][number]) =>
    Math.max(0, capacity(set, rules.confidence) - set.used);
  const most = Math.max(0, ...sets.filter(({ owned }) => !owned).map(room));
  if (most === 0) return [];
  const needed = sessions.reduce((all, _, j) => all + Math.min(...share.map((own) => own[j])), 0);
  const there = sets.filter(({ owned }) => owned).reduce((all, set) => all + room(set), 0);
  const count = Math.ceil((needed - there) / most - 1e-9);
  if (count <= 0) return [];
  const bought = sets.flatMap(({ owned }, s) => (owned ? [] : [[1, `y_${s}`] as const]));
  // A session that goes without takes at most its own share off.
  const without = sessions.map((_, j) => [count, `m_${j}`] as const);
  return [`${sum([...bought, ...without])} >= ${count}`];
}

/** Names of the columns that an assignment sets to one. */
function startOf(problem: AllocationProblem, model: Model, assignment: Assignment): void {
  const indices: number[] = [];
  const values: number[] = [];
  assignment.forEach((s, j) => {
    problem.sets.forEach((_, own) => {
      if (!maySet(problem, own, j)) return;
      indices.push(model.getColByName(`x_${own}_${j}`));
      values.push(own === s ? 1 : 0);
    });
  });
  model.setSolution({ indices, values });
}

/**
 * The cheapest allowed assignment by the solver, begun from one that is good already.
 * @param seconds the search may take; what is found by then is returned with how far from the cheapest it can be
 */
export function solved(highs: Highs, tally: Tally, begun: Assignment, seconds: number): Solved {
  const { problem } = tally;
  const before = tally.of(begun).total;
  if (problem.sessions.length === 0) return { assignment: begun, within: 0, proven: true };
  return highs.withModel({ format: 'lp', data: programmeText(problem) }, (model) => {
    model.options.set({
      output_flag: false,
      time_limit: seconds,
      random_seed: 1,
      mip_rel_gap: 0,
      mip_abs_gap: 0.005,
    });
    startOf(problem, model, sorted(problem, begun));
    model.run();
    const values = model.getSolution().colValue;
    const assignment = problem.sessions.map((_, j) =>
      problem.sets.findIndex(
        (_set, s) => maySet(problem, s, j) && values[model.getColByName(`x_${s}_${j}`)] > 0.5,
      ),
    );
    const bound = Number(model.info.get('mip_dual_bound'));
    const { allowed, total: cost } = tally.of(assignment);
    // For a few coins a choice would depend on the machine's speed: the search's own stands.
    const better = allowed && cost < before - SAME;
    const within = Math.max(0, (better ? cost : before) - bound);
    return { assignment: better ? assignment : begun, within, proven: within < SAME };
  });
}

/** The same assignment with sets that are alike in the order of their first use. */
export function sorted({ sets }: AllocationProblem, assignment: Assignment): Assignment {
  const used = [...new Set(assignment)].filter((s) => s >= 0 && !sets[s].owned);
  const alike = (s: number) =>
    [...sets.keys()].filter((k) => !sets[k].owned && sets[k].price === sets[s].price);
  const place = new Map(
    used.map((s) => [s, alike(s)[used.filter((k) => sets[k].price === sets[s].price).indexOf(s)]]),
  );
  return assignment.map((s) => place.get(s) ?? s);
}
