import type { Requirement } from '../../../core';
import { siText, type TestDesign, type UnitChoice } from '../../../model';
import { bothBases, type EnduranceForecast, FEWEST_DRAWS, type TestAnswer } from '../../../services';
import { LIMIT_TEXT } from '../parts';
import { FAILURE_TEXT } from './words';

/** Minutes and seconds: "6:41". */
export function minuteText(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** A change with both bases: "55.6 % more than before; 35.7 % of the new figure". */
export function bothBasesText(
  before: number,
  after: number,
  whatBefore = 'before',
  whatAfter = 'the new figure',
) {
  const { ofBefore, ofAfter } = bothBases(before, after);
  if (Math.abs(ofBefore) < 5e-4) return `as ${whatBefore}`;
  const percent = (share: number) => `${Math.abs(100 * share).toFixed(1)} %`;
  return `${percent(ofBefore)} ${ofBefore > 0 ? 'more' : 'less'} than ${whatBefore}; ${percent(ofAfter)} of ${whatAfter}`;
}

const LIMITED: Readonly<Record<'asked' | 'tyres' | 'pedal' | 'travel', string>> = {
  asked: 'The brakes do what is asked of them',
  tyres: 'The tyres are the limit, so stronger brakes would not stop it shorter',
  pedal: 'The driver’s foot is the limit: more friction or help would stop it shorter',
  travel: 'The pedal’s travel is the limit',
};

/** What should come out of a test, in some sentences. */
export function testSummary(answer: TestAnswer, design: TestDesign, units: UnitChoice): string {
  const counted = answer.stops.filter(({ phase }) => phase !== 'heating');
  const [first] = counted;
  const last = counted[counted.length - 1];
  if (!first || !last) return '';
  const metres = (value: number) => siText(value, 'distance', units, 1);
  const newton = (value: number) => siText(value, 'force', units);
  const said: string[] = [];
  if (answer.tooSlow !== null) {
    said.push(
      `The car does not reach the speed braked from: its top speed is ${siText(answer.tooSlow, 'speed', units)}.`,
    );
  }
  said.push(
    counted.length === 1
      ? `The stop takes ${metres(first.distance)} at ${siText(first.meanDeceleration, 'deceleration', units, 2)} and ${newton(first.pedal)} of pedal force.`
      : `Distance from ${metres(first.distance)} to ${metres(last.distance)}, pedal force from ${newton(first.pedal)} to ${newton(last.pedal)} over ${counted.length} stops.`,
  );
  said.push(`${LIMITED[first.heldBy]}.`);
  const { failure, passed } = answer;
  if (failure) {
    said.push(
      `It ends with stop ${failure.stop}, after ${minuteText(failure.time)} min: at the ${failure.axle} ${FAILURE_TEXT[failure.by]}.`,
    );
  } else if (design.kind === 'endurance') {
    said.push(`Nothing fails within ${counted.length} stops and ${minuteText(answer.duration)} min.`);
  }
  const early = passed.filter(({ part }) => part !== 'fluid').slice(0, 2);
  for (const { part, axle, stop } of early) {
    const { name, limit, plural } = LIMIT_TEXT[part];
    said.push(
      `The ${axle} ${name} ${plural ? 'pass their' : 'passes its'} ${limit} with stop ${Math.max(1, stop)}.`,
    );
  }
  return said.join(' ');
}

/** When an endurance run is expected to end. */
export function forecastText(forecast: EnduranceForecast): string {
  const { middle, low, high, holds, draws } = forecast;
  if (draws < FEWEST_DRAWS) {
    return 'No likely car behaves as the runs that were driven did: what was written down, or the car’s values, should be looked at first.';
  }
  if (!Number.isFinite(middle)) {
    return Number.isFinite(low)
      ? `More likely than not nothing fails; with 90 % not before ${minuteText(low)} min.`
      : 'Nothing is expected to fail within the run’s stops and time.';
  }
  const until = Number.isFinite(high) ? `and ${minuteText(high)} min` : 'and not at all';
  const chance = holds > 0.005 ? ` Chance that it holds: ${Math.round(100 * holds)} %.` : '';
  return `Expected to end after ${minuteText(middle)} min; with 90 % between ${minuteText(low)} ${until}.${chance}`;
}

const REQUIRED: Readonly<Record<Requirement['what'], string>> = {
  distance: 'distance',
  deceleration: 'mean fully developed deceleration',
  pedal: 'pedal force',
  kept: 'deceleration kept from the cold stop',
  prescribed: 'of the prescribed deceleration',
};

/** One requirement of a rule against what was computed. */
export function requirementText({ what, value, limit, must }: Requirement, units: UnitChoice): string {
  const text = (v: number) =>
    what === 'distance'
      ? siText(v, 'distance', units, 1)
      : what === 'deceleration'
        ? siText(v, 'deceleration', units, 2)
        : what === 'pedal'
          ? siText(v, 'force', units)
          : siText(v, 'percent', units, 0);
  return `${REQUIRED[what]} ${text(value)}, ${must === 'reach' ? 'at least' : 'at most'} ${text(limit)}.`;
}
