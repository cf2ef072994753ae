import { demoProject } from '../../../demo/project';
import type { Project } from '../../model';
import {
  type Found,
  type Journals,
  type KeyValueStore,
  openHistory,
  openPages,
  openProject,
  readJournals,
  readWhole,
  setJournalsAside,
} from '../../storage';
import { say } from '../../text/en/say/state';
import type { Neighbours } from './projectState';
import { ProjectStore } from './projectStore';

/** Where a page's project is kept. */
export interface Places {
  readonly storage: KeyValueStore;
  readonly journals: Journals;
  /** Id of this page among those that are open */
  readonly page: string;
  readonly neighbours?: Neighbours | null;
  /** What is worked on where nothing is kept */
  readonly first?: Project;
}

/**
 * Opens what is stored, with what pages before had written down and not stored.
 * @param answers whether the storage answers; false when the reader goes on without it
 */
export async function openStore(
  { storage, journals, page, neighbours = null, first = demoProject }: Places,
  answers = true,
): Promise<{ readonly store: ProjectStore; readonly found: Found }> {
  const found: Found = answers
    ? await openProject(storage)
    : { kind: 'blocked', reason: say.storageDoesNotAnswer };
  const shared = { storage, journals, page, neighbours };
  switch (found.kind) {
    case 'blocked':
      return {
        found,
        store: new ProjectStore({
          ...shared,
          project: first,
          save: { kind: 'failed', reason: found.reason },
        }),
      };
    case 'unreadable':
      await setJournalsAside(storage, journals);
      return { found, store: new ProjectStore({ ...shared, project: first }) };
    case 'nothing': {
      const open = await openPages();
      const whole = await readWhole(journals, open);
      const store = new ProjectStore({
        ...shared,
        ...(whole ? { project: whole.project, joined: whole.edits } : { project: first }),
      });
      store.restore(await readJournals(journals, whole?.edits, open, whole === null));
      return { found, store };
    }
    case 'project': {
      const { project, revision, edits } = found;
      const past = await openHistory(storage, revision, project);
      const store = new ProjectStore({ ...shared, project, revision, edits, past });
      store.restore(await readJournals(journals, edits, await openPages()));
      return { found, store };
    }
  }
}
