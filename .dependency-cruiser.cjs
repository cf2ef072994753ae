/** The layers and what each may import. Checked by `npm test`. */
const layer = (name, allowed) => ({
  name: `${name}-keeps-its-place`,
  comment: `src/${name} may import only ${[name, ...allowed].join(', ')} (and packages, unless it is core)`,
  severity: 'error',
  from: { path: `^src/${name}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^(src|demo|bench|tests|scripts)/',
    pathNot: `^(${[name, ...allowed].map((l) => (l === 'demo' ? 'demo' : `src/${l}`)).join('|')})/`,
  },
});

/** What every room says, in a file a room that imports nothing; only core, which says nothing, may not have it. */
const SAY = 'text/en/say';

const throughItsDoor = (room) => ({
  name: `${room.replace('/', '-')}-through-its-door`,
  comment: `everything else imports src/${room} from its index only`,
  severity: 'error',
  from: { path: `^(src/(?!${room}/)|demo/|bench/)`, pathNot: '\\.test\\.ts$' },
  to: { path: `^src/${room}/`, pathNot: `^src/${room}/(index\\.ts$|say/)` },
});

module.exports = {
  forbidden: [
    {
      name: 'core-is-pure',
      comment: 'core imports nothing but core: no packages, no Node, no DOM',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^src/core/' },
    },
    {
      name: 'core-through-its-door',
      comment: 'everything else imports core from its index only',
      severity: 'error',
      from: { path: '^(src/(?!core/)|demo/|bench/)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/', pathNot: '^src/core/index\\.ts$' },
    },
    ...['model', 'io', 'services', 'text/en', 'report', 'compute', 'storage'].map(throughItsDoor),
    layer('model', ['core', SAY]),
    layer('io', ['model', 'core', SAY]),
    layer('services', ['io', 'model', 'core', SAY]),
    layer('text', ['services', 'io', 'model', 'core']),
    layer('report', ['text', 'services', 'model', 'core']),
    layer('storage', ['io', 'model', 'core', SAY]),
    layer('compute', ['services', 'io', 'storage', 'text', 'model', 'core']),
    layer('server', ['io', 'text', 'model', 'core', 'demo']),
    layer('cli', ['report', 'text', 'services', 'io', 'model', 'core', 'demo']),
    layer('app', ['compute', 'report', 'text', 'services', 'storage', 'io', 'model', 'core', 'demo']),
    {
      name: 'pages-stand-alone',
      comment: 'a page never imports another page: what two need is shared or state',
      severity: 'error',
      from: { path: '^src/app/pages/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/app/pages/', pathNot: '^src/app/pages/$1/' },
    },
    {
      name: 'ui-knows-no-domain',
      comment: 'app/ui is made of fields, tabs, tables and charts that know nothing of brakes',
      severity: 'error',
      from: { path: '^src/app/ui/' },
      to: { path: '^(src|demo|bench)/', pathNot: '^src/(app/ui/|text/en/say/ui\\.ts$)' },
    },
    {
      name: 'pages-on-top',
      comment: 'what pages share does not know them',
      severity: 'error',
      from: { path: '^src/app/(ui|shared|state|shell)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/app/pages/' },
    },
    {
      name: 'say-imports-nothing',
      comment: 'sentences are words with places for figures that are already text',
      severity: 'error',
      from: { path: '^src/text/en/say/' },
      to: { path: '.' },
    },
    {
      name: 'pages-say-their-own',
      severity: 'error',
      from: { path: '^src/app/(?:pages/)?([^/]+)/' },
      to: { path: '^src/text/en/say/', pathNot: '^src/text/en/say/$1\\.ts$' },
    },
    {
      name: 'rooms-say-their-own',
      severity: 'error',
      from: { path: '^src/(model|io|services|storage|compute|server|cli)/' },
      to: { path: '^src/text/en/say/', pathNot: '^src/text/en/say/$1\\.ts$' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '[?]url$' } },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'browser', 'require', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json', '.css'],
    },
  },
};
