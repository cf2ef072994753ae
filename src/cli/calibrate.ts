import { writeFileSync } from 'node:fs';
import { readReadings } from '../io';
import {
  addCalibration,
  addDrive,
  attemptEdit,
  driveOf,
  type Project,
  type Setup,
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

/**
 * Calibrates a plan's car from a file of readings and prints what they tell; what can be kept is written into a project.
 * @param text of the readings, JSON or CSV
 * @throws CliError for readings that cannot be read or used
 */
export async function calibrateCommand(
  project: Project,
  setup: Setup,
  text: string,
  out: string | undefined,
  print: (text: string) => void,
): Promise<number> {
  const read = readReadings(text);
  if (!read.ok) {
    throw new CliError(
      say.readingsCannotBeRead(read.problems.map((p) => `${p.path}: ${p.message}\n`).join('')),
    );
  }
  const date = setup.plan.date ?? new Date().toISOString().slice(0, 10);
  const drive = {
    ...driveOf(setup, { id: `drive-${date}`, name: setup.plan.name, date, log: null }),
    observations: [...read.observations],
  };
  const ready = caseOf(drive, null);
  let answer: Awaited<ReturnType<typeof estimate>>;
  try {
    answer = await estimate([ready], [], null, predicting);
  } catch (error) {
    if (!(error instanceof NothingObserved)) throw error;
    const why = ready.problems.map(({ id, message }) => `${id}: ${message}\n`).join('');
    throw new CliError(say.noReadingUsed(why));
  }
  print(calibrationText(answer));
  const kept = calibrationRecord(answer, [drive], {
    id: `calibration-${date}`,
    name: drive.name,
    carId: drive.car.id,
    date,
  });
  const keeps = canBeKept(answer);
  const known = keeps ? { ...setup, calibration: kept } : setup;
  print(nextText(await nextReadings(known, predicting)));
  if (out === undefined) return 0;
  print(keptText(answer, out));
  if (!keeps) return 2;
  const edited = attemptEdit(project, (p) => addCalibration(addDrive(p, drive), kept));
  if (!edited.ok) throw new CliError(edited.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
  writeFileSync(out, writeProject(edited.project));
  return 0;
}
