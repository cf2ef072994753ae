import { Tooltip } from 'radix-ui';
import { useEffect, useState } from 'react';
import { type ShownTip, tips } from './tips';

/** How often it is seen whether what a tip is about is still there, ms. */
const LOOK = 250;

/** A tip beside what it is about; goes with Escape, with a press, and when what it is about goes or is scrolled. */
export function TipBubble({ tip: { about, text } }: { tip: ShownTip }) {
  const [bubble, setBubble] = useState<HTMLElement | null>(null);
  const { left, top, width, height } = about.getBoundingClientRect();
  useEffect(() => {
    const gone = setInterval(() => !about.isConnected && tips.lose(), LOOK);
    const scrolled = ({ target }: Event) => (target as Node).contains(about) && tips.lose();
    document.addEventListener('scroll', scrolled, { capture: true });
    return () => {
      clearInterval(gone);
      document.removeEventListener('scroll', scrolled, { capture: true });
    };
  }, [about]);
  useEffect(() => {
    const told = bubble?.id;
    if (!told) return;
    const before = about.getAttribute('aria-describedby');
    about.setAttribute('aria-describedby', before ? `${before} ${told}` : told);
    return () => {
      if (before) about.setAttribute('aria-describedby', before);
      else about.removeAttribute('aria-describedby');
    };
  }, [about, bubble]);
  return (
    <Tooltip.Provider disableHoverableContent>
      <Tooltip.Root open onOpenChange={(open) => !open && tips.close()}>
        <Tooltip.Trigger asChild>
          <span
            aria-hidden="true"
            style={{ position: 'fixed', left, top, width, height, pointerEvents: 'none' }}
          />
        </Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            ref={setBubble}
            sideOffset={5}
            collisionPadding={8}
            onPointerEnter={tips.hold}
            onPointerLeave={tips.leave}
            className="z-[60] max-w-[320px] rounded-[5px] bg-ink px-2 py-1 text-[12.5px] text-ground"
          >
            {text}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
