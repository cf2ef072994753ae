// Installs the packages when they are missing or the lock file has changed. Plain Node: it runs before any package is there.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Node.js 20.19 or newer is needed; this is ${process.versions.node}.`);
  process.exit(1);
}
const mark = 'node_modules/.lock-hash';
const hash = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
if (!existsSync(mark) || readFileSync(mark, 'utf8') !== hash) {
  console.error('Installing packages …');
  // No package runs a script of its own at install.
  const args = ['ci', '--include=dev', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'];
  const run = spawnSync('npm', args, {
    stdio: ['ignore', 2, 2],
    shell: process.platform === 'win32',
  });
  if (run.status !== 0) {
    console.error('The packages could not be installed; see above. The npm registry must be reachable once.');
    process.exit(1);
  }
  mkdirSync('node_modules', { recursive: true });
  writeFileSync(mark, hash);
}
