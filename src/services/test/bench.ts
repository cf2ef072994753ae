import {
  type BenchLimits,
  type BenchProgramme,
  type BenchResult,
  type BenchScale,
  benchProgramme,
  benchRun,
  type DayInput,
  fullScale,
  judgedDay,
  moved,
  type WheelName,
  type WheelStop,
} from '../../core';
import {
  type Calibration,
  type Car,
  dayInput,
  newPreparation,
  type Setup,
  type StoredBench,
  toSi,
} from '../../model';
import { bedding, beddingQuestion } from '../prepare/bedding';

/** A circuit's stops for one wheel's bench, with what both come to. */
export interface BenchPlan {
  readonly programme: BenchProgramme;
  readonly predicted: BenchResult;
  /** The same stops in the car, K; one a stop that stands for a whole braking zone, null for the others */
  readonly car: readonly (CarReading | null)[];
  /** Greatest differences between bench and car, K: core before and after a stop, and highest surface */
  readonly apart: { readonly core: number; readonly surface: number };
  /** Air of the programme, K */
  readonly ambient: number;
}
export interface CarReading {
  readonly before: number;
  readonly after: number;
  readonly facePeak: number;
}

export const limitsOf = (bench: StoredBench): BenchLimits => ({
  inertia: { least: bench.leastInertia, most: bench.mostInertia, step: bench.inertiaStep },
  torque: bench.torqueNm,
  speed: toSi(bench.speedRpm, 'rotation'),
  air: toSi(bench.airKmh, 'speed'),
});
const scaleOf = (bench: StoredBench): BenchScale => ({
  area: toSi(bench.areaPercent, 'percent'),
  radius: toSi(bench.radiusPercent, 'percent'),
});

/** Turning in air after the bedding until brake and fluid are cold, s (own choice). */
const UNTIL_COLD = 5400;

/** Bedding as its bench stops: what the car's own bedding run makes of this wheel. */
function beddingStops(setup: Setup, input: DayInput, wheel: WheelName): WheelStop[] {
  const date = setup.plan.date ?? '2000-01-01';
  const preparation = newPreparation(setup.car, [], setup.parts, { id: 'bench', name: 'Bench', date });
  const car = {
    ...setup.car,
    front: { ...setup.car.front, beddedPercent: 0 },
    rear: { ...setup.car.rear, beddedPercent: 0 },
  };
  const question = beddingQuestion({ ...setup, car, begun: null }, preparation);
  if (!question) return [];
  const { steps } = bedding(question);
  const { wheelRadius, slipShare } = input.vehicle;
  const share = wheelShare(input, wheel);
  const stops: WheelStop[] = [];
  for (const step of steps) {
    const last = stops[stops.length - 1];
    if (step.does === 'roll') {
      if (last) {
        const rolled = last.pause + step.duration;
        const speed = 0.5 * (step.from + step.to);
        stops[stops.length - 1] = {
          ...last,
          rolling: (last.rolling * last.pause + speed * step.duration) / rolled,
          pause: rolled,
        };
      }
      continue;
    }
    const turns = (speed: number) => (speed * (1 - slipShare)) / wheelRadius;
    const work = 0.5 * input.vehicle.mass * (step.from ** 2 - step.to ** 2);
    stops.push({
      phase: 'bedding',
      lap: 0,
      zone: -1,
      name: '',
      from: turns(step.from),
      to: turns(step.to),
      duration: step.duration,
      energy: share * work,
      startsAt: null,
      friction: null,
      pause: 0,
      rolling: 0,
    });
  }
  return stops.map((stop, i) => ({
    ...stop,
    pause: i === stops.length - 1 ? UNTIL_COLD : Math.max(1, stop.pause),
  }));
}

/** Part of the whole car's braking on one wheel with every pad at its best, 0 to 1. */
function wheelShare({ vehicle }: DayInput, wheel: WheelName): number {
  const { front, rear } = vehicle.brakes;
  const gain = (axle: typeof front) => axle.nominalFriction * axle.pistonArea * axle.radius * axle.correction;
  const all = 2 * (gain(front) + gain(rear));
  return gain(wheel.startsWith('front') ? front : rear) / all;
}

/**
 * The bench programme of a plan's session for one wheel, run by the engine as the bench would.
 * @throws BenchError for a bench that cannot be, or a wheel that does not brake; ScheduleError as `benchSchedule`
 */
export function benchPlan(setup: Setup, bench: StoredBench): BenchPlan {
  const input = dayInput(setup);
  const day = judgedDay(input);
  const { wheel } = bench;
  const before = bench.bedding ? beddingStops(setup, input, wheel) : [];
  const programme = benchProgramme(input, day, wheel, limitsOf(bench), scaleOf(bench), before);
  const predicted = runProgramme(input, programme);
  const seen = new Set<string>();
  const car = programme.stops.map(({ lap, zone }): CarReading | null => {
    const key = `${lap} ${zone}`;
    if (lap === 0 || seen.has(key)) return null;
    seen.add(key);
    const { bulkBefore, bulkAfter, facePeak } = day.laps[lap - 1].wheels[wheel][zone];
    return { before: bulkBefore, after: bulkAfter, facePeak };
  });
  const most = (pick: (own: CarReading, on: BenchResult['stops'][number]) => number) =>
    car.reduce((worst, own, i) => (own ? Math.max(worst, pick(own, predicted.stops[i])) : worst), 0);
  return {
    programme,
    predicted,
    car,
    apart: {
      core: most((own, on) => Math.max(Math.abs(own.before - on.before), Math.abs(own.after - on.after))),
      surface: most((own, on) => Math.abs(own.facePeak - on.facePeak)),
    },
    ambient: input.sessions[0].ambient,
  };
}

/** Runs a programme with a day's brakes; bedded ones go on from how their bedding left them. */
export const runProgramme = (input: DayInput, programme: BenchProgramme): BenchResult =>
  benchRun(input, programme.wheel, fullScale(programme), input.start ?? input.sessions[0].ambient);

/** What a bench measured of a stop, K. */
export interface BenchMeasured {
  /** Of the programme, from 0 */
  readonly stop: number;
  readonly before: number;
  readonly after: number;
}

/** What a bench says of an axle's cooling. */
export interface BenchFit {
  /** Factor on the cooling of the wheel's axle, with one standard deviation of its logarithm */
  readonly cooling: number;
  readonly spread: number;
  /** Root of the mean square of measured less predicted, K, before and after */
  readonly before: number;
  readonly after: number;
  readonly readings: number;
}

/** Error of a bench's thermocouple, one standard deviation, K (from memory), and readings that count as one by themselves. */
const ERROR = 8;
const INDEPENDENT = 10;
const PRIOR = 0.15;

/**
 * The cooling of a wheel's axle from what a bench measured: the factor that fits best, by golden section on its logarithm.
 * @param input the car's day, uncalibrated or as it is known
 */
export function fitBench(
  input: DayInput,
  programme: BenchProgramme,
  measured: readonly BenchMeasured[],
): BenchFit {
  if (measured.length === 0) throw new RangeError('fitBench: no readings');
  const parameter = programme.wheel.startsWith('front') ? 'frontCooling' : 'rearCooling';
  const squares = (logFactor: number) => {
    const { stops } = runProgramme(moved(input, parameter, Math.exp(logFactor)), programme);
    return measured.reduce((sum, own) => {
      const on = stops[own.stop];
      return sum + (own.before - on.before) ** 2 + (own.after - on.after) ** 2;
    }, 0);
  };
  const readings = 2 * measured.length;
  const weight = Math.min(1, INDEPENDENT / readings);
  const cost = (x: number) => (weight * squares(x)) / (ERROR * ERROR) + (x / PRIOR) ** 2;
  const GOLD = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [Math.log(0.4), Math.log(2.5)];
  let [a, b] = [high - GOLD * (high - low), low + GOLD * (high - low)];
  let [costA, costB] = [cost(a), cost(b)];
  while (high - low > 0.004) {
    if (costA < costB) {
      [high, b, costB] = [b, a, costA];
      a = high - GOLD * (high - low);
      costA = cost(a);
    } else {
      [low, a, costA] = [a, b, costB];
      b = low + GOLD * (high - low);
      costB = cost(b);
    }
  }
  const best = 0.5 * (low + high);
  const step = 0.03;
  const bend = (cost(best + step) - 2 * cost(best) + cost(best - step)) / (step * step);
  return {
    cooling: Math.exp(best),
    spread: Math.sqrt(2 / Math.max(bend, 2 / PRIOR ** 2)),
    before: Math.sqrt(squares(0) / readings),
    after: Math.sqrt(squares(best) / readings),
    readings,
  };
}

/** What a bench said, as a calibration of the car. @param date ISO 8601 */
export const benchCalibration = (
  car: Car,
  wheel: WheelName,
  fit: BenchFit,
  { id, name, date }: Pick<Calibration, 'id' | 'name' | 'date'>,
): Calibration => ({
  id,
  name,
  carId: car.id,
  date,
  car,
  drives: [name],
  observations: Math.min(2000, fit.readings),
  values: [
    {
      parameter: wheel.startsWith('front') ? 'frontCooling' : 'rearCooling',
      value: Number(fit.cooling.toPrecision(6)),
      spread: Number(fit.spread.toPrecision(6)),
      shrunk: Number(Math.min(10, fit.spread / PRIOR).toPrecision(6)),
    },
  ],
  correlations: [[1]],
});
