import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { type KeyValueStore, openProject, saveProject } from './index';

function memory(start: Record<string, unknown> = {}): KeyValueStore & { kept: Map<string, unknown> } {
  const kept = new Map(Object.entries(start));
  return {
    kept,
    getItem: async (key) => kept.get(key) ?? null,
    setItem: async (key, value) => kept.set(key, value),
  };
}
const failing = (name: string): KeyValueStore => {
  const fail = async () => {
    throw Object.assign(new Error('it said no'), { name });
  };
  return { getItem: fail, setItem: fail };
};

describe('storage', () => {
  it('opens what it saved', async () => {
    const store = memory();
    expect(await openProject(store)).toEqual({ kind: 'nothing' });
    const project = { ...demoProject, name: 'Another' };
    await saveProject(store, project);
    expect(await openProject(store)).toEqual({ kind: 'project', project });
  });

  it.each(['{"format":"ferv', 42, { some: 'object' }])(
    'keeps aside what it cannot read: %j',
    async (value) => {
      const store = memory({ project: value });
      const found = await openProject(store);
      if (found.kind !== 'unreadable') throw new Error(`found ${found.kind}`);
      expect(found.problems[0].message).not.toBe('');
      expect(store.kept.get(found.keptAs)).toBe(found.text);
      expect(store.kept.get('project')).toBe(value);
    },
  );

  it('says in words that it is full or blocked', async () => {
    await expect(saveProject(failing('QuotaExceededError'), demoProject)).rejects.toThrow(/is full/);
    await expect(saveProject(failing('SecurityError'), demoProject)).rejects.toThrow(/blocks storage/);
    expect(await openProject(failing('Error'))).toEqual({
      kind: 'blocked',
      reason: 'the browser’s storage answers: it said no',
    });
  });
});
