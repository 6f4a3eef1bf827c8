/**
 * The rooms of core, low to high: a room imports, types included, only from itself and those before it. Someone new finds a
 * thing by asking what it must already know.
 */
const ROOMS = ['plan', 'models', 'path', 'judge', 'bench', 'match', 'choose', 'workshop', 'verdict'];

/** One rule a room: nothing from above, and nothing by way of the table of contents. */
const roomRules = ROOMS.map((room, height) => ({
  name: `core-room-${room}`,
  comment: `${room} stands below what it imports here: see ROOMS.`,
  severity: 'error',
  from: { path: `^core/src/${room}/` },
  to: { path: `^core/src/(${[...ROOMS.slice(height + 1), 'index\\.ts'].join('|')})(/|$)` },
}));

/** Imports run one way: core ← contract ← server, web, cli. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-outside-itself',
      comment: 'But packages that only reckon: neither a page nor Node is known to them.',
      severity: 'error',
      from: { path: '^core/src' },
      to: { pathNot: '^core/src|^node_modules/(highs|ml-matrix|ml-levenberg-marquardt)/' },
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
    {
      name: 'the-edge-of-the-server-knows-no-store',
      comment: 'An error says itself how it is answered: see server/src/answered.ts.',
      severity: 'error',
      from: { path: '^server/src/http/' },
      to: { path: '^server/src/(?!http/|answered\\.ts|read\\.ts)' },
    },
    { name: 'web-needs-no-node', severity: 'error', from: { path: '^web/src' }, to: { dependencyTypes: ['core'] } },
    {
      name: 'charts-and-formulas-load-when-first-shown',
      severity: 'error',
      from: { path: '^web/src', pathNot: '^web/src/components/charts/EChart\\.ts$' },
      to: { path: 'node_modules/(vue-echarts|echarts)/', dependencyTypesNot: ['type-only'], dynamic: false },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      // Circles of types count too: who reads one file of a circle must read them all.
      to: { circular: true },
    },
    ...roomRules,
    {
      name: 'every-folder-of-core-is-a-room',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^core/src/[^/]+/', pathNot: `^core/src/(${ROOMS.join('|')})/` },
    },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\.(css)$|^vite/client$|/dist/' },
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
