import type { Computed } from '../../state/useSession';

/** What was drawn of each record. */
const drawn = new WeakMap<object, Computed>();

/**
 * The same object for a day before and after it is judged, where that moves no limit: what is drawn of its record alone is
 * not drawn twice.
 */
export function asDrawn(computed: Computed): Computed {
  const { record } = computed.result;
  const before = drawn.get(record);
  if (before && before.setup === computed.setup && limitOf(before) === limitOf(computed)) return before;
  drawn.set(record, computed);
  return computed;
}

/** The limit that is nearest, and when it is passed. */
function limitOf({ result }: Computed): string {
  const { margin } = result.verdict;
  return [margin.part, 'axle' in margin && margin.axle, margin.limit, margin.passed?.time].join();
}
