import { useCallback, useRef } from 'react';

/** Where the focus goes when what had it is gone: the menu that files are opened from, or the page. */
export function focusFallback(): void {
  (document.getElementById('files-menu') ?? document.getElementById('page'))?.focus();
}

/**
 * For a dialog that no button of its own opens: `remember` when it opens, and `onCloseAutoFocus` for its content, which
 * gives the focus back to what had it, or to the page when that is gone.
 */
export function useReturnFocus() {
  const before = useRef<Element | null>(null);
  const remember = useCallback(() => {
    before.current = document.activeElement;
  }, []);
  const onCloseAutoFocus = useCallback((event: Event) => {
    event.preventDefault();
    const element = before.current;
    if (element instanceof HTMLElement && element.isConnected && element !== document.body) element.focus();
    else focusFallback();
  }, []);
  return { remember, onCloseAutoFocus };
}
