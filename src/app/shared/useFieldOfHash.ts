import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** Goes to the field that the address names after its #, and puts the cursor there. */
export function useFieldOfHash(): void {
  const { hash } = useLocation();
  useEffect(() => {
    if (!hash) return;
    const place = decodeURIComponent(hash.slice(1));
    const field = document.querySelector(`[data-path="${CSS.escape(place)}"]`);
    field?.scrollIntoView({ block: 'center' });
    field?.querySelector<HTMLElement>('input, [role=combobox]')?.focus({ preventScroll: true });
  }, [hash]);
}
