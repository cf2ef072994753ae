import { type KeyboardEvent, type PointerEvent, useCallback, useEffect, useRef, useState } from 'react';

/** A map's view: scale and shift in pixels. */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}
const WHOLE: View = { scale: 1, x: 0, y: 0 };
const CLOSEST = 24;

/** Zoom by wheel, buttons and keys; pan by dragging and arrow keys. Zooming keeps what is under the pointer there. */
export function useZoom(width: number, height: number) {
  const [view, setView] = useState<View>(WHOLE);
  const ref = useRef<SVGSVGElement>(null);
  const drag = useRef<{ id: number; x: number; y: number; moved: boolean } | null>(null);
  const zoom = useCallback(
    (factor: number, cx = width / 2, cy = height / 2) =>
      setView((v) => {
        const scale = Math.min(CLOSEST, Math.max(1, v.scale * factor));
        if (scale === 1) return WHOLE;
        const by = scale / v.scale;
        return { scale, x: cx - by * (cx - v.x), y: cy - by * (cy - v.y) };
      }),
    [width, height],
  );
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      zoom(Math.exp(-event.deltaY / 400), event.clientX - box.left, event.clientY - box.top);
    };
    // React's own wheel listener cannot keep the page from scrolling.
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [zoom]);
  const pan = (dx: number, dy: number) => setView((v) => ({ ...v, x: v.x + dx, y: v.y + dy }));
  const handlers = {
    onPointerDown: (event: PointerEvent) => {
      drag.current = { id: event.pointerId, x: event.clientX, y: event.clientY, moved: false };
    },
    onPointerMove: (event: PointerEvent) => {
      const from = drag.current;
      if (!from || from.id !== event.pointerId || event.buttons === 0) return;
      const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
      if (!from.moved && Math.hypot(dx, dy) < 4) return;
      if (!from.moved) event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { ...from, x: event.clientX, y: event.clientY, moved: true };
      pan(dx, dy);
    },
    onKeyDown: (event: KeyboardEvent) => {
      const step = 40;
      const moves: Record<string, () => void> = {
        '+': () => zoom(1.4),
        '=': () => zoom(1.4),
        '-': () => zoom(1 / 1.4),
        '0': () => setView(WHOLE),
        ArrowLeft: () => pan(step, 0),
        ArrowRight: () => pan(-step, 0),
        ArrowUp: () => pan(0, step),
        ArrowDown: () => pan(0, -step),
      };
      const move = moves[event.key];
      if (!move || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      move();
    },
  };
  return {
    ref,
    view,
    zoom,
    reset: () => setView(WHOLE),
    handlers,
    /** Whether the press that is ending was a drag, not a click */
    dragged: () => drag.current?.moved ?? false,
  };
}
