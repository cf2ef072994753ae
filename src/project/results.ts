import Papa from 'papaparse';
import {
  AXLES,
  lapHeat,
  lapLength,
  lapTime,
  RECORDED_PARTS,
  type RecordedPart,
  type SessionResult,
} from '../core';
import type { Setup } from './toCore';
import { METRIC, type Quantity, toShown, type UnitChoice, unitOf } from './units';
import { celsius, verdictText } from './wording';

/** One stop of one lap with everything the stop list shows; stored units (km/h, m, s, kJ, kW, °C). */
export interface StopRow {
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
  readonly frontFaceBeforeC: number;
  readonly frontFacePeakC: number;
  readonly frontFaceAfterC: number;
  readonly frontBulkBeforeC: number;
  readonly frontBulkAfterC: number;
  readonly frontFluidC: number;
  readonly rearFaceBeforeC: number;
  readonly rearFacePeakC: number;
  readonly rearFaceAfterC: number;
  readonly rearBulkBeforeC: number;
  readonly rearBulkAfterC: number;
  readonly rearFluidC: number;
  readonly airTimeS: number;
  readonly airDistanceM: number;
}

/** Heading and quantity of each numeric column, in order. */
export const STOP_COLUMNS: readonly (readonly [keyof StopRow, string, Quantity])[] = [
  ['entryKmh', 'Entry speed', 'speed'],
  ['exitKmh', 'Exit speed', 'speed'],
  ['decelerationMs2', 'Deceleration', 'deceleration'],
  ['timeS', 'Time', 'seconds'],
  ['lengthM', 'Distance', 'distance'],
  ['energyKj', 'Energy', 'energy'],
  ['peakPowerKw', 'Peak power', 'power'],
  ['frontSharePercent', 'Front share', 'percent'],
  ['rearSharePercent', 'Rear share', 'percent'],
  ['recoveredKj', 'Recovered', 'energy'],
  ['frontFaceBeforeC', 'Front face before', 'temperature'],
  ['frontFacePeakC', 'Front face peak', 'temperature'],
  ['frontFaceAfterC', 'Front face after', 'temperature'],
  ['frontBulkBeforeC', 'Front bulk before', 'temperature'],
  ['frontBulkAfterC', 'Front bulk after', 'temperature'],
  ['frontFluidC', 'Front fluid', 'temperature'],
  ['rearFaceBeforeC', 'Rear face before', 'temperature'],
  ['rearFacePeakC', 'Rear face peak', 'temperature'],
  ['rearFaceAfterC', 'Rear face after', 'temperature'],
  ['rearBulkBeforeC', 'Rear bulk before', 'temperature'],
  ['rearBulkAfterC', 'Rear bulk after', 'temperature'],
  ['rearFluidC', 'Rear fluid', 'temperature'],
  ['airTimeS', 'Air time to next', 'seconds'],
  ['airDistanceM', 'Air distance to next', 'distance'],
];

/** The stops of one lap, as that lap was driven. @param lapNumber from 1 */
export function stopRows(result: SessionResult, lapNumber: number): StopRow[] {
  const lap = result.laps[lapNumber - 1];
  return lap.trace.stops.map((stop, k) => {
    const front = lap.front[k];
    const rear = lap.rear[k];
    const energy = stop.energy || 1;
    return {
      lap: lap.number,
      kind: lap.kind,
      stop: k + 1,
      name: stop.name,
      entryKmh: stop.entrySpeed * 3.6,
      exitKmh: stop.exitSpeed * 3.6,
      decelerationMs2: stop.deceleration,
      timeS: stop.duration,
      lengthM: stop.length,
      energyKj: stop.energy / 1000,
      peakPowerKw: stop.peakPower / 1000,
      frontSharePercent: (100 * stop.frontEnergy) / energy,
      rearSharePercent: (100 * stop.rearEnergy) / energy,
      recoveredKj: stop.recovered / 1000,
      frontFaceBeforeC: celsius(front.faceBefore),
      frontFacePeakC: celsius(front.facePeak),
      frontFaceAfterC: celsius(front.faceAfter),
      frontBulkBeforeC: celsius(front.bulkBefore),
      frontBulkAfterC: celsius(front.bulkAfter),
      frontFluidC: celsius(front.fluidAfter),
      rearFaceBeforeC: celsius(rear.faceBefore),
      rearFacePeakC: celsius(rear.facePeak),
      rearFaceAfterC: celsius(rear.faceAfter),
      rearBulkBeforeC: celsius(rear.bulkBefore),
      rearBulkAfterC: celsius(rear.bulkAfter),
      rearFluidC: celsius(rear.fluidAfter),
      airTimeS: stop.airTime,
      airDistanceM: stop.airDistance,
    };
  });
}

const nine = (value: number) => Number(value.toPrecision(9));

/** Every stop of every lap as CSV, units in the header. */
export function stopsCsv(result: SessionResult, units: UnitChoice = METRIC): string {
  const fields = [
    'lap',
    'kind',
    'stop',
    'place',
    ...STOP_COLUMNS.map(([, title, quantity]) => `${title} (${unitOf(quantity, units).label})`),
  ];
  const data = result.laps.flatMap((lap) =>
    stopRows(result, lap.number).map((row) => [
      row.lap,
      row.kind,
      row.stop,
      row.name,
      ...STOP_COLUMNS.map(([key, , quantity]) => nine(toShown(row[key] as number, unitOf(quantity, units)))),
    ]),
  );
  return Papa.unparse({ fields, data }, { newline: '\n', escapeFormulae: true });
}

const TRACE_TITLES: Readonly<Record<RecordedPart, string>> = {
  rotorFace: 'rotor face',
  rotorBulk: 'rotor bulk',
  hat: 'hat',
  hub: 'hub',
  padFace: 'pad face',
  plate: 'pad plate',
  caliper: 'caliper',
  fluid: 'fluid',
};

/** Every computed sample of the session as CSV, units in the header. */
export function tracesCsv(result: SessionResult, units: UnitChoice = METRIC): string {
  const degree = unitOf('temperature', units);
  const length = unitOf('distance', units);
  const { record, laps } = result;
  const fields = [
    'time (s)',
    'lap',
    `distance in the lap (${length.label})`,
    'stop',
    ...AXLES.flatMap((axle) =>
      RECORDED_PARTS.map((part) => `${axle} ${TRACE_TITLES[part]} (${degree.label})`),
    ),
  ];
  const data = Array.from(record.time, (time, i) => [
    nine(time),
    record.lap[i] < laps.length ? record.lap[i] + 1 : 'paddock',
    nine(toShown(record.distance[i], length)),
    record.stop[i] < 0 ? '' : record.stop[i] + 1,
    ...AXLES.flatMap((axle) =>
      RECORDED_PARTS.map((part) => nine(toShown(celsius(record[axle][part][i]), degree))),
    ),
  ]);
  return Papa.unparse({ fields, data }, { newline: '\n' });
}

export const RESULT_FORMAT = 'fervent-kettle-result';

/** A whole result as plain data in stored units, to nine digits: the same in browser and command line. */
export function resultDocument(setup: Setup, result: SessionResult) {
  const peaks = AXLES.map((axle) => [
    axle,
    Object.fromEntries(RECORDED_PARTS.map((part) => [`${part}C`, nine(celsius(result.peaks[axle][part]))])),
  ]);
  const text = verdictText(result, METRIC);
  return {
    format: RESULT_FORMAT,
    version: 1,
    plan: setup.plan.name,
    car: setup.car.name,
    circuit: setup.circuit.name,
    verdict: {
      state: text.state,
      sentence: text.sentence,
      notes: text.notes,
      hotLapsBefore: result.verdict.hotLapsBefore,
    },
    lap: {
      timeS: nine(lapTime(result.trace)),
      lengthM: nine(lapLength(result.trace)),
      brakeHeatKj: nine(lapHeat(result.trace) / 1000),
      meanBrakePowerKw: nine(lapHeat(result.trace) / lapTime(result.trace) / 1000),
    },
    margins: result.margins.map((m) => ({
      axle: m.axle,
      part: m.part,
      limitC: nine(celsius(m.limit)),
      worstC: nine(celsius(m.worst)),
      marginK: nine(m.margin),
      share: nine(m.share),
      at: { timeS: nine(m.at.time), lap: m.at.lap, stop: m.at.stop + 1 },
      passed: m.passed && { timeS: nine(m.passed.time), lap: m.passed.lap, stop: m.passed.stop + 1 },
    })),
    peaks: Object.fromEntries(peaks),
    energy: {
      suppliedKj: nine(result.audit.supplied / 1000),
      storedKj: nine(result.audit.stored / 1000),
      lostKj: nine(result.audit.lost / 1000),
    },
    stops: result.laps.flatMap((lap) =>
      stopRows(result, lap.number).map((row) =>
        Object.fromEntries(Object.entries(row).map(([k, v]) => [k, typeof v === 'number' ? nine(v) : v])),
      ),
    ),
    record: {
      timeS: Array.from(result.record.time, nine),
      lap: Array.from(result.record.lap, (lap) => lap + 1),
      distanceM: Array.from(result.record.distance, nine),
      ...Object.fromEntries(
        AXLES.map((axle) => [
          axle,
          Object.fromEntries(
            RECORDED_PARTS.map((part) => [
              `${part}C`,
              Array.from(result.record[axle][part], (k) => nine(celsius(k))),
            ]),
          ),
        ]),
      ),
    },
  };
}
