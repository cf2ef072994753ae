import { defineConfig } from '@playwright/test';
import { CHROMIUM_LAUNCH } from './scripts/browser';

const port = 4317;

export default defineConfig({
  testDir: 'tests',
  timeout: 240_000,
  // A ladder of more than a hundred days takes a shared machine a minute and more.
  expect: { timeout: 120_000 },
  retries: process.env.CI ? 1 : 0,
  workers: 2,
  reporter: [['json'], ['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // Only the tests of it keep the program's own copy: elsewhere it would be made anew for every page.
    serviceWorkers: 'block',
    launchOptions: CHROMIUM_LAUNCH,
  },
  webServer: {
    command: 'node --import tsx src/server/main.ts',
    env: { PORT: String(port) },
    url: `http://127.0.0.1:${port}/`,
    reuseExistingServer: false,
  },
});
