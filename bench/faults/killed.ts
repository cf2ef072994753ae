import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_LAUNCH } from '../../scripts/browser';
import { editFor, judge, keptMasses, openCar, type Random, type Trial, wait } from './editing';

/** A browser of its own, with its own processes and folder, that can be killed whole. */
async function ownBrowser(folder: string) {
  const child = spawn(
    CHROMIUM_LAUNCH.executablePath,
    [
      ...CHROMIUM_LAUNCH.args,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${folder}`,
      'about:blank',
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stderr.on('data', (text) => {
      said += String(text);
      const found = /DevTools listening on (ws:\S+)/.exec(said);
      if (found) resolve(found[1]);
    });
    child.on('exit', () => reject(new Error(`The browser ended: ${said.slice(-400)}`)));
  });
  const browser = await chromium.connectOverCDP(address);
  const kill = () => {
    if (child.pid) process.kill(-child.pid, 'SIGKILL');
  };
  return { context: browser.contexts()[0], kill };
}

/** The whole browser killed among edits, and started again on the same folder. */
export async function killed(address: string, seed: number, random: Random): Promise<Trial> {
  const folder = mkdtempSync(join(tmpdir(), 'kettle-fault-'));
  try {
    const first = await ownBrowser(folder);
    const page = await openCar(first.context, address, 0);
    const edits = await editFor([page], random);
    const at = Date.now();
    first.kill();
    await wait(300);
    const second = await ownBrowser(folder);
    const kept = await keptMasses(second.context, address, [0]);
    second.kill();
    return judge('kill', seed, edits, kept, at);
  } finally {
    await wait(100);
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
  }
}
