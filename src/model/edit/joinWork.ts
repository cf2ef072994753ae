import { say } from '../../text/en/say/model';
import type { Done, Found, Preparation } from '../schema/preparation';
import type { Project } from '../schema/project';

/** What was done of a work on some device. */
export interface WorkProgress extends Pick<Preparation, 'id' | 'name' | 'ticks' | 'found'> {
  /** cm³ by screw */
  readonly drawn: Preparation['bleed']['drawn'];
}

/** A work with what was done of it elsewhere. */
export interface JoinedWork {
  readonly preparation: Preparation;
  /** Ticks, counts and findings that are new here */
  readonly added: number;
  /** What both devices found differently; this one's stays: `frontLeft rotorMm` */
  readonly differs: readonly string[];
}

const earlier = (a: Done | undefined, b: Done): Done => (a && a.at <= b.at ? a : b);

/** Joins what two devices did of one work: every tick of either, the more that was drawn, what only one has found. */
export function joinedWork(preparation: Preparation, other: WorkProgress): JoinedWork {
  let added = 0;
  const differs: string[] = [];
  const ticks = { ...preparation.ticks };
  for (const [step, done] of Object.entries(other.ticks)) {
    if (!(step in ticks)) added += 1;
    ticks[step] = earlier(ticks[step], done);
  }
  const drawn = { ...preparation.bleed.drawn };
  for (const [screw, cm3] of Object.entries(other.drawn)) {
    if (cm3 <= (drawn[screw] ?? 0)) continue;
    drawn[screw] = cm3;
    added += 1;
  }
  const join = (wheel: keyof Preparation['found']): Found => {
    const [own, theirs] = [preparation.found[wheel], other.found[wheel]];
    const empty = (value: unknown) => value === null || value === '';
    const entries = (Object.keys(own) as (keyof Found)[]).map((key) => {
      if (empty(theirs[key]) || own[key] === theirs[key]) return [key, own[key]];
      if (empty(own[key])) {
        added += 1;
        return [key, theirs[key]];
      }
      differs.push(`${wheel} ${key}`);
      return [key, own[key]];
    });
    return Object.fromEntries(entries) as Found;
  };
  const found = {
    frontLeft: join('frontLeft'),
    frontRight: join('frontRight'),
    rearLeft: join('rearLeft'),
    rearRight: join('rearRight'),
  };
  return {
    preparation: { ...preparation, ticks, found, bleed: { ...preparation.bleed, drawn } },
    added,
    differs,
  };
}

/**
 * A project whose work has what another device did of it.
 * @throws RangeError for what was done of another work
 */
export function joinWork(project: Project, id: string, other: WorkProgress): Project {
  if (other.id !== id) throw new RangeError(say.ofAnotherWork(other.name));
  return {
    ...project,
    preparations: project.preparations.map((own) =>
      own.id === id ? joinedWork(own, other).preparation : own,
    ),
  };
}
