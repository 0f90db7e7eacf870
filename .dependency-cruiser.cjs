/** Imports point one way: apps → contract, formats → core. */
module.exports = {
  forbidden: [
    // types come before the program is put together: they make no cycle
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-imports-no-other-part',
      severity: 'error',
      from: { path: '^packages/core/src' },
      to: { path: '^(packages/(?!core)|apps|e2e)' },
    },
    {
      name: 'formats-import-only-core',
      severity: 'error',
      from: { path: '^packages/formats/src' },
      to: { path: '^(packages/contract|apps|e2e)' },
    },
    {
      name: 'contract-imports-only-core',
      severity: 'error',
      from: { path: '^packages/contract/src' },
      to: { path: '^(packages/formats|apps|e2e)' },
    },
    { name: 'apps-keep-apart', severity: 'error', from: { path: '^apps/client' }, to: { path: '^apps/server' } },
    { name: 'server-without-client', severity: 'error', from: { path: '^apps/server' }, to: { path: '^apps/client' } },
    {
      name: 'nothing-from-tests',
      severity: 'error',
      from: { path: '/src/' },
      to: { path: '(/tests/|/bench/|/trials/|^e2e)' },
    },
    {
      name: 'all-resolve',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(expo|react-native|ml-matrix/src/)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules|\\.expo|test-results)/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
