/** Imports point one way: web → contract → core ← server → contract. */
const only = (name, from, to, comment) => ({
  name,
  severity: 'error',
  comment,
  from: { path: from },
  to: { path: '^(core|contract|server|web|demo|stand-ins|e2e|bench|scripts)/', pathNot: to },
});

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('core-stands-alone', '^core/', '^core/', 'core imports nothing of ours'),
    {
      name: 'core-does-no-io',
      severity: 'error',
      comment: 'core computes from its arguments alone; zod says what the figures it takes look like',
      from: { path: '^core/src', pathNot: '(\\.test\\.ts$|/testing/)' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'npm-no-pkg', 'core'],
        pathNot: 'node_modules/(zod|date-fns|@date-fns)/',
      },
    },
    only('contract-sees-core', '^contract/', '^(contract|core)/', 'the wire is described in terms of core'),
    only(
      'server-sees-contract-and-core',
      '^server/',
      '^(server|contract|core|stand-ins)/|^demo/|^scripts/',
      'tests of the server load the demo world',
    ),
    {
      name: 'server-code-is-free-of-demo',
      severity: 'error',
      from: { path: '^server/src', pathNot: '(\\.test\\.ts$|/testing/)' },
      to: { path: '^(demo|scripts)/' },
    },
    only(
      'web-sees-contract-and-core',
      '^web/',
      '^(web|contract|core)/|^stand-ins/src/measuring-device',
      'the browser knows the server by the contract alone; what is plugged into the counter is read there',
    ),
    only('stand-ins-stand-alone', '^stand-ins/', '^stand-ins/', 'a stand-in is replaced as a whole'),
    only('demo-sees-contract-and-core', '^demo/', '^(demo|contract|core)/', 'the world is data'),
    {
      name: 'ground-knows-no-subject',
      severity: 'error',
      comment: 'what every subject of the page stands on knows none of them',
      from: { path: '^web/src/(wire|settings|drawing|keys|controls|measuring)/' },
      to: { path: '^web/src/', pathNot: '^web/src/(wire|settings|drawing|keys|controls|measuring|testing)/' },
    },
    {
      name: 'shell-stands-on-top',
      severity: 'error',
      from: { path: '^web/src/', pathNot: '^web/src/(shell/|main\\.tsx)' },
      to: { path: '^web/src/shell/' },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: [
          '\\.(config|test)\\.[cm]?[jt]sx?$',
          '^web/src/testing/',
          '^scripts/',
          '^bench/',
          '^e2e/',
          '(^|/)\\.',
          '\\.d\\.ts$',
          '\\.css$',
        ],
      },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
