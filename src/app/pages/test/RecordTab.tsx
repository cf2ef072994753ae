import { Hand, MapPin, Pencil, ScrollText } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { say } from '../../../text/en/say/test';
import { Conditions } from './Conditions';
import { CounterCard } from './CounterCard';
import { FromLog } from './FromLog';
import { FromPhone } from './FromPhone';
import { RunBar } from './RunBar';
import { RunEndForm } from './RunEndForm';
import { StopDoubts } from './StopDoubts';
import { StopForm } from './StopForm';
import { StopTable } from './StopTable';
import type { TestTabProps } from './tabProps';
import { useRun } from './useRun';

const WAYS = [
  { id: 'typed', name: 'Type', icon: Pencil },
  { id: 'counter', name: 'Count', icon: Hand },
  { id: 'log', name: 'From a log', icon: ScrollText },
  { id: 'phone', name: 'This phone', icon: MapPin },
] as const;
type Way = (typeof WAYS)[number]['id'];

/** What was driven: runs with their conditions and stops, by whichever way they come in. */
export function RecordTab({ tested }: TestTabProps) {
  const open = useRun(tested);
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('way');
  const way: Way = WAYS.find(({ id }) => id === wanted)?.id ?? 'typed';
  const go = (next: Way) => {
    const params = new URLSearchParams(search);
    params.set('way', next);
    setSearch(params);
  };
  if (open && way === 'counter') {
    return <CounterCard key={open.id} tested={tested} open={open} onClose={() => go('typed')} />;
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <RunBar tested={tested} open={open} />
      {!open ? (
        <p className="panel px-4 py-4">{say.noRun}</p>
      ) : (
        <>
          <Conditions tested={tested} open={open} />
          <section className="panel px-4 py-3" aria-label="Stops">
            <div className="flex flex-wrap items-center gap-2">
              <h2 className="mr-auto text-[15px]">Stops</h2>
              {WAYS.map(({ id, name, icon: Icon }) => (
                <button
                  key={id}
                  type="button"
                  className={`btn min-h-[40px] ${id === way ? 'border-act' : ''}`}
                  aria-pressed={id === way}
                  onClick={() => go(id)}
                >
                  <Icon size={16} aria-hidden="true" /> {name}
                </button>
              ))}
            </div>
            {way === 'typed' && <StopForm key={open.id} tested={tested} open={open} />}
            {way === 'log' && <FromLog tested={tested} open={open} />}
            {way === 'phone' && <FromPhone tested={tested} open={open} />}
            <StopDoubts tested={tested} open={open} />
            <StopTable tested={tested} open={open} />
          </section>
          <RunEndForm key={`${open.id} end`} tested={tested} open={open} />
        </>
      )}
    </div>
  );
}
