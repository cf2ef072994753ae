import { spawn } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { writeProject } from '../model';

/** The command as a process of its own, whose output is read or not. */
function kettle(args: readonly string[], { input = '', most = Number.POSITIVE_INFINITY } = {}) {
  return new Promise<{ code: number | null; out: string; err: string }>((resolve) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'src/cli/main.ts', ...args]);
    let [out, err] = ['', ''];
    child.stdout.on('data', (part: Buffer) => {
      out += part.toString('utf8');
      // As head does once it has its lines.
      if (out.length >= most) child.stdout.destroy();
    });
    child.stderr.on('data', (part: Buffer) => {
      err += part.toString('utf8');
    });
    child.stdin.on('error', () => {});
    child.stdin.end(input);
    child.on('close', (code) => resolve({ code, out, err }));
  });
}

describe('kettle as a process', () => {
  it('ends quietly when its reader has enough', async () => {
    const { code, out, err } = await kettle(['demo'], { most: 40 });
    expect([code, err]).toEqual([0, '']);
    expect(out.length).toBeLessThan(writeProject(demoProject).length);
  }, 60_000);

  it('reads standard input, and no more of it than a project may have', async () => {
    const project = writeProject(demoProject);
    expect(await kettle(['check', '-'], { input: project })).toMatchObject({ code: 0, err: '' });
    const cut = await kettle(['check', '-'], { input: project.slice(0, 5000) });
    expect(cut.code).toBe(2);
    expect(cut.out).toMatch(/^error: line \d+, column \d+: /);
    const endless = await kettle(['run', '-'], { input: ' '.repeat(30_000_000) });
    expect(endless).toMatchObject({ code: 2, out: '' });
    expect(endless.err).toMatch(/^kettle: standard input has more than 26 MB/);
  }, 60_000);

  it('says what was typed wrongly, on one line, with 2', async () => {
    const wrong: readonly (readonly [readonly string[], RegExp])[] = [
      [['boil'], /there is no command "boil"/],
      [['demo', 'twice'], /"twice" is one argument too many/],
    ];
    const said = await Promise.all(wrong.map(([args]) => kettle(args)));
    for (const [i, { code, out, err }] of said.entries()) {
      expect([code, out]).toEqual([2, '']);
      expect(err).toMatch(wrong[i][1]);
      expect(err).not.toMatch(/\n\s+at /);
    }
  }, 60_000);
});
