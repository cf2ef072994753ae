import { Slot } from 'radix-ui';
import { lazy, type ReactElement, Suspense, type SyntheticEvent, useSyncExternalStore } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { tips } from './tips';

const Bubble = lazy(async () => ({ default: (await import('./TipBubble')).TipBubble }));

/** Once around the application: draws the tip that is shown. What draws it is fetched with the first one. */
export function TipLayer() {
  const shown = useSyncExternalStore(tips.subscribe, tips.shown);
  if (!shown) return null;
  return (
    <ErrorBoundary fallback={null}>
      <Suspense>
        <Bubble key={shown.text} tip={shown} />
      </Suspense>
    </ErrorBoundary>
  );
}

/** React lets events of a dialog bubble to what opened it; the dialog is not what the tip is about. */
const fromElsewhere = ({ currentTarget, target }: SyntheticEvent) => !currentTarget.contains(target as Node);

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
    <Slot.Root
      onPointerMove={(event) => {
        if (event.pointerType !== 'touch' && !fromElsewhere(event)) tips.move(event.currentTarget, text);
      }}
      onPointerLeave={tips.leave}
      onPointerDown={tips.press}
      onClick={tips.close}
      onFocus={(event) => {
        if (!quiet && !fromElsewhere(event)) tips.focus(event.currentTarget, text);
      }}
      onBlur={tips.close}
    >
      {children}
    </Slot.Root>
  );
}
