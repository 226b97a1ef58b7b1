/** Dependencies point one way: contract ← core ← files ← compute ← server, web; neither app imports the other. */
const test = '\\.(test|spec)\\.|\\.test\\.kit\\.';
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: from, pathNot: test },
  to: { path: '^(packages|apps|demo|tools|e2e)/', pathNot: [from, ...allowed] },
});

module.exports = {
  forbidden: [
    only('contract-stands-alone', '^packages/contract/', []),
    only('core-knows-contract', '^packages/core/', ['^packages/contract/']),
    only('files-know-core', '^packages/files/', ['^packages/(contract|core)/']),
    only('compute-knows-core-and-files', '^packages/compute/', ['^packages/(contract|core|files)/']),
    only('demo-knows-core', '^demo/', ['^packages/(contract|core)/']),
    only('web-knows-packages', '^apps/web/', ['^packages/']),
    only('server-knows-packages-and-demo', '^apps/server/src/', ['^packages/', '^demo/']),
    {
      name: 'core-has-no-outside',
      comment: 'No files, network, process or DOM in core; beyond contract only small pure libraries.',
      severity: 'error',
      from: { path: '^packages/core/', pathNot: test },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-libraries',
      severity: 'error',
      from: { path: '^packages/core/', pathNot: test },
      to: {
        path: 'node_modules',
        pathNot:
          'node_modules/(@types/)?(jstat|suncalc|polygon-clipping|date-fns|@date-fns/tz|fastest-levenshtein|ml-matrix)/',
      },
    },
    {
      name: 'sql-only-in-store',
      severity: 'error',
      from: { path: '^apps/server/src/', pathNot: ['^apps/server/src/(store/|app\\.ts)', test] },
      to: { path: 'node_modules/(kysely|pg)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|\\.tsbuild)/' },
    tsPreCompilationDeps: true,
    moduleSystems: ['es6'],
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
  },
};
