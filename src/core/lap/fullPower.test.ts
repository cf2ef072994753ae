import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { dayInput, setupOf } from '../../model';
import { prepareCircuit } from './driveLap';
import { type Forces, forcesOf, loadFactor, powerAt, resistance, tyreLoad } from './forces';
import { fullPowerOf } from './fullPower';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Acceleration under full power, m/s², by the limits that braking, corners and stops go by too. */
function accelerationAt(
  f: Forces,
  speed: number,
  curvature: number,
  grade: number,
  headwind: number,
): number {
  const load = tyreLoad(f, speed + headwind, grade);
  const grip = loadFactor(f, load) * load;
  // What cornering uses of the friction ellipse is not there for driving.
  const sideways = (f.mass * speed * speed * Math.abs(curvature)) / (f.lateralGrip * grip);
  const traction = f.tractionGrip * grip * f.drivenShare * Math.sqrt(Math.max(0, 1 - sideways * sideways));
  const force = Math.min(powerAt(f, speed) / Math.max(1, speed), traction);
  return (force - resistance(f, speed + headwind, grade)) / (f.mass * f.inertia);
}

describe('full power out of the corners', () => {
  it('goes by the same tyres, air and power as the rest of a lap, up to the corners’ own speeds', () => {
    let [driven, held, blown] = [0, 0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(...demoProject.plans.map(({ id }) => id)),
        number(0.7, 1.4),
        number(-0.4, 3),
        number(0, 0.25),
        fc.option(fc.record({ speed: number(1, 15), from: number(0, 6) })),
        (plan, mass, downforceArea, loadSensitivity, wind) => {
          const day = dayInput(setupOf(demoProject, plan));
          const vehicle = { ...day.vehicle, mass: mass * day.vehicle.mass, downforceArea, loadSensitivity };
          const circuit = prepareCircuit(day.circuit, 4, wind);
          if (circuit.kind !== 'line') return;
          const { line } = circuit;
          const f = forcesOf(vehicle, { ...day.driver, pace: 1, trackGrip: 1 }, 1.2, 0.01);
          const { limit, slowest, forward } = fullPowerOf(line, f);
          const n = forward.length;
          const at = (speed: number, i: number) =>
            accelerationAt(f, speed, line.curvature[i], line.grade[i], line.headwind?.[i] ?? 0);
          expect(forward[slowest]).toBe(limit[slowest]);
          for (let i = 0; i < n; i++) {
            const next = (i + 1) % n;
            const step = line.distance[i + 1] - line.distance[i];
            const square = forward[i] * forward[i];
            const early = at(forward[i], i);
            const straight = Math.min(limit[next], Math.sqrt(Math.max(1, square + 2 * early * step)));
            const mean = Math.sqrt(Math.max(1, square + (early + at(straight, next)) * step));
            expect(forward[next], `point ${next}`).toBeCloseTo(Math.min(limit[next], mean), 9);
            if (mean < limit[next]) driven += 1;
            else held += 1;
          }
          if (line.headwind) blown += 1;
        },
      ),
      { numRuns: 25 },
    );
    expect(Math.min(driven, held)).toBeGreaterThan(1000);
    expect(blown).toBeGreaterThan(3);
  });
});
