import { useEffect, useLayoutEffect, useRef } from 'react';
import { useLocation, useNavigationType } from 'react-router';

/** Where each entry of the browser's history was left, px from the top; in the session's storage once the page goes. */
const NAME = 'scroll places';
const places = new Map<string, number>(stored());

function stored(): [string, number][] {
  try {
    const entries: unknown = JSON.parse(sessionStorage.getItem(NAME) ?? '[]');
    return Array.isArray(entries) ? entries.filter((each) => Array.isArray(each) && each.length === 2) : [];
  } catch {
    // Nothing is lost but where a page was scrolled to.
    return [];
  }
}

function store(): void {
  try {
    sessionStorage.setItem(NAME, JSON.stringify([...places]));
  } catch {
    // As above.
  }
}

/**
 * A page that is gone back to lies where it was left; a new one begins at its top, or at the place its address names.
 * Stands beside the page, so that it waits with it for what is loaded later.
 */
export function ScrollPlace(): null {
  const { key, hash } = useLocation();
  const back = useNavigationType() === 'POP';
  useEffect(() => {
    window.history.scrollRestoration = 'manual';
    window.addEventListener('pagehide', store);
    return () => window.removeEventListener('pagehide', store);
  }, []);
  const placed = useRef<string | null>(null);
  useLayoutEffect(() => {
    // A page that waits for a part of it comes again and is not moved a second time.
    if (placed.current !== key) {
      const place = back ? places.get(key) : undefined;
      const named = hash ? document.getElementById(hash.slice(1)) : null;
      if (place !== undefined) window.scrollTo(0, place);
      else if (named) named.scrollIntoView();
      else window.scrollTo(0, 0);
    }
    placed.current = key;
    const keep = () => places.set(key, window.scrollY);
    window.addEventListener('scroll', keep, { passive: true });
    return () => window.removeEventListener('scroll', keep);
  }, [key, hash, back]);
  return null;
}
