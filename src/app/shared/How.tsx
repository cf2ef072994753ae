import { CircleHelp } from 'lucide-react';
import { lazy, useState } from 'react';
import type { Explanation } from '../../text/en';
import { Asked } from '../ui/Asked';
import { Tip } from '../ui/Tip';

const HowSheet = lazy(async () => ({ default: (await import('./HowSheet')).HowSheet }));

/** Opens how a result was reached: the relation, what went into it here, the source and the limits. */
export function How({
  told,
  name,
}: {
  /** Asked when opened */
  told: () => Explanation;
  /** What is explained, for screen readers */
  name: string;
}) {
  const [asked, setAsked] = useState(false);
  const text = `How this is calculated: ${name}`;
  const button = (onClick?: () => void) => (
    <button
      type="button"
      aria-haspopup="dialog"
      className="inline-grid h-[20px] w-[20px] place-items-center rounded align-middle text-dim hover:bg-sunk hover:text-ink print:hidden"
      aria-label={text}
      onClick={onClick}
    >
      <CircleHelp size={14} aria-hidden="true" />
    </button>
  );
  const tipped = (onClick: () => void) => (
    <Tip quiet text={text}>
      {button(onClick)}
    </Tip>
  );
  if (!asked) return tipped(() => setAsked(true));
  return (
    <Asked button={tipped}>
      <HowSheet told={told} button={button()} tip={text} />
    </Asked>
  );
}
