import { useMemo } from 'react';
import { dayInput, SET_PLACES } from '../../../model';
import { fittedOn, remainingSessions, storedLoad } from '../../../services';
import { remainingSentence } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { useKept } from '../../shared/useKept';
import type { Computed } from '../../state/useSession';

/** Sessions like this one below which the sheet says so: within them parts must be ordered or taken along. */
const FEW = 3;

/** What of the sets on the car has few such days left. */
export function WearLeft({ computed }: { readonly computed: Computed }) {
  const { setup, result } = computed;
  const { entries, wear, answer } = useKept();
  const load = useMemo(() => storedLoad(dayInput(setup), result), [setup, result]);
  const fitted = fittedOn(entries);
  const lines = SET_PLACES.flatMap((place) => {
    const own = wear.find(({ set }) => set.id === fitted[place]);
    if (!own || answer.running) return [];
    const left = remainingSessions(own, load);
    return left.low < FEW ? [`${own.set.name}: ${remainingSentence(left, setup.circuit.name)}`] : [];
  });
  if (lines.length === 0) return null;
  return (
    <p className="mt-1 text-[12.5px]" data-testid="wear-left">
      <strong className="font-[660]">{say.partsWearOut}</strong> {lines.join(' ')}
    </p>
  );
}
