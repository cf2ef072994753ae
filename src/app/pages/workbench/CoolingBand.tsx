import { useQuery } from '@tanstack/react-query';
import { QUESTION } from '../../../compute';
import { LESS_COOLING } from '../../../core';
import { dayInput } from '../../../model';
import { verdictText } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { StateMark } from '../../shared/StateMark';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { useSettled } from '../../state/useSettled';

/** What uncalibrated cooling may be off by, as factors. */
const FACTORS = [LESS_COOLING, 1.3] as const;
/** Time without a change until the band is computed, ms. */
const QUIET = 450;

/** The verdict again with 30 % less and 30 % more cooling: the same brakes, within what nobody knows of them yet. */
export function CoolingBand({ computed }: { computed: Computed }) {
  const { band } = useBackground();
  const units = useUnits();
  const settled = useSettled(computed, QUIET);
  const query = useQuery({
    queryKey: settled ? QUESTION.coolingBand(settled.setup) : ['waiting'],
    enabled: settled !== null,
    queryFn: async ({ signal }) => {
      const input = dayInput((settled as Computed).setup);
      const results = [];
      for (const factor of FACTORS)
        results.push(await band.call((remote) => remote.simulateCooled(input, factor), signal));
      return results;
    },
  });
  if (query.isError) return <p className="caption mt-1">{say.rangeCouldNotComputed(query.error.message)}</p>;
  const fresh = settled === computed && query.data;
  return (
    <ul
      className="mt-1.5 grid gap-0.5 text-[13px]"
      aria-label="Within ±30 % cooling"
      data-testid="cooling-band"
    >
      {FACTORS.map((factor, k) => {
        const result = fresh ? fresh[k] : null;
        const { kind } = result?.verdict ?? {};
        return (
          <li key={factor} className="flex items-start gap-1.5 text-dim">
            {kind ? (
              <StateMark kind={kind} className="mt-[3px] h-[13px] w-[13px]" />
            ) : (
              <span className="w-[13px]" />
            )}
            <span>
              {factor < 1 ? '30 % less cooling: ' : '30 % more cooling: '}
              {result ? verdictText(result, units).sentence : 'computing …'}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
