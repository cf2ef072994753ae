import Papa from 'papaparse';
import * as z from 'zod/mini';
import type { BenchProgramme, BenchProgrammeStop } from '../../core';
import {
  BENCH_FORMAT,
  BENCH_VERSION,
  type BenchProgrammeFile,
  benchProgrammeSchema,
  fromSi,
  issueProblem,
  type Refused,
  readJson,
  type StoredBench,
  survey,
  toSi,
} from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';

/** Longest text that is read, characters. */
const LONGEST = 4_000_000;

/** The published schema of a bench programme. */
export const benchJsonSchema = (): object => ({
  title: 'Fervent Kettle bench programme',
  ...z.toJSONSchema(benchProgrammeSchema, { target: 'draft-2020-12', unrepresentable: 'any' }),
});

const nine = (value: number) => Number(value.toPrecision(9));
const rpm = (speed: number) => nine(fromSi(speed, 'rotation'));

/** A programme as the file has it. @param ambient K */
export function benchFileOf(
  programme: BenchProgramme,
  { control, start }: Pick<StoredBench, 'control' | 'start'>,
  name: string,
  ambient: number,
): BenchProgrammeFile {
  const { stops, scale } = programme;
  return {
    format: BENCH_FORMAT,
    version: BENCH_VERSION,
    name: name.slice(0, 200),
    wheel: programme.wheel,
    airC: nine(fromSi(ambient, 'temperature')),
    control,
    start,
    inertiaKgm2: nine(programme.inertia),
    idealInertiaKgm2: nine(programme.ideal),
    areaPercent: nine(fromSi(scale.area, 'percent')),
    radiusPercent: nine(fromSi(scale.radius, 'percent')),
    leftOutPercent: nine(fromSi(programme.leftOut, 'percent')),
    stops: stops.map((stop, i) => ({
      stop: i + 1,
      phase: stop.phase,
      lap: stop.lap,
      brakingZone: stop.zone + 1,
      name: stop.name,
      startAfterS: i === 0 ? 0 : nine(stops[i - 1].pause),
      startAtC: stop.startsAt === null ? null : nine(fromSi(stop.startsAt, 'temperature')),
      fromRpm: rpm(stop.from),
      toRpm: rpm(stop.to),
      durationS: nine(stop.duration),
      torqueNm: nine(stop.torque),
      pressureBar: stop.pressure === null ? null : nine(fromSi(stop.pressure, 'pressure')),
      decelerationRpmS: rpm(stop.deceleration),
      energyKJ: nine(fromSi(stop.energy, 'energy')),
      coolingAirKmh: nine(fromSi(stop.air, 'speed')),
      turningRpm: rpm(stop.turning),
      pauseS: nine(stop.pause),
      deviations: [...stop.deviations],
    })),
  };
}

/** A programme as JSON, to be read back by `readBenchProgramme`. */
export const writeBenchProgramme = (file: BenchProgrammeFile): string => `${JSON.stringify(file, null, 2)}\n`;

/** A programme from JSON; everything wrong is said with its place. */
export function readBenchProgramme(
  text: string,
): { readonly ok: true; readonly file: BenchProgrammeFile } | Refused {
  if (text.length > LONGEST) return refuse(say.recordTooLong(LONGEST));
  const json = readJson(text, say.benchExpected);
  if (!('value' in json)) return refuse(json.message, json.place);
  const wrong = survey(json.value);
  if (wrong) return { ok: false, problems: [wrong] };
  const read = benchProgrammeSchema.safeParse(json.value, { reportInput: true });
  if (!read.success) return { ok: false, problems: read.error.issues.map(issueProblem) };
  return { ok: true, file: read.data };
}

/** What a bench is told, as the engine runs it. */
export function programmeOf(file: BenchProgrammeFile): BenchProgramme {
  const inertia = file.inertiaKgm2;
  return {
    wheel: file.wheel,
    inertia,
    ideal: file.idealInertiaKgm2,
    scale: { area: toSi(file.areaPercent, 'percent'), radius: toSi(file.radiusPercent, 'percent') },
    leftOut: toSi(file.leftOutPercent, 'percent'),
    stops: file.stops.map((stop): BenchProgrammeStop => {
      const [from, to] = [toSi(stop.fromRpm, 'rotation'), toSi(stop.toRpm, 'rotation')];
      const energy = toSi(stop.energyKJ, 'energy');
      return {
        phase: stop.phase,
        lap: stop.lap,
        zone: stop.brakingZone - 1,
        name: stop.name,
        from,
        to,
        duration: stop.durationS,
        energy,
        torque: stop.torqueNm,
        pressure: stop.pressureBar === null ? null : toSi(stop.pressureBar, 'pressure'),
        deceleration: toSi(stop.decelerationRpmS, 'rotation'),
        startsAt: stop.startAtC === null ? null : toSi(stop.startAtC, 'temperature'),
        own: energy / (0.5 * (from * from - to * to)),
        deviations: stop.deviations as BenchProgrammeStop['deviations'],
        pause: stop.pauseS,
        turning: toSi(stop.turningRpm, 'rotation'),
        air: toSi(stop.coolingAirKmh, 'speed'),
      };
    }),
  };
}

const COLUMNS = [
  ['Stop', 'stop'],
  ['Phase', 'phase'],
  ['Lap', 'lap'],
  ['Braking zone', 'brakingZone'],
  ['Name', 'name'],
  ['Start after (s)', 'startAfterS'],
  ['Start at disc (°C)', 'startAtC'],
  ['From (rev/min)', 'fromRpm'],
  ['To (rev/min)', 'toRpm'],
  ['Duration (s)', 'durationS'],
  ['Torque (N·m)', 'torqueNm'],
  ['Line pressure (bar)', 'pressureBar'],
  ['Deceleration (rev/min/s)', 'decelerationRpmS'],
  ['Work (kJ)', 'energyKJ'],
  ['Cooling air (km/h)', 'coolingAirKmh'],
  ['Turning after (rev/min)', 'turningRpm'],
  ['Pause after (s)', 'pauseS'],
  ['Not as in the car', 'deviations'],
] as const satisfies readonly (readonly [string, keyof BenchProgrammeFile['stops'][number]])[];

/** A programme as a table, its units in the headings; what is the same for all stops stands over it. */
export function benchProgrammeCsv(file: BenchProgrammeFile): string {
  const heads = [
    ['Bench programme', file.name],
    ['Wheel', file.wheel],
    ['Inertia (kg·m²)', file.inertiaKgm2],
    ['Inertia before steps and limits (kg·m²)', file.idealInertiaKgm2],
    ['Air (°C)', file.airC],
    ['Held by', file.control],
    ['Begun by', file.start],
    ['Swept area (%)', file.areaPercent],
    ['Effective radius (%)', file.radiusPercent],
  ];
  const rows = file.stops.map((stop) =>
    COLUMNS.map(([, key]) => {
      const value = stop[key];
      return Array.isArray(value) ? value.join('; ') : (value ?? '');
    }),
  );
  return `${Papa.unparse([...heads, [], COLUMNS.map(([head]) => head), ...rows], { newline: '\n' })}\n`;
}
