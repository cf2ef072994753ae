import * as Comlink from 'comlink';
import { type SessionInput, type SessionResult, simulateSession } from '../core';
import { type ReadResult, readProject } from '../project';

/** Everything heavy the page asks for. */
const engine = {
  simulate(input: SessionInput): SessionResult {
    const result = simulateSession(input);
    return Comlink.transfer(result, buffersOf(result));
  },
  /** The same session with all forced cooling multiplied by a factor. */
  simulateCooled(input: SessionInput, coolingFactor: number): SessionResult {
    const scale = (axle: SessionInput['front']) => ({
      ...axle,
      corner: { ...axle.corner, coolingFactor: axle.corner.coolingFactor * coolingFactor },
    });
    return engine.simulate({ ...input, front: scale(input.front), rear: scale(input.rear) });
  },
  readProject(text: string): ReadResult {
    return readProject(text);
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
