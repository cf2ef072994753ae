import { Link } from 'react-router';
import { SIDES_DIFFER } from '../../../core';
import { siText } from '../../../model';
import { verdictText } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { StateMark } from '../../shared/StateMark';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { useSides } from '../../state/useSides';

/** The verdict by the hotter side of each brake, where inner and outer side differ enough to matter. */
export function SidesLine({ computed: { setup } }: { readonly computed: Computed }) {
  const units = useUnits();
  const { data } = useSides(setup);
  const { front, rear } = setup.car;
  const asked = [front, rear].every(({ sides, drum }) => drum !== null || sides === 'apart');
  if (!data || data.apart <= SIDES_DIFFER || asked) return null;
  return (
    <p className="mt-1 flex items-start gap-1.5 text-[13px] text-dim" data-testid="sides-line">
      <StateMark kind={data.summary.verdict.kind} className="mt-[3px] h-[13px] w-[13px]" />
      <span>
        {say.byHotterSide(siText(data.apart, 'difference', units), verdictText(data.summary, units).sentence)}{' '}
        <Link className="underline" to="/inside">
          Inside
        </Link>
      </span>
    </p>
  );
}
