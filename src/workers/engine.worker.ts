import * as Comlink from 'comlink';
import {
  balanceSweep,
  type Corner,
  coldStop,
  type DayInput,
  type DayResult,
  driveLap,
  ductDragArea,
  failureCases,
  hotStop,
  moistAirDensity,
  type Outlook,
  outlook,
  type ProcedureResult,
  prepareCircuit,
  pressureOf,
  type RepeatedStops,
  repeatedStops,
  type Severity,
  severityOf,
  simulateDay,
} from '../core';
import { type DocumentResult, readDocument } from '../project';

export type Procedures = Readonly<Record<'cold' | 'hot' | 'repeated', ProcedureResult>>;

/** Everything heavy the page asks for. */
const engine = {
  simulate(input: DayInput): DayResult {
    const result = simulateDay(input);
    return Comlink.transfer(result, buffersOf(result));
  },
  /** The same day with all forced cooling multiplied by a factor. */
  simulateCooled(input: DayInput, coolingFactor: number): DayResult {
    const scale = (corner: Corner): Corner => ({
      ...corner,
      air: { ...corner.air, coolingFactor: corner.air.coolingFactor * coolingFactor },
    });
    const axle = (a: DayInput['front']) => ({ ...a, left: scale(a.left), right: scale(a.right) });
    return engine.simulate({ ...input, front: axle(input.front), rear: axle(input.rear) });
  },
  /** How long a session can go on; takes a second or more. */
  outlook(input: DayInput, session: number): Outlook {
    return outlook(input, session);
  },
  /** The day with other front shares. */
  balanceSweep,
  /** Stops on a straight road, as the rules want them or in a row. */
  procedures(input: DayInput, topSpeed: number, repeated: RepeatedStops): Procedures {
    return { cold: coldStop(input), hot: hotStop(input, topSpeed), repeated: repeatedStops(input, repeated) };
  },
  failures: failureCases,
  /** What a circuit asks of a car's brakes, at the pace of its hot laps. */
  severity(input: DayInput): Severity {
    const circuit = prepareCircuit(input.circuit);
    const airDensity = moistAirDensity(pressureOf(input), input.sessions[0].ambient, input.humidity);
    const conditions = { airDensity, ductDragArea: ductDragArea(input) };
    const trace = driveLap(circuit, input.vehicle, { ...input.driver, pace: 1 }, conditions);
    return severityOf(trace, circuit.kind === 'line' ? circuit.line : null);
  },
  readDocument(text: string): DocumentResult {
    return readDocument(text);
  },
};
export type Engine = typeof engine;

/** Buffers of all typed arrays in a result, each once, to be moved instead of copied. */
function buffersOf(value: unknown, found = new Set<ArrayBuffer>(), seen = new Set<object>()): ArrayBuffer[] {
  if (typeof value === 'object' && value !== null && !seen.has(value)) {
    seen.add(value);
    if (ArrayBuffer.isView(value)) found.add(value.buffer as ArrayBuffer);
    else for (const inner of Object.values(value)) buffersOf(inner, found, seen);
  }
  return [...found];
}

Comlink.expose(engine);
