// Runs every check and closes with one line that counts them. `--quick` leaves the browser out.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { ensureChromium } from './chromium.mjs';

const quick = process.argv.includes('--quick');
const cache = '.cache/test';
rmSync(cache, { recursive: true, force: true });
mkdirSync(cache, { recursive: true });
let passed = 0;
let failed = 0;

const bin = (name) => `node_modules/.bin/${name}`;

function run(command, args, env = {}) {
  const { status, stdout, error } = spawnSync(command, args, {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    maxBuffer: 1 << 28,
    env: { ...process.env, ...env },
  });
  return { ok: status === 0 && !error, output: `${stdout ?? ''}${error ? error.message : ''}` };
}

/** A check that passes or fails as a whole. */
function check(name, command, args, also = () => null) {
  const { ok, output } = run(command, args);
  const complaint = ok ? also(output) : output;
  if (complaint === null) passed += 1;
  else failed += 1;
  console.log(`${complaint === null ? 'ok    ' : 'FAILED'} ${name}`);
  if (complaint !== null) console.log(complaint);
}

/** A suite with a JSON report, whose tests are counted one by one. */
function suite(name, command, args, report, count, env = {}) {
  const { ok, output } = run(command, args, env);
  let counts = { passed: 0, failed: 1 };
  try {
    counts = count(JSON.parse(readFileSync(report, 'utf8')));
  } catch (error) {
    console.log(`No report of ${name}: ${error.message}`);
  }
  // A suite that ran nothing, or broke after its tests, has not passed.
  if (counts.passed + counts.failed === 0 || (!ok && counts.failed === 0)) counts = { ...counts, failed: 1 };
  passed += counts.passed;
  failed += counts.failed;
  console.log(
    `${counts.failed === 0 ? 'ok    ' : 'FAILED'} ${name}: ${counts.passed} passed, ${counts.failed} failed`,
  );
  if (counts.failed > 0) console.log(output);
}

check('types', bin('tsc'), ['--noEmit']);
check('lint and format', bin('biome'), ['check', '--error-on-warnings', '.']);
check('walls', 'node', ['scripts/walls.mjs']);
check(
  'boundaries',
  bin('depcruise'),
  ['src', 'demo', 'bench', '--config', '.dependency-cruiser.cjs'],
  (output) => {
    const cruised = Number(/(\d+) modules/.exec(output)?.[1] ?? 0);
    return cruised > 50
      ? null
      : `Only ${cruised} modules were looked at; the check is not working.\n${output}`;
  },
);
check('dead code', bin('knip'), []);
check('licences', 'node', ['scripts/notices.mjs', '--check']);
suite(
  'unit tests',
  bin('vitest'),
  ['run', '--reporter=json', '--reporter=default', `--outputFile.json=${cache}/unit.json`],
  `${cache}/unit.json`,
  (r) => ({
    passed: r.numPassedTests,
    failed: r.numFailedTests + (r.numFailedTestSuites && !r.numFailedTests ? 1 : 0),
  }),
);
if (!quick) {
  try {
    const chromium = ensureChromium();
    const build = run(process.execPath, ['scripts/build.mjs']);
    if (!build.ok) throw new Error(`The application does not build.\n${build.output}`);
    suite(
      'browser tests',
      bin('playwright'),
      ['test'],
      `${cache}/browser.json`,
      (r) => ({ passed: r.stats.expected + r.stats.flaky, failed: r.stats.unexpected }),
      { CHROMIUM: chromium, PLAYWRIGHT_JSON_OUTPUT_NAME: `${cache}/browser.json` },
    );
  } catch (error) {
    failed += 1;
    console.log(`FAILED browser tests: ${error.message}`);
  }
}
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
