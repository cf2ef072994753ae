import Papa from 'papaparse';
import { z } from 'zod';
import { BENCH_PHASES, type BenchProgramme, type BenchProgrammeStop } from '../../core';
import {
  BENCH_CONTROLS,
  BENCH_STARTS,
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

export const BENCH_FORMAT = 'fervent-kettle-bench-programme';
const VERSION = 1;
/** Longest text that is read, characters, and most stops. */
const LONGEST = 4_000_000;
const MOST = 3000;

const number = (unit: string, description: string) => z.number().meta({ unit, description });
const least = (unit: string, description: string) => z.number().min(0).meta({ unit, description });
const stopSchema = z.strictObject({
  stop: z.int().min(1).meta({ description: 'Counted through the programme.' }),
  phase: z.enum(BENCH_PHASES),
  lap: z.int().min(0).meta({ description: 'Lap it stands for; 0 before the first.' }),
  brakingZone: z.int().min(0).meta({ description: 'Braking zone of the lap, from 1; 0 for none.' }),
  name: z.string().max(120),
  startAfterS: least('s', 'Since the end of the stop before.'),
  startAtC: number('°C', 'Core of the disc; null where only the time tells.').nullable(),
  fromRpm: least('rev/min', 'Speed of the disc at the start.'),
  toRpm: least('rev/min', 'Speed of the disc at the end.'),
  durationS: least('s', 'Time of the braking.'),
  torqueNm: least('N·m', 'Held through the stop.'),
  pressureBar: least(
    'bar',
    'Line pressure for that torque with the friction predicted; null where unknown.',
  ).nullable(),
  decelerationRpmS: least('rev/min/s', 'With the inertia of the programme.'),
  energyKJ: least('kJ', 'Work of the brake.'),
  coolingAirKmh: least('km/h', 'Past the brake, while braking and after.'),
  turningRpm: least('rev/min', 'Speed of the disc after the stop.'),
  pauseS: least('s', 'Until the next stop.'),
  deviations: z.array(z.string().max(40)).max(10),
});
export const benchProgrammeSchema = z.strictObject({
  format: z.literal(BENCH_FORMAT),
  version: z.literal(VERSION),
  name: z.string().max(200),
  wheel: z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']),
  airC: number('°C', 'Air of the bench.'),
  control: z.enum(BENCH_CONTROLS),
  start: z.enum(BENCH_STARTS),
  inertiaKgm2: z.number().positive().meta({ unit: 'kg·m²' }),
  idealInertiaKgm2: z
    .number()
    .positive()
    .meta({ unit: 'kg·m²', description: 'Before the bench’s steps and limits.' }),
  areaPercent: z.number().positive().meta({ unit: '%' }),
  radiusPercent: z.number().positive().meta({ unit: '%' }),
  leftOutPercent: z.number().min(0).meta({ unit: '%', description: 'Light braking outside braking zones.' }),
  stops: z.array(stopSchema).min(1).max(MOST),
});
export type BenchProgrammeFile = z.infer<typeof benchProgrammeSchema>;

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
    version: VERSION,
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
