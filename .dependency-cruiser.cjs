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
    {
      name: 'project-through-its-door',
      comment: 'everything else imports project from its index only',
      severity: 'error',
      from: { path: '^(src/(?!project/)|demo/|bench/)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/project/', pathNot: '^src/project/index\\.ts$' },
    },
    {
      name: 'files-through-its-door',
      comment: 'everything else imports files from its index only',
      severity: 'error',
      from: { path: '^(src/(?!files/)|demo/|bench/)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/files/', pathNot: '^src/files/index\\.ts$' },
    },
    {
      name: 'decide-through-its-door',
      comment: 'everything else imports decide from its index only',
      severity: 'error',
      from: { path: '^(src/(?!decide/)|demo/|bench/)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/decide/', pathNot: '^src/decide/index\\.ts$' },
    },
    layer('project', ['core']),
    layer('decide', ['project', 'core']),
    layer('storage', ['project', 'core']),
    layer('files', ['project', 'core']),
    layer('workers', ['files', 'decide', 'storage', 'project', 'core']),
    layer('server', ['project', 'core', 'demo']),
    layer('cli', ['project', 'core', 'demo']),
    layer('app', ['workers', 'decide', 'storage', 'files', 'project', 'core', 'demo']),
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
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
