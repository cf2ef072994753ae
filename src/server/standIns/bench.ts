import { benchRun, fullScale, movedBy, randomNumbers, torquePerPressure } from '../../core';
import { benchResultCsv, programmeOf, readBenchProgramme } from '../../io';
import { dayInput, readProject, setupOf } from '../../model';
import { say } from '../../text/en/say/server';

/** Truth of the stand-in that a prediction does not know, and how badly it measures, K and a share of the torque. */
const TRUTH = { frontCooling: 0.9, rearCooling: 0.9, frontFriction: 0.96, rearFriction: 0.96 };
const THERMOCOUPLE = 3;
const TORQUE = 0.01;

/**
 * An inertia bench with the brake of a plan’s car mounted: runs a programme and measures it.
 * @param asked project and programme as their files’ texts, and the plan’s id
 */
export function simulatedBench(asked: {
  readonly project: string;
  readonly plan: string;
  readonly programme: string;
}): { readonly ok: true; readonly csv: string } | { readonly ok: false; readonly message: string } {
  const project = readProject(asked.project);
  const programme = readBenchProgramme(asked.programme);
  for (const read of [project, programme]) {
    if (read.ok) continue;
    const lines = read.problems.slice(0, 5).map(({ path, message }) => `${path}: ${message}`);
    return { ok: false, message: [say.benchOfOther, ...lines].join('\n') };
  }
  if (!project.ok || !programme.ok) return { ok: false, message: say.benchOfOther };
  if (!project.project.plans.some(({ id }) => id === asked.plan)) {
    return { ok: false, message: say.benchNoPlan(asked.plan) };
  }
  try {
    const setup = setupOf(project.project, asked.plan);
    const input = movedBy(dayInput({ ...setup, calibration: null }), TRUTH);
    const told = programmeOf(programme.file);
    const { stops } = benchRun(input, told.wheel, fullScale(told), input.start ?? input.sessions[0].ambient);
    const random = randomNumbers(1);
    const axle = input.vehicle.brakes[told.wheel.startsWith('front') ? 'front' : 'rear'];
    const scale = told.scale.area * told.scale.radius;
    const csv = benchResultCsv(
      stops.map((stop, i) => {
        const { torque } = told.stops[i];
        // Held by pressure the torque follows the friction, held by torque the pressure does.
        const constant = torquePerPressure(axle, stop.friction) * scale;
        const pressed = told.stops[i].pressure;
        const byPressure = programme.file.control === 'pressure' && pressed !== null;
        return {
          stop: i + 1,
          time: stop.time,
          torque: (byPressure ? pressed * constant : torque) * (1 + TORQUE * random.normal()),
          pressure: byPressure ? pressed : torque / constant,
          before: stop.before + THERMOCOUPLE * random.normal(),
          after: stop.after + THERMOCOUPLE * random.normal(),
          facePeak: stop.facePeak + THERMOCOUPLE * random.normal(),
          fluid: stop.fluid + 0.3 * THERMOCOUPLE * random.normal(),
        };
      }),
    );
    return { ok: true, csv };
  } catch (error) {
    if (error instanceof RangeError) return { ok: false, message: error.message };
    throw error;
  }
}
