// Finds a Chromium, installing Debian's when there is none and this may be done. Plain Node.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { pathToFileURL } from 'node:url';

const CANDIDATES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** Path of a Chromium, or null. */
export function findChromium() {
  return CANDIDATES.find((path) => path && existsSync(path)) ?? null;
}

/** Path of a Chromium; installs one as root on Debian. Throws with what to do where that cannot be done. */
export function ensureChromium() {
  const found = findChromium();
  if (found) return found;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    throw new Error(
      'No Chromium was found. Install one (Debian: apt-get install chromium) or name it: CHROMIUM=/path/to/chromium npm test',
    );
  }
  console.error('Installing Debian’s Chromium …');
  const apt = (...args) =>
    spawnSync('apt-get', ['-qq', '-y', '-o', 'DPkg::Lock::Timeout=600', ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status;
  apt('update');
  if (apt('install', '--no-install-recommends', 'chromium') !== 0 || !findChromium()) {
    throw new Error('Debian’s Chromium could not be installed; see above.');
  }
  return findChromium();
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  console.log(ensureChromium());
}
