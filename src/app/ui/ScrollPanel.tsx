import type { ReactNode } from 'react';

/**
 * A panel whose table may be wider than the page; reached by keyboard, so that it can be scrolled. What is only for screen
 * readers is placed within it, or it would widen the page.
 */
export function ScrollPanel({
  label,
  className = '',
  children,
}: {
  label: string;
  className?: string;
  children: ReactNode;
}) {
  const look = `panel relative overflow-x-auto px-4 py-3 ${className}`;
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keyboard
    <section className={look} aria-label={label} tabIndex={0}>
      {children}
    </section>
  );
}
