import {
  axleOf,
  type DayResult,
  distinctWheels,
  lapHeat,
  lapLength,
  lapTime,
  type Moment,
  type NetworkRun,
  RECORDED_PARTS,
  type RotorStrain,
  type WheelName,
} from '../core';
import { fromSi, METRIC, type Quantity, type Setup } from '../model';
import { celsius, verdictText, wheelWords } from '../text/en';
import { finite, zoneRows } from './zoneRows';

/** A number rounded to nine digits, as files carry it. */
export const nine = (value: number) => Number(value.toPrecision(9));

/** Wheels with values of their own, and what each stands for: "front", or "front left". */
export function namedWheels(result: DayResult): readonly (readonly [WheelName, string])[] {
  const distinct = distinctWheels(result.record.wheels);
  return distinct.map((wheel) => {
    const both = distinct.filter((w) => axleOf(w) === axleOf(wheel)).length === 1;
    return [wheel, wheelWords(axleOf(wheel), both ? 'both' : wheel.endsWith('Left') ? 'left' : 'right')];
  });
}

export const RESULT_FORMAT = 'fervent-kettle-result';

const moment = (m: Moment) => ({
  timeS: nine(m.time),
  session: m.session + 1,
  lap: m.lap,
  zone: m.zone + 1,
  standing: m.stand && { where: m.stand, timeS: nine(m.standingTime) },
});

/** What is left of the driver's force and the pedal's travel; N and m. */
const footOf = ({ forceMargins, fade }: DayResult) => ({
  margins: forceMargins.map((m) => ({
    part: m.part,
    limit: m.limit,
    worst: finite(m.worst),
    margin: finite(m.margin),
    share: finite(m.share),
    at: moment(m.at),
    passed: m.passed && moment(m.passed),
  })),
  fade: fade && {
    margin: fade.margin,
    at: moment(fade.at),
    limit: fade.limit,
    extraDistanceM: fade.extraDistance,
    longest: moment(fade.longest),
  },
});

const rotorOf = (strain: RotorStrain) => ({
  growthMm: fromSi(strain.growth, 'smallLength'),
  floatNeededMm: fromSi(strain.floatNeeded, 'smallLength'),
  ringOverHatK: strain.ringOverHat,
  coningMm: strain.coning === null ? null : fromSi(strain.coning, 'smallLength'),
  faceStressMPa: fromSi(strain.faceStress, 'stress'),
  stressConcentration: strain.concentration,
  fatigueDamage: strain.fatigueDamage,
  glazedShare: strain.glaze,
});

/** Every sample of what is not a wheel's. */
function seriesOf({ record, legs }: DayResult) {
  const { force } = record;
  const shown = (series: Float64Array, quantity: Quantity) =>
    Array.from(series, (value) => fromSi(value, quantity));
  return {
    timeS: Array.from(record.time),
    session: Array.from(record.leg, (leg) => legs[leg].session + 1),
    lap: Array.from(record.lap, (lap) => (lap < 0 ? null : lap + 1)),
    distanceM: Array.from(record.distance),
    pedalN: Array.from(force.pedal, finite),
    frontBar: shown(force.frontPressure, 'pressure'),
    rearBar: shown(force.rearPressure, 'pressure'),
    travelMm: shown(force.travel, 'smallLength'),
    frontSharePercent: shown(force.share, 'percent'),
    idealFrontSharePercent: shown(force.ideal, 'percent'),
  };
}

const temperaturesOf = ({ record }: DayResult, wheel: WheelName) =>
  Object.fromEntries(
    RECORDED_PARTS.map((part) => [`${part}C`, Array.from(record.wheels[wheel][part], (k) => celsius(k))]),
  );

/** A whole result as plain data in stored units, to nine digits: the same in browser and command line. */
export function resultDocument(setup: Setup, result: DayResult) {
  const wheels = namedWheels(result);
  const eachWheel = <T>(of: (wheel: WheelName) => T): Record<string, T> =>
    Object.fromEntries(wheels.map(([wheel, words]) => [words, of(wheel)]));
  const text = verdictText(result, METRIC);
  return rounded({
    format: RESULT_FORMAT,
    version: 7,
    plan: setup.plan.name,
    car: setup.car.name,
    circuit: setup.circuit.name,
    // What was measured of the car and is in every figure; null where nothing was.
    calibration: setup.calibration && {
      name: setup.calibration.name,
      date: setup.calibration.date,
      values: setup.calibration.values,
    },
    verdict: {
      state: text.state,
      sentence: text.sentence,
      notes: text.notes,
      unbraked: result.verdict.unbraked,
      hotLapsBefore: result.verdict.hotLapsBefore,
    },
    lap: {
      timeS: lapTime(result.trace),
      lengthM: lapLength(result.trace),
      brakeHeatKj: fromSi(lapHeat(result.trace), 'energy'),
      meanBrakePowerKw: fromSi(lapHeat(result.trace) / lapTime(result.trace), 'power'),
      heldByLiftKmh: result.heldByLift === null ? null : fromSi(result.heldByLift, 'speed'),
    },
    margins: result.margins.map((m) => ({
      wheel: wheelWords(m.axle, m.side),
      part: m.part,
      limitC: celsius(m.limit),
      worstC: celsius(m.worst),
      marginK: m.margin,
      share: m.share,
      at: moment(m.at),
      passed: m.passed && moment(m.passed),
    })),
    force: footOf(result),
    peaks: eachWheel((wheel) =>
      Object.fromEntries(RECORDED_PARTS.map((part) => [`${part}C`, celsius(result.peaks[wheel][part])])),
    ),
    rotors: eachWheel((wheel) => rotorOf(result.strain[wheel])),
    padLeftMm: {
      front: fromSi(result.padLeft.front, 'smallLength'),
      rear: fromSi(result.padLeft.rear, 'smallLength'),
    },
    energy: {
      suppliedKj: fromSi(result.audit.supplied, 'energy'),
      storedKj: fromSi(result.audit.stored, 'energy'),
      lostKj: fromSi(result.audit.lost, 'energy'),
    },
    zones: result.laps.flatMap((lap) =>
      zoneRows(setup, result, lap.number).map((row) => ({
        ...row,
        wheels: eachWheel((wheel) => row.wheels[wheel]),
      })),
    ),
    record: { ...seriesOf(result), ...eachWheel((wheel) => temperaturesOf(result, wheel)) },
  });
}

export const NETWORK_FORMAT = 'fervent-kettle-network';

/** A wheel's network and run as a file; SI and K, unrounded. */
export function networkDocument(setup: Setup, run: NetworkRun, wheel: WheelName) {
  return {
    format: NETWORK_FORMAT,
    version: 1,
    plan: setup.plan.name,
    car: setup.car.name,
    circuit: setup.circuit.name,
    wheel,
    ...run,
  };
}

/** The same data with every number rounded to nine digits. */
function rounded<T>(value: T): T {
  if (typeof value === 'number') return nine(value) as T;
  if (Array.isArray(value)) return value.map(rounded) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, rounded(inner)])) as T;
}
