// Measures speed and size, in Node and in headless Chromium. `--json` prints the figures as JSON. `faults` measures what
// is lost at a fault instead, and writes its table into docs/reliability.md; `kernel` what a step costs, into
// docs/performance.md.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { ensureChromium } from './chromium.mjs';
import { drawn } from './growth.mjs';

function run(args) {
  const { status, stdout } = spawnSync(process.execPath, args, {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, CHROMIUM: ensureChromium() },
  });
  if (status !== 0) process.exit(status ?? 1);
  return stdout;
}
const last = (text) => JSON.parse(text.trim().split('\n').pop());

const fixed = (value, digits) => (typeof value === 'number' ? Number(value.toFixed(digits)) : value);
const rounded = (row, digits) =>
  Object.fromEntries(Object.entries(row).map(([key, value]) => [key, fixed(value, digits)]));
run(['scripts/build.mjs']);
/** Built as it is shipped: the loader that runs TypeScript directly slows tight loops several times. */
function built(name, flags = []) {
  const out = `.cache/bench-${name}`;
  run([
    'node_modules/vite/bin/vite.js',
    'build',
    '--ssr',
    `../../bench/${name}.ts`,
    '--outDir',
    `../../${out}`,
    '--logLevel',
    'warn',
  ]);
  return last(run([...flags, `${out}/${name}.js`]));
}
if (process.argv.includes('kernel')) {
  writeKernel(built('kernel', ['--expose-gc']), built('networks'), built('twelve'));
  process.exit(0);
}
if (process.argv.includes('faults')) {
  writeFaults(last(run(['--import', 'tsx', 'bench/faults/main.ts'])));
  process.exit(process.exitCode ?? 0);
}

/**
 * Prints the table of faults and puts it into docs/reliability.md, or with `add` on top of what stands there: trials of
 * other seeds. Ends with 1 where an old edit was lost or a trial broke.
 */
function writeFaults({ rows: own, bad }) {
  console.table(own);
  const file = 'docs/reliability.md';
  const text = readFileSync(file, 'utf8');
  const rows = process.argv.includes('add') ? added(faultsIn(text), own) : own;
  const total = (key) => rows.reduce((sum, row) => sum + row[key], 0);
  const ms = (value) => (value === null ? '—' : `${value} ms`);
  const lines = rows.map(
    (r) =>
      `| ${r.fault} | ${r.trials} | ${r.edits} | ${r.lost} | ${ms(r.lost > 0 ? r.oldestLostMs : null)} | ${r.lostOlderThan500Ms} | ${r.broke} | ${ms(r.saidWithinMs)} | ${r.asked} |`,
  );
  const table = [
    '| fault | trials | edits | lost | age of the oldest lost | lost older than 500 ms | else broken | said within | times the browser asked |',
    '|---|---|---|---|---|---|---|---|---|',
    ...lines,
    `| all | ${total('trials')} | ${total('edits')} | ${total('lost')} | | **${total('lostOlderThan500Ms')}** | **${total('broke')}** | | ${total('asked')} |`,
  ].join('\n');
  writeFileSync(
    file,
    text.replace(/<!-- faults -->[\s\S]*<!-- \/faults -->/, `<!-- faults -->\n${table}\n<!-- /faults -->`),
  );
  if (bad.length > 0) {
    console.error(`Lost or broken: ${JSON.stringify(bad)}`);
    process.exitCode = 1;
  }
}

/** Prints what steps and days cost, and puts it into docs/performance.md. */
function writeKernel({ stepping, days, twelve, growth }, networks, once) {
  for (const rows of [
    stepping,
    networks,
    days,
    [twelve],
    growth.map(({ what, offTheLine }) => ({ what, offTheLine })),
  ])
    console.table(rows.map((row) => rounded(row, 2)));
  const table = (head, rows) =>
    [head, head.map(() => '---'), ...rows].map((cells) => `| ${cells.join(' | ')} |`).join('\n');
  const n = (value, digits = 1) => value.toFixed(digits);
  const text = [
    `${cpus()[0].model}, ${cpus().length} cores, Node ${process.version}, ${new Date().toISOString().slice(0, 10)}. The quickest of repeated runs, since the machine is shared; laps are those of the day before.`,
    table(
      ['stepping', 'nodes', 'ns a node-step', 'million node-steps a second', 'times faster'],
      stepping.map((r) => [
        r.what,
        r.nodes,
        n(r.nsPerNodeStep),
        n(r.millionNodeStepsPerSecond),
        n(r.timesFaster),
      ]),
    ),
    table(
      [
        'exported network',
        'nodes',
        'steps',
        'kernel, ms',
        'off, K',
        'odex, ms',
        'its tolerance',
        'off, K',
        'times faster',
      ],
      networks.map((r) => [
        r.network,
        r.nodes,
        r.steps,
        n(r.kernelMs, 2),
        n(r.ownOffK, 2),
        n(r.odexMs, 0),
        r.odexTolerance,
        n(r.odexOffK, 2),
        n(r.times, 0),
      ]),
    ),
    `Of two hot laps of each plan; off is the largest difference of a node's peak from odex at 1e-8. The prototype's carbon discs take odex minutes for a lap and are left out. Median of the ratios: ${n(middle(networks.map((r) => r.times)), 0)}.`,
    table(
      [
        'day',
        'wheels',
        'integrator that is read, ms',
        'kernel, ms',
        'times faster',
        'as the page has it, ms',
      ],
      days.map((r) => [r.day, r.wheels, n(r.readMs), n(r.kernelMs), n(r.times), n(r.pageMs)]),
    ),
    `A day of twelve sessions: ${n(twelve.ms, 0)} ms, ${twelve.steps} heat steps; its result holds ${n(twelve.heldMb, 0)} MB. A process that computes it once, from nothing, in ${n(once.ms, 0)} ms, has ${n(once.mostMb, 0)} MB at most, ${n(once.beforeMb, 0)} MB of them before it begins.`,
    table(
      ['grows with', 'how many', 'ms', 'off a straight line, % of the largest'],
      growth.map((r) => [
        r.what,
        r.counts.join(', '),
        r.ms.map((ms) => n(ms)).join(', '),
        n(100 * r.offTheLine),
      ]),
    ),
    '![Time over how many laps, wheels, cells and runs there are, with the straight line through each](growth.svg)',
  ].join('\n\n');
  writeFileSync('docs/growth.svg', drawn(growth));
  const file = 'docs/performance.md';
  const before = readFileSync(file, 'utf8');
  const marked = `<!-- kernel -->\n${text}\n<!-- /kernel -->`;
  writeFileSync(
    file,
    before.replace(/<!-- kernel -->[\s\S]*<!-- \/kernel -->/, () => marked),
  );
}

function middle(values) {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half] : 0.5 * (sorted[half - 1] + sorted[half]);
}

/** The rows of the table of faults as it stands. */
function faultsIn(text) {
  const table = /<!-- faults -->([\s\S]*)<!-- \/faults -->/.exec(text)?.[1] ?? '';
  const ms = (cell) => (cell === '—' ? null : Number.parseInt(cell, 10));
  return table
    .trim()
    .split('\n')
    .slice(2, -1)
    .map((line) =>
      line
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim()),
    )
    .map(([fault, trials, edits, lost, oldest, old, broke, said, asked]) => ({
      fault,
      trials: Number(trials),
      edits: Number(edits),
      lost: Number(lost),
      oldestLostMs: ms(oldest) ?? 0,
      lostOlderThan500Ms: Number(old),
      broke: Number(broke),
      saidWithinMs: ms(said),
      asked: Number(asked),
    }));
}

/** Both tables' rows together, fault by fault. */
function added(before, own) {
  const names = [...new Set([...before, ...own].map(({ fault }) => fault))];
  return names.map((fault) =>
    [...before, ...own]
      .filter((row) => row.fault === fault)
      .reduce((a, b) => ({
        fault,
        trials: a.trials + b.trials,
        edits: a.edits + b.edits,
        lost: a.lost + b.lost,
        oldestLostMs: Math.max(a.oldestLostMs, b.oldestLostMs),
        lostOlderThan500Ms: a.lostOlderThan500Ms + b.lostOlderThan500Ms,
        broke: a.broke + b.broke,
        saidWithinMs:
          a.saidWithinMs === null && b.saidWithinMs === null
            ? null
            : Math.max(a.saidWithinMs ?? 0, b.saidWithinMs ?? 0),
        asked: a.asked + b.asked,
      })),
  );
}

const json = process.argv.includes('--json');
/** Prints figures as soon as they are measured, so that a later failure costs none of them. */
function show(title, figures, digits = 2) {
  if (json) return;
  console.log(title);
  console.table(
    Array.isArray(figures) ? figures.map((row) => rounded(row, digits)) : rounded(figures, digits),
  );
}

const node = built('main');
show(
  `${cpus()[0].model}, Node ${process.version}; wheels that are alike are computed once: two of the Tarn and the Skarn, four of the Ovel`,
  node.sessions,
);
show('Fade fed back into the next lap (it brakes earlier), against the same session without', node.coupled);
show(
  'Accuracy and cost of the numerics (first session; worst peak of all four against a far finer run)',
  node.accuracy,
);
show(
  'The longest session of the demo day, four corners apart; one wheel of it against npm odex',
  node.network,
  3,
);
// In a process of its own, so that its memory is its own.
const files = built('files');
show('A GPX track of 20 000 points to a circuit', files.track, 1);
show('A log of a day at 100 Hz, read as the worker reads it', files.day);
const season = last(run(['--import', 'tsx', 'bench/season.ts']));
show('Sets spread over a season: ms, and how far from the cheapest', season);
const kernel = built('kernel', ['--expose-gc']);
show('A step by the integrator that is read and by the kernel', kernel.stepping);
show('Days by either, ms', kernel.days);
show('A day of twelve sessions', kernel.twelve);
const need = built('need');
show('Cooling need of both axles, ways to it and the fastest plan: session runs and ms', need);
const browser = last(run(['--import', 'tsx', 'bench/browser.ts']));
show('In headless Chromium: control moved to new verdict on screen, and the first page', browser, 1);
const stranger = last(run(['--import', 'tsx', 'bench/firstHour.ts']));
show(
  'A stranger’s way to a verdict on an own car, keyboard alone; every page on a phone in both themes',
  stranger,
);
const deciding = last(run(['--import', 'tsx', 'bench/deciding.ts']));
show(
  'In headless Chromium: uncertain runs on one core and on two, six setups compared, the whole ladder',
  deciding,
);
const calibrating = last(run(['--import', 'tsx', 'bench/calibrating.ts']));
show('In headless Chromium: calibrations of four readings, of a session, of a logged drive', calibrating);

if (json) {
  console.log(
    JSON.stringify(
      {
        machine: cpus()[0].model,
        node: process.version,
        ...node,
        files,
        kernel,
        need,
        season,
        browser,
        stranger,
        deciding,
        calibrating,
      },
      null,
      2,
    ),
  );
}
