import { demoProject } from '../../../demo/project';
import {
  type DayResult,
  type LapTrace,
  localPlane,
  movedBy,
  randomNumbers,
  sampleLine,
  simulateDay,
} from '../../core';
import { circuitInput, dayInput, fromSi, type Setup, setupOf } from '../../model';
import { say } from '../../text/en/say/server';

/** How the invented car is driven and how badly it is measured. */
export interface LoggerOptions {
  /** One of the demo project's plans */
  readonly planId: string;
  /** Hot laps of its only session */
  readonly laps: number;
  /** Samples a second, 1 to 200 */
  readonly rate: number;
  /** 0 measures perfectly, 1 as usual, more is worse */
  readonly noise: number;
  readonly seed: number;
}

/** A value at each of a sample's columns; null in a dropout. */
export type LoggerRow = readonly (number | null)[];

export const LOGGER_COLUMNS = [
  'Time (s)',
  'Lap',
  'Distance (m)',
  'Speed (km/h)',
  'Latitude (deg)',
  'Longitude (deg)',
  'Height (m)',
  'Brake pressure front (bar)',
  'Brake pressure rear (bar)',
  'Pedal force (N)',
  'Rotor FL (C)',
  'Rotor FR (C)',
  'Rotor RL (C)',
  'Rotor RR (C)',
  'Caliper FL (C)',
  'Fluid front (C)',
  'Ambient (C)',
] as const;

/** A recording that does not exist: every row can be asked for, in any order of time. */
export interface SimulatedLog {
  readonly setup: Setup;
  readonly count: number;
  /** @param from the first row wanted; what comes before it is not computed, and the scatter from it on is another */
  rows(from?: number): Generator<LoggerRow>;
}

/** Truth of the stand-in that a prediction does not know: what is fitted or calibrated later must find it. */
const COOLING = 0.88;
const DRIVER = { braking: 0.96, cornering: 0.985 };

/** Days that were driven last, newest last; each is some megabytes. */
const driven = new Map<string, DayResult>();
const DAYS_KEPT = 3;

/** The day behind a log: it does not depend on how it is measured, so that asking again drives nothing. */
function dayOf(setup: Setup, laps: number): DayResult {
  const key = `${setup.plan.id}/${laps}`;
  const day = driven.get(key) ?? drive(setup, laps);
  driven.delete(key);
  driven.set(key, day);
  for (const oldest of [...driven.keys()].slice(0, -DAYS_KEPT)) driven.delete(oldest);
  return day;
}

function drive(setup: Setup, laps: number): DayResult {
  const { plan } = setup;
  const planned = dayInput({
    ...setup,
    plan: {
      ...plan,
      brakingGripUsedPercent: plan.brakingGripUsedPercent * DRIVER.braking,
      corneringGripUsedPercent: plan.corneringGripUsedPercent * DRIVER.cornering,
    },
  });
  const cooled = movedBy(planned, { frontCooling: COOLING, rearCooling: COOLING });
  return simulateDay({
    ...cooled,
    sessions: [
      {
        ...planned.sessions[0],
        legs: [
          { kind: 'out', laps: 1, pace: 0.65 },
          { kind: 'hot', laps, pace: 1 },
          { kind: 'cool', laps: 1, pace: 0.4 },
          { kind: 'pit', duration: 120, fan: 0 },
        ],
      },
    ],
  });
}

/** Drives an invented car round an invented circuit and measures it with scatter, dropouts and drifting sensors. */
export function simulatedLog(options: LoggerOptions): SimulatedLog {
  const setup = setupOf(demoProject, options.planId);
  const day = dayOf(setup, options.laps);
  const end = day.record.time[day.record.time.length - 1];
  const count = Math.floor(end * options.rate);
  return { setup, count, rows: (from = 0) => measured(options, setup, day, count, from) };
}

/** A value as a logger writes it. */
function round(value: number, digits: number): number {
  const scale = 10 ** digits;
  return Math.round(value * scale) / scale;
}

/** What no foot could press is no reading. */
const finite = (value: number) => (Number.isFinite(value) ? value : 0);

/** Time in which the car passes from one pace to another, s, and how fast it does, m/s². */
const SEAM = 8;
const SEAM_RATE = 7;

/** Where the car is at a time and how hot its brakes are; times asked for must rise. */
function cursorOf({ record, laps }: DayResult) {
  let [sample, lap, point] = [0, 0, 0];
  return (t: number) => {
    while (sample < record.time.length - 2 && record.time[sample + 1] <= t) sample++;
    while (lap < laps.length && t >= laps[lap].startTime + laps[lap].lapTime) [lap, point] = [lap + 1, 0];
    const driving = laps[lap];
    let [speed, distance] = [0, 0];
    if (driving) {
      const { trace } = driving;
      const own = t - driving.startTime;
      while (point < trace.time.length - 2 && trace.time[point + 1] <= own) point++;
      [speed, distance] = along(trace, point, own);
    }
    const share = shareAt(record.time, sample, t);
    const between = (values: Float64Array) => values[sample] + share * (values[sample + 1] - values[sample]);
    return { speed, distance, lap: Math.min(lap, laps.length), kind: driving?.kind, between };
  };
}

/** Speed and way of a car that takes some seconds from one pace to another, where laps meet at different speeds. */
class Motion {
  /** m/s */
  speed = 0;
  /** m */
  odometer = 0;
  kind: string | undefined;
  private changing = 0;

  step(
    now: { readonly speed: number; readonly kind: string | undefined },
    dt: number,
    moving: boolean,
  ): void {
    if (now.kind !== this.kind) [this.kind, this.changing] = [now.kind, SEAM];
    this.changing -= dt;
    const most = this.changing > 0 && moving ? SEAM_RATE * dt : Number.POSITIVE_INFINITY;
    if (Math.abs(now.speed - this.speed) <= most) this.changing = 0;
    this.speed += Math.min(most, Math.max(-most, now.speed - this.speed));
    this.odometer += this.speed * dt;
  }
}

/** Step in which a car is driven up to a time that nothing is measured before, s. */
const UNSEEN_STEP = 0.1;
const MEASURED_WHEELS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;

/** Drives up to a time in steps of its own, however often is measured. @returns the rotors' temperatures there, °C */
function drivenUpTo(motion: Motion, day: DayResult, until: number): number[] {
  const cursor = cursorOf(day);
  let now = cursor(0);
  for (let t = 0; t < until; t += UNSEEN_STEP) {
    now = cursor(t);
    motion.step(now, Math.min(UNSEEN_STEP, until - t), t > 0);
  }
  return MEASURED_WHEELS.map((wheel) =>
    fromSi(now.between(day.record.wheels[wheel].rotorBulk), 'temperature'),
  );
}

function* measured(
  { rate, noise, seed }: LoggerOptions,
  setup: Setup,
  day: DayResult,
  count: number,
  from: number,
): Generator<LoggerRow> {
  const random = randomNumbers(seed + from);
  const { force, wheels } = day.record;
  const ground = groundOf(setup);
  const cursor = cursorOf(day);
  const ambient = setup.plan.sessions[0].ambientC;
  const scatter = (size: number) => noise * size * random.normal();
  // Receivers wander; rubbing thermocouples read late and drift.
  const wander = { x: 0, y: 0 };
  const late = [ambient, ambient, ambient, ambient];
  const drift = [0, 0, 0, 0].map(() => noise * (random.next() - 0.5) * 0.04);
  let lost = 0;
  const dt = 1 / rate;
  const motion = new Motion();
  const before = from > 0 ? drivenUpTo(motion, day, from * dt) : null;
  before?.forEach((celsius, k) => {
    late[k] = celsius;
  });
  for (let i = from; i < count; i++) {
    const t = i * dt;
    const now = cursor(t);
    const { between } = now;
    motion.step(now, dt, i > 0);
    const { speed, odometer, kind } = motion;
    wander.x += (-wander.x / 60) * dt + Math.sqrt(dt) * scatter(0.12);
    wander.y += (-wander.y / 60) * dt + Math.sqrt(dt) * scatter(0.12);
    const [latitude, longitude, height] = ground(
      now.distance,
      wander.x + scatter(0.25),
      wander.y + scatter(0.25),
    );
    const rotors = MEASURED_WHEELS.map((wheel, k) => {
      const bulk = fromSi(between(wheels[wheel].rotorBulk), 'temperature');
      late[k] += (bulk - late[k]) * Math.min(1, dt / 0.8);
      return late[k] + drift[k] * (late[k] - ambient) + scatter(2);
    });
    // Now and then a plug shakes loose for a second or two.
    if (lost <= 0 && noise > 0 && random.next() < dt / 90) lost = 0.4 + 1.6 * random.next();
    lost -= dt;
    const seen = (value: number, digits: number) => (lost > 0 ? null : round(value, digits));
    const pressed = (values: Float64Array) => (kind ? finite(between(values)) : 0);
    const positive = (value: number, digits: number) => round(Math.max(0, value), digits);
    yield [
      round(t, 3),
      now.lap,
      round(odometer, 2),
      positive(fromSi(speed, 'speed') + (speed > 1 ? scatter(0.25) : 0), 2),
      seen(latitude, 7),
      seen(longitude, 7),
      seen(height + scatter(0.6), 2),
      positive(fromSi(pressed(force.frontPressure), 'pressure') + scatter(0.15), 2),
      positive(fromSi(pressed(force.rearPressure), 'pressure') + scatter(0.15), 2),
      positive(Math.min(1500, pressed(force.pedal)) + scatter(2), 1),
      ...rotors.map((v) => round(v, 1)),
      round(fromSi(between(wheels.frontLeft.caliper), 'temperature') + scatter(0.5), 1),
      round(fromSi(between(wheels.frontLeft.fluid), 'temperature') + scatter(0.5), 1),
      round(ambient + scatter(0.2), 1),
    ];
  }
}

function shareAt(time: Float64Array, i: number, t: number): number {
  return Math.min(1, Math.max(0, (t - time[i]) / (time[i + 1] - time[i])));
}

function along(trace: LapTrace, i: number, t: number): readonly [number, number] {
  const share = shareAt(trace.time, i, t);
  const between = (values: Float64Array) => values[i] + share * (values[i + 1] - values[i]);
  return [between(trace.speed), between(trace.distance)];
}

/** Latitude, longitude and height of a place on the circuit, moved by metres east and north. */
function groundOf({
  circuit,
}: Setup): (distance: number, east: number, north: number) => readonly [number, number, number] {
  const input = circuitInput(circuit);
  const { place } = circuit;
  if (input.kind !== 'line' || !place) throw new RangeError(say.circuitHasNoLine(circuit.name));
  const line = sampleLine(input.segments, 2);
  const plane = localPlane({ latitude: place.latitudeDeg, longitude: place.longitudeDeg });
  const bearing = (place.bearingDeg * Math.PI) / 180;
  const [e, n] = [Math.sin(bearing), Math.cos(bearing)];
  const cells = line.distance.length - 1;
  return (distance, east, north) => {
    const at = ((distance % line.length) / line.length) * cells;
    const i = Math.min(cells - 1, Math.floor(at));
    const share = at - i;
    const x = line.x[i] + share * (line.x[i + 1] - line.x[i]);
    const y = line.y[i] + share * (line.y[i + 1] - line.y[i]);
    const { latitude, longitude } = plane.toEarth(x * e - y * n + east, x * n + y * e + north);
    return [
      latitude,
      longitude,
      place.heightM + line.height[i] + share * (line.height[i + 1] - line.height[i]),
    ];
  };
}

/** A recording as CSV, line by line, as a logger's export would be. */
export function* loggerCsv(log: SimulatedLog): Generator<string> {
  yield `Simulated logger, ${log.setup.car.name}, ${log.setup.circuit.name}\n\n${LOGGER_COLUMNS.join(',')}\n`;
  for (const row of log.rows()) yield `${row.map((v) => v ?? '').join(',')}\n`;
}
