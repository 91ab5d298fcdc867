/** From the ground up. What stands beside them (demo, tables, program) gathers all. */
const storeys = ['base', 'unit', 'numbers', 'show', 'yard'];
const above = (floor) => [...storeys.slice(floor + 1), 'demo', 'tables', 'program'].join('|');

/** The one-way imports: web → core, server → core; a capability is entered by its index. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^(server|web|demo|e2e|bench|tools)/' },
    },
    {
      name: 'core-has-no-node',
      severity: 'error',
      from: { path: '^core/src' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-uses-few-libraries',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: 'node_modules', pathNot: 'node_modules/(zod|date-fns)/' },
    },
    {
      name: 'server-not-web',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: '^(web|demo|e2e|bench|tools)/' },
    },
    {
      name: 'web-not-server',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^(server|demo|e2e|bench|tools)/' },
    },
    {
      name: 'core-rooms-by-their-index',
      comment: 'A capability is reached through its index.ts, never by its insides.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/([^/]+)/' },
      to: {
        path: '^core/src/',
        pathNot: ['^core/src/$1/$2/', '^core/src/[^/]+/[^/]+/index\\.ts$'],
      },
    },
    {
      name: 'core-by-its-rooms',
      severity: 'error',
      from: { path: '^(server|web)/src' },
      to: { path: '^core/', pathNot: '^core/src/[^/]+/[^/]+/index\\.ts$' },
    },
    {
      name: 'server-rooms-by-their-index',
      comment: 'Only the data source gathers the tables of all rooms.',
      severity: 'error',
      from: { path: '^server/src/(base|unit|numbers|show|yard)/([^/]+)/' },
      to: {
        path: '^server/src/[^/]+/',
        pathNot: ['^server/src/$1/$2/', '/index\\.ts$'],
      },
    },
    ...storeys.map((storey, floor) => ({
      name: `${storey}-stands-on-what-is-below`,
      comment: 'A storey uses those below it, in each of the three programs alike.',
      severity: 'error',
      from: { path: `^(core|server|web)/src/${storey}/` },
      to: { path: `^$1/src/(?:${above(floor)})/` },
    })),
    {
      name: 'not-to-undeclared',
      severity: 'error',
      from: {},
      to: {
        dependencyTypes: ['npm-no-pkg', 'npm-unknown', 'unknown', 'undetermined'],
        pathNot: ['^core/src/[^/]+/[^/]+/index\\.ts$', '^virtual:pwa-register$'],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.tools.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['@fair-gable/source', 'import', 'types', 'default'],
      extensions: ['.ts', '.js', '.mjs', '.vue', '.json'],
    },
  },
};
