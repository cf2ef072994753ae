import { useQuery } from '@tanstack/react-query';
import { QUESTION } from '../../../compute';
import { type DayResult, UNMEASURED } from '../../../core';
import { dayInput } from '../../../model';
import { doubtText, lessText, moreText, verdictText } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { StateMark } from '../../shared/StateMark';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { useSettled } from '../../state/useSettled';

/** Time without a change until the band is computed, ms. */
const QUIET = 450;

/** The verdict again at both ends of what is known of the cooling: the same brakes, within what nobody knows of them. */
export function CoolingBand({ computed }: { computed: Computed }) {
  const { tries } = useBackground();
  const units = useUnits();
  const settled = useSettled(computed, QUIET);
  const query = useQuery({
    queryKey: settled ? QUESTION.coolingBand(settled.setup) : ['waiting'],
    enabled: settled !== null,
    queryFn: ({ signal }) => {
      const input = dayInput((settled as Computed).setup);
      const { less, more } = input.doubt ?? UNMEASURED;
      // One after the other: the page's own worker is left to what moves, and no cold one is begun for two days.
      return tries.run(
        [less, more],
        (remote, factors) => remote.simulateCooled(input, factors) as Promise<DayResult>,
        { signal, workers: 1 },
      );
    },
  });
  if (query.isError) return <p className="caption mt-1">{say.rangeCouldNotComputed(query.error.message)}</p>;
  const fresh = settled === computed && query.data;
  const { doubt } = computed.result;
  return (
    <ul
      className="mt-1.5 grid gap-0.5 text-[13px]"
      aria-label={`Within ${doubtText(doubt)} cooling`}
      data-testid="cooling-band"
    >
      {[lessText(doubt), moreText(doubt)].map((name, k) => {
        const result = fresh ? fresh[k] : null;
        const { kind } = result?.verdict ?? {};
        return (
          <li key={name} className="flex items-start gap-1.5 text-dim">
            {kind ? (
              <StateMark kind={kind} className="mt-[3px] h-[13px] w-[13px]" />
            ) : (
              <span className="w-[13px]" />
            )}
            <span>
              {`${name.charAt(0).toUpperCase()}${name.slice(1)}: `}
              {result ? verdictText(result, units).sentence : 'computing …'}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
