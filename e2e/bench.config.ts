import { defineConfig } from '@playwright/test';
import { CHROMIUM, WIDE } from './browser';
import { builtCore } from './built-core';

/** Times in the real browser on a floor of 100 rooms: npm run bench:browser */
export default defineConfig<{ fresh: boolean }>({
  ...builtCore(),
  testDir: 'bench',
  timeout: 300_000,
  workers: 1,
  outputDir: '../test-results',
  globalSetup: './cluster.ts',
  use: { ...CHROMIUM, ...WIDE, fresh: true, actionTimeout: 60_000 },
});
