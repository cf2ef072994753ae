// What others wrote and the program ships or is built with: read from the lock file. `--check` holds it to the licences that are allowed.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import satisfies from 'spdx-satisfies';

/** Licences under which something may be shipped: they ask for their notice and nothing else of the program. */
const SHIPPED = ['MIT', 'ISC', 'BSD-2-Clause', 'BSD-3-Clause', '0BSD', 'Apache-2.0', 'CC0-1.0', 'OFL-1.1'];
/** Under which something may be used to build and test, and is not shipped. */
const USED = [...SHIPPED, 'MPL-2.0', 'BlueOak-1.0.0', 'CC-BY-3.0', 'CC-BY-4.0'];
/** Packages whose data name no licence, by what their licence file says. */
const BY_THEIR_FILE = { jstat: ['MIT', /Permission is hereby granted, free of charge/] };
/** Shipped packages with no licence text of their own: their data name the licence, which is all there is to print. */
const NOTED = ['react-remove-scroll-bar', 'saxes', 'tiny-case', 'type-fest'];
/** Packages that may want a script of their own at install; none of them is run (scripts/bootstrap.mjs). */
const WITH_SCRIPTS = ['@swc/core', 'esbuild', 'fsevents'];

/** Packages of the lock file, each place once. */
function packages() {
  const { packages: all } = JSON.parse(readFileSync('package-lock.json', 'utf8'));
  return Object.entries(all)
    .filter(([place]) => place !== '')
    .map(([place, own]) => ({
      place,
      name: place.slice(place.lastIndexOf('node_modules/') + 'node_modules/'.length),
      ...own,
    }));
}

/** Texts of licence and notice that lie in a package. */
function texts(place) {
  if (!existsSync(place)) return [];
  return readdirSync(place)
    .filter((file) => /^(licen[cs]e|copying|notice)/i.test(file))
    .sort()
    .map((file) => readFileSync(join(place, file), 'utf8').trim());
}

function licenceOf({ name, place, license }) {
  if (license) return license;
  const [said, pattern] = BY_THEIR_FILE[name] ?? [];
  return said && texts(place).some((text) => pattern.test(text)) ? said : null;
}

/** Notices of everything that is shipped, the fonts too, as one text. */
export function noticesText() {
  const shipped = packages().filter(({ dev }) => !dev);
  const one = new Map(shipped.map((own) => [`${own.name} ${own.version}`, own]));
  const parts = [...one]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([title, own]) => [`${title} (${licenceOf(own)})`, ...texts(own.place)].join('\n\n'));
  const rule = `\n\n${'-'.repeat(72)}\n\n`;
  return `Fervent Kettle is built with what others wrote. Each part, its version, its licence:${rule}${parts.join(rule)}\n`;
}

function complaints() {
  return packages().flatMap((own) => {
    const { name, version, dev, resolved, hasInstallScript } = own;
    const licence = licenceOf(own);
    const list = [];
    if (!licence || !satisfies(licence, dev ? USED : SHIPPED))
      list.push(`${name} ${version}: its licence (${licence ?? 'none'}) is not among those allowed`);
    if (!dev && existsSync(own.place) && texts(own.place).length === 0 && !NOTED.includes(name))
      list.push(`${name} ${version}: no licence text lies in it`);
    if (resolved && !resolved.startsWith('https://registry.npmjs.org/'))
      list.push(`${name} ${version}: comes from ${resolved}`);
    if (hasInstallScript && !WITH_SCRIPTS.includes(name))
      list.push(`${name} ${version}: wants a script at install`);
    return list;
  });
}
if (process.argv[1] === fileURLToPath(import.meta.url)) {
  if (process.argv.includes('--check')) {
    const found = complaints();
    for (const line of found) console.log(line);
    process.exitCode = found.length === 0 ? 0 : 1;
  } else process.stdout.write(noticesText());
}
