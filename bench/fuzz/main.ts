import { DOORS, type Outcome } from './doors';
import { Chance } from './mutate';

/** Seeded cases over every way into the program: `npm run fuzz -- [CASES] [SEED]`; prints a table, exits with 1 where one broke. */
const CASES = Number(process.argv[2] ?? 100_000);
const SEED = Number(process.argv[3] ?? 1);
/** What a case may take, s and bytes. */
const LONGEST = 5;
const LARGEST = 600e6;

interface Row {
  cases: number;
  taken: number;
  refused: number;
  broke: string[];
  slow: string[];
  large: string[];
  longest: number;
}

const memory = () => process.memoryUsage().rss;

async function one(row: Row, name: string, give: () => Promise<Outcome> | Outcome): Promise<void> {
  const [before, start] = [memory(), performance.now()];
  try {
    row[await give()] += 1;
  } catch (error) {
    row.broke.push(`${name}: ${(error as Error).stack?.split('\n').slice(0, 3).join(' ') ?? String(error)}`);
  }
  const took = (performance.now() - start) / 1000;
  row.cases += 1;
  row.longest = Math.max(row.longest, took);
  if (took > LONGEST) row.slow.push(`${name}: ${took.toFixed(1)} s`);
  const grown = memory() - before;
  if (grown > LARGEST) row.large.push(`${name}: ${(grown / 1e6).toFixed(0)} MB`);
}

let broken = false;
const lines = [
  '| door | cases | taken | refused in words | broke | over 5 s | over 600 MB | longest |',
  '|---|---|---|---|---|---|---|---|',
];
const found: string[] = [];
for (const [k, door] of DOORS.entries()) {
  const row: Row = { cases: 0, taken: 0, refused: 0, broke: [], slow: [], large: [], longest: 0 };
  for (const [name, give] of door.made ?? []) await one(row, `${door.name}, ${name}`, give);
  const count = Math.round(door.share * CASES);
  for (let i = 0; i < count; i++) {
    // Each case by itself can be had again from its seed.
    const seed = SEED * 1_000_003 + k * 10_007 + i * 101;
    await one(row, `${door.name}, seed ${seed}`, () => door.give(new Chance(seed)));
  }
  const { broke, slow, large } = row;
  broken ||= broke.length + slow.length + large.length > 0;
  found.push(...[...broke, ...slow, ...large].slice(0, 12));
  const line = `| ${door.name} | ${row.cases} | ${row.taken} | ${row.refused} | ${broke.length} | ${slow.length} | ${large.length} | ${(1000 * row.longest).toFixed(0)} ms |`;
  lines.push(line);
  console.error(line);
}
console.log(lines.join('\n'));
console.log(`\nLargest the process was: ${(process.resourceUsage().maxRSS / 1000).toFixed(0)} MB`);
for (const line of found) console.log(line);
process.exitCode = broken ? 1 : 0;
