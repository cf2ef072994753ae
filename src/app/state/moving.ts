/** Time without a movement after which the page counts as still, ms. */
const QUIET = 300;

let moved = Number.NEGATIVE_INFINITY;
const move = (event: Event) => {
  if (event instanceof PointerEvent && event.buttons === 0) return;
  moved = performance.now();
};
for (const kind of ['input', 'keydown', 'pointermove']) {
  window.addEventListener(kind, move, { capture: true, passive: true });
}

/** The longest a frame is waited for, ms: a page in the background has none. */
const NO_FRAME = 100;

/** Waits until the page has drawn what it was given. */
export const untilDrawn = (): Promise<void> =>
  new Promise((resolve) => {
    const timer = setTimeout(resolve, NO_FRAME);
    requestAnimationFrame(() => {
      clearTimeout(timer);
      // After the frame, not before it is painted.
      setTimeout(resolve, 0);
    });
  });

/** Waits until nothing on the page has been moved for a moment, so that what moves has a core of its own. */
export async function untilStill(): Promise<void> {
  for (;;) {
    const left = moved + QUIET - performance.now();
    if (left <= 0) return;
    await new Promise((resolve) => setTimeout(resolve, left));
  }
}
