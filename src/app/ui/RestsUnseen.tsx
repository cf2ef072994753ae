import { memo, type ReactNode, useEffect, useRef, useState } from 'react';

/** Time without anything new until a part in sight is drawn again while something moves, and the longest it waits, ms. */
const SOON = 100;
const LATEST = 400;

/**
 * A part of a page that stands back while something `moves`. Out of sight it is not drawn anew: what was drawn last stays
 * until nothing moves, or it comes into sight. In sight it is drawn by itself, a moment after what it goes with.
 */
export function RestsUnseen({
  moves,
  className = '',
  children,
}: {
  moves: boolean;
  className?: string;
  children: ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(true);
  useEffect(() => {
    const observer = new IntersectionObserver((told) => setSeen(told[told.length - 1].isIntersecting));
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  const beat = useBeat(children, moves && seen);
  return (
    <div ref={box} className={className}>
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
    const timer = setTimeout(() => setBeat((n) => n + 1), Math.min(SOON, due.current - performance.now()));
    return () => clearTimeout(timer);
  }, [value, on]);
  return beat;
}
