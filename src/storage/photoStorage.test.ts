import { describe, expect, it } from 'vitest';
import { keepPhoto, openPhoto, type PhotoStore } from './photoStorage';

/** A store in memory that has room for so many bytes. */
function store(room: number): PhotoStore & { readonly kept: Map<string, unknown> } {
  const kept = new Map<string, unknown>();
  return {
    kept,
    getItem: async (key) => kept.get(key) ?? null,
    setItem: async (key, value) => {
      // A browser may have begun to write before it finds that there is no room.
      kept.set(key, (value as Uint8Array).subarray(0, room));
      if ((value as Uint8Array).length > room)
        throw Object.assign(new Error('full'), { name: 'QuotaExceededError' });
    },
    removeItem: async (key) => kept.delete(key),
  };
}

describe('pictures', () => {
  it('are kept and opened as they were, and are gone where they are not there', async () => {
    const own = store(1000);
    const bytes = Uint8Array.from({ length: 300 }, (_, i) => i & 255);
    await keepPhoto(own, 'a', bytes);
    expect(await openPhoto(own, 'a')).toEqual(bytes);
    expect(await openPhoto(own, 'b')).toBeNull();
    own.kept.set('c', 'no picture');
    expect(await openPhoto(own, 'c')).toBeNull();
  });

  it('that find no room leave nothing behind, and say so; what was kept before stays', async () => {
    const own = store(100);
    await keepPhoto(own, 'small', new Uint8Array(80));
    await expect(keepPhoto(own, 'large', new Uint8Array(200))).rejects.toThrow(
      'The browser’s storage is full',
    );
    expect([...own.kept.keys()]).toEqual(['small']);
    const broken: PhotoStore = {
      getItem: async () => null,
      setItem: () => Promise.reject(new Error('no disk')),
      removeItem: () => Promise.reject(new Error('no disk either')),
    };
    await expect(keepPhoto(broken, 'x', new Uint8Array(1))).rejects.toThrow(
      'The picture was not kept: no disk',
    );
  });
});
