// Builds the application when its sources have changed since the last build.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const mark = 'dist/source-hash';
const hash = createHash('sha256');
function add(path) {
  for (const entry of readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const file = join(path, entry.name);
    if (entry.isDirectory()) add(file);
    else hash.update(file).update(readFileSync(file));
  }
}
for (const folder of ['src', 'demo']) add(folder);
for (const file of ['package.json', 'package-lock.json', 'vite.config.ts', 'scripts/notices.mjs'])
  hash.update(readFileSync(file));
hash.update(process.env.BASE ?? '/');
const now = hash.digest('hex');
if (!existsSync(mark) || readFileSync(mark, 'utf8') !== now) {
  console.error('Building …');
  const run = spawnSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'warn'], {
    stdio: ['ignore', 2, 2],
  });
  if (run.status !== 0) process.exit(run.status ?? 1);
  writeFileSync(mark, now);
}
