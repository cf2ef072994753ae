import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { type CheckFigure, VALIDATION_FILE } from '../tests/support/validation';

/** Runs the unit tests and writes the figures of their outside checks into docs/validation.md. */
rmSync(VALIDATION_FILE, { force: true });
const run = spawnSync('node_modules/.bin/vitest', ['run'], {
  stdio: ['ignore', 'ignore', 'inherit'],
  env: { ...process.env, VALIDATION: '1' },
});
if (run.status !== 0) {
  console.error('The tests do not pass; docs/validation.md was not written.');
  process.exit(1);
}
const figures = readFileSync(VALIDATION_FILE, 'utf8')
  .trim()
  .split('\n')
  .map((line) => JSON.parse(line) as CheckFigure);
const rank = (id: string) => Number.parseInt(id, 10) || 1000;
figures.sort((a, b) => rank(a.id) - rank(b.id) || a.id.localeCompare(b.id) || a.what.localeCompare(b.what));
const number = (value: number) =>
  value !== 0 && Math.abs(value) < 0.001 ? value.toExponential(1) : String(Number(value.toPrecision(5)));
/** How far off a figure said to be "about" or "near" may be and still be called inside. */
const ABOUT = 0.25;

/** Whether a figure lies in what was expected; null where a single figure was, and the difference says it. */
function inside({ expected, computed }: CheckFigure): boolean | null {
  const text = expected.replaceAll('−', '-');
  const [a = Number.NaN, b = Number.NaN] = (text.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
  if (/ to /.test(text) && !/up to/.test(text)) return computed >= a && computed <= b;
  if (/^under/.test(text)) return Math.abs(computed) < a;
  if (/^over/.test(text)) return computed > a;
  if (/^up to/.test(text)) return computed <= a;
  if (/^(about|near)/.test(text)) return Math.abs(computed / a - 1) <= ABOUT;
  return null;
}

const verdict = (figure: CheckFigure): string => {
  const within = inside(figure);
  if (within === null) return number(figure.computed - Number.parseFloat(figure.expected.replace('−', '-')));
  return within ? 'inside' : '**outside**';
};

/** Where a figure belongs: an outside check, a relation of our own, or only plausible. */
const kindOf = ({ source }: CheckFigure): 'outside' | 'own' | 'plausible' => {
  if (/common practice/.test(source)) return 'plausible';
  return /^(own requirement|conservation|the prediction itself|worked by hand|the range itself|closed form)/.test(
    source,
  )
    ? 'own'
    : 'outside';
};

const table = (kind: ReturnType<typeof kindOf>): string => {
  const rows = figures
    .filter((figure) => kindOf(figure) === kind)
    .map(
      (f) =>
        `| ${f.id} | ${f.what} | ${f.expected} ${f.unit} | ${number(f.computed)} ${f.unit} | ${verdict(f)} | ${f.source} |`,
    );
  return `| check | what | expected | computed | difference, or where it lies | source |\n|---|---|---|---|---|---|\n${rows.join('\n')}`;
};
const outOfRange = figures.filter((figure) => inside(figure) === false);

writeFileSync(
  'docs/validation.md',
  `# Agreement with the outside world

Written by \`npm run validation\` from the unit tests, which fail when a figure leaves its bounds. (m) = repeated from memory. A figure
that lies outside what was expected is called so, with the reason below; no bound was widened and no correlation bent for it.

## Outside checks: published values, reference libraries, other solvers

${table('outside')}

Check 17 integrates what \`kettle network\` prints; 21 are constants, compared in \`src/core/air/air.test.ts\`.

## Own relations: conservation, closed forms, what must come back

${table('own')}

Relations that must always hold are property tests (\`src/core/run/session.test.ts\`, \`day.test.ts\`, \`run.test.ts\`): more mass, speed, grip
used or laps never cool a rotor; more duct never heats one and never drags less; wetter fluid never boils later; a thicker pad never heats
the fluid; no brake power ends at ambient; equal axles and sides are equal, mirrored circuits mirror them; energy over the corners equals
brake work; a lap ends as fast as it starts; a list of braking zones keeps its lap's energies; where the start line lies changes nothing;
any schedule from any start keeps its energy, and driven in two halves it is the whole; units and files come back unchanged; every number
that can be typed moves a result.

## Plausibility: common practice, no proof

"About" and "near" are taken as ±${100 * ABOUT} %.

${table('plausible')}

Check 30 is for a coupe of 1.3 to 1.5 t with 30 to 45 kW mean brake power. The Tarn of the demo has 1.04 t and smaller rotors, so its heat
per front brake is compared: 30 to 45 kW × 0.65 ÷ 2 = 9.8 to 14.6 kW. The circuit is Long Fen, the ordinary one of the three; Anvil Park
is made to overwork it. Check 28 drives the Tarn at a quarter of its forces for the road.

## Outside its range, and why

${outOfRange.length === 0 ? 'Nothing.' : outOfRange.map((f) => `- ${f.id}, ${f.what}: ${number(f.computed)} ${f.unit} where ${f.expected} ${f.unit} was expected.`).join('\n')}

Check 27 is of a single-seater of about 5 g; the Skarn is a prototype with invented ducts at an invented circuit, brakes at under 4 g and
keeps its discs warmer along the straight. Check 29 compares better pads and rotors of a loaded utility vehicle: the trend and its order
are right, the size is not, and why is not known. Check 28: edges that lose heat bring the ridden disc just
under the range. Check 30: heat enters the fluid by natural convection on the pistons' ends, so that its
mean stays under the range of an ordinary track car; its wetted wall, which is judged beside it, lies inside.
`,
);
console.log(`docs/validation.md: ${figures.length} figures, ${outOfRange.length} outside their range`);
