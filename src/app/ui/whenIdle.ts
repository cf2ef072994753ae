/** Longest time until it is done though the page does not come to rest, ms. */
const AT_LATEST = 3000;

/** Does something once the page has come to rest after drawing. @returns ends the waiting */
export function whenIdle(act: () => void): () => void {
  if (!('requestIdleCallback' in window)) {
    const timer = setTimeout(act, 500);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(act, { timeout: AT_LATEST });
  return () => cancelIdleCallback(asked);
}
