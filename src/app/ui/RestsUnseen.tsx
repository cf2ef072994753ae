import { memo, type ReactNode, useEffect, useRef, useState } from 'react';

/** How near the window a part counts as seen: it is drawn before it is scrolled to. */
const NEAR = '200px';

/**
 * A part of a page that is not drawn anew out of sight while something `moves`: what was drawn last stays until nothing
 * moves, or it comes into sight.
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
    const observer = new IntersectionObserver((told) => setSeen(told[told.length - 1].isIntersecting), {
      rootMargin: NEAR,
    });
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={box} className={className}>
      <Held held={moves && !seen}>{children}</Held>
    </div>
  );
}

const Held = memo(
  function Held({ children }: { held: boolean; children: ReactNode }) {
    return children;
  },
  (_, { held }) => held,
);
