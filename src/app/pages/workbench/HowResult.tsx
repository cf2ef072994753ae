import type { AxleName } from '../../../core';
import { explain, type Topic } from '../../../text/en';
import { How } from '../../shared/How';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';

/** How a result of the day was reached. */
export function HowResult({
  topic,
  axle = 'front',
  computed,
  name,
}: {
  topic: Topic;
  axle?: AxleName;
  computed: Computed;
  /** What is explained, for screen readers */
  name: string;
}) {
  const units = useUnits();
  return <How name={name} told={() => explain(topic, computed.setup, computed.result, axle, units)} />;
}
