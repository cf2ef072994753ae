import type { BeddingPlan } from '../core';
import {
  changeWords,
  METRIC,
  newPreparation,
  type Preparation,
  type Project,
  type Setup,
  signObstacle,
} from '../model';
import { preparationDocument } from '../report';
import {
  type BleedPlan,
  bedding,
  beddingCards,
  beddingQuestion,
  bleedPlan,
  jobList,
  prepareChecks,
  type Work,
  workOf,
} from '../services';
import {
  beddingSummary,
  beddingWarningText,
  cardText,
  drawText,
  fluidText,
  obstacleText,
  prepareCheckText,
  screwName,
  stepTexts,
  TOOL_TEXT,
  TROUBLE_TEXT,
  torqueText,
  WAY_TEXT,
  WHEEL_NAMES,
} from '../text/en';
import { say } from '../text/en/say/cli';
import { CliError } from './error';
import { writeOut } from './writeOut';

export interface PrepareOptions {
  readonly bed: boolean;
  readonly bleed: boolean;
  /** Id of a setup of the plan; left out, the newest work on the car that is not signed off */
  readonly setup: string | undefined;
  readonly json: string | undefined;
}

/** Which preparation is meant. @throws CliError for a setup that the plan does not have */
function preparationOf(project: Project, { plan, car }: Setup, wanted: string | undefined): Preparation {
  const date = plan.date ?? new Date().toISOString().slice(0, 10);
  if (wanted !== undefined) {
    const variant = plan.compare.setups.find(({ id }) => id === wanted);
    if (!variant) {
      const known = plan.compare.setups.map(({ id, name }) => `  ${id}: ${name}\n`).join('');
      throw new CliError(say.noSetup(wanted, known));
    }
    return newPreparation(car, variant.changes, project.parts, { id: 'prepare', name: variant.name, date });
  }
  const open = project.preparations.filter((own) => own.carId === car.id && !own.signed);
  return open.at(-1) ?? newPreparation(car, [], project.parts, { id: 'prepare', name: plan.name, date });
}

function listText(work: Work): string {
  const { preparation, parts } = work;
  const list = jobList(work);
  const words = stepTexts(work, METRIC);
  const changes = preparation.changes.map((change) => changeWords(change, parts, METRIC));
  let where: string | null = '';
  const steps = list.steps.map((step) => {
    const [does, , check] = words(step);
    const head = step.wheel === where ? '' : `\n${step.wheel ? WHEEL_NAMES[step.wheel] : 'Car'}\n`;
    where = step.wheel;
    const torque = step.torque ? `\n      ${torqueText(step, METRIC)}` : '';
    return `${head}  [${step.done ? 'x' : ' '}] ${does}${torque}\n      ${say.checkIs(check)}\n`;
  });
  return [
    `${preparation.name}, ${work.car.name}, ${preparation.date}\n`,
    changes.length > 0 ? `${changes.join('; ')}\n` : say.nothingChanged,
    say.toolsAre(list.tools.map((tool) => TOOL_TEXT[tool]).join('; ')),
    ...steps,
  ].join('');
}

const checksText = (work: Work) =>
  prepareChecks(work)
    .map((check) => `  ${check.state.padEnd(5)}${prepareCheckText(check, METRIC).join(': ')}\n`)
    .join('');

const bleedText = (plan: BleedPlan, preparation: Preparation): string =>
  [
    `\nBleeding by ${WAY_TEXT[preparation.bleed.way]}\n`,
    ...plan.steps.map((step, i) => `  ${i + 1} ${screwName(step)}: ${drawText(step)}\n`),
    `  ${fluidText(plan)}\n`,
    ...plan.troubles.map((trouble) => `  ${TROUBLE_TEXT[trouble]}\n`),
  ].join('');

const bedText = (plan: BeddingPlan): string =>
  [
    `\nBedding: ${beddingSummary(plan, METRIC)}\n`,
    ...(plan.obstacle ? [`  ${obstacleText(plan.obstacle, METRIC)}\n`] : []),
    ...plan.warnings.map((warning) => `  ${beddingWarningText(warning, METRIC)}\n`),
    ...beddingCards(plan).map((card) => `  ${cardText(card, METRIC).says}\n`),
  ].join('');

/**
 * Prints what is to be done to a plan's car, and where it is asked for how it is bled and bedded.
 * @returns 2 where something must never be done as it is planned
 * @throws CliError for a setup that is not there, a run that cannot be driven
 */
export function prepareCommand(
  project: Project,
  setup: Setup,
  options: PrepareOptions,
  print: (text: string) => void,
): number {
  const preparation = preparationOf(project, setup, options.setup);
  const work = workOf(setup.car, preparation, setup.parts);
  const bleed = options.bleed
    ? bleedPlan(work.before, work.car, preparation, setup.parts, project.bottles)
    : null;
  const question = options.bed ? beddingQuestion(setup, preparation) : null;
  let bed: BeddingPlan | null = null;
  try {
    bed = question && bedding(question);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new CliError(say.bedsNot(error.message));
  }
  const obstacle = signObstacle(preparation, setup.car, setup.parts);
  if (options.json !== '-') {
    print(listText(work));
    print(`\nChecks\n${checksText(work)}`);
    if (bleed) print(bleedText(bleed, preparation));
    else if (options.bleed) print(say.nothingBled);
    if (bed) print(bedText(bed));
    else if (options.bed) print(say.nothingBedded);
    if (obstacle) print(`\n${obstacle}\n`);
    print(say.partsAreSafetyParts);
  }
  if (options.json !== undefined) {
    writeOut(options.json, `${JSON.stringify(preparationDocument(work, bleed, bed))}\n`, print);
  }
  return obstacle ? 2 : 0;
}
