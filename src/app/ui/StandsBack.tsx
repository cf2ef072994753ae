import { memo, type ReactNode, startTransition, useEffect, useRef, useState } from 'react';

/** Time without anything new until a part in sight is drawn again while something moves, and the longest it waits, ms. */
const SOON = 100;
const LATEST = 400;
/** Time from one part to the next, ms: two frames, so that no frame draws two of them. */
const APART = 34;
/** When the next part may be drawn, ms */
let turn = 0;

/**
 * A part of a page that stands back while something `moves`. Out of sight it is not drawn anew: what was drawn last stays
 * until nothing moves, or it comes into sight. In sight it is drawn by itself, a moment after what it goes with.
 */
export function StandsBack({ moves, children }: { moves: boolean; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(true);
  useEffect(() => {
    const observer = new IntersectionObserver((told) => setSeen(told[told.length - 1].isIntersecting));
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  const beat = useBeat(children, moves && seen);
  return (
    <div ref={box} className="grid grid-cols-[minmax(0,1fr)]">
      <Held held={moves} beat={beat}>
        {children}
      </Held>
    </div>
  );
}

const Held = memo(
  function Held({ children }: { held: boolean; beat: number; children: ReactNode }) {
    return children;
  },
  (before, { held, beat }) => held && beat === before.beat,
);

/** A number that is another one a moment after `value` was, or where values keep coming now and then; only while it is `on`. */
function useBeat(value: unknown, on: boolean): number {
  const [beat, setBeat] = useState(0);
  const due = useRef(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each beat is counted from the one before
  useEffect(() => {
    if (on) due.current = performance.now() + LATEST;
  }, [on, beat]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each value puts it off
  useEffect(() => {
    if (!on) return;
    let timer = 0;
    const beatAt = (at: number) => {
      timer = window.setTimeout(() => {
        const now = performance.now();
        if (now < turn) return beatAt(turn);
        turn = now + APART;
        startTransition(() => setBeat((n) => n + 1));
      }, at - performance.now());
    };
    beatAt(Math.min(performance.now() + SOON, due.current));
    return () => clearTimeout(timer);
  }, [value, on]);
  return beat;
}
