// What no package checks: where factors of conversion may stand, where sentences may, how long a file may be.

import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { parseSync } from '@swc/core';

/** Lines of a file; over it, it usually has two reasons to change. */
const MOST_LINES = 300;

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
  if (lines > MOST_LINES) complaints.push(`${file}: ${lines} lines, at most ${MOST_LINES}`);
}

// A sentence stands in src/text: a text that ends in a full stop or has more than six words. Labels of fields, columns
// and buttons stand with what they name.
const words = (text) => text.match(/[A-Za-z’]{2,}/g)?.length ?? 0;
const isSentence = (text) =>
  /[a-z]{2,} [a-z]/.test(text) && (words(text) > 6 || (words(text) > 2 && /[.?!](\s|$)/.test(text)));
/** Lists whose entry is one thing with its words: the published schema, the shelf, the parameters, the limits. */
const ENTRIES =
  /^src\/(text\/|model\/(schema|catalogue|parameters|guided)\/|core\/(study\/parameters|run\/limits)\.ts)/;
/** Core throws errors that name the argument and the need; who asked words them for the reader. */
const isFault = (node) => node.type === 'NewExpression' && /Error$/.test(node.callee.value ?? '');
/** What is drawn or styled, not read. */
const isDrawing = (text) => /(^|[\s:])(flex|grid|text-|bg-|border|mt-|px-|color-mix|oklch)/.test(text);

function sentencesOf(node, inCore, found) {
  if (Array.isArray(node)) for (const each of node) sentencesOf(each, inCore, found);
  if (node === null || typeof node !== 'object' || Array.isArray(node)) return;
  if (node.type === 'ImportDeclaration' || /^Ts/.test(node.type ?? '')) return;
  if (inCore && (isFault(node) || node.type === 'ClassDeclaration')) return;
  if (node.type === 'JSXAttribute' && /^(className|d|transform)$/.test(node.name.value)) return;
  const text =
    node.type === 'StringLiteral'
      ? node.value
      : node.type === 'TemplateLiteral'
        ? node.quasis.map((quasi) => quasi.cooked ?? quasi.raw).join('…')
        : node.type === 'JSXElement' || node.type === 'JSXFragment'
          ? node.children.map((child) => (child.type === 'JSXText' ? child.value : '…')).join(' ')
          : '';
  const plain = text.replace(/\s+/g, ' ').trim();
  if (isSentence(plain) && !isDrawing(plain)) found.push(plain);
  for (const value of Object.values(node)) sentencesOf(value, inCore, found);
}
for (const file of files) {
  if (ENTRIES.test(file)) continue;
  const tree = parseSync(readFileSync(file, 'utf8'), { syntax: 'typescript', tsx: file.endsWith('x') });
  const found = [];
  sentencesOf(tree.body, file.startsWith('src/core/'), found);
  for (const text of found) complaints.push(`${file}: a sentence outside src/text: “${text.slice(0, 90)}”`);
}

for (const complaint of complaints) console.log(complaint);
process.exit(complaints.length > 0 ? 1 : 0);
