import { driveLap, LINE_SPACING, prepareCircuit, type Severity, severityOf } from '../lap';
import type { DayInput } from './dayInput';
import { ductDragArea } from './lapPlanner';
import { airAt } from './site';

/** How far brakes are taken to follow the wheel loads for a circuit's harder side, where the car's own do not, 1. */
const SIDES_SHOWN = 0.5;

/**
 * What a circuit asks of a car's brakes, at the pace of its hot laps in its first session's conditions. Which side it is
 * harder on is that of brakes that follow the wheel loads.
 */
export function circuitSeverity(input: DayInput): Severity {
  const [{ ambient, trackGrip }] = input.sessions;
  const circuit = prepareCircuit(input.circuit, LINE_SPACING, input.wind);
  const conditions = { airDensity: airAt(input, ambient).density, ductDragArea: ductDragArea(input) };
  const vehicle = { ...input.vehicle, loadFollowing: input.vehicle.loadFollowing || SIDES_SHOWN };
  const trace = driveLap(circuit, vehicle, { ...input.driver, pace: 1, trackGrip }, conditions);
  return severityOf(trace, circuit.kind === 'line' ? circuit.line : null);
}
