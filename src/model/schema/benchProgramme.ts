import * as z from 'zod/mini';
import { BENCH_PHASES } from '../../core';
import { BENCH_CONTROLS, BENCH_STARTS } from './bench';

export const BENCH_FORMAT = 'fervent-kettle-bench-programme';
export const BENCH_VERSION = 1;
/** Most stops of a programme. */
const MOST = 3000;

const number = (unit: string, description: string) => z.number().check(z.meta({ unit, description }));
const least = (unit: string, description: string) =>
  z.number().check(z.gte(0), z.meta({ unit, description }));
const stopSchema = z.strictObject({
  stop: z.int().check(z.gte(1), z.meta({ description: 'Counted through the programme.' })),
  phase: z.enum(BENCH_PHASES),
  lap: z.int().check(z.gte(0), z.meta({ description: 'Lap it stands for; 0 before the first.' })),
  brakingZone: z
    .int()
    .check(z.gte(0), z.meta({ description: 'Braking zone of the lap, from 1; 0 for none.' })),
  name: z.string().check(z.maxLength(120)),
  startAfterS: least('s', 'Since the end of the stop before.'),
  startAtC: z.nullable(number('°C', 'Core of the disc; null where only the time tells.')),
  fromRpm: least('rev/min', 'Speed of the disc at the start.'),
  toRpm: least('rev/min', 'Speed of the disc at the end.'),
  durationS: least('s', 'Time of the braking.'),
  torqueNm: least('N·m', 'Held through the stop.'),
  pressureBar: z.nullable(
    least('bar', 'Line pressure for that torque with the friction predicted; null where unknown.'),
  ),
  decelerationRpmS: least('rev/min/s', 'With the inertia of the programme.'),
  energyKJ: least('kJ', 'Work of the brake.'),
  coolingAirKmh: least('km/h', 'Past the brake, while braking and after.'),
  turningRpm: least('rev/min', 'Speed of the disc after the stop.'),
  pauseS: least('s', 'Until the next stop.'),
  deviations: z.array(z.string().check(z.maxLength(40))).check(z.maxLength(10)),
});
export const benchProgrammeSchema = z.strictObject({
  format: z.literal(BENCH_FORMAT),
  version: z.literal(BENCH_VERSION),
  name: z.string().check(z.maxLength(200)),
  wheel: z.enum(['frontLeft', 'frontRight', 'rearLeft', 'rearRight']),
  airC: number('°C', 'Air of the bench.'),
  control: z.enum(BENCH_CONTROLS),
  start: z.enum(BENCH_STARTS),
  inertiaKgm2: z.number().check(z.positive(), z.meta({ unit: 'kg·m²' })),
  idealInertiaKgm2: z
    .number()
    .check(z.positive(), z.meta({ unit: 'kg·m²', description: 'Before the bench’s steps and limits.' })),
  areaPercent: z.number().check(z.positive(), z.meta({ unit: '%' })),
  radiusPercent: z.number().check(z.positive(), z.meta({ unit: '%' })),
  leftOutPercent: z
    .number()
    .check(z.gte(0), z.meta({ unit: '%', description: 'Light braking outside braking zones.' })),
  stops: z.array(stopSchema).check(z.minLength(1), z.maxLength(MOST)),
});
export type BenchProgrammeFile = z.infer<typeof benchProgrammeSchema>;
