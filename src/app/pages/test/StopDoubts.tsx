import { useMemo } from 'react';
import { putStop, removeStop } from '../../../model';
import { doubtsOfRun, inOtherUnit, type StopDoubt } from '../../../services';
import { stopDoubtText } from '../../../text/en';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import type { TestTabProps } from './tabProps';
import type { OpenRun } from './useRun';

/** What looks wrong about a run's stops, each with a way out; nothing is changed by itself. */
export function StopDoubts({ tested, open }: TestTabProps & { readonly open: OpenRun }) {
  const units = useUnits();
  const edit = useEdit();
  const { test } = tested;
  const { run } = open;
  const doubts = useMemo(() => doubtsOfRun(run, test.design), [run, test.design]);
  if (doubts.length === 0) return null;
  const mend = (doubt: StopDoubt) => {
    const stop = run.stops[doubt.id];
    if (doubt.kind === 'feet' || doubt.kind === 'metres') {
      edit(
        'Read a distance in the other unit',
        (p) => putStop(p, test.id, open.id, doubt.id, inOtherUnit(stop, doubt)),
        { done: `Changed stop ${stop.n}` },
      );
    } else if (doubt.kind === 'twice') {
      edit('Took a stop out', (p) => removeStop(p, test.id, open.id, doubt.id), {
        done: `Took stop ${stop.n} out`,
      });
    }
  };
  const WAY: Partial<Record<StopDoubt['kind'], string>> = {
    feet: 'It was feet',
    metres: 'It was metres',
    twice: 'Tapped twice: take it out',
  };
  return (
    <ul className="mt-2 grid gap-1" aria-label="To look at">
      {doubts.map((doubt) => (
        <li
          key={`${doubt.kind}${doubt.id}`}
          role="alert"
          className="flex flex-wrap items-center gap-x-3 gap-y-1"
        >
          <span>{stopDoubtText(doubt, run.stops[doubt.id], units)}</span>
          {WAY[doubt.kind] && (
            <button type="button" className="btn" onClick={() => mend(doubt)}>
              {WAY[doubt.kind]}
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
