/** Buffers of all typed arrays in a value, each once. */
export function buffersIn(value: unknown): Set<ArrayBuffer> {
  const found = new Set<ArrayBuffer>();
  const seen = new Set<object>();
  const look = (at: unknown) => {
    if (typeof at !== 'object' || at === null || seen.has(at)) return;
    seen.add(at);
    if (ArrayBuffer.isView(at)) found.add(at.buffer as ArrayBuffer);
    else for (const inner of Object.values(at)) look(inner);
  };
  look(value);
  return found;
}
