const letThrough = [
  '(jest-)?react-native',
  '@react-native',
  'expo',
  '@expo',
  'react-redux',
  '@reduxjs/toolkit',
  'immer',
  'reselect',
  'redux',
  'redux-thunk',
  'dexie',
  'comlink',
  'clipper2-ts',
  'earcut',
  'three',
  'flatbush',
  'flatqueue',
  'polylabel',
  'tinyqueue',
  'robust-predicates',
  'ml-',
  'is-any-array',
  'papaparse',
];

/** A fresh checkout compiles a thousand modules before its first test: this compiler takes a twentieth of the time of the bundler’s, which the build uses. */
const compiled = (parser) => [
  '@swc/jest',
  {
    jsc: { target: 'es2022', parser, transform: { react: { runtime: 'automatic' } } },
    module: { type: 'commonjs' },
  },
];

module.exports = {
  displayName: 'client',
  preset: 'jest-expo/web',
  testMatch: ['<rootDir>/tests/**/*.test.ts?(x)'],
  transform: {
    '\\.ts$': compiled({ syntax: 'typescript' }),
    '\\.tsx$': compiled({ syntax: 'typescript', tsx: true }),
    '\\.jsx?$': compiled({ syntax: 'ecmascript', jsx: true }),
  },
  // as the bundler has it for the web
  moduleNameMapper: { '^react-native$': 'react-native-web' },
  setupFiles: ['fake-indexeddb/auto', '<rootDir>/tests/setup.js'],
  transformIgnorePatterns: [`node_modules/(?!(${letThrough.join('|')}))`],
};
