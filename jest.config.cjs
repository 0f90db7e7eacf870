/** Compiles TypeScript and the ES modules of packages alike; decorators as the server's entities need them. */
const SWC = {
  jsc: {
    target: 'es2022',
    parser: { syntax: 'typescript', decorators: true, tsx: false },
    transform: { legacyDecorator: true, decoratorMetadata: false },
  },
  module: { type: 'commonjs' },
};
const esm =
  'clipper2-ts|earcut|suncalc|@gltf-transform|property-graph|fast-png|iobuffer|gl-matrix|flatbush|flatqueue|polylabel|tinyqueue|robust-predicates|ml-[\\w-]+|is-any-array|papaparse|@asteasolutions|openapi3-ts|p-limit|yocto-queue|@seriousme|jsts';
const inNode = (name, root) => ({
  displayName: name,
  rootDir: root,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/tests/**/*.test.ts'],
  globalSetup: require.resolve('./scripts/build-tests.cjs'),
  transform: { '\\.(ts|js|mjs)$': [require.resolve('./scripts/built-test.cjs'), SWC] },
  transformIgnorePatterns: [`node_modules/(?!(${esm})/)`],
});

module.exports = {
  // the service's tests start threads, and machines are shared
  testTimeout: 60_000,
  // a core for each: the usual one fewer leaves half of a small machine idle
  maxWorkers: '100%',
  projects: [
    inNode('core', 'packages/core'),
    inNode('formats', 'packages/formats'),
    inNode('contract', 'packages/contract'),
    inNode('server', 'apps/server'),
    '<rootDir>/apps/client',
  ],
};
