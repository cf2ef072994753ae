import { useDeferredValue, useMemo } from 'react';
import { QUESTION } from '../../../compute';
import { type Car, carSchema } from '../../../model';
import { type Assessed, pricedSetups } from '../../../services';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useProject, useSetup } from '../../state/context';
import { useAnswer } from '../../state/useAnswer';
import { useItem } from '../../state/useItem';
import { useSettled } from '../../state/useSettled';
import { CompareTable } from './CompareTable';
import type { Compared } from './compared';
import { SetupList } from './SetupList';
import { ZoneOverlay } from './ZoneOverlay';

const QUIET = 250;

const valid = new WeakMap<Car, boolean>();
/** Whether a car can be at all; asked once of each. */
function canBe(car: Car): boolean {
  const known = valid.get(car) ?? carSchema.safeParse(car).success;
  valid.set(car, known);
  return known;
}

/** Up to six setups on the same laps. */
export function CompareTab() {
  const project = useProject();
  const setup = useSetup();
  const { tries } = useBackground();
  const editing = useItem('plans', setup.plan.id);
  const { compare } = setup.plan;
  const wanted = useMemo(
    () => pricedSetups(project, setup).map((own) => ({ ...own, name: own.name ?? 'Current setup' })),
    [project, setup],
  );
  // A setup that cannot be would spoil the others: nothing is driven until it is mended, and its own line says why.
  const possible = useMemo(() => wanted.every((w) => canBe(w.setup.car)), [wanted]);
  const settled = useSettled(wanted, QUIET);
  const answer = useAnswer<{ results: readonly Assessed[]; seconds: number }>(
    settled && possible ? QUESTION.compare(settled.map((w) => w.setup)) : null,
    async (signal) => {
      const begun = performance.now();
      const results = await tries.run(
        settled ?? [],
        (remote, job) => remote.assess(job.setup) as Promise<Assessed>,
        { signal },
      );
      return { results, seconds: (performance.now() - begun) / 1000 };
    },
  );
  // Names and prices follow at once; results belong to the setups they were asked for.
  const results = answer.data?.results;
  const known = useMemo(
    (): Compared[] | null =>
      results && results.length === wanted.length
        ? wanted.map((w, i) => ({ ...w, assessed: results[i] }))
        : null,
    [wanted, results],
  );
  // Drawn after what was pressed or typed has been answered.
  const compared = useDeferredValue(known);
  if (!editing) return null;
  const reference = compared?.find((c) => c.id === compare.referenceId) ?? compared?.[0] ?? null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <SetupList editing={editing} compare={compare} setup={setup} />
      {possible && <AnswerState answer={answer} doing="Driving the setups" />}
      {compared && reference && (
        <div className={`grid grid-cols-[minmax(0,1fr)] gap-3 ${answer.behind ? 'opacity-60' : ''}`}>
          <CompareTable compared={compared} reference={reference} />
          <ZoneOverlay compared={compared} />
          <p className="caption px-1">
            {say.setupsDriven(compared.length)}
            {answer.data?.seconds.toFixed(2)}
            {say.sAllSetupsDrive}
          </p>
        </div>
      )}
    </div>
  );
}
