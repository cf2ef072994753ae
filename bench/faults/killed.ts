import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM_LAUNCH } from '../../scripts/browser';
import { editFor, judge, massOn, openCar, prepared, type Random, type Trial, wait } from './editing';

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
  return { context: await prepared(browser.contexts()[0]), kill };
}

/** A browser that is killed again and again, on one folder. */
export interface Killing {
  readonly folder: string;
  /** What was opened after the last kill: the next trial edits it */
  open: { readonly kill: () => void; readonly page: Page } | null;
}

export const toBeKilled = (): Killing => ({
  folder: mkdtempSync(join(tmpdir(), 'kettle-fault-')),
  open: null,
});

async function opened({ folder }: Killing, address: string) {
  const { context, kill } = await ownBrowser(folder);
  try {
    return { kill, page: await openCar(context, address, 0) };
  } catch (error) {
    kill();
    throw error;
  }
}

/** The whole browser killed among edits, and started again on the same folder. @param from mass of the first edit, kg */
export async function killed(
  killing: Killing,
  address: string,
  seed: number,
  random: Random,
  from: number,
): Promise<Trial> {
  const { kill, page } = killing.open ?? (await opened(killing, address));
  killing.open = { kill, page };
  const edits = await editFor([page], random, from);
  const at = Date.now();
  kill();
  killing.open = null;
  await wait(300);
  killing.open = await opened(killing, address);
  return judge('kill', seed, edits, [await massOn(killing.open.page)], at);
}

export async function endKilling(killing: Killing): Promise<void> {
  killing.open?.kill();
  await wait(200);
  rmSync(killing.folder, { recursive: true, force: true, maxRetries: 5 });
}
