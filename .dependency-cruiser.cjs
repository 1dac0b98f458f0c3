/** The arrows: core <- web, core <- server; e2e drives the whole from outside; views do not know each other. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-knows-nobody',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^(web|server|e2e|demo)/' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment: 'No Angular, no DOM libraries, no Node modules in the core.',
      from: { path: '^core/src', pathNot: '\\.spec\\.ts$' },
      to: {
        pathNot:
          '^(core/src|node_modules/(joi|highs|numeric-quantity|htmlparser2|minisearch|papaparse|json5|fastest-levenshtein|@types/papaparse)/)',
      },
    },
    {
      name: 'solver-comes-in-from-outside',
      severity: 'error',
      comment: 'A page solves in a worker with a solver of its own; only the entry for Node brings one.',
      from: { path: '^core/src', pathNot: '^core/src/(index|adapt/in-node)\\.ts$' },
      to: { path: 'node_modules/highs/|^core/src/adapt/in-node' },
    },
    {
      name: 'joi-stays-in-format',
      severity: 'error',
      comment: 'The first screen does without it.',
      from: { path: '^core/src', pathNot: '^core/src/format/' },
      to: { path: 'node_modules/joi/' },
    },
    { name: 'web-and-server-apart', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|e2e)/' } },
    {
      name: 'server-knows-no-web',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|e2e|core)/', pathNot: '^core/src/index' },
    },
    { name: 'e2e-from-outside', severity: 'error', from: { path: '^e2e/' }, to: { path: '^(web|server)/src' } },
    {
      name: 'views-apart',
      severity: 'error',
      comment: 'What two views share lives in ui, desk or data; the larder may take files in through the shelf.',
      from: { path: '^web/src/app/(shelf|bench|versions|compose|tins|day|counter|log|larder)/' },
      to: {
        path: '^web/src/app/(shelf|bench|versions|compose|tins|day|counter|log|larder)/',
        pathNot: ['^web/src/app/$1/', '^web/src/app/shelf/intake'],
      },
    },
    {
      name: 'data-knows-no-views',
      severity: 'error',
      from: { path: '^web/src/app/(data|compute|desk|devices|ui)/' },
      to: { path: '^web/src/app/(shelf|bench|versions|compose|tins|day|counter|log|larder)/' },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.(html|scss)$' },
  },
};
