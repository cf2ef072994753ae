import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { tips } from './tips';

/** Two things on a page that say something of themselves. */
const [lamp, door] = [{}, {}] as Element[];
const shown = () => tips.shown()?.text ?? null;

// One clock for all of them: what was closed lately counts.
beforeAll(() => void vi.useFakeTimers());
afterAll(() => void vi.useRealTimers());
afterEach(() => {
  tips.lose();
  vi.advanceTimersByTime(10_000);
});

describe('the tip that is shown', () => {
  it('comes once the pointer rests, whatever it does on the way, and goes a while after it has left', () => {
    tips.move(lamp, 'a lamp');
    vi.advanceTimersByTime(300);
    tips.move(lamp, 'a lamp');
    expect(shown()).toBeNull();
    vi.advanceTimersByTime(100);
    expect(shown()).toBe('a lamp');
    tips.leave();
    vi.advanceTimersByTime(100);
    expect(shown()).toBe('a lamp');
    vi.advanceTimersByTime(200);
    expect(shown()).toBeNull();
  });

  it('does not come where the pointer only passes, and is one at a time', () => {
    tips.move(lamp, 'a lamp');
    vi.advanceTimersByTime(200);
    tips.leave();
    tips.move(door, 'a door');
    vi.advanceTimersByTime(200);
    expect(shown()).toBeNull();
    vi.advanceTimersByTime(200);
    expect(shown()).toBe('a door');
    // From one to the next at once.
    tips.leave();
    tips.move(lamp, 'a lamp');
    expect(shown()).toBe('a lamp');
  });

  it('stays while the pointer is on it, and does not come again over what it was closed at', () => {
    tips.move(lamp, 'a lamp');
    vi.advanceTimersByTime(400);
    tips.leave();
    tips.hold();
    vi.advanceTimersByTime(5000);
    expect(shown()).toBe('a lamp');
    tips.leave();
    vi.advanceTimersByTime(300);
    expect(shown()).toBeNull();
    tips.move(lamp, 'a lamp');
    vi.advanceTimersByTime(400);
    tips.close();
    tips.move(lamp, 'a lamp');
    vi.advanceTimersByTime(5000);
    expect(shown()).toBeNull();
    tips.leave();
    tips.move(lamp, 'a lamp');
    vi.advanceTimersByTime(400);
    expect(shown()).toBe('a lamp');
  });

  it('comes at once for the focus, but not for the press that brought it, and tells whoever watches', () => {
    const listeners = new Map<string, () => void>();
    vi.stubGlobal('document', {
      addEventListener: (name: string, act: () => void) => listeners.set(name, act),
    });
    const seen: (string | null)[] = [];
    const end = tips.subscribe(() => seen.push(shown()));
    tips.focus(lamp, 'a lamp');
    tips.press();
    tips.focus(door, 'a door');
    tips.move(door, 'a door');
    vi.advanceTimersByTime(5000);
    listeners.get('pointerup')?.();
    tips.focus(door, 'a door');
    tips.close();
    end();
    tips.focus(lamp, 'a lamp');
    expect(seen).toEqual(['a lamp', null, 'a door', null]);
    vi.unstubAllGlobals();
  });
});
