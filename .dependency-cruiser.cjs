/** Imports run one way: core ← contract ← server, web, cli. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-outside-itself',
      severity: 'error',
      from: { path: '^core/src' },
      to: { pathNot: '^core/src' },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: { path: '^contract/src' },
      to: { path: '^(cli|server|web|e2e)/' },
    },
    {
      name: 'cli-server-and-web-do-not-know-each-other',
      severity: 'error',
      from: { path: '^(cli|server|web)/src' },
      to: { path: '^(cli|server|web|e2e)/', pathNot: '^$1/' },
    },
    { name: 'web-needs-no-node', severity: 'error', from: { path: '^web/src' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'charts-and-formulas-load-when-first-shown',
      severity: 'error',
      from: { path: '^web/src', pathNot: '^web/src/components/EChart\\.ts$' },
      to: { path: 'node_modules/(vue-echarts|echarts)/', dependencyTypesNot: ['type-only'], dynamic: false },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\.(css)$|^vite/client$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.js', '.vue', '.mjs', '.css'],
    },
  },
};
