import { isParameter, type ParameterId } from '../core';
import { METRIC, parameterInfo, siText } from '../model';
import {
  type CalibrationAnswer,
  canBeKept,
  type NextReadings,
  type ObservationProblem,
  observationsOf,
  UNTOLD,
} from '../services';
import { LIMIT_TEXT, PLACE_NAMES, parameterText, WHEEL_NAMES } from '../text/en';
import { say } from '../text/en/say/cli';

const row = (...cells: readonly string[]) =>
  `  ${cells[0].padEnd(34)}${cells
    .slice(1)
    .map((cell) => cell.padStart(11))
    .join('')}\n`;

/** What a calibration found, as text: values with their intervals, what is not told, what does not fit. */
export function calibrationText({ fit, problems, used }: CalibrationAnswer): string {
  const rows = fit.estimates.flatMap((own) => {
    if (!isParameter(own.key)) return [];
    const told = own.shrunk < UNTOLD;
    const [value, low, high] = [own.value, own.low, own.high].map((v) =>
      parameterText(own.key as ParameterId, v, METRIC, 1),
    );
    return [
      row(
        parameterInfo(own.key).title,
        value,
        low,
        high,
        told ? `${Math.round(100 * own.shrunk)} %` : 'not told',
      ),
    ];
  });
  return [
    say.calibratedFrom(used, fit.runs),
    row('', 'fitted', '90 % from', 'to', 'left'),
    ...rows,
    ...problemLines(problems),
    ...fit.odd.map((id) => say.doesNotFit(observationsOf(id).join(', '))),
    ...(fit.conflict ? [say.readingsConflict] : []),
    ...(fit.optimum.settled ? [] : [say.notSettled]),
  ].join('');
}

const problemLines = (problems: readonly ObservationProblem[]) =>
  problems.map(({ id, severity, message }) => `${severity}: ${id}: ${message}\n`);

/** The next best measurement, as text. */
export function nextText({ outcomes, governs, readings }: NextReadings): string {
  const outcome = outcomes[governs];
  const [best] = readings;
  const spread = (k: number) => siText(k, 'difference', METRIC);
  const when = best.after === null ? '' : say.withinSeconds(best.after);
  return say.nextBest(
    `${WHEEL_NAMES[best.wheel].toLowerCase()} ${PLACE_NAMES[best.place]}${when}, ${best.instrument}`,
    `${outcome.axle} ${LIMIT_TEXT[outcome.part].name}`,
    spread(outcome.spread),
    spread(best.left[governs]),
  );
}

/** Whether what was found can be kept, in words. */
export const keptText = (answer: CalibrationAnswer, file: string): string =>
  canBeKept(answer) ? say.writtenTo(file) : say.nothingKept;
