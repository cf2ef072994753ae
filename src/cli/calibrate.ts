import { writeFileSync } from 'node:fs';
import { readReadings } from '../io';
import {
  addCalibration,
  addDrive,
  attemptEdit,
  driveOf,
  type Project,
  type Setup,
  type StoredDrive,
  writeProject,
} from '../model';
import {
  calibrationRecord,
  canBeKept,
  caseOf,
  estimate,
  NothingObserved,
  nextReadings,
  type Predicting,
  predictReadings,
} from '../services';
import { say } from '../text/en/say/cli';
import { calibrationText, keptText, nextText } from './calibrateText';
import { CliError } from './error';

const predicting: Predicting = async (...asked) => predictReadings(...asked);

/** Drives a command calibrates from, the newest last, and the project with them in it. */
interface Asked {
  readonly project: Project;
  readonly drives: readonly StoredDrive[];
}

/** A drive as planned with readings from a file. @throws CliError for readings that cannot be read */
function withReadings(project: Project, setup: Setup, text: string): Asked {
  const read = readReadings(text);
  if (!read.ok) {
    const problems = read.problems.map((p) => `${p.path}: ${p.message}\n`).join('');
    throw new CliError(say.readingsCannotBeRead(problems));
  }
  const date = setup.plan.date ?? new Date().toISOString().slice(0, 10);
  const drive = {
    ...driveOf(setup, { id: `drive-${date}`, name: setup.plan.name, date, log: null }),
    observations: [...read.observations],
  };
  return { project: addDrive(project, drive), drives: [drive] };
}

/** The project's own drives of the car; a log stands in a browser, so that what was driven by one is passed over. */
function ownDrives(project: Project, { car }: Setup): Asked {
  const drives = project.drives.filter(
    (drive) => drive.car.id === car.id && drive.log === null && drive.observations.length > 0,
  );
  if (drives.length === 0) throw new CliError(say.noDrives(car.name));
  return { project, drives };
}

/**
 * Calibrates a plan's car from a file of readings, or from the project's own drives, and prints what they tell; what can
 * be kept is written into a project.
 * @param text of the readings, JSON or CSV; null takes the project's drives
 * @throws CliError for readings that cannot be read or used
 */
export async function calibrateCommand(
  project: Project,
  setup: Setup,
  text: string | null,
  out: string | undefined,
  print: (text: string) => void,
): Promise<number> {
  const asked = text === null ? ownDrives(project, setup) : withReadings(project, setup, text);
  const cases = asked.drives.map((drive) => caseOf(drive, null));
  let answer: Awaited<ReturnType<typeof estimate>>;
  try {
    answer = await estimate(cases, [], null, predicting);
  } catch (error) {
    if (!(error instanceof NothingObserved)) throw error;
    const problems = cases.flatMap((own) => own.problems);
    throw new CliError(say.noReadingUsed(problems.map(({ id, message }) => `${id}: ${message}\n`).join('')));
  }
  print(calibrationText(answer));
  const newest = asked.drives[asked.drives.length - 1];
  const kept = calibrationRecord(answer, asked.drives, {
    id: `calibration-${newest.date}`,
    name: newest.name,
    carId: newest.car.id,
    date: newest.date,
  });
  const keeps = canBeKept(answer);
  const known = keeps ? { ...setup, calibration: kept } : setup;
  print(nextText(await nextReadings(known, predicting)));
  if (out === undefined) return 0;
  print(keptText(answer, out));
  if (!keeps) return 2;
  const edited = attemptEdit(project, () => addCalibration(asked.project, kept));
  if (!edited.ok) throw new CliError(edited.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
  writeFileSync(out, writeProject(edited.project));
  return 0;
}
