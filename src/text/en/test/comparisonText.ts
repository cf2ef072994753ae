import { type Quantity, siText, type TestStopStored, type UnitChoice } from '../../../model';
import type { RunReport, SetupComparison, StopDoubt, TestValue } from '../../../services';
import { bothBasesText, minuteText } from './predictionText';
import { TEST_VALUE_TEXT } from './words';

const QUANTITY: Readonly<Record<TestValue, Quantity>> = {
  distance: 'distance',
  pedal: 'force',
  deceleration: 'deceleration',
  lasted: 'seconds',
};

/** A value of a test with its unit. */
const testValueText = (value: number, of: TestValue, units: UnitChoice, decimals = of === 'pedal' ? 0 : 1) =>
  of === 'lasted' ? `${minuteText(value)} min` : siText(value, QUANTITY[of], units, decimals);

/** A difference of such values, signed. */
const signed = (value: number, of: TestValue, units: UnitChoice) =>
  of === 'lasted'
    ? `${value < 0 ? '−' : '+'}${minuteText(Math.abs(value))} min`
    : `${value > 0 ? '+' : ''}${siText(value, QUANTITY[of], units, of === 'pedal' ? 0 : 1)}`;

const countOf = (count: number, what: 'runs' | 'stops') =>
  count === 1 ? `one ${what.slice(0, -1)}` : `${count} ${what}`;

/** A p-value as it is printed. */
const chanceText = (p: number) => (p < 0.001 ? 'under 0.001' : p.toFixed(p < 0.1 ? 3 : 2));

/** What two setups say against each other, in the order a reader wants it. */
export function comparisonText(
  own: SetupComparison,
  before: string,
  after: string,
  units: UnitChoice,
): string[] {
  const { value, first, second, by, welch, p, permuted, shows, needs } = own;
  const { name, more, less } = TEST_VALUE_TEXT[value];
  const difference = second.mean - first.mean;
  const text = (v: number) => testValueText(v, value, units);
  const said = [
    `${name}: ${text(first.mean)} with “${before}” (${countOf(first.count, by)}), ${text(second.mean)} with “${after}” (${countOf(second.count, by)}): ${signed(difference, value, units)}, ${difference > 0 ? more : less}; ${bothBasesText(first.mean, second.mean, `“${before}”`, `“${after}”`)}.`,
  ];
  if (welch) {
    said.push(
      `With 95 % the true difference lies between ${signed(welch.interval[0], value, units)} and ${signed(welch.interval[1], value, units)} (Welch’s test, p ${chanceText(welch.p)}).`,
    );
  }
  if (permuted !== null) {
    said.push(`With so few values the permutation test is the one to believe: p ${chanceText(permuted)}.`);
  }
  if (p === null) {
    said.push(
      `${countOf(Math.min(first.count, second.count), by).replace(/^o/, 'O')} cannot tell a difference from chance: drive at least three runs of each.`,
    );
  } else if (p > 0.05) {
    const floor = permuted !== null && own.least !== null && own.least > 0.05;
    said.push(
      floor
        ? `So few cannot show anything by this test: at its best, all of one over all of the other, p is ${chanceText(own.least ?? 0)}; four ${by} of each are the least.`
        : 'That may be chance: no difference is shown.',
    );
    if (shows !== null && Math.abs(difference) < shows) {
      const fewest = countOf(Math.min(first.count, second.count), by);
      const could =
        needs === null
          ? 'No sensible number would show it.'
          : `${Math.max(needs, floor ? 4 : 2)} ${by} of each would.`;
      said.push(
        `${fewest.charAt(0).toUpperCase()}${fewest.slice(1)} of each cannot show ${text(Math.abs(difference))}: they show ${text(shows)} or more. ${could}`,
      );
    }
  } else said.push('That is hardly chance: there is a difference.');
  if (by === 'stops') {
    said.push(
      'Compared stop by stop, because there are fewer than two runs of one of them: what differs from run to run is not in it.',
    );
  }
  if (own.unlike.length > 0) {
    said.push(`Not driven alike, so part of the difference may come of it: ${own.unlike.join(', ')}.`);
  }
  return said;
}

/** How a run went, in one sentence. */
export function runSummary(report: RunReport, units: UnitChoice): string {
  const { distance, unmarked, distanceTrend, pedalTrend, firstAndLast, run } = report;
  const said: string[] = [];
  if (distance) {
    const scatter =
      distance.deviation === null ? '' : ` ± ${siText(distance.deviation, 'distance', units, 1)}`;
    said.push(
      `${countOf(distance.count, 'stops').replace(/^o/, 'O')}: ${siText(distance.mean, 'distance', units, 1)}${scatter} corrected.`,
    );
  }
  if (unmarked) {
    said.push(`Without the marked ones ${siText(unmarked.mean, 'distance', units, 1)}; they are kept.`);
  }
  if (distanceTrend)
    said.push(`${trendText(distanceTrend.slope, distanceTrend.interval, 'distance', units)} a stop.`);
  if (pedalTrend)
    said.push(`Pedal force ${trendText(pedalTrend.slope, pedalTrend.interval, 'force', units)} a stop.`);
  const force = firstAndLast.pedal;
  if (force)
    said.push(
      `Last against first: ${bothBasesText(force.first, force.last, 'the first', 'the last')} of force.`,
    );
  if (run.ended) said.push(`Ended after ${minuteText(run.ended.atS)} min.`);
  return said.join(' ');
}

function trendText(
  slope: number,
  interval: readonly [number, number] | null,
  quantity: 'distance' | 'force',
  units: UnitChoice,
): string {
  const decimals = quantity === 'force' ? 1 : 2;
  const text = (v: number) => `${v > 0 ? '+' : ''}${siText(v, quantity, units, decimals)}`;
  return interval ? `${text(slope)} (${text(interval[0])} to ${text(interval[1])})` : text(slope);
}

/** What looks wrong about a stop, and what to do about it. */
export function stopDoubtText(doubt: StopDoubt, stop: Pick<TestStopStored, 'n'>, units: UnitChoice): string {
  const name = `Stop ${stop.n}`;
  switch (doubt.kind) {
    case 'feet':
      return `${name}: is that feet? It would be ${siText(doubt.metres, 'distance', units, 1)}, as the others are.`;
    case 'metres':
      return `${name}: is that metres, typed as feet? It would be ${siText(doubt.metres, 'distance', units, 1)}.`;
    case 'impossible':
      return `${name}: speed and distance together are ${siText(doubt.deceleration, 'deceleration', units, 1)}; no car brakes like that. Look at both.`;
    case 'time':
      return `${name}: the distance takes about ${doubt.seconds.toFixed(1)} s from this speed; the time does not fit.`;
    case 'missing':
      return `Between stop ${doubt.after} and stop ${stop.n} there is time for ${doubt.count === 1 ? 'one more' : `${doubt.count} more`}: was a stop not counted?`;
    case 'twice':
      return `${name} comes ${doubt.seconds.toFixed(1)} s after the one before: one stop, tapped twice?`;
    case 'two in one':
      return `${name} is ${doubt.times.toFixed(1)} times as long as the others: two stops written down as one?`;
  }
}
