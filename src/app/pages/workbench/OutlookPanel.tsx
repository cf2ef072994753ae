import { useQuery } from '@tanstack/react-query';
import { QUESTION } from '../../../compute';
import { endsTheDrive, type Outlook } from '../../../core';
import { dayInput, formatQuantity, type UnitChoice } from '../../../model';
import { beyondSense, LIMIT_TEXT, limitText, wheelWords } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { ChartProps, Computed } from '../../state/useSession';
import { useSettled } from '../../state/useSettled';
import { HowResult } from './HowResult';

/** Time without a change until the outlook is computed, ms. */
const QUIET = 900;

/** How many hot laps each part lasts, and what brings the brakes back. */
export function OutlookPanel({ computed, selection }: Pick<ChartProps, 'computed' | 'selection'>) {
  const { outlook: background } = useBackground();
  const units = useUnits();
  const { session } = computed.result.laps[selection.lap - 1];
  const settled = useSettled(computed, QUIET);
  const query = useQuery({
    queryKey: settled ? QUESTION.outlook(settled.setup, session) : ['waiting'],
    enabled: settled !== null,
    queryFn: ({ signal }) =>
      background.call((remote) => remote.outlook(dayInput((settled as Computed).setup), session), signal),
  });
  const fresh = settled === computed ? query.data : undefined;
  const several = computed.setup.plan.sessions.length > 1;
  return (
    <section className="panel px-3 py-2.5" aria-label="How long it lasts">
      <h2 className="flex items-center gap-1.5 text-[15px]">
        How long it lasts
        {several && <span className="caption font-normal">session {session + 1}</span>}
        <HowResult topic="outlook" computed={computed} name="how long it lasts" />
      </h2>
      {query.isError ? (
        <p className="mt-1 text-dim" role="alert">
          {say.couldNotComputed(query.error.message)}
          <button type="button" className="underline" onClick={() => void query.refetch()}>
            Compute again
          </button>
        </p>
      ) : fresh ? (
        <Known outlook={fresh} units={units} />
      ) : (
        <p className="mt-1 text-dim" role="status">
          Driving hot laps without end …
        </p>
      )}
    </section>
  );
}

const laps = (n: number, kind: string) => `${n} ${kind} lap${n === 1 ? '' : 's'}`;

function Known({ outlook, units }: { outlook: Outlook; units: UnitChoice }) {
  const { stint, again, coolDownLaps, leastPaddock } = outlook;
  const lines: [string, string][] = [
    [say.hotLapsRowEvery, stint === null ? `${outlook.laps} and more` : String(stint)],
  ];
  if (stint !== null && stint > 0) {
    lines.push([
      `Cool-down laps before ${laps(again, 'hot')} more`,
      coolDownLaps === null ? 'not enough after 8 laps' : String(coolDownLaps),
    ]);
  }
  if (stint !== 0) {
    lines.push([
      say.leastPaddockTimeBefore,
      leastPaddock === null ? '4 hours do not do' : `${formatQuantity(leastPaddock / 60, 'minutes', units)}`,
    ]);
  }
  const parts = [...outlook.parts].sort(
    (a, b) =>
      (a.lapsUntil ?? 1e9) - (b.lapsUntil ?? 1e9) ||
      Number(endsTheDrive(b)) - Number(endsTheDrive(a)) ||
      (a.limit - a.settles) / a.limit - (b.limit - b.settles) / b.limit,
  );
  return (
    <>
      <dl className="mt-1.5 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1">
        {lines.map(([name, value]) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd className="text-right font-[620]">{value}</dd>
          </div>
        ))}
      </dl>
      <table className="mt-2 w-full text-[13px]">
        <caption className="sr-only">{say.hotLapsUntilEach}</caption>
        <thead>
          <tr className="caption text-left">
            <th className="py-0.5 font-normal">Part, soonest and worst first</th>
            <th className="text-right font-normal">hot laps until its limit</th>
            <th className="text-right font-normal">comes to</th>
          </tr>
        </thead>
        <tbody>
          {parts.slice(0, 6).map((part) => (
            <tr key={`${part.axle}${part.side}${part.part}`} className="border-t border-rule/60">
              <td className="py-0.5">
                {part.axle && `${wheelWords(part.axle, part.side)} `}
                {LIMIT_TEXT[part.part].name}
              </td>
              <td className="text-right font-[560]">
                {part.lapsUntil === null ? `none in ${outlook.laps}` : part.lapsUntil}
              </td>
              <td className="text-right">
                {beyondSense({ ...part, worst: part.settles })
                  ? 'on the floor'
                  : limitText(part.part, part.settles, units)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
