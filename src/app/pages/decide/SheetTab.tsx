import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { QUESTION } from '../../../compute';
import { dayInput } from '../../../model';
import { explainSheet } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { How } from '../../shared/How';
import { WithSession } from '../../shared/WithSession';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { useSettled } from '../../state/useSettled';
import { SelectField } from '../../ui/SelectField';
import { RunSheet } from './RunSheet';

type Paper = 'A4' | 'Letter';

/** One page to carry in the car and to hang in the pit. */
export function SheetTab() {
  return <WithSession>{(computed) => <Sheet computed={computed} />}</WithSession>;
}

function Sheet({ computed }: { computed: Computed }) {
  const units = useUnits();
  const { outlook: background } = useBackground();
  const [paper, setPaper] = useState<Paper>(units.distance === 'us' ? 'Letter' : 'A4');
  const [session, setSession] = useState(0);
  const { setup } = computed;
  const { sessions } = setup.plan;
  const chosen = Math.min(session, sessions.length - 1);
  const settled = useSettled(setup, 400);
  const query = useQuery({
    queryKey: settled ? QUESTION.outlook(settled, chosen) : ['waiting'],
    enabled: settled !== null,
    queryFn: ({ signal }) =>
      background.call((remote) => remote.outlook(dayInput(settled ?? setup), chosen), signal),
  });
  const outlook = settled ? (query.data ?? null) : null;
  return (
    <>
      <style>{`@media print { @page { size: ${paper}; margin: 10mm; } }`}</style>
      <section className="panel flex flex-wrap items-end gap-3 px-4 py-3 print:hidden">
        <div className="w-[110px]">
          <SelectField
            label="Paper"
            value={paper}
            options={[
              ['A4', 'A4'],
              ['Letter', 'Letter'],
            ]}
            onChange={setPaper}
          />
        </div>
        {sessions.length > 1 && (
          <div className="w-[230px]">
            <SelectField
              label="Session"
              value={String(chosen)}
              options={sessions.map((s, i) => [String(i), `${i + 1} ${s.name}`] as const)}
              onChange={(value) => setSession(Number(value))}
            />
          </div>
        )}
        <button
          type="button"
          className="btn btn-main"
          disabled={outlook === null}
          onClick={() => window.print()}
        >
          <Printer size={15} aria-hidden="true" /> Print one page
        </button>
        <p className="text-dim" role={query.isError ? 'alert' : 'status'}>
          {query.isError ? (
            <>
              {say.howLongLastsCould(query.error.message)}
              <button type="button" className="underline" onClick={() => void query.refetch()}>
                Compute again
              </button>
            </>
          ) : outlook === null ? (
            'Working out stint and cool-down …'
          ) : (
            <How name="what the sheet says" told={() => explainSheet(setup, units)} />
          )}
        </p>
      </section>
      <RunSheet computed={computed} outlook={outlook} session={chosen} paper={paper} />
    </>
  );
}
