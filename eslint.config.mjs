import js from '@eslint/js';
import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import { noTableByText } from './scripts/no-table-by-text.mjs';

/** Which imports each part of the house may not make; the whole direction is checked by dependency-cruiser too. */
const forbid = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
const interfaces = ['react', 'react-native*', 'expo*', '@reduxjs/*', 'express', 'typeorm', 'node:*', 'fs', 'path'];

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/.expo/**',
      '**/.parts/**',
      '.postgres/**',
      '.state/**',
      'test-results/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['apps/client/**/*.{ts,tsx}'],
    extends: [expo],
    // the compiler tells all three; the rules parse every package again to do so
    rules: {
      ...{ 'import/namespace': 'off', 'import/no-unresolved': 'off', 'import/export': 'off' },
      ...{ 'import/no-named-as-default': 'off', 'import/no-named-as-default-member': 'off' },
    },
  },
  {
    files: ['**/*.{js,cjs,mjs}', '**/scripts/**', '**/*.config.*'],
    languageOptions: {
      globals: {
        require: 'readonly',
        module: 'writable',
        process: 'readonly',
        console: 'readonly',
        __dirname: 'readonly',
      },
    },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  { files: ['packages/core/src/**'], rules: forbid('@velvet-tape/*', ...interfaces) },
  {
    files: ['packages/formats/src/**'],
    rules: forbid('@velvet-tape/contract', '@velvet-tape/server', '@velvet-tape/client', ...interfaces),
  },
  {
    files: ['packages/contract/src/**'],
    rules: forbid('@velvet-tape/formats', '@velvet-tape/server', '@velvet-tape/client', ...interfaces),
  },
  { files: ['apps/server/src/**'], rules: forbid('@velvet-tape/client', 'react', 'react-native*', 'expo*') },
  { files: ['apps/client/{src,app}/**'], rules: forbid('@velvet-tape/server', 'express', 'typeorm', 'pg', 'node:*') },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  // what only the types tell
  {
    files: ['packages/*/src/**/*.ts', 'apps/server/src/**/*.ts', 'apps/client/{src,app}/**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { house: { rules: { 'no-table-by-text': noTableByText } } },
    rules: {
      'house/no-table-by-text': 'error',
      // “in” also finds what every object has by nature
      'no-restricted-syntax': [
        'error',
        {
          selector: "BinaryExpression[operator='in'][left.type!='Literal'][left.type!='PrivateIdentifier']",
          message: 'Use Object.hasOwn: “in” also finds what every object has by nature.',
        },
      ],
    },
  },
  // what stands in space is no element of a page: it has properties of its own
  { files: ['apps/client/src/features/plan/views/space/**'], rules: { 'react/no-unknown-property': 'off' } },
  // a test fixture without dependencies is written ({}, use)
  { files: ['e2e/**'], rules: { 'no-empty-pattern': 'off' } },
  prettier,
);
