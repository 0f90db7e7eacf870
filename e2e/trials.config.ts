import { defineConfig } from '@playwright/test';
import { CHROMIUM, WIDE } from './browser';
import { builtCore } from './built-core';

/** What is promised of the page for all moments: npm run trials -- pagekills [--count=N --seed=N] */
export default defineConfig<{ fresh: boolean }>({
  ...builtCore(),
  testDir: 'trials',
  timeout: 3_600_000,
  expect: { timeout: 20_000 },
  workers: 1,
  outputDir: '../test-results',
  globalSetup: './cluster.ts',
  use: { ...CHROMIUM, ...WIDE, fresh: true, actionTimeout: 20_000 },
});
