import { OctagonX } from 'lucide-react';
import { siText } from '../../../model';
import type { Evidence, RankedCause } from '../../../services';
import { CAUSE_WORDS, LIMIT_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/happened';
import { useUnits } from '../../state/preferences';

const AXLE = { front: 'Front', rear: 'Rear' } as const;

/** Causes, the likeliest first: what this drive says of each, the check that tells them apart, and what to do. */
export function Causes({
  causes,
  lap,
}: {
  readonly causes: readonly RankedCause[];
  readonly lap: number | null;
}) {
  return (
    <ol className="grid gap-3" data-testid="causes">
      {causes.map(({ cause, evidence, weight }, i) => {
        const words = CAUSE_WORDS[cause];
        return (
          <li key={cause} className="panel px-4 py-3">
            <h2 className="flex flex-wrap items-baseline gap-x-3 text-[16px]">
              <span>
                {i + 1}. {words.name}
              </span>
              <span className="caption">{likelihood(weight)}</span>
            </h2>
            {evidence && <EvidenceLine evidence={evidence} lap={lap} />}
            <dl className="mt-1 grid max-w-[96ch] gap-x-4 gap-y-1 sm:grid-cols-[150px_minmax(0,1fr)]">
              <dt className="caption">What tells it apart</dt>
              <dd>{words.check}</dd>
              <dt className="caption">Before driving on</dt>
              <dd>{words.before}</dd>
            </dl>
            {words.never && (
              <p className="mt-1 flex items-center gap-1.5 font-[620] text-over">
                <OctagonX size={16} aria-hidden="true" /> {say.doNotDrive}
              </p>
            )}
          </li>
        );
      })}
    </ol>
  );
}

function likelihood(weight: number): string {
  if (weight > 0.5) return 'most likely';
  if (weight > 0.2) return 'likely';
  return weight > 0.07 ? 'possible' : 'unlikely here';
}

function EvidenceLine({ evidence, lap }: { readonly evidence: Evidence; readonly lap: number | null }) {
  const units = useUnits();
  const { axle, part, value, spread, limit, chance } = evidence;
  const percent = Math.round(100 * chance);
  return (
    <p className="mt-0.5 font-[560]">
      {say.evidence(
        `${AXLE[axle]} ${LIMIT_TEXT[part].name}`,
        siText(value, 'temperature', units),
        siText(spread, 'difference', units),
        siText(limit, 'temperature', units),
        lap === null ? 'at its hottest' : `by lap ${lap}`,
        percent < 1 ? 'under 1 %' : percent > 99 ? 'over 99 %' : `${percent} %`,
      )}
    </p>
  );
}
