import { Link } from 'react-router';
import { QUESTION } from '../../../compute';
import { countOrigins, type Doubt, doubtsOf, type Setup, siText } from '../../../model';
import { rankedWorth, type Worth, widthOf, worthOf } from '../../../services';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { fieldAddress, fieldName } from '../../shared/fieldPlace';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import { useTried } from '../../state/useTried';
import { ScrollPanel } from '../../ui/ScrollPanel';

const QUIET = 500;
/** What moves the margin by less is not worth finding out, K. */
const LEAST = 0.5;

interface FoundOut {
  readonly setup: Setup;
  readonly list: readonly Worth[];
  readonly runs: number;
}

/** What is assumed, ranked by what it does to this plan's verdict. */
export function FindOutTab() {
  const setup = useSetup();
  const answer = useFindOut(setup);
  const { assumed, all } = countOrigins(setup.car);
  const found = answer.data;
  const shown = found?.list.filter((worth) => worth.decides || widthOf(worth) >= LEAST) ?? [];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3">
        <p className="max-w-[92ch]">{say.findOutLead(assumed, all)}</p>
        <AnswerState answer={answer} doing="Driving the day with every assumption" />
      </section>
      {found && (
        <ScrollPanel label="What to find out next" className={answer.behind ? 'opacity-60' : ''}>
          {shown.length === 0 ? <p>{say.findOutNothing}</p> : <Worths shown={shown} setup={found.setup} />}
          <p className="caption mt-2">{say.findOutTook(found.runs)}</p>
        </ScrollPanel>
      )}
    </div>
  );
}

function Worths({ shown, setup }: { readonly shown: readonly Worth[]; readonly setup: Setup }) {
  const units = useUnits();
  return (
    <table className="w-full min-w-[640px] text-left">
      <thead>
        <tr className="caption border-b border-rule">
          <th className="py-1 font-normal">Value</th>
          <th className="px-2 text-right font-normal">Moves the margin by</th>
          <th className="px-2 font-normal">Verdict</th>
          <th className="px-2 font-normal">How to find out</th>
          <th>
            <span className="sr-only">To the field</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map((worth) => (
          <tr key={worth.path.join('.')} className="border-b border-rule/60 last:border-0">
            <th className="py-1.5 font-[560]">{fieldName(worth)}</th>
            <td className="px-2 text-right font-[620]">±{siText(widthOf(worth), 'difference', units)}</td>
            <td className="px-2">{worth.decides ? say.findOutDecides : ''}</td>
            <td className="px-2">{say.findOutBy[worth.by]}</td>
            <td className="py-1 text-right">
              <Link
                className="btn min-h-[26px] px-2"
                to={fieldAddress(worth.shelf, worth, setup)}
                aria-label={`To the field: ${fieldName(worth)}`}
              >
                Type it
              </Link>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function useFindOut(setup: Setup) {
  const tryOut = useTried();
  const settled = useSettled(setup, QUIET);
  return useAnswer<FoundOut>(settled && QUESTION.findOut(settled), async (signal, report) => {
    const asked = settled ?? setup;
    const doubts: readonly Doubt[] = doubtsOf(asked);
    const jobs = [asked, ...doubts.flatMap(({ low, high }) => [low, high])];
    const driven = await tryOut(jobs, { signal, onDone: (_assessed, _i, progress) => report(progress) });
    const list = doubts.map((doubt, i) => worthOf(doubt, driven[0], driven[1 + 2 * i], driven[2 + 2 * i]));
    return { setup: asked, list: rankedWorth(list), runs: jobs.length };
  });
}
