import { spawnSync } from 'node:child_process';

/**
 * Integrates every brake of the reference cases with npm odex at 1e-8 and keeps the peaks, after a change that moves
 * numbers on purpose: some ten minutes. `--draw` draws the ten projects anew; names after it do those cases alone.
 */
const words = process.argv.slice(2);
const run = spawnSync('node_modules/.bin/vitest', ['run', 'src/core/run/reference.test.ts'], {
  stdio: 'inherit',
  env: {
    ...process.env,
    REFERENCE: words.filter((word) => word !== '--draw').join() || 'all',
    ...(words.includes('--draw') && { REFERENCE_DRAW: '1' }),
  },
});
process.exit(run.status ?? 1);
