import type { Requirement } from '../../../core';
import { requirementText } from '../../../text/en';
import { StateMark } from '../../shared/StateMark';
import { useUnits } from '../../state/preferences';

/** What a published rule wants, against what was computed. */
export function Requirements({ requirements }: { readonly requirements: readonly Requirement[] }) {
  const units = useUnits();
  if (requirements.length === 0) return null;
  return (
    <ul className="mt-1.5 grid gap-x-6 sm:grid-cols-2">
      {requirements.map((own) => (
        <li
          key={`${own.what}${own.must}${own.limit}`}
          className="flex items-center gap-2 border-t border-rule/60 py-1"
        >
          <StateMark kind={own.met ? 'within-limits' : 'over-limit'} className="h-[14px] w-[14px]" />
          <span>
            <strong className="font-[620]">{own.met ? 'Computed as met' : 'Computed as not met'}:</strong>{' '}
            {requirementText(own, units)}
            <span className="caption"> {own.source}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}
