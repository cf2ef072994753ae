import { Tooltip } from 'radix-ui';
import type { ReactElement, ReactNode, SyntheticEvent } from 'react';

/** Once around the application: how long the pointer rests before a tip comes. */
export const TipProvider = ({ children }: { children: ReactNode }) => (
  <Tooltip.Provider delayDuration={350}>{children}</Tooltip.Provider>
);

/** React lets events of a dialog bubble to what opened it; the dialog is not what the tip is about. */
const fromElsewhere = (event: SyntheticEvent) => !event.currentTarget.contains(event.target as Node);

/** A few words about what the pointer rests on or the focus is at; nothing where there is nothing to say. */
export function Tip({
  text,
  quiet = false,
  children,
}: {
  text: string | undefined;
  /** Only for the pointer: what is typed into must not be covered while the focus is there */
  quiet?: boolean;
  children: ReactElement;
}) {
  if (!text) return children;
  return (
    <Tooltip.Root>
      <Tooltip.Trigger
        asChild
        onFocus={(event) => {
          if (quiet || fromElsewhere(event)) event.preventDefault();
        }}
        onPointerMove={(event) => {
          if (fromElsewhere(event)) event.preventDefault();
        }}
      >
        {children}
      </Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          sideOffset={5}
          collisionPadding={8}
          className="z-[60] max-w-[320px] rounded-[5px] bg-ink px-2 py-1 text-[12.5px] text-ground"
        >
          {text}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}
