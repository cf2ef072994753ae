import { cornerOfWheel, type DayInput, type Reading, type Seen, ZERO_CELSIUS } from '../../core';
import type { Observation, ObservationOf } from '../../model';
import { say } from '../../text/en/say/services';
import { type LapEnd, lapEnds, standingLonger } from './driveLegs';
import { FELT_ERROR, GLOW, MARK_ERROR, spotValue } from './instruments';

/** Something wrong, or worth a question, with an observation. */
export interface ObservationProblem {
  /** Of the observation */
  readonly id: string;
  /** What is wrong is not used; a note says what it can tell */
  readonly severity: 'error' | 'note';
  readonly message: string;
}

export interface DriveReadings {
  /** The day, standing as long as its readings say */
  readonly day: DayInput;
  readonly readings: readonly Reading[];
  readonly problems: readonly ObservationProblem[];
}

const kelvin = (celsius: number) => celsius + ZERO_CELSIUS;
const between = (low: number | null, high: number | null, error: number): Seen => ({
  kind: 'between',
  low,
  high,
  error,
});

const PART = {
  disc: 'rotorFace',
  ringEdge: 'rotorBand',
  caliper: 'caliper',
  padPlate: 'plate',
  hub: 'hub',
} as const;
/** A rubbing thermocouple lies between surface and core, as those of a log are compared. */
const SENSED = { disc: 'rotorBulk', caliper: 'caliper', fluid: 'fluid' } as const;

/** Readings below the air by more are none, K. */
const BELOW_AIR = 3;

/**
 * What a drive's observations say, as readings of its day; what cannot be is said at its observation and not used.
 * @param day as driven, uncalibrated
 */
export function driveReadings(day: DayInput, observations: readonly Observation[]): DriveReadings {
  const used = observations.filter(({ excluded }) => excluded === null);
  const ends = lapEnds(day);
  const problems: ObservationProblem[] = [];
  const refuse = (id: string, message: string) => problems.push({ id, severity: 'error', message });
  const seen = new Set<string>();
  const good = used.filter((own) => {
    const wrong = wrongWith(own, day, ends) ?? (seen.has(sameness(own)) ? say.readTwice : null);
    if (wrong) refuse(own.id, wrong);
    else seen.add(sameness(own));
    return wrong === null;
  });
  const longest = Math.max(
    0,
    ...good.flatMap((own) => (own.kind === 'spot' && own.lap === ends.length ? [own.afterS + 1] : [])),
  );
  const paints = good.filter((own): own is ObservationOf<'paint'> => own.kind === 'paint');
  const readings = good.flatMap((own) => (own.kind === 'paint' ? [] : readingsOf(own, day, ends)));
  return {
    day: longest > 0 ? standingLonger(day, longest) : day,
    readings: [...readings, ...paintReadings(paints, problems)],
    problems,
  };
}

/** What makes two observations the same one entered twice. */
function sameness(own: Observation): string {
  const { id: _id, note: _note, excluded: _excluded, ...what } = own;
  if (what.kind === 'paint') {
    const { turned: _turned, ...mark } = what;
    return JSON.stringify(mark);
  }
  if (what.kind === 'spot') {
    const { valueC: _value, errorK: _error, emissivity: _set, ...when } = what;
    return JSON.stringify(when);
  }
  return JSON.stringify(what);
}

/** Why an observation cannot be of this drive; null where it can. */
function wrongWith(own: Observation, day: DayInput, ends: readonly LapEnd[]): string | null {
  const laps = ends.length;
  if ('lap' in own && own.lap !== null && own.lap > laps) return say.noSuchLap(own.lap, laps);
  if (own.kind === 'paint' || own.kind === 'spot' || own.kind === 'sensor') {
    const { drum } = cornerOfWheel(day, own.wheel);
    if (drum && own.place === 'ringEdge') return say.noDiscThere;
  }
  if (own.kind === 'glow' && cornerOfWheel(day, own.wheel).drum) return say.noDiscThere;
  if (own.kind === 'paint' && kelvin(own.thresholdC) < ends[0].ambient) return say.belowTheAir;
  if (own.kind === 'sensor') {
    // A dropout is left out; a sensor that reads mostly what cannot be is none.
    if (goodSamples(own, day).length < 0.5 * own.samples.length) return say.belowTheAir;
  }
  if (own.kind !== 'spot') return null;
  const { ambient, stood } = ends[own.lap - 1];
  if (kelvin(own.valueC) < ambient - BELOW_AIR) return say.belowTheAir;
  if (own.lap === laps) return null;
  if (stood === 0) return say.didNotStop(own.lap);
  return stood !== null && own.afterS > stood ? say.droveOn(Math.round(stood)) : null;
}

function readingsOf(
  own: Exclude<Observation, { kind: 'paint' }>,
  day: DayInput,
  ends: readonly LapEnd[],
): Reading[] {
  const { id } = own;
  switch (own.kind) {
    case 'spot': {
      const { ambient } = ends[own.lap - 1];
      const { value, error } = spotValue(own, kelvin(own.valueC), cornerOfWheel(day, own.wheel), ambient);
      const look = {
        kind: 'standing' as const,
        wheel: own.wheel,
        part: PART[own.place],
        lap: own.lap,
        after: own.afterS,
      };
      return [{ id, look, seen: { kind: 'value', value, error } }];
    }
    case 'boiled':
      return felt(id, own.lap, ends.length, FELT_ERROR[own.sign], (lap) => ({
        kind: 'over',
        axle: own.axle,
        limit: 'fluid',
        lap,
      }));
    case 'faded':
      return felt(id, own.lap, ends.length, FELT_ERROR.faded, (lap) => ({
        kind: 'over',
        axle: own.axle,
        limit: 'padFace',
        lap,
      }));
    case 'glow': {
      const { fromC, error } = GLOW[own.light];
      return felt(id, own.lap, ends.length, error, (lap) => ({
        kind: 'hottest',
        wheel: own.wheel,
        part: 'rotorFace',
        lap,
      })).map((reading) => ({ ...reading, seen: shifted(reading.seen, kelvin(fromC)) }));
    }
    case 'sensor':
      return goodSamples(own, day).map(({ s, c }) => ({
        id,
        look: { kind: 'sensor', wheel: own.wheel, part: SENSED[own.place], time: s, sensor: id },
        seen: { kind: 'value', value: kelvin(c), error: own.errorK * withinCrowd(own.samples.length) },
      }));
    case 'worn': {
      const micrometres = 1000 * own.padMm;
      return [
        {
          id,
          look: { kind: 'worn', wheel: own.wheel },
          // A calliper's fiftieth of a millimetre twice, and a pad that is not even.
          seen: { kind: 'value', value: micrometres, error: Math.hypot(40, 0.1 * micrometres) },
        },
      ];
    }
  }
}

/** Samples that are not colder than the air. */
function goodSamples({ samples }: ObservationOf<'sensor'>, day: DayInput) {
  const coldest = Math.min(...day.sessions.map(({ ambient }) => ambient)) - BELOW_AIR;
  return samples.filter(({ c }) => kelvin(c) >= coldest);
}

/** Samples of one sensor that count as much as so many readings by themselves: what is off stays off for a while. */
const INDEPENDENT = 10;
const withinCrowd = (count: number) => Math.sqrt(Math.max(1, count / INDEPENDENT));

/** Passed on a lap and not before it, or not passed at all. */
function felt(
  id: string,
  lap: number | null,
  laps: number,
  error: number,
  lookAt: (lap: number) => Reading['look'],
): Reading[] {
  if (lap === null) return [{ id, look: lookAt(laps), seen: between(null, 0, error) }];
  const passed: Reading = { id, look: lookAt(lap), seen: between(0, null, error) };
  return lap === 1 ? [passed] : [{ id, look: lookAt(lap - 1), seen: between(null, 0, error) }, passed];
}

const shifted = (seen: Seen, by: number): Seen =>
  seen.kind === 'value'
    ? { ...seen, value: seen.value + by }
    : {
        ...seen,
        low: seen.low === null ? null : seen.low + by,
        high: seen.high === null ? null : seen.high + by,
      };

/** Marks at one place are one range: from the highest that turned to the lowest that did not. */
function paintReadings(paints: readonly ObservationOf<'paint'>[], problems: ObservationProblem[]): Reading[] {
  const places = new Map<string, ObservationOf<'paint'>[]>();
  for (const own of paints) {
    const key = `${own.wheel} ${own.place}`;
    places.set(key, [...(places.get(key) ?? []), own]);
  }
  return [...places.values()].flatMap((marks): Reading[] => {
    const turned = marks.filter((mark) => mark.turned).sort((a, b) => b.thresholdC - a.thresholdC)[0];
    const not = marks.filter((mark) => !mark.turned).sort((a, b) => a.thresholdC - b.thresholdC)[0];
    if (turned && not && turned.thresholdC >= not.thresholdC) {
      for (const { id } of [turned, not]) {
        problems.push({ id, severity: 'error', message: say.marksContradict });
      }
      return [];
    }
    const ids = [turned, not].flatMap((mark) => (mark ? [mark.id] : []));
    if (ids.length === 1) {
      problems.push({
        id: ids[0],
        severity: 'note',
        message: turned ? say.allTurned : say.noneTurned,
      });
    }
    const { wheel, place } = marks[0];
    return [
      {
        id: ids.join(MARKS_JOINED),
        look: { kind: 'hottest', wheel, part: PART[place], lap: null },
        seen: between(
          turned ? kelvin(turned.thresholdC) : null,
          not ? kelvin(not.thresholdC) : null,
          MARK_ERROR[place],
        ),
      },
    ];
  });
}

/** Between the ids of marks that make one range. */
const MARKS_JOINED = ' + ';
/** Observations that a reading comes of. */
export const observationsOf = (reading: string): string[] => reading.split(MARKS_JOINED);
