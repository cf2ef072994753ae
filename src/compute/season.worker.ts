import * as Comlink from 'comlink';
import loadHighs from 'highs';
import solverFile from 'highs/runtime?url';
import type { Project, StoredLoad } from '../model';
import { planSeason, type SeasonPlan, setsWear } from '../services';

/** The solver is three megabytes: it is loaded when a season is first planned. */
let solver: ReturnType<typeof loadHighs> | null = null;

/** What a season's choice of sets asks for. */
const season = {
  /**
   * @param id of the season @param loads what each question's day takes, by its key
   * @param driven what sessions of the log took, by their entry @param today as 2027-05-01
   */
  async plan(
    project: Project,
    id: string,
    loads: ReadonlyMap<string, StoredLoad>,
    driven: ReadonlyMap<string, StoredLoad>,
    today: string,
  ): Promise<SeasonPlan> {
    const found = project.seasons.find((own) => own.id === id);
    if (!found) throw new RangeError('plan: no such season');
    solver ??= loadHighs({ locateFile: () => solverFile });
    const wear = setsWear(project, found.carId, driven);
    return planSeason(await solver, project, found, { loads, wear, today });
  },
};
export type SeasonEngine = typeof season;

Comlink.expose(season);
