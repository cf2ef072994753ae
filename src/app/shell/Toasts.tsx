import { type ComponentType, useEffect, useState } from 'react';
import type { ToasterProps } from 'sonner';
import { useTheme } from '../state/preferences';
import { onFirstToast, toastsShown } from '../ui/toast';
import { whenIdle } from '../ui/whenIdle';

/** Where short notices are shown. */
export function Toasts() {
  const theme = useTheme();
  const [Toaster, setToaster] = useState<ComponentType<ToasterProps> | null>(null);
  useEffect(() => {
    const load = () =>
      void import('sonner').then(
        (sonner) => setToaster(() => sonner.Toaster),
        // Asked for again with the next notice.
        () => {},
      );
    onFirstToast(load);
    return whenIdle(load);
  }, []);
  // After its own effects, by which it hears of notices.
  useEffect(() => {
    if (Toaster) void import('sonner').then(({ toast }) => toastsShown(toast));
  }, [Toaster]);
  if (!Toaster) return null;
  return (
    <Toaster
      position="bottom-left"
      theme={theme === 'system' ? 'system' : theme}
      toastOptions={{ className: 'font-sans' }}
    />
  );
}
