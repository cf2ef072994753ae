/** A tip that is shown, and what it is about. */
export interface ShownTip {
  readonly about: Element;
  readonly text: string;
}

/** How long the pointer rests before a tip comes; soon after another it comes at once, ms. */
const REST = 350;
const SOON = 300;
/** How long it stays once the pointer has left, so that the pointer may go to it, ms. */
const LINGER = 200;

let shown: ShownTip | null = null;
let closedAt = Number.NEGATIVE_INFINITY;
/** What the pointer is over since it was moved there, and whether it is pressed */
let over: Element | null = null;
let pressed = false;
let waiting: ReturnType<typeof setTimeout> | undefined;
const watchers = new Set<() => void>();

function show(next: ShownTip | null): void {
  clearTimeout(waiting);
  if (next === shown) return;
  if (shown) closedAt = performance.now();
  shown = next;
  for (const told of watchers) told();
}

const released = () => {
  pressed = false;
};

/** What tips there are to show: one at a time on the whole page. */
export const tips = {
  /** The pointer moves over something. */
  move(about: Element, text: string): void {
    if (over === about || pressed) return;
    over = about;
    clearTimeout(waiting);
    if (shown?.about === about) return;
    const soon = shown !== null || performance.now() - closedAt < SOON;
    if (soon) show({ about, text });
    else waiting = setTimeout(() => show({ about, text }), REST);
  },
  /** The focus comes to something; the pointer that brought it there says nothing. */
  focus(about: Element, text: string): void {
    if (!pressed) show({ about, text });
  },
  /** The pointer leaves what it was over, or the tip. */
  leave(): void {
    over = null;
    clearTimeout(waiting);
    if (shown) waiting = setTimeout(() => show(null), LINGER);
  },
  /** The pointer has come to the tip itself. */
  hold(): void {
    clearTimeout(waiting);
  },
  press(): void {
    pressed = true;
    document.addEventListener('pointerup', released, { once: true });
    document.addEventListener('pointercancel', released, { once: true });
    show(null);
  },
  close(): void {
    show(null);
  },
  /** What it is about has moved from under the pointer, or is gone. */
  lose(): void {
    over = null;
    show(null);
  },
  subscribe(told: () => void): () => void {
    watchers.add(told);
    return () => watchers.delete(told);
  },
  shown: (): ShownTip | null => shown,
};
