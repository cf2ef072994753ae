import {
  axleOf,
  type DayResult,
  distinctWheels,
  lapHeat,
  lapLength,
  lapTime,
  type NetworkRun,
  RECORDED_PARTS,
  type WheelName,
} from '../core';
import { fromSi, METRIC, type Setup } from '../model';
import { celsius, verdictText, wheelWords } from '../text/en';
import { finite, stopRows } from './stopRows';

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

/** A whole result as plain data in stored units, to nine digits: the same in browser and command line. */
export function resultDocument(setup: Setup, result: DayResult) {
  const wheels = namedWheels(result);
  const eachWheel = <T>(of: (wheel: WheelName) => T): Record<string, T> =>
    Object.fromEntries(wheels.map(([wheel, words]) => [words, of(wheel)]));
  const text = verdictText(result, METRIC);
  const moment = (m: DayResult['margins'][number]['at']) => ({
    timeS: nine(m.time),
    session: m.session + 1,
    lap: m.lap,
    stop: m.stop + 1,
    standing: m.stand && { where: m.stand, timeS: nine(m.standingTime) },
  });
  return rounded({
    format: RESULT_FORMAT,
    version: 5,
    plan: setup.plan.name,
    car: setup.car.name,
    circuit: setup.circuit.name,
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
    force: {
      margins: result.forceMargins.map((m) => ({
        part: m.part,
        limit: m.limit,
        worst: finite(m.worst),
        margin: finite(m.margin),
        share: finite(m.share),
        at: moment(m.at),
        passed: m.passed && moment(m.passed),
      })),
      fade: result.fade && {
        margin: result.fade.margin,
        at: moment(result.fade.at),
        limit: result.fade.limit,
        extraDistanceM: result.fade.extraDistance,
        longest: moment(result.fade.longest),
      },
    },
    peaks: eachWheel((wheel) =>
      Object.fromEntries(RECORDED_PARTS.map((part) => [`${part}C`, celsius(result.peaks[wheel][part])])),
    ),
    rotors: eachWheel((wheel) => {
      const strain = result.strain[wheel];
      return {
        growthMm: fromSi(strain.growth, 'smallLength'),
        floatNeededMm: fromSi(strain.floatNeeded, 'smallLength'),
        ringOverHatK: strain.ringOverHat,
        coningMm: strain.coning === null ? null : fromSi(strain.coning, 'smallLength'),
        faceStressMPa: fromSi(strain.faceStress, 'stress'),
        stressConcentration: strain.concentration,
        crackShare: strain.crackShare,
        glazedShare: strain.glaze,
      };
    }),
    energy: {
      suppliedKj: fromSi(result.audit.supplied, 'energy'),
      storedKj: fromSi(result.audit.stored, 'energy'),
      lostKj: fromSi(result.audit.lost, 'energy'),
    },
    stops: result.laps.flatMap((lap) =>
      stopRows(setup, result, lap.number).map((row) => ({
        ...row,
        wheels: eachWheel((wheel) => row.wheels[wheel]),
      })),
    ),
    record: {
      timeS: Array.from(result.record.time),
      session: Array.from(result.record.leg, (leg) => result.legs[leg].session + 1),
      lap: Array.from(result.record.lap, (lap) => (lap < 0 ? null : lap + 1)),
      distanceM: Array.from(result.record.distance),
      pedalN: Array.from(result.record.force.pedal, finite),
      frontBar: Array.from(result.record.force.frontPressure, (p) => fromSi(p, 'pressure')),
      rearBar: Array.from(result.record.force.rearPressure, (p) => fromSi(p, 'pressure')),
      travelMm: Array.from(result.record.force.travel, (t) => fromSi(t, 'smallLength')),
      frontSharePercent: Array.from(result.record.force.share, (s) => fromSi(s, 'percent')),
      idealFrontSharePercent: Array.from(result.record.force.ideal, (s) => fromSi(s, 'percent')),
      ...eachWheel((wheel) =>
        Object.fromEntries(
          RECORDED_PARTS.map((part) => [
            `${part}C`,
            Array.from(result.record.wheels[wheel][part], (k) => celsius(k)),
          ]),
        ),
      ),
    },
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
