import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './browser';
import { builtCore } from './built-core';

/** Takes the pictures of docs/screenshots from the demo data: npm run screenshots */
export default defineConfig({
  ...builtCore(),
  testDir: 'screenshots',
  timeout: 120_000,
  workers: 1,
  outputDir: '../test-results',
  globalSetup: './cluster.ts',
  use: { ...CHROMIUM, actionTimeout: 20_000 },
});
