import { WHEELS, type WheelName } from '../core';
import { benchFileOf, benchProgrammeCsv, writeBenchProgramme } from '../io';
import { METRIC, newTest, type Project, type Setup, siText } from '../model';
import { type BenchPlan, benchPlan } from '../services';
import { benchSummary, DEVIATION_TEXT, WHEEL_NAMES } from '../text/en';
import { say } from '../text/en/say/cli';
import { CliError } from './error';
import { writeOut } from './writeOut';

export interface BenchOptions {
  readonly wheel: string | undefined;
  readonly csv: string | undefined;
  readonly json: string | undefined;
}

const column = (text: string, width: number) => text.padStart(width);

const stopsText = ({ programme }: BenchPlan): string =>
  programme.stops
    .map((stop, i) => {
      const told = (
        value: number,
        quantity: Parameters<typeof siText>[1],
        width: number,
        decimals?: number,
      ) => column(siText(value, quantity, METRIC, decimals), width);
      const notes = stop.deviations.map((own) => DEVIATION_TEXT[own]).join('; ');
      return `  ${column(String(i + 1), 4)} ${stop.phase.padEnd(10)}${told(stop.from, 'rotation', 14)}${told(stop.to, 'rotation', 14)}${told(stop.torque, 'torque', 12)}${told(stop.energy, 'energy', 10)}${told(stop.pause, 'seconds', 10)}${told(stop.air, 'speed', 10)}  ${notes}\n`;
    })
    .join('');

/**
 * Prints an inertia bench's programme of a plan's session for one wheel; the bench is the car's newest test's.
 * @throws CliError for a wheel that is none, a bench that cannot be, a file that cannot be written
 */
export function benchCommand(
  project: Project,
  setup: Setup,
  options: BenchOptions,
  print: (text: string) => void,
): number {
  const own = project.tests.findLast(({ carId }) => carId === setup.car.id);
  const { bench } = own ?? newTest(setup.car, { id: 'test', name: 'Bench', date: '2000-01-01' });
  const wheel: WheelName | undefined =
    options.wheel === undefined ? bench.wheel : WHEELS.find((each) => each === options.wheel);
  if (!wheel) throw new CliError(say.noWheel(options.wheel ?? '', WHEELS.join(', ')));
  let plan: BenchPlan;
  try {
    plan = benchPlan(setup, { ...bench, wheel });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new CliError(say.benchNot(error.message));
  }
  const name = `${setup.car.name}, ${setup.plan.name}, ${WHEEL_NAMES[wheel]}`;
  const file = benchFileOf(plan.programme, bench, name, plan.ambient);
  const write = (target: string, text: string) => writeOut(target, text, print);
  if (options.csv !== '-' && options.json !== '-') {
    print(`${name}\n${benchSummary(plan, METRIC)}\n${say.benchHead}${stopsText(plan)}`);
  }
  if (options.csv !== undefined) write(options.csv, benchProgrammeCsv(file));
  if (options.json !== undefined) write(options.json, writeBenchProgramme(file));
  return 0;
}
