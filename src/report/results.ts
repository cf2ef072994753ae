import {
  type AxleName,
  axleOf,
  type DayResult,
  distinctWheels,
  lapHeat,
  lapLength,
  lapTime,
  type NetworkRun,
  RECORDED_PARTS,
  type StopLimit,
  WHEELS,
  type WheelName,
} from '../core';
import { fromSi, METRIC, type Quantity, type Setup } from '../model';
import { celsius, verdictText, wheelWords } from '../text/en';

/** One wheel's brake through one stop; °C. */
export interface WheelRow {
  readonly faceBeforeC: number;
  readonly facePeakC: number;
  readonly faceAfterC: number;
  readonly bulkBeforeC: number;
  readonly bulkAfterC: number;
  readonly fluidC: number;
  readonly biteFriction: number;
  readonly leastFriction: number;
}

/** One stop of one lap with everything the stop list shows; stored units (km/h, m, s, kJ, kW). */
export interface StopRow {
  readonly session: string;
  readonly lap: number;
  readonly kind: string;
  readonly stop: number;
  readonly name: string;
  readonly entryKmh: number;
  readonly exitKmh: number;
  readonly decelerationMs2: number;
  readonly timeS: number;
  readonly lengthM: number;
  readonly energyKj: number;
  readonly peakPowerKw: number;
  readonly frontSharePercent: number;
  readonly rearSharePercent: number;
  readonly recoveredKj: number;
  readonly airTimeS: number;
  readonly airDistanceM: number;
  /** null where no force makes the braking, as in the two that follow */
  readonly pedalN: number | null;
  readonly pedalBiteN: number | null;
  readonly pedalStayN: number | null;
  readonly frontBar: number;
  readonly rearBar: number;
  readonly travelMm: number;
  readonly shareStartPercent: number;
  readonly shareEndPercent: number;
  readonly idealStartPercent: number;
  readonly idealEndPercent: number;
  readonly fadeMarginPercent: number;
  /** null where the car does not stop */
  readonly extraM: number | null;
  /** False where the brakes cannot stop the car within a kilometre more */
  readonly stops: boolean;
  readonly locksFirst: AxleName;
  readonly limit: StopLimit;
  readonly wheels: Readonly<Record<WheelName, WheelRow>>;
}
type NumberKey = { [K in keyof StopRow]: StopRow[K] extends number | null ? K : never }[keyof StopRow];

/** Heading and quantity of each numeric column of the car, in order. */
export const STOP_COLUMNS: readonly (readonly [NumberKey, string, Quantity])[] = [
  ['entryKmh', 'Entry speed', 'speed'],
  ['exitKmh', 'Exit speed', 'speed'],
  ['decelerationMs2', 'Deceleration', 'deceleration'],
  ['timeS', 'Time', 'seconds'],
  ['lengthM', 'Distance', 'distance'],
  ['energyKj', 'Energy', 'energy'],
  ['peakPowerKw', 'Peak power', 'power'],
  ['frontSharePercent', 'Front brake balance', 'percent'],
  ['rearSharePercent', 'Rear share', 'percent'],
  ['recoveredKj', 'Recovered', 'energy'],
  ['airTimeS', 'Cooling time to next', 'seconds'],
  ['airDistanceM', 'Cooling distance to next', 'distance'],
];

/** The same for what the driver's foot feels and how the axles share. */
export const FORCE_COLUMNS: readonly (readonly [NumberKey, string, Quantity])[] = [
  ['pedalN', 'Pedal force', 'force'],
  ['pedalBiteN', 'Pedal force at first bite', 'force'],
  ['pedalStayN', 'Pedal force that stays', 'force'],
  ['frontBar', 'Front line pressure', 'pressure'],
  ['rearBar', 'Rear line pressure', 'pressure'],
  ['travelMm', 'Pedal travel', 'smallLength'],
  ['shareStartPercent', 'Front brake balance at the start', 'percent'],
  ['idealStartPercent', 'Ideal balance at the start', 'percent'],
  ['shareEndPercent', 'Front brake balance at the end', 'percent'],
  ['idealEndPercent', 'Ideal balance at the end', 'percent'],
  ['fadeMarginPercent', 'Brake reserve', 'percent'],
  ['extraM', 'Overshoots by', 'distance'],
];

/** The same for one wheel's brake. */
export const WHEEL_COLUMNS: readonly (readonly [keyof WheelRow, string, Quantity])[] = [
  ['faceBeforeC', 'surface before', 'temperature'],
  ['facePeakC', 'surface peak', 'temperature'],
  ['faceAfterC', 'surface after', 'temperature'],
  ['bulkBeforeC', 'core before', 'temperature'],
  ['bulkAfterC', 'core after', 'temperature'],
  ['fluidC', 'fluid', 'temperature'],
  ['biteFriction', 'friction at first bite', 'friction'],
  ['leastFriction', 'least friction', 'friction'],
];

/** The stops of one lap, as that lap was driven. @param lapNumber from 1, through the day */
export function stopRows(setup: Setup, result: DayResult, lapNumber: number): StopRow[] {
  const lap = result.laps[lapNumber - 1];
  const wheelRow = (wheel: WheelName, k: number): WheelRow => {
    const heat = lap.wheels[wheel][k];
    return {
      faceBeforeC: celsius(heat.faceBefore),
      facePeakC: celsius(heat.facePeak),
      faceAfterC: celsius(heat.faceAfter),
      bulkBeforeC: celsius(heat.bulkBefore),
      bulkAfterC: celsius(heat.bulkAfter),
      fluidC: celsius(heat.fluidAfter),
      biteFriction: heat.frictionBefore,
      leastFriction: heat.frictionLeast,
    };
  };
  return lap.trace.stops.map((stop, k) => {
    const force = lap.forces[k];
    const heat = force.frontHeat + force.rearHeat;
    const share = (part: number) => (heat > 0 ? (100 * part) / heat : 0);
    return {
      session: setup.plan.sessions[lap.session]?.name ?? '',
      lap: lap.number,
      kind: lap.kind,
      stop: k + 1,
      name: stop.name,
      entryKmh: fromSi(stop.entrySpeed, 'speed'),
      exitKmh: fromSi(stop.exitSpeed, 'speed'),
      decelerationMs2: stop.deceleration,
      timeS: stop.duration,
      lengthM: stop.length,
      energyKj: fromSi(stop.energy, 'energy'),
      peakPowerKw: fromSi(stop.peakPower, 'power'),
      frontSharePercent: share(force.frontHeat),
      rearSharePercent: share(force.rearHeat),
      recoveredKj: fromSi(stop.recovered, 'energy'),
      airTimeS: stop.airTime,
      airDistanceM: stop.airDistance,
      pedalN: finite(force.pedal),
      pedalBiteN: finite(force.pedalBite),
      pedalStayN: finite(force.pedalStay),
      frontBar: fromSi(force.frontPressure, 'pressure'),
      rearBar: fromSi(force.rearPressure, 'pressure'),
      travelMm: fromSi(force.travel, 'smallLength'),
      shareStartPercent: fromSi(force.share.start, 'percent'),
      shareEndPercent: fromSi(force.share.end, 'percent'),
      idealStartPercent: fromSi(force.ideal.start, 'percent'),
      idealEndPercent: fromSi(force.ideal.end, 'percent'),
      fadeMarginPercent: fromSi(force.fadeMargin, 'percent'),
      extraM: force.extraDistance,
      stops: force.extraDistance !== null,
      locksFirst: force.locksFirst,
      limit: force.limit,
      wheels: Object.fromEntries(WHEELS.map((wheel) => [wheel, wheelRow(wheel, k)])) as Record<
        WheelName,
        WheelRow
      >,
    };
  });
}

/** A value that has no end, such as a force nobody can press, as no value. */
export const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

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
