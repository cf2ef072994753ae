import { type ClosingError, forcesOf, liftSpeed, moistAirDensity, pressureOf, timeRange } from '../../core';
import { say } from '../../text/en/say/model';
import { circuitClosing } from '../edit/closeCircuit';
import { fromSi, toSi } from '../quantity/units';
import type { Circuit } from '../schema/circuit';
import type { Project } from '../schema/project';
import { dayInput, setupOf, stopLength } from '../toCore/toCore';
import type { Problem } from './problem';

/** A lap that misses closing by more than this share of its length cannot be driven as a lap. */
const OPEN_SHARE = 0.03;

/** What is wrong, or odd, with a circuit that its schema cannot see. Paths start at the circuit. */
export function circuitProblems(circuit: Circuit): Problem[] {
  const { layout } = circuit;
  if (layout.kind === 'line') {
    const closing = circuitClosing(circuit);
    return closing ? closingProblems(closing) : [];
  }
  const problems: Problem[] = [];
  layout.stops.forEach((stop, i) => {
    const next = layout.stops[(i + 1) % layout.stops.length];
    const at = (field: string) => `layout.stops[${i}].${field}`;
    const length = stopLength(stop);
    const mean = (toSi(stop.entryKmh, 'speed') ** 2 - toSi(stop.exitKmh, 'speed') ** 2) / (2 * length);
    if (mean > 45) {
      problems.push({
        path: at('distanceM'),
        message: say.mKmHM(length.toFixed(0), stop.entryKmh, stop.exitKmh, mean.toFixed(0)),
        severity: 'error',
      });
    }
    if (stop.timeToNextS === null) return;
    const [least, most] = timeRange(toSi(stop.exitKmh, 'speed'), toSi(next.entryKmh, 'speed'), stop.toNextM);
    if (stop.timeToNextS < least - 0.05 || stop.timeToNextS > most + 0.05) {
      const range = Number.isFinite(most)
        ? `${least.toFixed(1)} to ${most.toFixed(1)} s`
        : `at least ${least.toFixed(1)} s`;
      problems.push({
        path: at('timeToNextS'),
        message: say.doesNotFitM(stop.toNextM, stop.exitKmh, next.entryKmh, range),
        severity: 'error',
      });
    }
  });
  return problems;
}

function closingProblems(closing: ClosingError): Problem[] {
  const degrees = (closing.heading * 180) / Math.PI;
  const open = closing.gap > OPEN_SHARE * closing.length || Math.abs(degrees) > 20;
  if (closing.gap < 2 && Math.abs(degrees) < 1 && Math.abs(closing.height) < 1) return [];
  const turn =
    Math.abs(degrees) >= 1
      ? ` and ${Math.abs(degrees).toFixed(0)}° ${degrees > 0 ? 'too far round' : 'short of a full turn'}`
      : '';
  const climb =
    Math.abs(closing.height) >= 1
      ? `, ${Math.abs(closing.height).toFixed(0)} m ${closing.height > 0 ? 'above' : 'below'} the start`
      : '';
  return [
    {
      path: 'layout.segments',
      message: say.lineDoesNotClose(closing.gap.toFixed(0), turn, climb),
      severity: open ? 'error' : 'warning',
    },
  ];
}

/** Plans whose car would lift off at a speed that a list of stops gives; a solved lap is held below it. */
function liftProblems(project: Project): Problem[] {
  return project.plans.flatMap((plan, i): Problem[] => {
    const input = dayInput(setupOf(project, plan.id));
    const { vehicle, driver, circuit, sessions, humidity } = input;
    if (circuit.kind !== 'stops' || vehicle.downforceArea >= 0) return [];
    const density = moistAirDensity(pressureOf(input), sessions[0].ambient, humidity);
    const most = liftSpeed(forcesOf(vehicle, { ...driver, pace: 1 }, density, 0));
    const fastest = Math.max(...circuit.stops.map((stop) => stop.entrySpeed));
    if (fastest <= most) return [];
    const message = say.bodySLiftWould(fromSi(most, 'speed').toFixed(0), fromSi(fastest, 'speed').toFixed(0));
    return [{ path: `plans[${i}]`, message, severity: 'error' }];
  });
}

/** Everything wrong or odd in a valid project, with paths from its root. */
export function projectProblems(project: Project): Problem[] {
  const circuits = project.circuits.flatMap((circuit, i) =>
    circuitProblems(circuit).map((p) => ({ ...p, path: `circuits[${i}].${p.path}` })),
  );
  return [...circuits, ...liftProblems(project)];
}
