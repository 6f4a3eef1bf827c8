/**
 * The floors of core, low to high: a folder imports, types included, only from those before it. Someone new finds a
 * thing by asking what it must already know.
 */
const FLOORS = [
  ['words', 'reduction', 'motor'],
  ['plan'],
  ['bench'],
  ['protection', 'signal', 'pack', 'load'],
  ['controller', 'stepper', 'servo', 'figures'],
  ['powerpath'],
  ['worked', 'drawing'],
  ['job'],
  ['resolve', 'terms', 'edits', 'wiring'],
  ['motion'],
  ['duty'],
  ['limits'],
  ['machine'],
  ['evaluate'],
  ['match'],
  ['sizing', 'spread', 'wants'],
  ['corrected', 'traced', 'rig'],
  ['robot'],
  ['order', 'cards', 'harness', 'pit'],
  ['diary'],
  ['mends'],
  ['compare'],
  ['shortlist', 'reasons'],
  ['robotMends', 'robotChoice'],
];

/** One rule a folder: nothing from its own floor but itself, and nothing from above. */
const floorRules = FLOORS.flatMap((floor, height) =>
  floor.map((folder) => {
    const beyond = FLOORS.slice(height)
      .flat()
      .filter((other) => other !== folder);
    return {
      name: `core-floor-of-${folder}`,
      comment: `${folder} stands below or beside what it imports here: see FLOORS.`,
      severity: 'error',
      from: { path: `^core/src/${folder}/` },
      to: { path: `^core/src/(${[...beyond, 'index\\.ts'].join('|')})(/|$)` },
    };
  }),
);

/** Imports run one way: core ← contract ← server, web, cli. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-nothing-outside-itself',
      comment: 'But packages that only reckon: neither a page nor Node is known to them.',
      severity: 'error',
      from: { path: '^core/src' },
      to: { pathNot: '^core/src|^node_modules/(yalps|ml-matrix|ml-levenberg-marquardt)/' },
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
    ...floorRules,
    {
      name: 'every-folder-of-core-has-its-floor',
      severity: 'error',
      from: { path: '^core/src/' },
      to: { path: '^core/src/[^/]+/', pathNot: `^core/src/(${FLOORS.flat().join('|')})/` },
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
