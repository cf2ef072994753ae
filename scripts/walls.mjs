// What no package checks: where factors of conversion may stand, where sentences may, how long a file may be.

import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** Lines of a file; over it, it usually has two reasons to change. Lists of data are as long as they are. */
const MOST_LINES = 300;
const LISTS = /^src\/model\/(catalogue|schema)\//;

/** Every source file that is ours and no test. */
const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', 'src'], {
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => /\.tsx?$/.test(file) && !/\.test\.ts$/.test(file));
const complaints = [];

// Results stay SI until a quantity shows them: its list has the only factors.
const FACTOR = /(?:[*/] ?(?:3\.6|1e4|1e5)\b|\b(?:3\.6|1e4|1e5) \*|1e-5\b|273\.15|1609\.344)/;
/** The list itself; natural constants; units that files of others come in. */
const KNOWS_UNITS = /^src\/(model\/quantity|core\/|io\/logs\/logUnits)/;
for (const file of files) {
  if (KNOWS_UNITS.test(file)) continue;
  readFileSync(file, 'utf8')
    .split('\n')
    .forEach((line, i) => {
      if (/^\s*(\/\/|\*|\/\*)/.test(line)) return;
      if (FACTOR.test(line))
        complaints.push(`${file}:${i + 1}: converts by hand; quantities do: ${line.trim()}`);
    });
}

for (const file of files) {
  const lines = readFileSync(file, 'utf8').split('\n').length - 1;
  if (lines > MOST_LINES && !LISTS.test(file))
    complaints.push(`${file}: ${lines} lines, at most ${MOST_LINES}`);
}

for (const complaint of complaints) console.log(complaint);
process.exit(complaints.length > 0 ? 1 : 0);
