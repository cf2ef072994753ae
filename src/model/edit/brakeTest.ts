/** Edits of brake tests: designed, driven, written down. */
import { stopsOf } from '../guided/newTest';
import type { StoredTest } from '../schema/brakeTest';
import type { Project } from '../schema/project';
import type { TestRun, TestStopStored } from '../schema/testRun';

export const addTest = (project: Project, test: StoredTest): Project => ({
  ...project,
  tests: [...project.tests, test],
});

const changeTest = (project: Project, id: string, change: (test: StoredTest) => StoredTest): Project => ({
  ...project,
  tests: project.tests.map((own) => (own.id === id ? change(own) : own)),
});

const without = <T>(record: Readonly<Record<string, T>>, key: string): Record<string, T> => {
  const { [key]: _gone, ...others } = record;
  return others;
};

export const putRun = (project: Project, test: string, id: string, run: TestRun): Project =>
  changeTest(project, test, (own) => ({ ...own, runs: { ...own.runs, [id]: run } }));

export const removeRun = (project: Project, test: string, id: string): Project =>
  changeTest(project, test, (own) => ({ ...own, runs: without(own.runs, id) }));

const changeRun = (project: Project, test: string, id: string, change: (run: TestRun) => TestRun): Project =>
  changeTest(project, test, (own) =>
    own.runs[id] ? { ...own, runs: { ...own.runs, [id]: change(own.runs[id]) } } : own,
  );

/** Puts a stop into a run, or over the one of its id; without a place of its own it is the last. */
export const putStop = (
  project: Project,
  test: string,
  run: string,
  id: string,
  stop: Omit<TestStopStored, 'n'> & { readonly n?: number },
): Project =>
  changeRun(project, test, run, (own) => {
    const last = stopsOf(own).at(-1)?.stop.n ?? 0;
    return { ...own, stops: { ...own.stops, [id]: { ...stop, n: stop.n ?? own.stops[id]?.n ?? last + 1 } } };
  });

export const removeStop = (project: Project, test: string, run: string, id: string): Project =>
  changeRun(project, test, run, (own) => ({ ...own, stops: without(own.stops, id) }));

export const endRun = (project: Project, test: string, run: string, ended: TestRun['ended']): Project =>
  changeRun(project, test, run, (own) => ({ ...own, ended }));
