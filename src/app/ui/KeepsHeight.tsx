import { type ReactNode, useEffect, useLayoutEffect, useRef } from 'react';

/**
 * A part of a page that does not get lower while something `moves`: what stands below it would jump up and down, and be
 * painted anew, with each line that comes and goes.
 */
export function KeepsHeight({ moves, children }: { moves: boolean; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  /** How high it was last, px */
  const height = useRef(0);
  const held = useRef(moves);
  useEffect(() => {
    const at = box.current;
    if (!at) return;
    const observer = new ResizeObserver(([{ contentRect }]) => {
      height.current = contentRect.height;
      if (held.current) at.style.minHeight = `${height.current}px`;
    });
    observer.observe(at);
    return () => observer.disconnect();
  }, []);
  useLayoutEffect(() => {
    held.current = moves;
    if (box.current) box.current.style.minHeight = moves ? `${height.current}px` : '';
  }, [moves]);
  return (
    <div ref={box} className="grid grid-cols-[minmax(0,1fr)]">
      {children}
    </div>
  );
}
