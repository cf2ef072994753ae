const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether two plain values are alike, whatever the order of their keys; numbers that are none are alike. */
export function alike(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((v, i) => alike(v, b[i]));
  if (a instanceof Float64Array && b instanceof Float64Array)
    return a.length === b.length && a.every((v, i) => v === b[i]);
  if (!isRecord(a) || !isRecord(b)) return Number.isNaN(a) && Number.isNaN(b);
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => key in b && alike(a[key], b[key]));
}
