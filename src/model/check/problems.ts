import { type ClosingError, forcesOf, liftSpeed, moistAirDensity, pressureOf, timeRange } from '../../core';
import { say } from '../../text/en/say/model';
import { circuitClosing } from '../edit/closeCircuit';
import { fromSi, toSi } from '../quantity/units';
import type { Circuit } from '../schema/circuit';
import type { Project } from '../schema/project';
import { dayInput, setupOf, zoneLength } from '../toCore/toCore';
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
  layout.zones.forEach((zone, i) => {
    const next = layout.zones[(i + 1) % layout.zones.length];
    const at = (field: string) => `layout.zones[${i}].${field}`;
    const length = zoneLength(zone);
    const mean = (toSi(zone.entryKmh, 'speed') ** 2 - toSi(zone.exitKmh, 'speed') ** 2) / (2 * length);
    if (mean > 45) {
      problems.push({
        path: at('distanceM'),
        message: say.mKmHM(length.toFixed(0), zone.entryKmh, zone.exitKmh, mean.toFixed(0)),
        severity: 'error',
      });
    }
    if (zone.timeToNextS === null) return;
    const [least, most] = timeRange(toSi(zone.exitKmh, 'speed'), toSi(next.entryKmh, 'speed'), zone.toNextM);
    if (zone.timeToNextS < least - 0.05 || zone.timeToNextS > most + 0.05) {
      const range = Number.isFinite(most)
        ? `${least.toFixed(1)} to ${most.toFixed(1)} s`
        : `at least ${least.toFixed(1)} s`;
      problems.push({
        path: at('timeToNextS'),
        message: say.doesNotFitM(zone.toNextM, zone.exitKmh, next.entryKmh, range),
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

/** Plans whose car would lift off at a speed that a list of braking zones gives; a simulated lap is held below it. */
function liftProblems(project: Project): Problem[] {
  return project.plans.flatMap((plan, i): Problem[] => {
    const input = dayInput(setupOf(project, plan.id));
    const { vehicle, driver, circuit, sessions, humidity } = input;
    if (circuit.kind !== 'zones' || vehicle.downforceArea >= 0) return [];
    const density = moistAirDensity(pressureOf(input), sessions[0].ambient, humidity);
    const most = liftSpeed(forcesOf(vehicle, { ...driver, pace: 1 }, density, 0));
    const fastest = Math.max(...circuit.zones.map((zone) => zone.entrySpeed));
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
